/** A person's record, for their coach. */
import type { PersonRecord } from '@gambito/contract';
import type { Coach } from '../auth/store';
import type { Services } from '../platform/services';

/** @throws {Problem} not_found */
export async function recordOf(services: Services, coach: Coach, athleteId: number): Promise<PersonRecord> {
  await services.athletes.find(coach.id, athleteId);
  return services.record.of(athleteId, services.now());
}
