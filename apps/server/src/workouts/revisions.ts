/** What a workout said before. Of a spell of typing, which saves at every pause, the text it began from is kept. */
import type { Revision } from '@gambito/contract';
import type { Transaction } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { previewOf } from './preview';

/** ms within which saves belong to one spell of typing */
const spell = 10 * 60 * 1000;
/** revisions of a workout that are kept */
const mostKept = 50;

interface Saving {
  readonly coachId: number;
  readonly id: number;
  /** that is about to be replaced */
  readonly revision: number;
  /** that replaces it */
  readonly text: string;
  readonly now: Date;
}

/** Keeps the text that stands there before another takes its place, unless one of the same spell is kept already. */
export async function keepRevision({ models }: Database, { coachId, id, revision, text, now }: Saving, transaction: Transaction): Promise<void> {
  const standing = await models.workouts.findOne({ where: { id, coachId, revision, deletedAt: null }, attributes: ['id', 'text'], transaction });
  if (!standing || standing.text === text || standing.text.trim() === '') return;
  const kept = await models.revisions.findAll({ where: { workoutId: id }, attributes: ['revision', 'savedAt'], order: [['revision', 'DESC']], transaction });
  if (kept[0] && now.getTime() - kept[0].savedAt.getTime() < spell) return;
  await models.revisions.create({ workoutId: id, revision, text: standing.text, savedAt: now }, { transaction });
  const gone = kept.slice(mostKept - 1).map((old) => old.revision);
  if (gone.length > 0) await models.revisions.destroy({ where: { workoutId: id, revision: gone }, transaction });
}

export interface RevisionStore {
  /** newest first */
  list(workoutId: number): Promise<Revision[]>;
  /** @throws {Problem} not_found */
  text(workoutId: number, revision: number): Promise<string>;
}

export const revisionStore = ({ models, read }: Database): RevisionStore => ({
  list: async (workoutId) => {
    const rows = await read(() => models.revisions.findAll({ where: { workoutId }, order: [['revision', 'DESC']] }));
    return rows.map(({ revision, savedAt, text }) => ({ revision, savedAt: savedAt.toISOString(), preview: previewOf(text.slice(0, 300)) }));
  },
  text: async (workoutId, revision) => {
    const row = await read(() => models.revisions.findOne({ where: { workoutId, revision } }));
    if (!row) throw new Problem('not_found');
    return row.text;
  },
});
