/** The workers, with a deadline for each task and turns for each coach. Where the worker's bundle does not lie beside the server's (in unit tests), a task runs in place. */
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { Problem, type ErrorCode } from '../errors';
import { whoReadsLeft } from '../readers';
import { FairQueue, type Urgency } from './fair-queue';
import { runTask, type Answer, type Task, type TaskInput, type TaskName, type TaskOutput } from './tasks';

/** ms a task may run, by who waits for it; a text that takes longer is answered with a sentence */
const deadline: Readonly<Record<Urgency, number>> = { now: 8_000, send: 20_000, soon: 20_000, later: 20_000 };

export interface Pool {
  /**
   * @param left whoever waits has left: what has not begun is taken out; whoever reads over HTTP has left when the connection closed
   * @throws {Problem} what the task refused; too_slow after its deadline; busy where this coach has too many waiting; given_up where whoever waited has left
   */
  run<Name extends TaskName>(coach: number, name: Name, input: TaskInput<Name>, urgency?: Urgency, left?: AbortSignal): Promise<TaskOutput<Name>>;
  close(): Promise<void>;
}

interface Waiting {
  readonly task: Task;
  readonly urgency: Urgency;
  readonly settle: (answer: Promise<Answer>) => void;
}
type Runner = (task: Task, expired: AbortSignal) => Promise<Answer>;
/** Ends a task that takes too long. */
export type Expiry = (urgency: Urgency) => AbortSignal;
const afterItsTime: Expiry = (urgency) => AbortSignal.timeout(deadline[urgency]);

function threads(count: number, file: string): { run: Runner; close: () => Promise<void> } {
  const piscina = new Piscina({ filename: file, minThreads: 1, maxThreads: count, idleTimeout: 60_000, resourceLimits: { maxOldGenerationSizeMb: 400 } });
  // a worker that dies is replaced, and its task told; nothing else must fall
  piscina.on('error', () => undefined);
  return { run: (task, signal) => piscina.run(task, { signal }) as Promise<Answer>, close: () => piscina.destroy() };
}
const inPlace: Runner = async (task) => {
  await new Promise((resolve) => setImmediate(resolve));
  return runTask(task);
};

const isDeadline = (error: unknown): boolean => error instanceof Error && (error.name === 'AbortError' || error.name === 'TimeoutError');

async function outcome(answer: Promise<Answer>): Promise<unknown> {
  const made = await answer.catch((error: unknown) => {
    if (isDeadline(error)) throw new Problem('too_slow');
    throw error;
  });
  if ('problem' in made) throw new Problem(made.problem.code as ErrorCode, made.problem.detail);
  return made.value;
}

/** @param count of threads @param file the worker's bundle @param expiry of each task, from the moment it begins */
export function openPool(count: number, file = fileURLToPath(new URL('./pool-worker.mjs', import.meta.url)), expiry: Expiry = afterItsTime): Pool {
  const { run, close } = existsSync(file) ? threads(count, file) : { run: inPlace, close: async () => undefined };
  const queue = new FairQueue<Waiting>();
  let running = 0;
  const start = (): void => {
    for (let next = running < count ? queue.next() : undefined; next; next = running < count ? queue.next() : undefined) {
      running++;
      const answer = run(next.task, expiry(next.urgency));
      next.settle(answer);
      void answer
        .catch(() => undefined)
        .finally(() => {
          running--;
          start();
        });
    }
  };
  return {
    run: async <Name extends TaskName>(coach: number, name: Name, input: TaskInput<Name>, urgency: Urgency = 'now', left = whoReadsLeft()) => {
      const answer = new Promise<Answer>((settle, refuse) => {
        const waiting: Waiting = { task: { name, input }, urgency, settle };
        if (left?.aborted) return refuse(new Problem('given_up'));
        if (!queue.add(coach, urgency, waiting)) return refuse(new Problem('busy'));
        left?.addEventListener('abort', () => queue.remove(waiting) && refuse(new Problem('given_up')), { once: true });
      });
      start();
      return (await outcome(answer)) as TaskOutput<Name>;
    },
    close: async () => {
      for (const { settle } of queue.clear()) settle(Promise.reject(new Problem('busy')));
      await close();
    },
  };
}
