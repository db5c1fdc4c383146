/**
 * The one cut for newer athletes (T9, common practice; judgement): what has a clock over 12:00 keeps three quarters of it (newer, at least 12:00) or half (new, at least
 * 10:00); what is for time gets its whole scheme one familiar step smaller (new: two) where the untouched one would take them more than a quarter longer than the reference.
 */
import type { Athlete } from '../../athlete/athlete';
import type { HouseRules } from '../../rules/house-rules';
import { summarize } from '../../workout/summary';
import type { Part, Workout } from '../../workout/workout';
import { fewerReps, schemeBelow, shorterClock } from './shorter';

interface Cut {
  readonly share: number;
  readonly leastSeconds: number;
  readonly steps: number;
}
const cuts: Readonly<Record<Athlete['level'], Cut | null>> = {
  new: { share: 0.5, leastSeconds: 600, steps: 2 },
  newer: { share: 0.75, leastSeconds: 720, steps: 1 },
  trained: null,
  competitive: null,
};
/** pieces up to here keep their clock, s */
const longPiece = 720;
/** longer than the reference by more than this share */
export const muchLonger = 1.25;

const clocked = new Set<Part['kind']>(['amrap', 'every', 'intervals', 'windows']);

/** What has a clock, cut. @param framed parts that the coach gave a frame for this athlete: nobody else cuts them */
export function clockForNewer(workout: Workout, { level }: Athlete, rules: HouseRules, framed: ReadonlySet<number>): Workout {
  const cut = cuts[level];
  if (!cut || rules.newerAthlete === 'lighter') return workout;
  const { parts } = summarize(workout);
  return {
    ...workout,
    parts: workout.parts.map((part, at) => {
      const seconds = parts[at]!.seconds ?? 0;
      if (framed.has(at) || !clocked.has(part.kind) || seconds <= longPiece) return part;
      if (rules.newerAthlete === 'cutReps') return fewerReps(part, cut.share);
      const wanted = Math.max(cut.leastSeconds, seconds * cut.share);
      return shorterClock(part, wanted / seconds, cut.leastSeconds / seconds);
    }),
  };
}

/** What is for time, its scheme in familiar steps. @param slow the untouched part would take this athlete more than a quarter longer than the reference */
export function schemeForNewer(part: Part, { level }: Athlete, rules: HouseRules, slow: boolean): Part {
  const cut = cuts[level];
  if (!cut || !slow || part.kind !== 'forTime' || rules.newerAthlete === 'lighter') return part;
  if (rules.newerAthlete === 'cutReps') return fewerReps(part, cut.share);
  let smaller: Part = part;
  for (let step = 0; step < cut.steps; step++) smaller = schemeBelow(smaller);
  return smaller;
}
