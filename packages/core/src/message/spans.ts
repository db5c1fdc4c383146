/** A line → its pieces: at each place the longest phrase or name. */
import { remembered } from '../text/remembered';
import { nameAt, slipAt, unknownAt } from './gazetteer';
import { phrases } from './phrases';
import type { Span } from './span';

const wordAt = /[^\s]+/y;
const nameWord = /(?<![\p{L}\p{N}&'/-])[\p{L}\p{N}(][\p{L}\p{N}&'()/-]*(?:\.(?=\s\w))?/gu;

/** Words from a place, for names; a name reaches over no comma. */
function wordsFrom(line: string, at: number): { words: string[]; ends: number[] } {
  const words: string[] = [];
  const ends: number[] = [];
  nameWord.lastIndex = at;
  let end = at;
  for (let found = nameWord.exec(line); found && words.length < 8; found = nameWord.exec(line)) {
    if (/[^\s]/.test(line.slice(end, found.index))) break;
    words.push(found[0]);
    end = found.index + found[0].length;
    ends.push(end);
  }
  return { words, ends };
}

interface Found {
  readonly span: Span;
  readonly end: number;
}
const cutsWord = /^[a-z][a-z]$/;
function phraseAt(line: string, at: number): Found | null {
  let best: Found | null = null;
  for (const { pattern, make } of phrases) {
    pattern.lastIndex = at;
    const match = pattern.exec(line);
    if (!match || match[0] === '' || (best && at + match[0].length <= best.end)) continue;
    // a phrase ends with its word: `even` is none of `evening`
    if (cutsWord.test(line.slice(at + match[0].length - 1, at + match[0].length + 1))) continue;
    const span = make(match);
    if (span) best = { span, end: at + match[0].length };
  }
  return best;
}
function nameFrom(line: string, at: number, afterCount: boolean): Found | null {
  const { words, ends } = wordsFrom(line, at);
  const found = words.length === 0 ? null : (nameAt(words, 0) ?? (afterCount ? (slipAt(words, 0) ?? unknownAt(words)) : null));
  return found && { span: { k: 'movement', named: found.named }, end: ends[found.used - 1]! };
}

/** @param line as `normalLines` gives it */
/** Kept: while somebody types, all lines but one are as before. */
export const spansOf: (line: string) => readonly Span[] = remembered(readSpans);
function readSpans(line: string): readonly Span[] {
  const spans: Span[] = [];
  for (let at = 0; at < line.length;) {
    if (line[at] === ' ') {
      at++;
      continue;
    }
    const isBegun = at === 0 || !/[\p{L}\p{N}]/u.test(line[at - 1]!) || !/[\p{L}]/u.test(line[at]!);
    const last = spans.at(-1);
    const begins = spans.findLast(({ k }) => k !== 'figure' && k !== 'unit' && k !== 'label');
    const afterCount =
      (last?.k === 'figure' &&
        !last.at &&
        last.count === null &&
        (last.values.length === 1 || last.unit !== null) &&
        (begins === undefined || begins.k === 'part' || begins.k === 'plus' || begins.k === 'letter' || (begins.k === 'word' && /[:,;]$/.test(begins.text)))) ||
      last?.k === 'unit';
    const named = isBegun ? nameFrom(line, at, afterCount) : null;
    const said = isBegun ? phraseAt(line, at) : null;
    const found = named && (!said || named.end >= said.end) ? named : said;
    if (found) {
      spans.push(found.span);
      at = found.end;
      continue;
    }
    wordAt.lastIndex = at;
    const word = wordAt.exec(line)![0];
    spans.push({ k: 'word', text: word });
    at += word.length;
  }
  return spans;
}
