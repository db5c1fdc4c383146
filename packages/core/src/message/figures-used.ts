/** Whether the figures of a text are in what was read of it: a reading that leaves figures aside has not understood them. Not for what is kept as a note. */
import { summarize } from '../workout/summary';
import type { Workout } from '../workout/workout';
import { normalLines } from './normalise';

/** Every number of the model, whatever it counts; words beside it are none. */
function numbersOf(value: unknown, into: Set<number>): void {
  if (typeof value === 'number') into.add(value);
  else if (Array.isArray(value)) {
    // so many sets, stations, turns
    into.add(value.length);
    for (const each of value) numbersOf(each, into);
  } else if (typeof value === 'object' && value !== null) for (const each of Object.values(value)) numbersOf(each, into);
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
  yd: [0.9144],
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
/** not within a name such as `c2b` */
const figure = /(?<![a-wyz])(\d+):(\d\d)|(?<![a-wyz\d.])(\d+(?:\.\d+)?)(?: ?(?:(kg|lb|km|m|min|s|h|mile|foot|yd|in(?! ?\d)|cm|pood|cal)(?![a-z])|(%)))?/g;
function told(line: string): Told[] {
  const found = [...line.matchAll(figure)];
  return found.map((match, at) => {
    const [text, minutes, seconds, plain, word, share] = match;
    // `10/9 ft`: the unit of the second is that of the first
    const isFirst = line[match.index + text.length] === '/' && found[at + 1]?.index === match.index + text.length + 1;
    const unit = word ?? share ?? (isFirst ? (found[at + 1]![4] ?? found[at + 1]![5]) : undefined);
    if (minutes !== undefined) return { text, as: [Number(minutes) * 60 + Number(seconds)] };
    const value = Number(plain);
    return {
      text: `${plain}${unit ? ` ${unit}` : ''}`,
      as: (unit === undefined ? bare : isFirst ? [...asModel[unit]!, 1] : asModel[unit]!).map((factor) => value * factor),
    };
  });
}

/** what its author calls a note is kept as it stands, figures and all */
const isNote = (line: string): boolean => /^\s*(?:notes?|coach|nb)\s*:/i.test(line);

/** `Workout 4`, `day 2`: a number that is a name */
const numbered = /\b(?:workout|wod|event|week|day|part|phase|hall|test|training|session|piece)\s(?:no\.? ?)?\d+\b(?! ?(?:x|:\d|rounds|min|km|m\b|kg))/g;

/** which minute or station a line is of, how a rep is done: no amount */
const labelled = /(?:^|(?<=[\s:;]))(?:(?:min(?:ute)?s?|m|station) ?\d{1,2}(?= ?[-:.])|\d(?= - \d)|\d{1,2} ?[.):](?=\s|$))/g;
/** so many stations of a minute: they stand below it */
const rotation = /\b\d+ ?min rotation\b/g;
const tempo = /\btempo:? ?[\dx][\dx-]*|@ ?\d\dx\d\b/g;

/** `EMOM 10`, `every 3:00 for 15:00`: what a clock comes to as a whole */
const totalsOf = (workout: Workout): (number | null)[] =>
  summarize(workout).parts.flatMap(
    ({ seconds, capSeconds, setSeconds, rounds, sets }) => [seconds, capSeconds, setSeconds, rounds, sets].flat() as (number | null)[],
  );

const tellsWindows = /\b\d+(?::\d\d)?(?: ?min\w*)? ?(?:-|–|to|until) ?\d+(?::\d\d)?\b/i;
/** s from the start at which each part ends: windows of a running clock are told by them */
function endsOf(workout: Workout): number[] {
  let at = 0;
  return summarize(workout).parts.map(({ seconds }) => (at += seconds ?? 0));
}

/** @returns the figures of a text that are nowhere in what was read of it, as they were written */
export function unusedFigures(text: string, workout: Workout): string[] {
  const numbers = new Set<number>();
  numbersOf([workout.parts, workout.tiers, totalsOf(workout), tellsWindows.test(text) ? endsOf(workout) : []], numbers);
  const all = [...numbers];
  const isUsed = ({ as }: Told): boolean => as.some((value) => all.some((number) => Math.abs(number - value) <= 0.006 * Math.max(1, value)));
  const stated = text
    .slice(0, 8_000)
    .split('\n')
    .filter((line) => !isNote(line))
    .join('\n');
  const unused = normalLines(stated)
    .map((line) => line.replace(numbered, '').replace(labelled, '').replace(tempo, '').replace(rotation, ''))
    .flatMap(told)
    .filter((each) => !isUsed(each))
    .map(({ text: figureText }) => figureText);
  return [...new Set(unused)];
}
