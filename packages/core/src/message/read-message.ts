/** A message as it was pasted → plain notation, and what of it found no place. For language; what is notation already is read by the strict reader (notation/). */
import { withoutAsides } from './asides';
import { assemble } from './assemble';
import type { Draft } from './draft';
import type { Named } from './gazetteer';
import { asTyped, normalLines } from './normalise';
import type { Span } from './span';
import { spansOf } from './spans';
import { tableAsSentences } from './table';
import { leftAsTalk, notationOf } from './write';

export interface ReadMessage {
  /** the workout in plain notation; blank where nothing was found */
  readonly notation: string;
  /** figures that found no place */
  readonly left: readonly string[];
  /** words that say nothing to Gambito, run by run: talk, or something it does not know */
  readonly aside: readonly string[];
  /** names that were guessed, or that Gambito does not know */
  readonly guessed: readonly Named[];
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

export function readMessage(message: string): ReadMessage {
  const text = message
    .slice(0, longest)
    .split('\n', mostLines)
    .map((line) => line.slice(0, longestLine))
    .join('\n');
  const { lines, aside } = withoutAsides(normalLines(tableAsSentences(text) ?? text).slice(0, mostLines));
  const spans = lines.map((line) => spansOf(line.slice(0, longestLine)));
  const { drafts, left, guessed } = assemble(spans);
  if (countsReps(text)) for (const draft of drafts) draft.maxAll ||= isTimed(draft);
  return { notation: notationOf(drafts), left, guessed, aside: [...aside.map(asTyped), ...leftAsTalk(drafts), ...spans.flatMap(wordsAside)] };
}
