/** Totals of a workout: how long the clock runs where it fixes the time, and the reps by movement. */
import { schedule, workOf, type Piece } from './schedule';
import { passesOf } from './walk';
import type { Item, Part, PartKind, ScoreKind, Window, Workout } from './workout';

export interface PartSummary {
  readonly kind: PartKind;
  /** the whole part with its rests; null where the athlete decides */
  readonly seconds: number | null;
  readonly capSeconds: number | null;
  readonly setSeconds: number | null;
  readonly rounds: number | null;
  readonly sets: number | null;
  /** one pass for an AMRAP, the whole for the rest; in the slot's own unit, first option, both sides counted; `max` slots are absent */
  readonly reps: Readonly<Record<string, number>>;
  readonly window: Window | null;
  readonly score: ScoreKind;
}
export interface WorkoutSummary {
  readonly clockSeconds: number | null;
  readonly parts: readonly PartSummary[];
}

/** s the clock fixes for a part, rests included; null where some piece is the athlete's to end. */
function fixedSeconds(pieces: readonly Piece[]): number | null {
  let seconds = 0;
  for (const piece of pieces) {
    const length = piece.kind === 'rest' ? piece.rest.high : piece.seconds;
    if (length === null || (piece.kind === 'rest' && piece.rest.open === 'ratio')) return null;
    seconds += length;
  }
  return seconds;
}
/** s after which the part is called at the latest; null without a cap. */
function capOf(part: Part, pieces: readonly Piece[]): number | null {
  if (part.kind !== 'forTime' || part.capSeconds === null) return null;
  if (!part.capPerSet) return part.capSeconds;
  return pieces.reduce((sum, piece) => sum + (piece.kind === 'rest' ? piece.rest.high : (piece.capSeconds ?? 0)), 0);
}
/** Rounds of the one block a part consists of. */
function loneRounds(items: readonly Item[]): number | null {
  const [block] = items;
  return items.length === 1 && block?.kind === 'block' ? passesOf(block) : null;
}

function roundsOf(part: Part): number | null {
  switch (part.kind) {
    case 'forTime':
    case 'quality':
      return loneRounds(part.items);
    case 'every':
      return Math.floor(part.count / Math.max(1, part.stations.length));
    case 'intervals':
      return part.circuitRounds ?? part.segments.length;
    case 'windows':
      return part.count;
    case 'strength':
      return part.sets;
    default:
      return null;
  }
}

function secondsOf(part: Part, at: number): Pick<PartSummary, 'seconds' | 'capSeconds' | 'setSeconds' | 'rounds' | 'sets'> {
  const pieces = schedule(part, at);
  const work = pieces.filter((piece) => piece.kind === 'work');
  const setless = part.kind === 'rest' || part.kind === 'maxLoad' || part.kind === 'quality';
  const first = work[0];
  const setSeconds =
    first === undefined || setless ? null : part.kind === 'forTime' ? (part.capPerSet ? part.capSeconds : null) : (first.capSeconds ?? first.seconds);
  const rest = part.kind === 'strength' && part.everySeconds === null;
  return {
    seconds: rest ? null : fixedSeconds(pieces),
    capSeconds: capOf(part, pieces),
    setSeconds,
    rounds: roundsOf(part),
    sets: setless ? null : part.kind === 'intervals' ? part.segments.length : work.length,
  };
}

/** Totals of the workout above its tiers. A cap counts as time; an optional part is left out of the running clock. */
export function summarize(workout: Pick<Workout, 'parts'>): WorkoutSummary {
  let clock: number | null = 0;
  const parts = workout.parts.map((part): PartSummary => {
    const until = part.kind === 'rest' && part.untilSeconds !== null;
    const fixed = until && clock === null ? { ...secondsOf(part, 0), seconds: null } : secondsOf(part, clock ?? 0);
    if (part.kind === 'rest' && part.untilSeconds !== null) clock = part.untilSeconds;
    else if (!part.optional) {
      const length = fixed.seconds ?? fixed.capSeconds;
      clock = clock === null || length === null ? null : clock + length;
    }
    return { kind: part.kind, ...fixed, reps: workOf(part), window: part.window, score: part.score };
  });
  return { clockSeconds: parts.length === 0 ? null : clock, parts };
}
