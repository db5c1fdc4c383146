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

/** A text and whose it is. */
interface Standing {
  readonly text: string;
  readonly by: string;
}
interface Replaced {
  readonly id: number;
  /** that was replaced */
  readonly revision: number;
  readonly before: Standing;
  /** that replaced it */
  readonly text: string;
  readonly now: Date;
  /** two windows met: it is kept whatever was kept of this spell */
  readonly apart: boolean;
}

/** What stands there under a revision; null where another does by now. */
export async function standingAt(
  { models }: Database,
  { coachId, id, revision }: { readonly coachId: number; readonly id: number; readonly revision: number },
  transaction: Transaction,
): Promise<Standing | null> {
  const row = await models.workouts.findOne({ where: { id, coachId, revision, deletedAt: null }, attributes: ['id', 'text', 'changedBy'], transaction });
  return row && { text: row.text, by: row.changedBy };
}

/** Keeps a text that another has taken the place of, unless one of the same spell is kept already. Only who took its place does this: of several who save at once, one. */
export async function keepRevision({ models }: Database, { id, revision, before, text, now, apart }: Replaced, transaction: Transaction): Promise<void> {
  if (before.text === text || before.text.trim() === '') return;
  const kept = await models.revisions.findAll({ where: { workoutId: id }, attributes: ['revision', 'savedAt'], order: [['revision', 'DESC']], transaction });
  if (!apart && kept[0] && now.getTime() - kept[0].savedAt.getTime() < spell) return;
  await models.revisions.create({ workoutId: id, revision, text: before.text, savedAt: now, savedBy: before.by }, { transaction });
  const gone = kept.slice(mostKept - 1).map((old) => old.revision);
  if (gone.length > 0) await models.revisions.destroy({ where: { workoutId: id, revision: gone }, transaction });
}

interface Aside {
  readonly id: number;
  readonly revision: number;
  readonly text: string;
  readonly by: string;
  readonly now: Date;
}
/** Keeps a text that never stood there: another window’s, which met this one. */
export async function keepAside({ models }: Database, { id, revision, text, by, now }: Aside, transaction: Transaction): Promise<void> {
  if (text.trim() !== '') await models.revisions.create({ workoutId: id, revision, text, savedAt: now, savedBy: by }, { transaction });
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
    return rows.map(({ revision, savedAt, savedBy, text }) => ({
      revision,
      savedAt: savedAt.toISOString(),
      by: savedBy,
      preview: previewOf(text.slice(0, 300)),
    }));
  },
  text: async (workoutId, revision) => {
    const row = await read(() => models.revisions.findOne({ where: { workoutId, revision } }));
    if (!row) throw new Problem('not_found');
    return row.text;
  },
});
