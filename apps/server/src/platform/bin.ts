/** Deleting sets a mark, and undo takes it away: for rows that belong to a coach. */
import { Op, type ModelStatic } from 'sequelize';
import type { Database } from './database';
import { Problem } from './errors';
import type { AthleteRow, WorkoutRow } from './rows';

/** Done already it changes nothing. @throws {Problem} not_found where the coach has no such row */
export async function setDeleted(
  { read, write }: Database,
  rows: ModelStatic<AthleteRow> | ModelStatic<WorkoutRow>,
  coachId: number,
  id: number,
  at: Date | null,
): Promise<void> {
  const marked = rows as ModelStatic<AthleteRow>;
  const [changed] = await write(() => marked.update({ deletedAt: at }, { where: { id, coachId, deletedAt: at === null ? { [Op.ne]: null } : null } }));
  if (changed === 0 && !(await read(() => marked.findOne({ where: { id, coachId }, attributes: ['id'] })))) throw new Problem('not_found');
}
