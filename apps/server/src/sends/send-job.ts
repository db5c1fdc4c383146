/** Sending to many: versions are computed by the two workers, stored as they come, and counted in the job's row. */
import { athleteOf, knownAthlete } from '../athletes/store';
import { Problem } from '../platform/errors';
import { JobRow } from '../platform/models';
import type { HouseRules, MassUnit } from '@gambito/core';
import type { LocksOfAthlete } from '../workouts/store';
import type { BriefPool } from './brief-pool';
import { send } from './store';

export interface SendTask {
  readonly coachId: number;
  readonly workoutId: number;
  readonly text: string;
  readonly rules: HouseRules;
  readonly units: MassUnit;
  readonly locks: readonly LocksOfAthlete[];
  readonly today: string;
  readonly athleteIds: readonly number[];
}
export interface JobFailure {
  readonly athleteId: number;
  readonly message: string;
}

/** questions under way at once: enough that neither worker waits */
const inFlight = 8;

export async function startJob(coachId: number, total: number): Promise<JobRow> {
  return JobRow.create({ coachId, total, done: 0, failed: [], finishedAt: null });
}

export async function findJob(coachId: number, id: number): Promise<JobRow> {
  const row = await JobRow.findOne({ where: { id, coachId } });
  if (!row) throw new Problem('not_found');
  return row;
}

export async function runSendJob(job: JobRow, task: SendTask, pool: BriefPool, now: () => Date): Promise<void> {
  const waiting = [...task.athleteIds];
  const failed: JobFailure[] = [];
  const one = async (): Promise<void> => {
    for (let athleteId = waiting.shift(); athleteId !== undefined; athleteId = waiting.shift()) {
      try {
        const athlete = athleteOf(await knownAthlete(task.coachId, athleteId), task.today, task.workoutId);
        const locks = task.locks.find((each) => each.athleteId === athleteId)?.locks ?? [];
        const made = await pool.make({ text: task.text, athlete, rules: task.rules, locks, units: task.units });
        await send(task.workoutId, athleteId, task.text, made, now());
      } catch (error) {
        failed.push({ athleteId, message: error instanceof Problem ? (error.detail ?? error.code) : 'the version could not be computed' });
      }
      await job.increment('done');
    }
  };
  await Promise.all(Array.from({ length: Math.min(inFlight, waiting.length) }, one));
  await job.update({ failed, finishedAt: now() });
}
