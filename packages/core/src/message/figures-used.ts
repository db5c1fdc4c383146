/** Whether the figures of a text are in what was read of it: a reading that leaves figures aside has not understood them. Not for what is kept as a note. */
import type { Workout } from '../workout/workout';
import { normalLines } from './normalise';

/** Every number of the model, whatever it counts; words beside it are none. */
function numbersOf(value: unknown, into: Set<number>): void {
  if (typeof value === 'number') into.add(value);
  else if (Array.isArray(value)) for (const each of value) numbersOf(each, into);
  else if (typeof value === 'object' && value !== null) for (const each of Object.values(value)) numbersOf(each, into);
}

/** what a figure of a unit may stand as in the model; without one it may be a count, or minutes, or a share */
const asModel: Readonly<Record<string, readonly number[]>> = {
  kg: [1],
  lb: [0.45359237],
  pood: [16],
  km: [1000],
  m: [1],
  mile: [1609.344],
  foot: [0.3048, 30.48],
  cm: [1],
  in: [2.54],
  min: [60],
  s: [1],
  h: [3600],
  '%': [0.01, 1],
  cal: [1],
};
const bare: readonly number[] = [1, 60, 0.01, 0.45359237, 2.54];

interface Told {
  readonly text: string;
  /** what it may stand as in the model */
  readonly as: readonly number[];
}
const figure = /(\d+):(\d\d)|(\d+(?:\.\d+)?)(?: ?(?:(kg|lb|km|m|min|s|h|mile|foot|in|cm|pood|cal)(?![a-z])|(%)))?/g;
function told(line: string): Told[] {
  return [...line.matchAll(figure)].map(([text, minutes, seconds, plain, word, share]) => {
    const unit = word ?? share;
    if (minutes !== undefined) return { text, as: [Number(minutes) * 60 + Number(seconds)] };
    const value = Number(plain);
    return { text: `${plain}${unit ? ` ${unit}` : ''}`, as: (unit === undefined ? bare : asModel[unit]!).map((factor) => value * factor) };
  });
}

/** what its author calls a note is kept as it stands, figures and all */
const isNote = (line: string): boolean => /^\s*(?:notes?|coach|nb)\s*:/i.test(line);

/** `Workout 4`, `day 2`: a number that is a name */
const numbered = /\b(?:workout|wod|event|week|day|part|phase|hall|test|training|session|piece)\s(?:no\.? ?)?\d+\b(?! ?(?:x|:\d|rounds|min|km|m\b|kg))/g;

/** @returns the figures of a text that are nowhere in what was read of it, as they were written */
export function unusedFigures(text: string, workout: Workout): string[] {
  const numbers = new Set<number>();
  numbersOf([workout.parts, workout.tiers], numbers);
  const all = [...numbers];
  const isUsed = ({ as }: Told): boolean => as.some((value) => all.some((number) => Math.abs(number - value) <= 0.006 * Math.max(1, value)));
  const stated = text
    .slice(0, 8_000)
    .split('\n')
    .filter((line) => !isNote(line))
    .join('\n');
  return normalLines(stated)
    .map((line) => line.replace(numbered, ''))
    .flatMap(told)
    .filter((each) => !isUsed(each))
    .map(({ text: figureText }) => figureText);
}
