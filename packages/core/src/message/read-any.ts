/** A text that may be notation or a message: the reader that needs to guess and leave less is taken. */
import { formatWorkout } from '../notation/format-workout';
import { parseWorkout, type ParsedWorkout } from '../notation/parse-workout';
import type { Diagnostic } from '../notation/problems';
import { unusedFigures } from './figures-used';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import { normalLines } from './normalise';
import type { Question } from './questions';
import { countsReps, readMessage, type MessageOptions } from './read-message';
import { spansOf } from './spans';

export interface ReadAny extends ParsedWorkout {
  /** the plain notation it was read as; null: it was notation */
  readonly readAs: string | null;
  /** for each line of `readAs` the line of the message it came from, from 0; null: from several, or from none */
  readonly from: readonly (number | null)[];
  /** of a message: what only the coach can say; each is also among the diagnostics, as a sentence */
  readonly questions: readonly Question[];
}

const costs: Readonly<Record<Diagnostic['level'], number>> = { error: 10, warning: 3, info: 0 };
/** remarks on the workout, not on how it was read */
const ofWorkout = new Set<Diagnostic['code']>(['no_cap', 'cap_assumed_open', 'minutes_do_not_add_up', 'team', 'open_rest']);
/** a whole clause that was taken for a name: five words and more */
const clause = /^“(?:[^” ]+ ){4,}/;
const costOf = (diagnostics: readonly Diagnostic[]): number =>
  diagnostics.reduce(
    (sum, { level, code, message }) => sum + (ofWorkout.has(code) ? 0 : costs[level] * (code === 'unknown_movement' && clause.test(message) ? 2 : 1)),
    0,
  );
/** a name that was guessed weighs as much as one that is not known */
const guess = 3;
/** work among the notes is no note */
const keptWork = 4;
/** what leaves a figure unused has not understood it */
const unused = 2;

/** what was written is taken back in the same breath: notation knows nothing of it */
const corrects = /\b(?:jk|scratch that|make that|no wait|i mean|i meant|correction|changed|corrected)\b/i;
const correction = 4;
/** a change of a load: notation would take its share for the load itself */
const changesLoad = /\b(?:drop|minus|take off|reduce|lower)\b[^.\n]{0,20}\d ?(?:%|percent|per cent|kg|lbs?\b)/i;

/** so many seconds of a movement, where a message says that reps count */
const isTimed = ({ parts }: ParsedWorkout['workout']): boolean =>
  parts.some((part) => slotsOfPart(part).some(({ unit, count }) => unit === 's' && count.kind === 'fixed' && part.kind === 'forTime'));
const noPlace = (figure: string): string => `“${figure}” found no place.`;
/** `2:00` is `2 min` */
const bareFigure = (figure: string): string => {
  const minutes = /^([\d.]+) min$/.exec(figure);
  return minutes ? formatClock(Number(minutes[1]) * 60) : figure.replace(/[^\d.:]/g, '');
};
const sameFigure = (a: string, b: string): boolean => bareFigure(a) === bareFigure(b);
/** Work that the strict reader kept as a note: a movement with a figure beside it. */
function workInNotes(text: string, diagnostics: readonly Diagnostic[]): string[] {
  const rows = text.split(/\r\n|\r|\n/);
  return diagnostics
    .filter(({ code }) => code === 'kept_as_note')
    .map(({ line, column, length }) => rows[line - 1]?.slice(column - 1, column - 1 + length) ?? '')
    .filter((note) => {
      const spans = normalLines(note).flatMap(spansOf);
      // `& pull-ups`
      const isAlone = /^\s*[&+]/.test(note);
      return spans.some(({ k }) => k === 'movement') && (isAlone || spans.some(({ k }) => k === 'figure' || k === 'columns' || k === 'setsReps'));
    });
}
/** Written as Gambito itself writes it: nothing is to be guessed, whatever stands in its notes. */
const isNotation = (text: string, { workout, diagnostics }: ParsedWorkout): boolean =>
  workout.parts.length > 0 && !diagnostics.some(({ level }) => level !== 'info') && same(formatWorkout(workout)) === same(text);
const same = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

const about = (level: Diagnostic['level'], code: Diagnostic['code'], message: string, line = 1): Diagnostic => ({
  code,
  level,
  message,
  line,
  column: 1,
  length: 1,
});

/** `5 x 5 deadlifts, rest 3 min. Then 3 rounds of ring rows` on one line: where a part may begin that the strict reader takes into the one before it */
const mayBeginPart = /\bthen\b|[.;]\s/i;
/** A reading without a remark that is not the only one: the other has more parts, and left nothing aside either. */
function otherReading(text: string, { workout }: ParsedWorkout, options: MessageOptions): Diagnostic[] {
  const at = text.search(mayBeginPart);
  if (at === -1) return [];
  const { notation, left, aside, guessed } = readMessage(text, options);
  if (notation === '' || left.length + aside.length > 0 || guessed.some((each) => each.guessed)) return [];
  const read = parseWorkout(notation, options);
  if (costOf(read.diagnostics) > 0 || read.workout.parts.length <= workout.parts.length) return [];
  const message = `It can also be read as: ${notation.replace(/\n+/g, ' / ')}. If that is meant, begin each part on a line of its own, after an empty line.`;
  return [about('warning', 'read_as', message, text.slice(0, at).split('\n').length)];
}

/** What is said of a message besides its questions: nothing of it can be answered by a choice. */
export function openSentences({ diagnostics, questions }: Pick<ReadAny, 'diagnostics' | 'questions'>): string[] {
  const asked = new Set(questions.map(({ sentence }) => sentence));
  // a name that is not known is a question, or was one
  return diagnostics.filter(({ level, code, message }) => level !== 'info' && code !== 'unknown_movement' && !asked.has(message)).map(({ message }) => message);
}

/** Of the strict reader, with what else is to be said. */
const asNotation = (strict: ParsedWorkout, more: readonly Diagnostic[] = []): ReadAny => ({
  ...strict,
  readAs: null,
  from: [],
  questions: [],
  diagnostics: [...strict.diagnostics, ...more],
});

/** The strict reading of a text that it did not take whole: its figures without a place are said as well. */
function withUnused(text: string, strict: ParsedWorkout): ReadAny {
  const told = strict.diagnostics.map(({ message }) => message).join(' ');
  const silent = unusedFigures(text, strict.workout).filter((figure) => !told.includes(/[\d.:]+/.exec(figure)![0]));
  return asNotation(
    strict,
    silent.map((figure) => about('warning', 'unread_figure', noPlace(figure))),
  );
}

const strictCostOf = (text: string, { workout, diagnostics }: ParsedWorkout): number =>
  costOf(diagnostics) +
  unused * unusedFigures(text, workout).length +
  (corrects.test(text) || changesLoad.test(text) ? correction : 0) +
  (countsReps(text) && isTimed(workout) ? correction : 0) +
  keptWork * workInNotes(text, diagnostics).length;

/** Of the message reader, and what it costs; null: it found no work. */
function asMessage(text: string, options: MessageOptions): { reading: ReadAny; cost: number } | null {
  const { notation, from, left, guessed, aside, questions, askFigure } = readMessage(text, options);
  if (notation === '') return null;
  const read = parseWorkout(notation, options);
  const isSettled = (figure: string): boolean => (options.words ?? []).some(({ kind, words }) => kind === 'figure' && words === figure);
  const unusedOnes = unusedFigures(text, read.workout).filter((figure) => !isSettled(figure));
  // either may know of one the other does not
  const unplaced = [...left, ...unusedOnes.filter((figure) => !left.some((other) => sameFigure(figure, other)))];
  const diagnostics = [
    about('info', 'read_as', `Read as: ${notation.replaceAll('\n', ' / ')}`),
    ...read.diagnostics,
    ...unplaced.map((figure) => about('warning', 'unread_figure', noPlace(figure))),
    ...(aside.length > 0 ? [about('warning', 'unread_words', `Left aside: “${aside.join('”, “')}”. Look whether any of it matters.`)] : []),
    ...questions.map(({ sentence }) => about('info', 'read_as', sentence)),
  ];
  return {
    reading: { ...read, readAs: notation, from, questions: [...questions, ...unplaced.map(askFigure)], diagnostics },
    cost: costOf(read.diagnostics) + guess * guessed.filter((each) => each.guessed).length + unused * unplaced.length,
  };
}

export function readWorkoutText(text: string, options: MessageOptions = {}): ReadAny {
  const strict = parseWorkout(text, options);
  // a text that goes beyond what is read is refused by its limit, not rescued
  const isBeyond = strict.diagnostics.some(({ code }) => code === 'limit');
  if (isBeyond || isNotation(text, strict)) return asNotation(strict);
  const strictCost = strictCostOf(text, strict);
  if (strictCost === 0 && strict.workout.parts.length > 0) return asNotation(strict, otherReading(text, strict, options));
  const message = asMessage(text, options);
  return message === null || message.cost >= strictCost ? withUnused(text, strict) : message.reading;
}
