/** What calendars that subscribe are given: every entry under a name that stays, so that a changed day moves and a withdrawn one goes. */
import { enterDoor } from '../doors/use-cases';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import { calendarFile, uidOf } from './calendar';

/** @param address where people reach the instance, without a path */
export async function athleteFeed(services: Services, token: string, address: string): Promise<string> {
  const { athleteId } = await enterDoor(services, token);
  const rows = await services.calendars.ofAthlete(athleteId);
  return calendarFile(rows.map(({ workoutId, token: page, ...row }) => ({ ...row, uid: uidOf(workoutId, athleteId), url: `${address}/a/${page}` })));
}

/** @throws {Problem} link_gone where no coach has this link */
export async function coachFeed(services: Services, token: string, address: string): Promise<string> {
  const coachId = /^[\w-]{32}$/.test(token) ? await services.calendars.coachOf(token) : null;
  if (coachId === null) throw new Problem('link_gone');
  const rows = await services.calendars.ofCoach(coachId);
  return calendarFile(rows.map(({ workoutId, ...row }) => ({ ...row, uid: `${workoutId}@gambito`, url: `${address}/workouts/${workoutId}/write` })));
}
