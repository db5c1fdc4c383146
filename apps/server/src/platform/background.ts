/** What a server does beside answering: jobs, readings, and clearing up. Every server takes turns; what one has begun and not ended, another goes on with. */
import { deliverDue } from '../deliveries/use-cases';
import { runJobs } from '../jobs/runner';
import { readWaiting } from '../readings/use-cases';
import { shelveWaiting } from '../workouts/use-cases';
import { binnedSince } from './days';
import type { Database } from './database';
import { takeLease } from './leases';
import type { Services } from './services';

/** ms between two looks when nothing is to be done */
const idle = 2_000;
/** items under way at once in one process */
const atOnce = 8;
const sweepSeconds = 600;
/** ms a finished job is kept */
const jobLifetime = 7 * 24 * 3600 * 1000;

export interface Background {
  wake(): void;
  stop(): Promise<void>;
}

async function sweep(database: Database, { sessions, limiter, jobs, workouts, now }: Services): Promise<void> {
  if (!(await takeLease(database, 'sweep', sweepSeconds))) return;
  await sessions.sweep(now());
  await limiter.sweep(now());
  await jobs.sweep(new Date(now().getTime() - jobLifetime));
  await workouts.sweep(binnedSince(now()));
}

/** One kind of work, over and over, with a pause where there is none. @param turn @returns how much it took */
function keepDoing(turn: () => Promise<number>, report: (what: string) => void): Background {
  let stopped = false;
  let waken: () => void = () => undefined;
  let failing = '';
  const noteFailure = (what: string): void => {
    // said once, not at every turn
    if (what !== '' && what !== failing) report(what);
    failing = what;
  };
  const loop = async (): Promise<void> => {
    while (!stopped) {
      const done = await turn().then(
        (taken) => {
          noteFailure('');
          return taken;
        },
        (error: unknown) => {
          noteFailure(error instanceof Error ? error.name : 'unknown');
          return 0;
        },
      );
      if (done === 0 && !stopped)
        await new Promise<void>((resolve) => {
          waken = resolve;
          setTimeout(resolve, idle).unref();
        });
    }
  };
  const running = loop();
  return {
    wake: () => waken(),
    stop: async () => {
      stopped = true;
      waken();
      await running;
    },
  };
}

/** Each kind has turns of its own: what is being sent does not wait for what is being read. */
export function startBackground(database: Database, services: Services, report: (what: string) => void): Background {
  let sweptAt = 0;
  const clearUp = async (): Promise<number> => {
    if (Date.now() - sweptAt > sweepSeconds * 1000) {
      sweptAt = Date.now();
      await sweep(database, services);
    }
    return (await shelveWaiting(services, atOnce)) + (await deliverDue(services, atOnce));
  };
  const kinds = [() => runJobs(services, atOnce), () => readWaiting(services, atOnce), clearUp].map((turn) => keepDoing(turn, report));
  return {
    wake: () => kinds.forEach((kind) => kind.wake()),
    stop: async () => {
      await Promise.all(kinds.map((kind) => kind.stop()));
    },
  };
}
