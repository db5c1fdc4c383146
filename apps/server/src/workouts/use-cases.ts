import type { Audience, PortableWorkout, StoredWorkout } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import { isAway } from '../platform/trouble';

/** All of them or none. */
export async function createWorkouts(
  services: Services,
  coach: Coach,
  workouts: readonly (PortableWorkout & { readonly audience?: Audience })[],
): Promise<StoredWorkout[]> {
  const titled = [];
  for (const workout of workouts) titled.push({ ...workout, title: await services.pool.run(coach.id, 'title', { text: workout.text }) });
  const created = await services.workouts.create(coach.id, titled, coach.name);
  services.wake();
  return created;
}

export interface WorkoutEdit {
  readonly text?: string | undefined;
  readonly day?: string | null | undefined;
  readonly tags?: string[] | undefined;
  readonly audience?: Audience | undefined;
  readonly revision: number;
  /** another text, to be kept among the earlier ones: two windows met */
  readonly aside?: string | undefined;
}

/** @param edit what is left out stays @throws {Problem} changed_elsewhere */
export async function saveWorkout(services: Services, coach: Coach, id: number, { revision, aside, ...edit }: WorkoutEdit): Promise<StoredWorkout> {
  const { text } = edit;
  const titled = text === undefined ? {} : { title: await services.pool.run(coach.id, 'title', { text }) };
  const change = Object.fromEntries(Object.entries({ ...edit, ...titled }).filter(([, value]) => value !== undefined));
  const saved = await services.workouts.save(coach.id, id, change, { revision, aside: aside ?? null, now: services.now(), by: coach.name });
  if (text !== undefined) {
    await services.readings.outdateWorkout(id);
    services.wake();
  }
  return saved;
}

/** @param day of the copy */
export async function duplicateWorkout(services: Services, coach: Coach, id: number, day: string | null): Promise<StoredWorkout> {
  const { text, tags, audience } = await services.workouts.find(coach.id, id);
  const titled = day === null ? text.replace(/^#(?!#)\s*(.+)$/m, '# $1 (copy)') : text;
  const [copy] = await createWorkouts(services, coach, [{ text: titled, day, tags, audience }]);
  return copy!;
}

/** @param before what the coach saw; null: all that stands is replaced @returns what stands */
export async function saveLocks(
  services: Services,
  coach: Coach,
  { workoutId, athleteId }: { readonly workoutId: number; readonly athleteId: number },
  after: readonly Lock[],
  before: readonly Lock[] | null,
): Promise<Lock[]> {
  await services.workouts.find(coach.id, workoutId);
  await services.athletes.find(coach.id, athleteId);
  const standing = before ?? (await services.workouts.locks(workoutId)).find((row) => row.athleteId === athleteId)?.locks ?? [];
  return services.workouts.saveLocks(workoutId, athleteId, { before: standing, after, by: coach.name });
}

/** a text that nothing can be told of is found by its words alone */
const nothingTold = { kinds: [], minutes: null, movements: [] };

/** Notes what the library finds some texts by. @returns how many were taken */
export async function shelveWaiting(services: Services, most: number): Promise<number> {
  const waiting = await services.workouts.unshelved(most);
  for (const { id, coachId, text } of waiting) {
    const facts = await services.pool.run(coachId, 'facts', { text }, 'later').catch((error: unknown) => {
      if (isAway(error) || (error instanceof Problem && error.code === 'busy')) throw error;
      return nothingTold;
    });
    await services.workouts.shelve(id, text, facts);
  }
  return waiting.length;
}
