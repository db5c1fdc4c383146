/** The core's workers: two used in turn for what somebody waits for, one more for what is looked through in the background. */
import { wrap, type Remote } from 'comlink';
import { waitedFor } from '../api/in-flight';
import type { CoreWorker } from './core-worker';

export type Core = Remote<CoreWorker>;
interface Started {
  readonly core: Core;
  /** its script did not come, or it broke off: whoever asked is told, and the next question goes to a new one */
  readonly isDown: () => boolean;
}

const broken = 'The part of Gambito that computes did not start, or broke off. Try again; if that does not help, load the page again. What you typed is kept.';

function start(): Started {
  const worker = new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' });
  let down = false;
  const failure = new Promise<never>((_settle, refuse) => {
    worker.addEventListener('error', () => {
      down = true;
      worker.terminate();
      refuse(new Error(broken));
    });
  });
  failure.catch(() => undefined);
  const remote = wrap<CoreWorker>(worker);
  // a worker that is gone never answers: without this whoever asked would wait for ever
  const ask = (name: keyof CoreWorker): unknown => {
    const question = remote[name] as ((...asked: unknown[]) => Promise<unknown>) | undefined;
    // a promise that holds the core asks it for `then`, which it has not
    if (typeof question !== 'function') return undefined;
    return (...asked: unknown[]) => waitedFor('a computation', Promise.race([question(...asked), failure]));
  };
  return { core: new Proxy(remote, { get: (_remote, name) => ask(name as keyof CoreWorker) }), isDown: () => down };
}

const pool: (Started | undefined)[] = [];
const size = (): number => Math.min(2, Math.max(1, navigator.hardwareConcurrency || 2));
let next = 0;
/** the place of what is looked through in the background */
const behind = 2;
function at(place: number): Core {
  const standing = pool[place];
  const used = standing === undefined || standing.isDown() ? start() : standing;
  pool[place] = used;
  return used.core;
}

export function core(): Core {
  next = (next + 1) % size();
  return at(next);
}
/** Whoever types is never kept waiting by what is asked here. */
export const backgroundCore = (): Core => at(behind);
