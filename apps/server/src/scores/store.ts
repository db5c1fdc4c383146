/** Scores: one that counts for each athlete and workout; older and deleted ones are kept. */
import { ScoreRow, WorkoutRow } from '../platform/models';
import { Problem } from '../platform/errors';

export interface NewScore {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly score: string;
  readonly note: string;
  readonly versionText: string;
  readonly originalText: string;
  readonly enteredBy: 'coach' | 'athlete';
}

export async function latestScore(workoutId: number, athleteId: number): Promise<ScoreRow | null> {
  return ScoreRow.findOne({ where: { workoutId, athleteId, deletedAt: null }, order: [['id', 'DESC']] });
}

/** A new score replaces the one before; that one stays in the table, marked. */
export async function saveScore(entry: NewScore, now: Date): Promise<ScoreRow> {
  await ScoreRow.update({ deletedAt: now }, { where: { workoutId: entry.workoutId, athleteId: entry.athleteId, deletedAt: null } });
  return ScoreRow.create({ ...entry, deletedAt: null });
}

export async function scoresOf(workoutId: number): Promise<ScoreRow[]> {
  return ScoreRow.findAll({ where: { workoutId, deletedAt: null }, order: [['id', 'ASC']] });
}

/** The latest results of all a coach's workouts, what conversions are learned from. */
export async function scoresOfCoach(coachId: number, most = 1000): Promise<ScoreRow[]> {
  const workouts = await WorkoutRow.findAll({ where: { coachId }, attributes: ['id'] });
  return ScoreRow.findAll({ where: { workoutId: workouts.map((each) => each.id), deletedAt: null }, order: [['id', 'DESC']], limit: most });
}

export async function setDeleted(workoutId: number, id: number, deletedAt: Date | null): Promise<void> {
  const row = await ScoreRow.findOne({ where: { id, workoutId } });
  if (!row) throw new Problem('not_found');
  await row.update({ deletedAt });
}
