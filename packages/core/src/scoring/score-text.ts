/** Scores as they are written: `8:41`, `7+12`, `CAP+14`, `182`, `92.5 kg`, `4:02 3:58 4:10`. */
import { formatClock, readDuration } from '../units/duration';
import { poundsToKilograms, trimNumber } from '../units/mass';
import type { ScoreKind } from '../workout/workout';

export type Score =
  | { readonly kind: 'time'; readonly seconds: number }
  | { readonly kind: 'rounds'; readonly rounds: number; readonly reps: number }
  | { readonly kind: 'capped'; readonly repsLeft: number }
  | { readonly kind: 'reps'; readonly reps: number }
  | { readonly kind: 'load'; readonly kg: number }
  | { readonly kind: 'sets'; readonly seconds: readonly number[] }
  | { readonly kind: 'done'; readonly done: boolean };

/** What the entry form asks for, by the kind of score; quoted when something else was typed. */
export function expectedScore(kind: ScoreKind): string {
  switch (kind) {
    case 'time':
      return 'a time such as 8:41, or CAP+14 with 14 reps left at the cap';
    case 'rounds':
    case 'sum':
      return 'rounds and reps such as 7+12';
    case 'eachSet':
      return 'each set’s time, such as 4:02 3:58 4:10';
    case 'load':
      return 'a load such as 92.5 kg';
    case 'reps':
    case 'distance':
    case 'calories':
      return 'a whole number such as 182';
    case 'done':
      return 'done or not done';
  }
}

/** Reads a score; null when the text is none. Which kinds make sense for a part is the caller's to check with {@link fitsKind}. */
export function readScore(text: string): Score | null {
  const plain = text.trim().toLowerCase().replace(/[–−]/g, '-');
  const rounds = /^(\d+)\s*\+\s*(\d+(?:\.\d+)?)$/.exec(plain);
  if (rounds) return { kind: 'rounds', rounds: Number(rounds[1]), reps: Number(rounds[2]) };
  const capped = /^cap\s*\+\s*(\d+(?:\.\d+)?)$/.exec(plain);
  if (capped) return { kind: 'capped', repsLeft: Number(capped[1]) };
  const load = /^(\d+(?:\.\d+)?)\s*(kg|lb|lbs)$/.exec(plain);
  if (load) return { kind: 'load', kg: load[2] === 'kg' ? Number(load[1]) : poundsToKilograms(Number(load[1])) };
  if (/^(?:done|yes|finished)$/.test(plain)) return { kind: 'done', done: true };
  if (/^(?:not done|no|dnf)$/.test(plain)) return { kind: 'done', done: false };
  const times = plain.split(/[\s,;/]+/).filter((each) => each !== '');
  if (times.length > 1) {
    const read = times.map(readDuration);
    return read.every((each) => each !== null) && times.every((each) => each.includes(':')) ? { kind: 'sets', seconds: read } : null;
  }
  if (plain.includes(':')) {
    const seconds = readDuration(plain);
    return seconds === null ? null : { kind: 'time', seconds };
  }
  const reps = /^(\d+(?:\.\d+)?)\s*(?:reps|rounds|m|cal)?$/.exec(plain);
  if (!reps) return null;
  return /rounds$/.test(plain) ? { kind: 'rounds', rounds: Number(reps[1]), reps: 0 } : { kind: 'reps', reps: Number(reps[1]) };
}

export function fitsKind(score: Score, kind: ScoreKind): boolean {
  switch (kind) {
    case 'time':
      return score.kind === 'time' || score.kind === 'capped';
    case 'rounds':
      return score.kind === 'rounds';
    case 'sum':
      return score.kind === 'rounds' || score.kind === 'reps' || score.kind === 'time';
    case 'eachSet':
      return score.kind === 'sets' || score.kind === 'time' || score.kind === 'rounds';
    case 'load':
      return score.kind === 'load';
    case 'reps':
    case 'distance':
    case 'calories':
      return score.kind === 'reps';
    case 'done':
      return score.kind === 'done' || score.kind === 'reps';
  }
}

export function formatScore(score: Score): string {
  switch (score.kind) {
    case 'time':
      return formatClock(score.seconds);
    case 'rounds':
      return `${score.rounds}+${trimNumber(score.reps, 1)}`;
    case 'capped':
      return `CAP+${trimNumber(score.repsLeft, 0)}`;
    case 'reps':
      return trimNumber(score.reps, 0);
    case 'load':
      return `${trimNumber(score.kg, 2)} kg`;
    case 'sets':
      return score.seconds.map(formatClock).join(' ');
    case 'done':
      return score.done ? 'done' : 'not done';
  }
}
