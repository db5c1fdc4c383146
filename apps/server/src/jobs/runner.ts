/** Does the items of jobs that this server leased. */
import { makeVersion } from '../sends/use-cases';
import { Problem } from '../platform/errors';
import { thisServer, withSigns } from '../platform/leases';
import type { Services } from '../platform/services';
import { isAway, isConflict } from '../platform/trouble';
import type { JobItem } from './store';

async function doItem(services: Services, item: JobItem): Promise<void> {
  const { athleteId, coachId, task } = item;
  const coach = await services.coaches.byId(coachId);
  if (!coach) return services.jobs.fail(item, 'the coach is gone');
  const locks = (await services.workouts.locks(task.workoutId)).find((each) => each.athleteId === athleteId)?.locks ?? [];
  const made = await makeVersion(services, coach, { ...task, athleteId, locks }, 'send');
  const send = { workoutId: task.workoutId, athleteId, originalText: task.text, made, by: task.by ?? '' };
  await services.jobs.finish(item, thisServer, (transaction) => services.sends.send(send, services.now(), transaction));
}

async function putOffOrFail(services: Services, item: JobItem, error: unknown): Promise<void> {
  // a database that is away ends no job: the lease runs out and somebody goes on
  if (isAway(error)) return;
  // too much was waiting, or somebody was in the way, three times: its turn comes again
  if (isConflict(error) || (error instanceof Problem && error.code === 'busy')) return services.jobs.release(item);
  await services.jobs.fail(item, error instanceof Problem ? (error.detail ?? error.message) : 'the version could not be computed');
}

/** @returns how many items it took */
export async function runJobs(services: Services, most: number): Promise<number> {
  const items = await services.jobs.lease(thisServer, most);
  await withSigns(
    () => services.jobs.hold(items, thisServer),
    () => Promise.all(items.map((item) => doItem(services, item).catch((error: unknown) => putOffOrFail(services, item, error)))),
  );
  return items.length;
}
