/** A message as it was pasted → plain notation, and what of it found no place. For language; what is notation already is read by the strict reader (notation/). */
import { withoutAsides } from './asides';
import { assemble } from './assemble';
import { itemsOf, type Draft } from './draft';
import type { ReadOptions } from '../notation/parse-workout';
import type { Named } from './gazetteer';
import { meaningOf, withHouseNames, type HouseWord } from './house-words';
import { asTyped, normalLines } from './normalise';
import { ofFigure, questionsOf, settleFigure, type Question } from './questions';
import type { Span } from './span';
import { spansOf } from './spans';
import { tableAsSentences } from './table';
import { tellUnits } from './units-told';
import { leftAsTalk, writeDrafts } from './write';

export interface ReadMessage {
  /** the workout in plain notation; blank where nothing was found */
  readonly notation: string;
  /** for each line of it, the line of the message it came from, from 0; null: from several, or from none */
  readonly from: readonly (number | null)[];
  /** figures that found no place */
  readonly left: readonly string[];
  /** words that say nothing to Gambito, run by run: talk, or something it does not know */
  readonly aside: readonly string[];
  /** names that were guessed, or that Gambito does not know */
  readonly guessed: readonly Named[];
  /** what only the coach can say */
  readonly questions: readonly Question[];
  readonly askFigure: (figure: string) => Question;
}

/** words that join and say nothing by themselves */
const joining =
  /^(?:[^\p{L}\p{N}]+|and|then|of|the|a|an|to|in|for|with|at|on|is|it|you|u|your|ur|we|i|do|go|as|be|are|this|that|all|pls|please|reps?|each|per|x|from)$/u;
/** Runs of words between the pieces, without those that only join. */
function wordsAside(spans: readonly Span[]): string[] {
  const runs: string[][] = [[]];
  for (const span of spans) {
    if (span.k !== 'word') runs.push([]);
    else if (!joining.test(asTyped(span.text))) runs.at(-1)!.push(asTyped(span.text).replace(/[,.;:!?]+$/, ''));
  }
  return runs.map((run) => run.join(' ')).filter((run) => run !== '');
}

/** `add up total reps`: what is timed is done as often as it goes */
export const countsReps = (text: string): boolean =>
  /\b(?:(?:total|max|most|sum of|count(?: the| your| all)?|add up(?: the| your)?) (?:total )?reps|for (?:max )?reps)\b/i.test(text);
const isTimed = ({ items, kind }: Draft): boolean => kind === null && items.filter(({ named }) => named !== null).every(({ unit }) => unit === 's');

/** characters of a message that are read */
const longest = 8_000;
const mostLines = 120;
const longestLine = 1_200;

/** Movements of the coach's own that stand in the work, each defined by the one it is reckoned as. */
const definitions = (drafts: readonly Draft[], words: readonly HouseWord[]): string[] => {
  const names = new Set(drafts.flatMap((draft) => itemsOf(draft).flatMap(({ named }) => named?.name.toLowerCase() ?? [])));
  return words
    .filter(({ kind, words: name }) => kind === 'like' && names.has(name.toLowerCase()))
    .map(({ words: name, means }) => `movement: ${name.toLowerCase()} = ${means.toLowerCase()}`);
};

export interface MessageOptions extends ReadOptions {
  /** what the coach answered before */
  readonly words?: readonly HouseWord[];
}
export function readMessage(message: string, { words = [], units = 'kg' }: MessageOptions = {}): ReadMessage {
  const text = message
    .slice(0, longest)
    .split('\n', mostLines)
    .map((line) => line.slice(0, longestLine))
    .join('\n');
  const table = tableAsSentences(text);
  const { lines, aside } = withoutAsides(normalLines(table ?? text).slice(0, mostLines));
  const spans = lines.map((line) => spansOf(withHouseNames(line, words).slice(0, longestLine)));
  const { drafts, left, guessed } = assemble(spans, meaningOf(words, 'metres'));
  if (countsReps(text)) for (const draft of drafts) draft.maxAll ||= isTimed(draft);
  const open = left.filter((figure) => !settleFigure(figure, drafts, words));
  const assumed = tellUnits(drafts, words, units);
  const { notation, from } = writeDrafts(drafts);
  const own = notation === '' ? [] : definitions(drafts, words);
  return {
    notation: [...own, notation].join('\n'),
    // a table was put into sentences: its rows are no lines any more
    from: [...own.map(() => null), ...(table === null ? from : from.map(() => null))],
    left: open,
    guessed,
    aside: [...aside.map(asTyped), ...leftAsTalk(drafts), ...spans.flatMap(wordsAside)],
    questions: questionsOf(guessed, assumed, words),
    askFigure: (figure) => ofFigure(figure, drafts),
  };
}
