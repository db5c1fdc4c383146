/** What hurt, and what could be spared: a proposal to the coach. */
import type { Discomfort, SparedAnswer } from '@gambito/contract';
import { athleteInput } from '../athletes/use-cases';
import type { Coach } from '../auth/store';
import type { Services } from '../platform/services';

export const openDiscomforts = (services: Services, coach: Coach): Promise<Discomfort[]> => services.discomforts.open(coach.id);

/** What may be spared, and what the version it was told of would be then. @throws {Problem} not_found */
export async function sparedIn(services: Services, coach: Coach, id: number): Promise<SparedAnswer> {
  const { workoutId, athleteId, felt, text } = await services.discomforts.find(coach.id, id);
  const { file, results, today } = await athleteInput(services, coach, athleteId, workoutId);
  const decisions = workoutId === null ? [] : await services.workouts.locks(workoutId);
  const locks = decisions.find((row) => row.athleteId === athleteId)?.locks ?? [];
  return services.pool.run(coach.id, 'spared', { file, results, today, text, felt, locks, rules: coach.rules, units: coach.units }, 'soon');
}
