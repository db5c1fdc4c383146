/** Sending to many: starting it, how far it is, cancelling it. */
import type { SendJob } from '@gambito/contract';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import type { JobProgress } from './store';

const show = ({ id, total, done, failed }: JobProgress): SendJob => ({ id, total, done, finished: done >= total, failed: failed.map((each) => ({ ...each })) });

/** @throws {Problem} not_found */
export async function findJob(services: Services, coach: Coach, id: number): Promise<SendJob> {
  const progress = await services.jobs.progress(coach.id, id);
  if (!progress) throw new Problem('not_found');
  return show(progress);
}

/** @param press see the store */
export async function startSending(services: Services, coach: Coach, workoutId: number, athleteIds: readonly number[], press: string | null): Promise<SendJob> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  const id = await services.jobs.start(coach.id, { workoutId, text, by: coach.name }, athleteIds, press);
  services.wake();
  return findJob(services, coach, id);
}

/** What was sent stays sent. */
export async function cancelJob(services: Services, coach: Coach, id: number): Promise<SendJob> {
  await services.jobs.cancel(coach.id, id);
  return findJob(services, coach, id);
}
