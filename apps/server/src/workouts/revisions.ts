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
  /** that was replaced */
  readonly revision: number;
  readonly before: string;
  /** that replaced it */
  readonly text: string;
  readonly now: Date;
}

/** The text that a revision has; null where another stands there by now. */
export async function textOfRevision(
  { models }: Database,
  { coachId, id, revision }: Pick<Saving, 'coachId' | 'id' | 'revision'>,
  transaction: Transaction,
): Promise<string | null> {
  const standing = await models.workouts.findOne({ where: { id, coachId, revision, deletedAt: null }, attributes: ['id', 'text'], transaction });
  return standing?.text ?? null;
}

/** Keeps a text that another has taken the place of, unless one of the same spell is kept already. Only who took its place does this: of several who save at once, one. */
export async function keepRevision({ models }: Database, { id, revision, before, text, now }: Saving, transaction: Transaction): Promise<void> {
  if (before === text || before.trim() === '') return;
  const kept = await models.revisions.findAll({ where: { workoutId: id }, attributes: ['revision', 'savedAt'], order: [['revision', 'DESC']], transaction });
  if (kept[0] && now.getTime() - kept[0].savedAt.getTime() < spell) return;
  await models.revisions.create({ workoutId: id, revision, text: before, savedAt: now }, { transaction });
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
