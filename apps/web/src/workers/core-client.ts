/** Two workers, used in turn. */
import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core-worker';

let pool: Remote<CoreWorker>[] | null = null;
let next = 0;

export function core(): Remote<CoreWorker> {
  pool ??= Array.from({ length: Math.min(2, Math.max(1, navigator.hardwareConcurrency || 2)) }, () =>
    wrap<CoreWorker>(new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' })),
  );
  next = (next + 1) % pool.length;
  return pool[next]!;
}
