/** Athletes as the database keeps them: the file as it was typed, so that nothing typed is lost. */
import { readAthlete, type Athlete } from '@gambito/core';
import { Op } from 'sequelize';
import { Problem } from '../platform/errors';
import { AthleteRow } from '../platform/models';

export interface StoredAthlete {
  readonly id: number;
  readonly name: string;
  readonly file: unknown;
  readonly revision: number;
}
const show = ({ id, name, file, revision }: AthleteRow): StoredAthlete => ({ id, name, file, revision });

export async function listAthletes(coachId: number): Promise<StoredAthlete[]> {
  return (
    await AthleteRow.findAll({
      where: { coachId, deletedAt: null },
      order: [
        ['name', 'ASC'],
        ['id', 'ASC'],
      ],
    })
  ).map(show);
}

export async function findAthlete(coachId: number, id: number, deleted = false): Promise<AthleteRow> {
  const row = await AthleteRow.findOne({ where: { id, coachId, deletedAt: deleted ? { [Op.ne]: null } : null } });
  if (!row) throw new Problem('not_found');
  return row;
}

export async function saveAthlete(coachId: number, id: number | null, file: Record<string, unknown>, revision: number | null): Promise<StoredAthlete> {
  const name = String(file['name'] ?? '').trim() || 'Athlete';
  if (id === null) return show(await AthleteRow.create({ coachId, name, file, revision: 1, deletedAt: null }));
  const row = await findAthlete(coachId, id);
  if (revision !== null && row.revision !== revision) throw new Problem('changed_elsewhere', null, { current: show(row) });
  await row.update({ name, file, revision: row.revision + 1 });
  return show(row);
}

/** The athlete of the core, from the stored file. */
export function athleteOf(row: Pick<StoredAthlete, 'file'>, today: string): Athlete {
  return readAthlete(row.file, today).athlete;
}
