/** What a header line can say, as a value; how it is read is in `read-header.ts`. */
import type { Part, Range, Rest, ScoreKind, Team } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import type { Ladder } from '../text/figures';

export type Clock =
  | { readonly kind: 'amrap'; readonly seconds: Range | null }
  | { readonly kind: 'every'; readonly intervalSeconds: number; readonly totalSeconds: number | null; readonly count: number | null }
  | { readonly kind: 'deathBy' }
  | { readonly kind: 'intervals'; readonly segments: readonly { workSeconds: number; restSeconds: number }[] }
  | { readonly kind: 'circuit'; readonly stationSeconds: number }
  | { readonly kind: 'maxLoad'; readonly seconds: number | null; readonly reps: number | null }
  | { readonly kind: 'strength' }
  | { readonly kind: 'quality'; readonly seconds: number | null }
  | { readonly kind: 'rest'; readonly rest: Rest; readonly inMinutes: boolean }
  | { readonly kind: 'restUntil'; readonly seconds: number };

export interface Header {
  clock: Clock | null;
  forTime: boolean;
  rounds: Range | null;
  sets: number | null;
  times: number | null;
  ladder: Ladder | null;
  capSeconds: number | null;
  capPerSet: boolean;
  restBetween: Rest | null;
  build: boolean;
  alternate: boolean;
  score: ScoreKind | null;
  vest: Part['vest'];
  team: Team | null;
  noPartition: boolean;
  optional: boolean;
  /** an interval again and again, until the work does not fit */
  untilFailure: boolean;
  /** token after the last phrase */
  end: number;
}
export const emptyHeader = (): Header => ({
  clock: null,
  forTime: false,
  rounds: null,
  sets: null,
  times: null,
  ladder: null,
  capSeconds: null,
  capPerSet: false,
  restBetween: null,
  build: false,
  alternate: false,
  score: null,
  vest: null,
  team: null,
  noPartition: false,
  optional: false,
  untilFailure: false,
  end: 0,
});

/** A phrase takes its words and writes what they say, or takes nothing. */
export type Phrase = (cursor: Cursor, header: Header) => boolean;

/** Says nothing but how often: a block inside a part. */
export const isBlockHeader = (header: Header): boolean =>
  header.clock === null && !header.forTime && (header.rounds !== null || header.sets !== null || header.ladder !== null);
/** A clock of its own: where a new part begins, blank line or not. */
export const hasClock = (header: Header): boolean => header.clock !== null || header.forTime;
/** Clauses alone: a cap, a vest, a team, a rest between; no rounds and no clock. */
export const isClause = (header: Header): boolean =>
  !hasClock(header) && header.rounds === null && header.sets === null && header.ladder === null && header.times === null;
