import type { StoredAthlete } from '@gambito/contract';
import type { Coach } from '../auth/store';
import { todayIn } from '../platform/days';
import type { AthleteInput } from '../platform/pool/tasks';
import type { Services } from '../platform/services';
import type { AthleteFile, FileToSave } from './store';

/** @param id null for a new one @param revision of the file it was changed from; null: whatever stands there */
export async function saveAthlete(services: Services, coach: Coach, id: number | null, file: AthleteFile, revision: number | null): Promise<StoredAthlete> {
  if (id === null) return services.athletes.create(coach.id, file);
  const from = revision ?? (await services.athletes.find(coach.id, id)).revision;
  const saved = await services.athletes.save(coach.id, id, file, from);
  // what was expected of the athlete is another now
  await services.readings.outdateAthlete(id, 0);
  services.wake();
  return saved;
}

/** All of them or none. @returns their numbers, in order */
export async function saveAthletes(services: Services, coach: Coach, files: readonly FileToSave[]): Promise<number[]> {
  const ids = await services.athletes.saveMany(coach.id, files);
  for (const { id } of files) if (id !== null) await services.readings.outdateAthlete(id, 0);
  services.wake();
  return ids;
}

/** What the workers need of an athlete for a workout: its own score is no past result. */
export async function athleteInput(
  services: Services,
  coach: Coach,
  athleteId: number,
  workoutId: number | null,
): Promise<AthleteInput & { readonly stored: StoredAthlete }> {
  const stored = await services.athletes.find(coach.id, athleteId);
  const results = stored.results.filter((past) => past.workoutId !== workoutId).map(({ result }) => result);
  return { stored, file: stored.file, results, today: todayIn(coach.timeZone, services.now()) };
}
