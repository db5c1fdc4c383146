/** Puts together what the use cases are given. */
import { athleteStore } from '../athletes/store';
import { coachStore, sessionStore } from '../auth/store';
import { jobStore } from '../jobs/store';
import { readingStore } from '../readings/store';
import { scoreStore } from '../scores/store';
import { sendStore } from '../sends/store';
import { revisionStore } from '../workouts/revisions';
import { workoutStore } from '../workouts/store';
import type { Config } from './config';
import type { Database } from './database';
import { limiterOn } from './limits';
import { openPool } from './pool/pool';
import type { Services } from './services';

export function buildServices(
  database: Database,
  { demo, https, address, threads, boardWait }: Pick<Config, 'demo' | 'https' | 'address' | 'threads' | 'boardWait'>,
  now: () => Date,
  wake: () => void,
): Services {
  return {
    demo,
    https,
    address,
    boardWait,
    now,
    wake,
    pool: openPool(threads),
    limiter: limiterOn(database),
    coaches: coachStore(database),
    sessions: sessionStore(database),
    athletes: athleteStore(database),
    workouts: workoutStore(database),
    revisions: revisionStore(database),
    sends: sendStore(database),
    scores: scoreStore(database),
    readings: readingStore(database),
    jobs: jobStore(database),
    databaseAnswers: () => database.answers(),
  };
}
