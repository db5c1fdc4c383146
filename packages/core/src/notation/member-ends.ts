/** Where a movement ends although its line goes on: another one begins, a clause of the part, a rest, an option. */
import { findMovement } from '../movements/names';
import type { Cursor } from '../text/cursor';
import { readMeasured } from './loads';
import { readSpan } from '../text/figures';
import type { Range } from '../workout/workout';
import { emptyDraft, type Draft, type MemberContext } from './draft';
import { emptyHeader } from './header';
import { cap, team } from './header-clauses';
import { readCount, readPerSide, readStep } from './read-count';
import { readRest, readRestAlone } from './read-rest';

export const noteEnds = new Set([',', ';', '@', '(', ')', '|']);

/** A cap, a team, or rounds of what stands before or behind: no part of the movement before it. */
const startsClause = (cursor: Cursor): boolean =>
  cursor
    .part(cursor.at, cursor.end)
    .try((c) => cap(c, emptyHeader()) || (!c.isWord(['synchro', 'sync', 'partner']) && team(c, emptyHeader())) || readRounds(c) !== null || null) ?? false;

/** `4 rounds of` before more work, or `5 rounds` at the end of a line. */
export function readRounds(cursor: Cursor): { rounds: Range; before: boolean } | null {
  return cursor.try((c) => {
    c.word('x', 'for');
    const rounds = readSpan(c);
    if (!rounds || rounds.low < 1 || !c.phrase('rounds|round|sets|rds|times')) return null;
    const of = c.word('of') || c.sign(':');
    if (c.done) return { rounds, before: false };
    return of ? { rounds, before: true } : null;
  });
}

/** Does another movement begin here, behind a comma or without one? */
export function startsMovement(cursor: Cursor, listed: boolean): boolean {
  const ahead = cursor.part(cursor.at, cursor.end);
  if (ahead.isWord(['rest', 'recover'])) return ahead.try(readRest) !== null;
  if (ahead.isWord('then')) return true;
  if (ahead.isWord(['max', 'maximum'])) return !ahead.isWord(['effort', 'height'], 1);
  if (startsClause(ahead)) return true;
  if (ahead.try((c) => readStep(c)) !== null) return true;
  if (ahead.isWord('every')) return ahead.isNumber(1) || ahead.isWord(['minute', 'min'], 1) || ahead.peek(1)?.kind === 'clock';
  const token = ahead.peek();
  if (token?.kind === 'word') return listed && findMovement(ahead.text(ahead.at, boundary(ahead))) !== null;
  if (ahead.try((c) => readRest(c)) !== null) return true;
  if (ahead.try((c) => readMeasured(c)) !== null) return false;
  const draft = emptyDraft();
  if (!readCount(ahead, draft)) return false;
  if (ahead.isSign('(') && draft.times === null) return cursor.isWord('x', 1);
  const word = ahead.peek();
  if (word?.kind !== 'word') return false;
  if (draft.unit === 's' && ahead.isWord(['pause', 'rest', 'off', 'on', 'at', 'between', 'breaks', 'break', 'a', 'each', 'per', 'in', 'of'])) return false;
  return !ahead.isWord([
    'kg',
    'lb',
    'lbs',
    'cm',
    'in',
    'inch',
    'rpe',
    'rir',
    'each',
    'per',
    'a',
    'rm',
    'bw',
    'at',
    'sets',
    'rounds',
    'times',
    'percent',
    'or',
    'and',
    'to',
    'apart',
    'of',
    'between',
  ]);
}

/** Token at which the words of a name end at the latest. */
export function boundary(cursor: Cursor): number {
  let at = cursor.at;
  while (at < cursor.end && at - cursor.at < 14) {
    const token = cursor.tokens[at]!;
    if (token.kind === 'sign' && (noteEnds.has(token.text) || token.text === ':' || token.text === '+')) break;
    if (token.kind === 'word' && (token.text === 'or' || token.text === 'then')) break;
    at++;
  }
  return at;
}

/** `45 s plank. Rest 90 s.`: a full stop with a space behind it. */
const endsSentence = (cursor: Cursor): boolean => cursor.isSign('.') && cursor.peek(1)?.spaced === true;

/** A full stop, or an `&` with another movement behind it, joins no name. */
export const partsNames = (cursor: Cursor, context: MemberContext): boolean =>
  endsSentence(cursor) || (cursor.isSign('&') && startsMovement(cursor.part(cursor.at + 1, cursor.end), context.listed));

/** Where this movement ends although the line goes on. */
export function endsHere(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  const token = cursor.peek()!;
  if (token.kind === 'sign') {
    if (token.text === '+' && cursor.isSign('@', 1)) return false;
    if (token.text === '&') return draft.name !== '' && startsMovement(cursor.part(cursor.at + 1, cursor.end), context.listed);
    if (token.text === '|' || token.text === '+' || token.text === ')' || token.text === ']')
      return !(token.text === '+' && cursor.part(cursor.at, cursor.end).try((c) => readStep(c)) !== null);
    if (token.text === ',' || token.text === ';' || endsSentence(cursor)) {
      const after = cursor.part(cursor.at + 1, cursor.end);
      return !after.done && startsMovement(after, context.listed);
    }
    if (token.text === '/' && draft.name !== '' && isRestNext(cursor)) return true;
    if (token.text === '/' && draft.name !== '' && cursor.isNumber(1) && token.spaced) return orMovement(cursor);
    if (token.text === '/' && draft.name !== '')
      return cursor.peek(1)?.kind === 'word' && !cursor.part(cursor.at, cursor.end).try((c) => readPerSide(c) || null) && orMovement(cursor);
    return false;
  }
  if (draft.name === '') return false;
  if (token.text === 'rest') return cursor.part(cursor.at, cursor.end).try(readRestAlone) !== null;
  if (token.text === 'or') return orMovement(cursor);
  if (token.text === 'then') return startsMovement(cursor.part(cursor.at + 1, cursor.end), true);
  if (token.text === 'and' || token.text === 'plus') return startsMovement(cursor.part(cursor.at + 1, cursor.end), context.listed);
  return (token.kind === 'number' || token.kind === 'clock') && draft.count !== null && startsMovement(cursor, context.listed);
}

/** `30 s plank / 30 s rest`. */
export const isRestNext = (cursor: Cursor): boolean => cursor.part(cursor.at + 1, cursor.end).try(readRest) !== null;

/** Behind `or` or `/` stands a movement, with or without a count. */
export function orMovement(cursor: Cursor): boolean {
  const after = cursor.part(cursor.at + 1, cursor.end);
  const draft = emptyDraft();
  readCount(after, draft);
  for (let to = boundary(after); to > after.at; to--) if (findMovement(after.text(after.at, to)) !== null) return true;
  return false;
}
