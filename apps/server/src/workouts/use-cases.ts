import type { StoredWorkout } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import type { Coach } from '../auth/store';
import type { Services } from '../platform/services';

export async function createWorkout(services: Services, coach: Coach, text: string, day: string | null): Promise<StoredWorkout> {
  const title = await services.pool.run(coach.id, 'title', { text });
  return services.workouts.create(coach.id, { title, text, day });
}

/** @param change what is left out stays @throws {Problem} changed_elsewhere */
export async function saveWorkout(
  services: Services,
  coach: Coach,
  id: number,
  { text, day, revision }: { text?: string | undefined; day?: string | null | undefined; revision: number },
): Promise<StoredWorkout> {
  const written = text === undefined ? {} : { text, title: await services.pool.run(coach.id, 'title', { text }) };
  const saved = await services.workouts.save(coach.id, id, { ...written, ...(day === undefined ? {} : { day }) }, revision);
  if (text !== undefined && (await services.readings.outdateWorkout(id))) services.wake();
  return saved;
}

export async function duplicateWorkout(services: Services, coach: Coach, id: number): Promise<StoredWorkout> {
  const { text } = await services.workouts.find(coach.id, id);
  return createWorkout(services, coach, text.replace(/^#(?!#)\s*(.+)$/m, '# $1 (copy)'), null);
}

export async function saveLocks(services: Services, coach: Coach, workoutId: number, athleteId: number, locks: readonly Lock[]): Promise<void> {
  await services.workouts.find(coach.id, workoutId);
  await services.athletes.find(coach.id, athleteId);
  await services.workouts.saveLocks(workoutId, athleteId, locks);
}
