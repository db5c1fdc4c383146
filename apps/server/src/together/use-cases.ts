/** A class on one clock: the coach opens, starts, pauses and ends it; phones follow and tell what was tapped. */
import type { ClassRoom, ClassRun, ClassState } from '@gambito/contract';
import { countInSeconds, movedClass, waitingClass, type ClassMove } from '@gambito/core';
import type { Coach } from '../auth/store';
import { Problem } from '../platform/errors';
import type { Services } from '../platform/services';
import type { Follower, OpenClass } from './store';

const fresh: OpenClass = { clock: waitingClass, later: {}, begins: {} };

/** @throws {Problem} not_found */
export async function classRoom(services: Services, coach: Coach, workoutId: number): Promise<ClassRoom> {
  const { title } = await services.workouts.find(coach.id, workoutId);
  const lanes = await services.classes.lanes(workoutId, services.now());
  return { title, lanes, ...(await stateOf(services, await services.classes.find(workoutId))) };
}
const stateOf = async (services: Services, open: OpenClass | null): Promise<ClassState> => ({
  clock: open?.clock ?? null,
  later: open?.later ?? {},
  begins: open?.begins ?? {},
  now: await services.sharedTime(),
});

/** Changes the class of one's own workout, and says so to whoever watches here. */
async function change(services: Services, coach: Coach, workoutId: number, after: (before: OpenClass | null) => OpenClass): Promise<ClassState> {
  await services.workouts.find(coach.id, workoutId);
  const open = await services.classes.change(workoutId, after);
  services.rooms.nudge(workoutId);
  return stateOf(services, open);
}

/** Opens the class: phones may come in, the clock waits. One that was ended is opened anew. */
export const openClass = (services: Services, coach: Coach, workoutId: number): Promise<ClassState> =>
  change(services, coach, workoutId, (before) => (before === null || before.clock.endedAt !== null ? { ...(before ?? fresh), clock: waitingClass } : before));

export async function moveClass(services: Services, coach: Coach, workoutId: number, move: ClassMove): Promise<ClassState> {
  // as it is kept: whole milliseconds
  const now = Math.round(await services.sharedTime());
  return change(services, coach, workoutId, (before) => {
    const open = before ?? fresh;
    return { ...open, clock: movedClass(open.clock, move, now, countInSeconds * 1000) };
  });
}

/** Who begins later than the others, or with another movement, for shared equipment. */
export const staggerClass = (services: Services, coach: Coach, workoutId: number, starts: Pick<OpenClass, 'later' | 'begins'>): Promise<ClassState> =>
  change(services, coach, workoutId, (before) => ({ ...(before ?? fresh), ...starts }));

/** @throws {Problem} not_found; link_gone where the link opens nothing any more */
export async function followerOf(services: Services, token: string): Promise<Follower> {
  const follower = /^[\w-]{20,40}$/.test(token) ? await services.classes.follower(token, services.now()) : null;
  if (!follower) throw new Problem('not_found');
  if (!follower.open) throw new Problem('link_gone');
  return follower;
}
export const tellRun = (services: Services, follower: Follower, run: ClassRun): Promise<void> => services.classes.putRun(follower, run);
