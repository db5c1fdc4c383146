/** One movement with all that belongs to it: `9 toes-to-bar`, `6 db clean @ 2x15 kg, unbroken`, `box jump 24/20"`, `Burpees: 6`, `deadlift 3x8 @ 60 %`. */
import { findMovement } from '../movements/names';
import type { Cursor } from '../text/cursor';
import { readColumns, readLadder, readUnit } from '../text/figures';
import { emptyDraft, type Draft, type MemberContext } from './draft';
import { readLoad, readMeasured } from './loads';
import { takeAside, takeBare } from './member-asides';
import { applyLoad, takeClause, takeKind, takeNote } from './member-clauses';
import { boundary, endsHere, partsNames } from './member-ends';
import { readCount } from './read-count';

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
