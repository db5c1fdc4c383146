/** What hurt: told on an athlete's page, it waits on the coach's desk until it is settled, whatever the day. */
import type { Discomfort, Felt } from '@gambito/contract';
import { gravityOf } from '@gambito/core';
import { QueryTypes } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { parsed } from '../platform/parsed';

export interface DiscomfortStore {
  /** that wait for the coach, the newest first */
  open(coachId: number): Promise<Discomfort[]>;
  /** waiting or settled, with the text it was told of @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<Discomfort & { readonly text: string }>;
  /** @throws {Problem} not_found */
  settle(coachId: number, id: number, settled: boolean): Promise<void>;
}
/** that are listed at once */
const most = 100;

interface FeltRow extends Omit<Discomfort, 'felt' | 'at'> {
  readonly felt: unknown;
  readonly at: Date;
  readonly text: string;
}
const told = `SELECT s.id, s.workout_id AS workoutId, w.title, CAST(COALESCE(w.day, DATE(s.sent_at)) AS CHAR) AS day, s.athlete_id AS athleteId, a.name, s.felt,
    COALESCE(s.felt_at, s.sent_at) AS at, s.original_text AS text
  FROM sends s JOIN workouts w ON w.id = s.workout_id JOIN athletes a ON a.id = s.athlete_id AND a.deleted_at IS NULL`;
const show = ({ felt, at, ...row }: FeltRow): Discomfort & { readonly text: string } => ({ ...row, felt: parsed<Felt>(felt), at: at.toISOString() });

export const discomfortStore = ({ sequelize, models, read, write }: Database): DiscomfortStore => {
  const select = (where: string, replacements: Readonly<Record<string, unknown>>): Promise<FeltRow[]> =>
    read(() => sequelize.query<FeltRow>(`${told} ${where}`, { replacements: { ...replacements }, type: QueryTypes.SELECT }));
  const find: DiscomfortStore['find'] = async (coachId, id) => {
    const [row] = await select('WHERE s.id = :id AND w.coach_id = :coachId AND s.felt IS NOT NULL', { id, coachId });
    if (!row) throw new Problem('not_found');
    return show(row);
  };
  return {
    open: async (coachId) => {
      const rows = await select('WHERE s.felt_for = :coachId ORDER BY at DESC, s.id DESC LIMIT :most', { coachId, most });
      const shown = rows.map((row) => {
        const { text: _text, ...discomfort } = show(row);
        return discomfort;
      });
      // the gravest stays on top, however much was told after it
      return shown.sort((a, b) => gravityOf(b.felt) - gravityOf(a.felt));
    },
    find,
    settle: async (coachId, id, settled) => {
      await find(coachId, id);
      await write(() => models.sends.update({ feltFor: settled ? null : coachId }, { where: { id } }));
    },
  };
};
