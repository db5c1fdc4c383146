/** Athletes as the database keeps them: the file as it was typed, so that nothing typed is lost. */
import type { StoredAthlete } from '@gambito/contract';
import { fileWithResults, readAthlete, type Athlete } from '@gambito/core';
import { Op } from 'sequelize';
import { Problem } from '../platform/errors';
import { AthleteRow } from '../platform/models';
import { pastResults } from './past-results';

async function show(rows: readonly AthleteRow[]): Promise<StoredAthlete[]> {
  const results = await pastResults(rows.map((each) => each.id));
  return rows.map(({ id, name, file, revision }) => ({ id, name, file, revision, results: results.get(id) ?? [] }));
}
const showOne = async (row: AthleteRow): Promise<StoredAthlete> => (await show([row]))[0]!;

export async function listAthletes(coachId: number): Promise<StoredAthlete[]> {
  return show(
    await AthleteRow.findAll({
      where: { coachId, deletedAt: null },
      order: [
        ['name', 'ASC'],
        ['id', 'ASC'],
      ],
    }),
  );
}

export async function findAthlete(coachId: number, id: number, deleted = false): Promise<AthleteRow> {
  const row = await AthleteRow.findOne({ where: { id, coachId, deletedAt: deleted ? { [Op.ne]: null } : null } });
  if (!row) throw new Problem('not_found');
  return row;
}

export async function saveAthlete(coachId: number, id: number | null, file: Record<string, unknown>, revision: number | null): Promise<StoredAthlete> {
  const name = String(file['name'] ?? '').trim() || 'Athlete';
  if (id === null) return showOne(await AthleteRow.create({ coachId, name, file, revision: 1, deletedAt: null }));
  const expected = revision ?? (await findAthlete(coachId, id)).revision;
  // the database decides who was first
  const [saved] = await AthleteRow.update({ name, file, revision: expected + 1 }, { where: { id, coachId, deletedAt: null, revision: expected } });
  const current = await knownAthlete(coachId, id);
  if (saved === 0) throw new Problem('changed_elsewhere', null, { current });
  return current;
}

/** An athlete with what was scored before. */
export async function knownAthlete(coachId: number, id: number): Promise<StoredAthlete> {
  return showOne(await findAthlete(coachId, id));
}

/** The athlete of the core, from the stored file and past results. @param workoutId the workout in question: its own score is no past result */
export function athleteOf({ file, results }: Pick<StoredAthlete, 'file' | 'results'>, today: string, workoutId: number | null): Athlete {
  return readAthlete(
    fileWithResults(
      file,
      results.filter((each) => each.workoutId !== workoutId),
    ),
    today,
  ).athlete;
}
