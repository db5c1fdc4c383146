/** The athlete's own door: what it opens, and what comes through it to the coach. */
import { entryLines, listedWords, type Door, type OwnDoor, type Proposal, type ProposedChange } from '@gambito/contract';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import { placesOfFile } from '../sends/today';
import type { OpenDoor } from './store';

/** @throws {Problem} not_found where the athlete is not this coach's */
export async function doorOf(services: Services, coach: Coach, athleteId: number): Promise<Door | null> {
  await services.athletes.find(coach.id, athleteId);
  return services.doors.find(athleteId, services.now());
}
export async function openDoor(services: Services, coach: Coach, athleteId: number): Promise<Door> {
  await services.athletes.find(coach.id, athleteId);
  return services.doors.open(athleteId, services.now());
}
export async function withdrawDoor(services: Services, coach: Coach, athleteId: number): Promise<void> {
  await services.athletes.find(coach.id, athleteId);
  await services.doors.withdraw(athleteId, services.now());
}

/** A living door. @throws {Problem} link_gone where it was withdrawn, ran out, or its athlete was deleted, or there never was one */
export async function enterDoor(services: Services, token: string): Promise<OpenDoor> {
  const door = /^[\w-]{32}$/.test(token) ? await services.doors.byToken(token, services.now()) : null;
  if (!door) throw new Problem('link_gone');
  return door;
}

/** What is the athlete's own, and nothing of anybody else. */
export async function ownDoor(services: Services, { coachId, athleteId, name, athleteFile }: OpenDoor): Promise<OwnDoor> {
  await services.doors.noteOpened(athleteId, services.now()).catch(() => undefined);
  const [days, results] = [await services.doors.days(athleteId, services.now()), await services.athletes.results(coachId, athleteId)];
  return {
    name,
    days,
    results: results.map(({ title, score, loggedAt }) => ({ title, score, loggedAt })),
    places: placesOfFile(athleteFile),
    lifts: entryLines(athleteFile['maxes']),
    bestSets: entryLines(athleteFile['best_sets']),
    avoid: listedWords(athleteFile['avoid']),
  };
}

export async function propose(services: Services, { coachId, athleteId }: OpenDoor, change: ProposedChange): Promise<void> {
  await services.proposals.make(coachId, athleteId, change);
}
export const openProposals = (services: Services, coach: Coach): Promise<Proposal[]> => services.proposals.open(coach.id);
