/** Two workers that make briefs. Where the worker's bundle does not lie beside the server's (in unit tests), the brief is made in place. */
import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import type { Athlete, HouseRules, Lock, MassUnit } from '@gambito/core';
import { Problem } from '../platform/errors';
import { makeBrief, type MadeBrief } from './brief';

export interface BriefQuestion {
  readonly id: number;
  readonly text: string;
  readonly athlete: Athlete;
  readonly rules: HouseRules;
  readonly locks: readonly Lock[];
  readonly units: MassUnit;
}
export type BriefAnswer = { readonly id: number; readonly made: MadeBrief } | { readonly id: number; readonly problem: string };
type Asked = Omit<BriefQuestion, 'id'>;

const poolSize = 2;
const workerFile = new URL('./brief-worker.mjs', import.meta.url);

export interface BriefPool {
  make(asked: Asked): Promise<MadeBrief>;
  close(): Promise<void>;
}

interface Waiting {
  readonly resolve: (made: MadeBrief) => void;
  readonly reject: (error: Error) => void;
}

export function briefPool(): BriefPool {
  if (!existsSync(workerFile))
    return {
      make: async ({ text, athlete, rules, locks, units }) => {
        await new Promise((resolve) => setImmediate(resolve));
        return makeBrief(text, athlete, rules, locks, units);
      },
      close: async () => undefined,
    };
  const waiting = new Map<number, Waiting>();
  let workers: Worker[] = [];
  let next = 0;
  const start = (): Worker => {
    const worker = new Worker(workerFile);
    worker.unref();
    worker.on('message', (answer: BriefAnswer) => {
      const own = waiting.get(answer.id);
      waiting.delete(answer.id);
      if ('made' in answer) own?.resolve(answer.made);
      else own?.reject(new Problem('unreadable_workout', answer.problem));
    });
    worker.on('error', (error) => {
      // a worker that died takes its questions with it: each is told, and the next question starts new workers
      for (const each of waiting.values()) each.reject(error);
      waiting.clear();
      for (const each of workers) void each.terminate();
      workers = [];
    });
    return worker;
  };
  return {
    make: (asked) =>
      new Promise((resolve, reject) => {
        if (workers.length === 0) workers = Array.from({ length: poolSize }, start);
        const id = ++next;
        waiting.set(id, { resolve, reject });
        workers[id % workers.length]!.postMessage({ id, ...asked } satisfies BriefQuestion);
      }),
    close: async () => {
      await Promise.all(workers.map((worker) => worker.terminate()));
    },
  };
}
