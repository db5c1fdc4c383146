/** What athletes scored before, in the version each did: the newest few, which tell how fit an athlete is now. */
import type { StoredAthlete } from '@gambito/contract';
import { QueryTypes } from 'sequelize';
import { ScoreRow } from '../platform/models';

type PastResult = StoredAthlete['results'][number];

/** older ones say little about today, and each costs a root-finding wherever the athlete is adapted for */
const mostResults = 8;

/** @returns the results of each athlete who has some, newest first */
export async function pastResults(athleteIds: readonly number[]): Promise<Map<number, PastResult[]>> {
  if (athleteIds.length === 0) return new Map();
  const rows = await ScoreRow.sequelize!.query<PastResult & { athleteId: number }>(
    `SELECT athlete_id AS athleteId, workout_id AS workoutId, version_text AS workout, score
     FROM (SELECT athlete_id, workout_id, version_text, score, ROW_NUMBER() OVER (PARTITION BY athlete_id ORDER BY created_at DESC, id DESC) AS place
           FROM scores WHERE deleted_at IS NULL AND athlete_id IN (:athleteIds)) AS newest
     WHERE place <= :mostResults ORDER BY athlete_id, place`,
    { replacements: { athleteIds: [...athleteIds], mostResults }, type: QueryTypes.SELECT },
  );
  const results = new Map<number, PastResult[]>();
  for (const { athleteId, ...result } of rows) results.set(athleteId, [...(results.get(athleteId) ?? []), result]);
  return results;
}
