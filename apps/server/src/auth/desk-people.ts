/** Who works at a desk: its owner sees them, removes a guest, hands the desk over; a guest leaves. What somebody did keeps their name. */
import type { DeskPerson } from '@gambito/contract';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import type { Coach } from './store';

const isOwner = ({ id, personId }: Coach): boolean => id === personId;

export async function listPeople({ deskPeople }: Services, coach: Coach): Promise<DeskPerson[]> {
  const people = await deskPeople.list(coach.id);
  return people.map(({ owner, ...person }) => ({ ...person, owner: owner === 1, you: person.id === coach.personId }));
}

/** @throws {Problem} not_owner; not_found */
export async function removePerson(services: Services, coach: Coach, personId: number): Promise<DeskPerson[]> {
  const leaves = personId === coach.personId;
  if (!isOwner(coach) && !leaves) throw new Problem('not_owner');
  await services.deskPeople.remove(coach.id, personId);
  return leaves ? [] : listPeople(services, coach);
}

/** @throws {Problem} not_owner; not_found */
export async function handOver(services: Services, coach: Coach, personId: number): Promise<DeskPerson[]> {
  if (!isOwner(coach)) throw new Problem('not_owner');
  await services.deskPeople.handOver(coach.id, personId);
  return listPeople(services, { ...coach, personId });
}
