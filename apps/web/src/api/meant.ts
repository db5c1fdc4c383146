/** The people a workout is for, and how many it is not for. */
import { groupsOf, isMeant, type Audience } from '@gambito/contract';
import type { StoredAthlete } from './types';

export const meantOf = (athletes: readonly StoredAthlete[], audience: Audience): StoredAthlete[] =>
  athletes.filter(({ id, file }) => isMeant(audience, { id, groups: groupsOf(file['groups']) }));
