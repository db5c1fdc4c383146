/** Does the items of jobs that this server leased. */
import { makeVersion } from '../sends/use-cases';
import { Problem } from '../platform/errors';
import { thisServer } from '../platform/leases';
import type { Services } from '../platform/services';
import { isAway, isConflict } from '../platform/trouble';
import type { JobItem } from './store';

async function doItem(services: Services, item: JobItem): Promise<void> {
  const { athleteId, coachId, task } = item;
  const coach = await services.coaches.byId(coachId);
  if (!coach) return services.jobs.fail(item, 'the coach is gone');
  const locks = (await services.workouts.locks(task.workoutId)).find((each) => each.athleteId === athleteId)?.locks ?? [];
  const made = await makeVersion(services, coach, { ...task, athleteId, locks }, 'soon');
  const send = { workoutId: task.workoutId, athleteId, originalText: task.text, made, by: task.by ?? '' };
  await services.jobs.finish(item, thisServer, (transaction) => services.sends.send(send, services.now(), transaction));
}

/** @returns how many items it took */
export async function runJobs(services: Services, most: number): Promise<number> {
  const items = await services.jobs.lease(thisServer, most);
  await Promise.all(
    items.map((item) =>
      doItem(services, item).catch(async (error: unknown) => {
        // a database that is away ends no job: the lease runs out and somebody goes on
        if (isAway(error) || (error instanceof Problem && error.code === 'busy')) return;
        // somebody was in the way, three times: its turn comes again
        if (isConflict(error)) return services.jobs.release(item);
        await services.jobs.fail(item, error instanceof Problem ? (error.detail ?? error.message) : 'the version could not be computed');
      }),
    ),
  );
  return items.length;
}
