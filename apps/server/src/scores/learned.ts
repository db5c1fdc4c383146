/** What the coach's logged results say about the conversions. A result is read by root-finding once and kept by its row; rows never change, only new ones come. */
import { learnConversions, lessonOf, leadingScore, parseWorkout, type Athlete, type FitnessResult, type LearnedConversions } from '@gambito/core';
import type { ScoreRow } from '../platform/models';

/** results read anew in one request, so that a first board of a long history does not wait for all of them */
const mostRead = 80;

function read(row: ScoreRow, athlete: Athlete): FitnessResult | null {
  const version = parseWorkout(row.versionText).workout;
  const score = leadingScore(row.score, version);
  return score && lessonOf(parseWorkout(row.originalText).workout, { athlete, version, score }, String(row.athleteId), String(row.workoutId));
}

export interface ResultReader {
  learnedFrom(rows: readonly ScoreRow[], athleteOf: (id: number) => Athlete | null): LearnedConversions;
}

/** One for each application: row numbers mean something in one database only. */
export function resultReader(): ResultReader {
  const known = new Map<number, FitnessResult | null>();
  return {
    learnedFrom(rows, athleteOf) {
      let left = mostRead;
      for (const row of rows) {
        const athlete = known.has(row.id) ? null : athleteOf(row.athleteId);
        if (!athlete || left-- <= 0) continue;
        known.set(row.id, read(row, athlete));
      }
      return learnConversions(rows.flatMap((row) => known.get(row.id) ?? []));
    },
  };
}
