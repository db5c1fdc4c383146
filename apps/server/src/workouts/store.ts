/** Workouts: the text as typed, its day, and the coach's locks on versions. */
import type { StoredWorkout } from '@gambito/contract';
import { parseWorkout, type Lock } from '@gambito/core';
import { Op } from 'sequelize';
import { Problem } from '../platform/errors';
import { LockRow, WorkoutRow } from '../platform/models';

export const showWorkout = ({ id, title, text, day, revision, updatedAt }: WorkoutRow): StoredWorkout => ({
  id,
  title,
  text,
  day,
  revision,
  updatedAt: updatedAt.toISOString(),
});

/** A title stands at the top: no more is read for it, whatever else was sent. */
const titleOf = (text: string): string =>
  (parseWorkout(text.split('\n').slice(0, 12).join('\n')).workout.title ?? text.split('\n').find((line) => line.trim() !== '') ?? 'Untitled').slice(0, 200);

export async function listWorkouts(coachId: number): Promise<StoredWorkout[]> {
  return (
    await WorkoutRow.findAll({
      where: { coachId, deletedAt: null },
      order: [
        ['day', 'DESC'],
        ['id', 'DESC'],
      ],
    })
  ).map(showWorkout);
}

export async function findWorkout(coachId: number, id: number, deleted = false): Promise<WorkoutRow> {
  const row = await WorkoutRow.findOne({ where: { id, coachId, deletedAt: deleted ? { [Op.ne]: null } : null } });
  if (!row) throw new Problem('not_found');
  return row;
}

export async function createWorkout(coachId: number, text: string, day: string | null): Promise<StoredWorkout> {
  return showWorkout(await WorkoutRow.create({ coachId, title: titleOf(text), text, day, revision: 1, deletedAt: null }));
}

/** Saves; refuses when another window saved in between, and gives back what stands there so that nothing is lost. */
export async function updateWorkout(coachId: number, id: number, change: { text?: string; day?: string | null; revision: number }): Promise<StoredWorkout> {
  const { revision } = change;
  // the database decides who was first
  const [saved] = await WorkoutRow.update(
    {
      ...(change.text === undefined ? {} : { text: change.text, title: titleOf(change.text) }),
      ...(change.day === undefined ? {} : { day: change.day }),
      revision: revision + 1,
    },
    { where: { id, coachId, deletedAt: null, revision } },
  );
  const current = showWorkout(await findWorkout(coachId, id));
  if (saved === 0) throw new Problem('changed_elsewhere', null, { current });
  return current;
}

export interface LocksOfAthlete {
  readonly athleteId: number;
  readonly locks: Lock[];
}
export async function locksOf(workoutId: number): Promise<LocksOfAthlete[]> {
  return (await LockRow.findAll({ where: { workoutId } })).map(({ athleteId, locks }) => ({ athleteId, locks: locks as Lock[] }));
}

export async function saveLocks(workoutId: number, athleteId: number, locks: readonly Lock[]): Promise<void> {
  const row = await LockRow.findOne({ where: { workoutId, athleteId } });
  if (locks.length === 0) await row?.destroy();
  else if (row) await row.update({ locks });
  else await LockRow.create({ workoutId, athleteId, locks });
}
