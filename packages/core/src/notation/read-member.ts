/** One movement with all that belongs to it: `9 toes-to-bar`, `6 db clean @ 2x15 kg, unbroken`, `box jump 24/20"`, `Burpees: 6`, `deadlift 3x8 @ 60 %`. */
import { findMovement } from '../movements/names';
import type { MassUnit } from '../units/mass';
import type { Cursor } from '../text/cursor';
import { own } from '../text/own';
import { emptyDraft, type Draft } from './draft';
import { readColumns, readLadder, readSpan, readTempo, readUnit } from '../text/figures';
import type { Range } from '../workout/workout';
import { readEffort, readLoad, readMass, readMeasured, type ReadLoad } from './loads';
import { readCount, readMaxTime, readPerSide, readStep } from './read-count';
import { cap, team, vest } from './header-clauses';
import { emptyHeader } from './header';
import { readRest } from './read-rest';
import type { ReadProblem, Span } from './problems';

export interface MemberContext {
  readonly room: MassUnit;
  readonly report: (problem: ReadProblem) => void;
  /** tokens of this line → place */
  readonly span: (from: number, to: number) => Span;
  /** the line began with a ladder or a count and a colon: commas part movements */
  readonly listed: boolean;
}

const kindWords: readonly (readonly string[])[] = [
  ['hand', 'release'],
  ['no', 'push', 'up'],
  ['no', 'push', 'ups'],
  ['no', 'jump'],
  ['strict'],
  ['kipping'],
  ['walking'],
  ['reverse'],
  ['alternating'],
  ['jumping'],
  ['lateral'],
  ['seated'],
  ['bar', 'facing'],
  ['single', 'arm'],
  ['single', 'leg'],
  ['one', 'arm'],
];

function applyLoad(draft: Draft, read: ReadLoad, cursor: Cursor, from: number, context: MemberContext): void {
  switch (read.kind) {
    case 'height':
      draft.heightCm = read.heightCm;
      return;
    case 'tempo':
      draft.tempo = read.tempo;
      return;
    case 'effort':
      draft.effort = read.effort;
      return;
    case 'load':
      if (draft.load !== null) {
        const text = cursor.text(from, cursor.at);
        draft.notes.push({ text, from, to: cursor.at });
        context.report({ code: 'unread_figure', span: context.span(from, cursor.at), text });
        return;
      }
      draft.load = read.load;
      if (read.unitAssumed)
        context.report({ code: 'unit_assumed', span: context.span(from, cursor.at), text: cursor.text(from, cursor.at), unit: context.room });
  }
}

/** What may follow any movement, comma or not. @returns false where it says nothing known */
function takeClause(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  if (readPerSide(cursor)) draft.perSide = true;
  else if (cursor.phrase('unbroken|ub') || cursor.try((c) => (c.isWord('u') && c.isSign('/', 1) && c.isWord('b', 2) ? ((c.at += 3), true) : null)))
    draft.hold = 'unbroken';
  else if (cursor.phrase('may', 'break')) draft.hold = 'mayBreak';
  else if (cursor.phrase('build|building', 'up?')) draft.build = true;
  else if (cursor.word('left')) draft.side = 'left';
  else if (cursor.word('right')) draft.side = 'right';
  else if (cursor.word('ahap')) draft.load = { kind: 'heavy' };
  else if (takeWith(cursor, draft) || takeVest(cursor, draft)) return true;
  else if (draft.unit === null && draft.count?.kind !== 'fixed' && cursor.phrase('for?', 'cal|cals|calories')) draft.unit = 'cal';
  else if (draft.times === null && draft.count?.kind === 'fixed' && cursor.isWord('x') && cursor.isNumber(1)) {
    cursor.at += 2;
    draft.times = cursor.tokens[cursor.at - 1]!.value;
  } else return takeFiguresClause(cursor, draft, context);
  return true;
}

const implementsInHand: Readonly<Record<string, readonly [string, 1 | 2]>> = {
  dumbbell: ['dumbbell', 1],
  dumbbells: ['dumbbell', 2],
  db: ['dumbbell', 1],
  dbs: ['dumbbell', 2],
  kettlebell: ['kettlebell', 1],
  kettlebells: ['kettlebell', 2],
  kb: ['kettlebell', 1],
  kbs: ['kettlebell', 2],
  barbell: ['barbell', 1],
  backpack: ['backpack', 1],
  sandbag: ['sandbag', 1],
};
/** `with 20 kg dumbbells`: the load, and the implement that goes before the movement's name. */
function takeWith(cursor: Cursor, draft: Draft): boolean {
  return (
    cursor.try((c) => {
      if (!(c.isWord('w') && c.isSign('/', 1) ? ((c.at += 2), true) : c.word('with'))) return null;
      if (!c.isWord('pair', 1)) c.phrase('a|an|one');
      const read = readMass(c, null);
      const token = c.peek();
      const held = token?.kind === 'word' ? own(implementsInHand, token.text) : undefined;
      if (!read || !held || read.load.kind !== 'mass') return null;
      c.at++;
      draft.load = { ...read.load, count: held[1] === 2 ? 2 : read.load.count };
      draft.kinds.push(held[0]);
      return true;
    }) ?? false
  );
}

/** A vest on one movement: told to the athlete; the model knows vests for whole parts. */
function takeVest(cursor: Cursor, draft: Draft): boolean {
  const from = cursor.at;
  if (!vest(cursor, emptyHeader())) {
    if (!(cursor.isWord('w') && cursor.isSign('/', 1))) return false;
    takeNote(cursor, draft);
    const note = draft.notes.pop()!;
    draft.notes.push({ ...note, text: note.text.replace(/^w\s*\/\s*/i, 'with ') });
    return true;
  }
  draft.notes.push({ text: cursor.text(from, cursor.at).replace(/^w\s*\/\s*/i, 'with '), from, to: cursor.at });
  return true;
}

function takeFiguresClause(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  const tempo = cursor.try((c) => (c.word('tempo') ? (c.sign(':'), readTempo(c)) : null));
  if (tempo !== null) {
    draft.tempo = tempo;
    return true;
  }
  const effort = readEffort(cursor);
  if (effort) {
    draft.effort = effort.effort;
    return true;
  }
  const step = draft.count?.kind === 'fixed' ? readStep(cursor) : null;
  if (step !== null && draft.count?.kind === 'fixed') {
    draft.count = { kind: 'growing', start: draft.count.men, step };
    return true;
  }
  if (draft.count?.kind === 'max' || draft.count === null) {
    const inside = readMaxTime(cursor);
    if (typeof inside === 'number') draft.count = { kind: 'max', seconds: inside };
    else if (inside === 'left') draft.count = { kind: 'max' };
    if (inside !== null) return true;
  }
  const from = cursor.at;
  const half = cursor.try((c) => {
    const figure = readColumns(c);
    const unit = figure ? readUnit(c) : null;
    return figure && (unit === null || unit.unit === draft.unit) && readPerSide(c) ? figure.men * (unit?.factor ?? 1) : null;
  });
  if (half !== null && draft.count?.kind === 'fixed') {
    const text = cursor.text(from, cursor.at);
    draft.notes.push({ text, from, to: from });
    const inAll = draft.count.men === 2 * half;
    context.report(
      inAll
        ? { code: 'read_as', span: context.span(from, cursor.at), text, as: `${2 * half} in all` }
        : { code: 'unread_figure', span: context.span(from, cursor.at), text },
    );
    return true;
  }
  if (half !== null) cursor.at = from;
  const pair = draft.load === null && draft.count !== null ? readPairOfColumns(cursor, context) : null;
  const measured = pair ?? (draft.load === null || draft.heightCm === null ? readMeasured(cursor) : null);
  if (!measured) return false;
  applyLoad(draft, measured, cursor, from, context);
  return true;
}

/** `2x24/16` behind a counted movement: two of a load in columns, without a unit. */
const readPairOfColumns = (cursor: Cursor, { room }: MemberContext): ReturnType<typeof readMeasured> =>
  cursor.try((c) => {
    const isPair = c.peek()?.text === '2' && c.isWord('x', 1) && c.isNumber(2) && c.isSign('/', 3) && c.isNumber(4);
    return isPair ? readMass(c, room) : null;
  });

/** min that are done of one thing; more of them are the time there is for it */
const mostMinutesOfOne = 5;
/** `plank, 1 min`: behind a comma too, where nothing follows. */
function takeMinutesBehind(cursor: Cursor, draft: Draft): void {
  cursor.try((c) => {
    if (!c.sign(',') || !c.isNumber() || c.peek()!.value > mostMinutesOfOne || !c.isWord(['min', 'mins', 'minutes'], 1)) return null;
    const ends = c.peek(2) === null || c.isSign(',', 2) || c.isSign(';', 2);
    return ends && readCount(c, draft) ? true : null;
  });
}

/** A count behind the movement: `run 400 m`, `plank 1:00`, `burpees x 10`, `Burpees: 6`, `back squat 5x5`, `back squat 5-5-5`. */
function takeTrailingCount(cursor: Cursor, draft: Draft): boolean {
  if (draft.count !== null) return false;
  const start = cursor.at;
  const stated = cursor.sign(':', '-', '=') || cursor.word('x', 'for');
  const rungs = readLadder(cursor);
  if (rungs && !rungs.open) {
    draft.count = { kind: 'ladder', rungs: rungs.rungs };
    return true;
  }
  if (cursor.isWord('max')) {
    if (readCount(cursor, draft)) return true;
  }
  const token = cursor.peek();
  if (isBarePair(cursor, draft)) return false;
  if (token?.kind === 'number' || token?.kind === 'clock') {
    const loaded = cursor.try((c) => readMeasured(c));
    if (!loaded && readCount(cursor, draft)) {
      draft.trailing = !stated && draft.unit === null && draft.times === null;
      return true;
    }
  }
  cursor.at = start;
  return false;
}

/** `24/16` without a unit: a load or a height rather than a count. */
const isBarePair = (cursor: Cursor, draft: Draft): boolean =>
  draft.unit === null && cursor.part(cursor.at, cursor.end).try((c) => (c.isSign('/', 1) && readColumns(c) && readUnit(c) === null ? true : null)) === true;

/** `(95/65)`, `(hand release)`, `(5/5)`, `(each side)`, `(40 cm)`. */
function takeAside(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  if (!cursor.isSign('(') && !cursor.isSign('[')) return false;
  let close = cursor.at + 1;
  while (close < cursor.end && ![')', ']'].includes(cursor.tokens[close]!.text)) close++;
  const inside = cursor.part(cursor.at + 1, close);
  cursor.at = Math.min(cursor.end, close + 1);
  readAside(inside, draft, context);
  return true;
}
function readAside(inside: Cursor, draft: Draft, context: MemberContext): void {
  if (inside.isWord('or') && orMovement(inside)) {
    draft.options.push({ from: inside.at + 1, to: inside.end });
    return;
  }
  while (!inside.done) {
    const from = inside.at;
    if (inside.sign(',', ';', '@', '(', '[', ')', ']')) continue;
    const measured = inside.try((c) => {
      const read = readMeasured(c) ?? (inside.tokens[from - 1]?.text === '@' ? readLoad(c, context.room) : null);
      return read && (c.done || c.isSign(',') || c.isSign(';')) ? read : null;
    });
    if (measured) applyLoad(draft, measured, inside, from, context);
    else if (!takeKind(inside, draft) && !takeClauseWhole(inside, draft, context) && !takeBare(inside, draft)) takeNote(inside, draft);
  }
}
/** A clause that is all there is up to the next comma. */
const takeClauseWhole = (cursor: Cursor, draft: Draft, context: MemberContext): boolean =>
  cursor.try((c) => {
    const before = { ...draft };
    if (takeClause(c, draft, context) && (c.done || c.isSign(',') || c.isSign(';'))) return true;
    Object.assign(draft, before);
    return null;
  }) ?? false;
function takeKind(cursor: Cursor, draft: Draft): boolean {
  for (const words of kindWords)
    if (cursor.phrase(...words)) {
      draft.kinds.push(words.join(' '));
      return true;
    }
  return false;
}
/** Figures without a unit: what they are depends on the movement. */
function takeBare(cursor: Cursor, draft: Draft): boolean {
  const from = cursor.at;
  const columns = cursor.try((c) => {
    const read = readColumns(c);
    const paired = c.at - from >= 3;
    return read && (paired || c.done || c.peek()!.kind !== 'word') ? read : null;
  });
  if (!columns) return false;
  draft.bare.push({ columns, from, to: cursor.at, paired: cursor.at - from >= 3 });
  return true;
}

const noteEnds = new Set([',', ';', '@', '(', ')', '|']);
/** Words up to the next comma, `@` or bracket, kept as they stand. */
function takeNote(cursor: Cursor, draft: Draft): void {
  const from = cursor.at;
  cursor.next();
  while (!cursor.done && !(cursor.peek()!.kind === 'sign' && noteEnds.has(cursor.peek()!.text))) cursor.next();
  draft.notes.push({ text: cursor.text(from, cursor.at), from, to: cursor.at });
}

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
function boundary(cursor: Cursor): number {
  let at = cursor.at;
  while (at < cursor.end && at - cursor.at < 14) {
    const token = cursor.tokens[at]!;
    if (token.kind === 'sign' && (noteEnds.has(token.text) || token.text === ':' || token.text === '+')) break;
    if (token.kind === 'word' && (token.text === 'or' || token.text === 'then')) break;
    at++;
  }
  return at;
}

/** The longest stretch from here that is a movement as it stands, figures and all (`1 1/4 squat`). */
function takeWholeName(cursor: Cursor, draft: Draft): boolean {
  if (cursor.peek()?.kind === 'sign') return false;
  const to = boundary(cursor);
  if (to === cursor.at || findMovement(cursor.text(cursor.at, to)) === null) return false;
  setName(cursor, draft, cursor.at, to);
  cursor.at = to;
  return true;
}
function setName(cursor: Cursor, draft: Draft, from: number, to: number): void {
  draft.nameFrom = from;
  draft.nameTo = to;
  draft.name = cursor.text(from, to);
}

const joins = new Set(['-', "'", '&', '.']);
/** tokens; the words behind it are a note */
const longestName = 20;
/** `45 s plank. Rest 90 s.`: a full stop with a space behind it. */
const endsSentence = (cursor: Cursor): boolean => cursor.isSign('.') && cursor.peek(1)?.spaced === true;
/** A full stop, or an `&` with another movement behind it, joins no name. */
const partsNames = (cursor: Cursor, context: MemberContext): boolean =>
  endsSentence(cursor) || (cursor.isSign('&') && startsMovement(cursor.part(cursor.at + 1, cursor.end), context.listed));
/** A word of the name, with the hyphens and signs that join names. */
function takeNameWord(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  const token = cursor.peek()!;
  if (token.kind !== 'word' || (draft.name !== '' && (draft.nameTo !== cursor.at || cursor.at - draft.nameFrom > longestName))) return false;
  const from = draft.name === '' ? cursor.at : draft.nameFrom;
  cursor.at++;
  while (
    cursor.peek()?.kind === 'sign' &&
    !partsNames(cursor, context) &&
    joins.has(cursor.peek()!.text) &&
    (cursor.peek(1)?.kind === 'word' || (cursor.peek()!.text === '.' && !cursor.peek()!.spaced))
  ) {
    if (cursor.peek()!.text === '-' && cursor.peek()!.spaced && cursor.peek(1)!.spaced) break;
    cursor.at++;
  }
  setName(cursor, draft, from, cursor.at);
  return true;
}

/** Where this movement ends although the line goes on. */
function endsHere(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
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
  if (token.text === 'or') return orMovement(cursor);
  if (token.text === 'then') return startsMovement(cursor.part(cursor.at + 1, cursor.end), true);
  if (token.text === 'and' || token.text === 'plus') return startsMovement(cursor.part(cursor.at + 1, cursor.end), context.listed);
  return (token.kind === 'number' || token.kind === 'clock') && draft.count !== null && startsMovement(cursor, context.listed);
}
/** `30 s plank / 30 s rest`. */
export const isRestNext = (cursor: Cursor): boolean => cursor.part(cursor.at + 1, cursor.end).try(readRest) !== null;
/** Behind `or` or `/` stands a movement, with or without a count. */
function orMovement(cursor: Cursor): boolean {
  const after = cursor.part(cursor.at + 1, cursor.end);
  const draft = emptyDraft();
  readCount(after, draft);
  for (let to = boundary(after); to > after.at; to--) if (findMovement(after.text(after.at, to)) !== null) return true;
  return false;
}

/** Words in quotes are the name where none has been said, else a note; nothing in them is read. */
function takeQuote(cursor: Cursor, draft: Draft): boolean {
  if (cursor.peek()?.kind !== 'quote') return false;
  const from = cursor.at++;
  const text = cursor.text(from, cursor.at).slice(1, -1);
  if (draft.name !== '') draft.notes.push({ text, from, to: from });
  else {
    setName(cursor, draft, from, cursor.at);
    draft.name = text;
  }
  return true;
}

/** A name that begins with a figure (`1 1/4 squat`), rather than a count of something else. */
function isNameOnly(cursor: Cursor): boolean {
  if (cursor.peek()?.kind === 'sign' || findMovement(cursor.text(cursor.at, boundary(cursor))) === null) return false;
  const counted = cursor.part(cursor.at, cursor.end);
  return !(readCount(counted, emptyDraft()) && findMovement(counted.text(counted.at, boundary(counted))) !== null);
}

const passed = new Set([',', ';', ':', '-', '.', '=', '*', '!']);
/** @param cursor at the first word of a movement; left at what ends it */
export function readMember(cursor: Cursor, context: MemberContext): Draft {
  const draft = emptyDraft();
  if (!isNameOnly(cursor)) readCount(cursor, draft);
  while (!cursor.done && !endsHere(cursor, draft, context)) {
    const from = cursor.at;
    if (takeQuote(cursor, draft)) continue;
    if (draft.name === '' && takeWholeName(cursor, draft)) continue;
    if (
      cursor.sign('@') ||
      (cursor.isWord('at') && (cursor.isNumber(1) || cursor.isWord(['rpe', 'bw', 'bodyweight', 'body'], 1)) && draft.name !== '' && cursor.word('at'))
    ) {
      takeLoads(cursor, draft, context);
      continue;
    }
    if (takeAside(cursor, draft, context) || (draft.name !== '' && takeTrailingCount(cursor, draft))) continue;
    if (draft.name !== '' && takeClause(cursor, draft, context)) continue;
    if (cursor.peek()!.kind === 'sign' && passed.has(cursor.peek()!.text)) {
      cursor.next();
      if (draft.name !== '' && !cursor.done) takeKind(cursor, draft);
      continue;
    }
    if (takeNameWord(cursor, draft, context)) continue;
    if (draft.name !== '' && takeBare(cursor, draft)) continue;
    takeNote(cursor, draft);
    if (cursor.at === from) cursor.next();
  }
  if (draft.name !== '' && draft.count === null) takeMinutesBehind(cursor, draft);
  return draft;
}

/** What stands behind an `@`; what is none is kept as a note that says "at". */
function takeLoads(cursor: Cursor, draft: Draft, context: MemberContext): void {
  const from = cursor.at;
  const read = readLoad(cursor, context.room);
  if (read) {
    applyLoad(draft, read, cursor, from, context);
    return;
  }
  if (cursor.done) return;
  takeNote(cursor, draft);
  const note = draft.notes.pop()!;
  draft.notes.push({ ...note, text: `at ${note.text}` });
  if (/\d/.test(note.text)) context.report({ code: 'unread_load', span: context.span(from, cursor.at), text: note.text });
}
