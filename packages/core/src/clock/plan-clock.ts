/** Workout → clock plan: what the clock shows and says, and when. Made from the schedule; the screen plays it against the real time. */
import { formatClock } from '../units/duration';
import { noGuide, type ClockGuide, type Prompt } from './guide';
import { growsByPass, schedule, ticksOf, type Piece, type WorkPiece } from '../workout/schedule';
import type { Part, Workout } from '../workout/workout';
import { lineOfMove, linesOfTick, pieceWords, restWords, roundWords } from './words';

export type CueKind = 'countIn' | 'work' | 'rest' | 'interval' | 'cap' | 'open' | 'end';
/** A round or rung to tick off: what it is called, and what to do in it. */
export interface CueTick {
  readonly text: string;
  readonly lines: readonly string[];
}
export interface Cue {
  readonly atSeconds: number;
  readonly kind: CueKind;
  readonly text: string;
  /** number of the part, for the display */
  readonly part: number;
  /** seconds until the clock goes on by itself; null when the athlete ends it */
  readonly lengthSeconds: number | null;
  /** what to do meanwhile: all of it where there are no ticks */
  readonly lines: readonly string[];
  /** the rounds of the piece, in order; empty where there is nothing to tick but the whole */
  readonly ticks: readonly CueTick[];
  /** after the last tick comes the first again: an AMRAP */
  readonly repeats: boolean;
  /** ticks that make a round of it */
  readonly ticksARound: number;
  /** said in the course of it */
  readonly prompts: readonly Prompt[];
}
export interface ClockPlan {
  readonly cues: readonly Cue[];
  /** whole length where the clock fixes it; caps count as time */
  readonly totalSeconds: number | null;
}

/** A cue with nothing to do and nothing to tick: a rest, an end. */
export const bareCue = { part: 0, lengthSeconds: null, lines: [], ticks: [], repeats: false, ticksARound: 1, prompts: [] } as const satisfies Partial<Cue>;

/** a count-in of ten seconds before the first work */
export const countInSeconds = 10;
/** rounds of an AMRAP whose counts grow that are told one by one */
const grownRounds = 30;

/** The ticks of a piece: its rounds; for a list done again and again one tick a pass, more of them where the counts grow. */
function ticksOfPiece(part: Part, piece: WorkPiece, { behind }: ClockGuide): CueTick[] {
  const passes = piece.mode === 'again' && growsByPass(part) ? grownRounds : 1;
  const all = Array.from({ length: passes }, (_, at) => ticksOf(piece.items, piece.pass + at).map((tick) => ({ tick, pass: piece.pass + at }))).flat();
  const worked = all.filter(({ tick }) => tick.steps.some(({ kind }) => kind === 'move'));
  if (worked.length <= 1 && piece.mode !== 'again') return [];
  return all.map(({ tick, pass }) => {
    const round = roundWords(tick.rounds);
    return { text: passes > 1 ? `Round ${pass + 1}${round ? ` · ${round}` : ''}` : round, lines: linesOfTick(tick, behind) };
  });
}

function kindOf(part: Part, piece: WorkPiece): CueKind {
  if (piece.is === 'interval' && part.kind === 'every') return 'interval';
  if (piece.is === 'window' || (piece.mode === 'set' && piece.seconds !== null)) return 'interval';
  if (part.kind === 'quality' || piece.mode === 'set') return 'open';
  if (piece.seconds !== null) return 'work';
  return piece.capSeconds === null ? 'open' : 'cap';
}

function cueOf(part: Part, index: number, piece: Piece, atSeconds: number, guide: ClockGuide): Cue {
  if (piece.kind === 'rest') {
    const open = piece.rest.open === 'recovered' || piece.rest.open === 'asNeeded' || piece.rest.open === 'ratio';
    return { ...bareCue, atSeconds, kind: 'rest', text: restWords(piece.rest), part: index, lengthSeconds: open ? null : piece.rest.high };
  }
  const ticks = ticksOfPiece(part, piece, guide);
  return {
    atSeconds,
    kind: kindOf(part, piece),
    text: pieceWords(part, piece),
    part: index,
    lengthSeconds: piece.seconds ?? piece.capSeconds,
    lines: [...ticksOf(piece.items, piece.pass).flatMap((tick) => linesOfTick(tick, guide.behind)), ...interruptionLines(part)],
    ticks,
    repeats: piece.mode === 'again',
    ticksARound: Math.max(1, ticksOf(piece.items, piece.pass).length),
    prompts: guide.promptsIn(index, piece),
  };
}
function interruptionLines({ interruption }: Part): string[] {
  if (!interruption) return [];
  const lines = ticksOf(interruption.items, 0).flatMap(({ steps }) => steps.flatMap((step) => (step.kind === 'move' ? [lineOfMove(step)] : [])));
  return [`every ${formatClock(interruption.everySeconds)}: ${lines.join(', ')}`];
}

/**
 * @param workout a version, or the workout as written @param guide what is told beside the work: for one athlete
 * @returns cues from 0 on, the count-in not included; after an open piece (the athlete ends it) later cues count from its end, and `totalSeconds` is null
 */
export function planClock(workout: Pick<Workout, 'parts'>, guide: ClockGuide = noGuide): ClockPlan {
  const cues: Cue[] = [];
  let at = 0;
  let fixed = true;
  workout.parts.forEach((part, index) => {
    for (const piece of schedule(part, at)) {
      const cue = cueOf(part, index, piece, at, guide);
      cues.push(cue);
      if (cue.lengthSeconds === null) fixed = false;
      at += cue.lengthSeconds ?? (piece.kind === 'rest' ? piece.rest.high : 0);
    }
  });
  cues.push({ ...bareCue, atSeconds: at, kind: 'end', text: 'Time', part: Math.max(0, workout.parts.length - 1) });
  return { cues, totalSeconds: fixed ? at : null };
}
