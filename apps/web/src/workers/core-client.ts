/** The core's workers: two used in turn for what somebody waits for, one more for what is looked through in the background. */
import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core-worker';

export type Core = Remote<CoreWorker>;

const start = (): Core => wrap<CoreWorker>(new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' }));

let pool: Core[] | null = null;
let next = 0;

export function core(): Core {
  pool ??= Array.from({ length: Math.min(2, Math.max(1, navigator.hardwareConcurrency || 2)) }, start);
  next = (next + 1) % pool.length;
  return pool[next]!;
}

let behind: Core | null = null;
/** Whoever types is never kept waiting by what is asked here. */
export const backgroundCore = (): Core => (behind ??= start());
