/** What stands in brackets behind a movement, and figures that wait for the movement to say what they are. */
import type { Cursor } from '../text/cursor';
import { readColumns } from '../text/figures';
import type { Draft, MemberContext } from './draft';
import { readLoad, readMeasured } from './loads';
import { applyLoad, takeClause, takeKind, takeNote } from './member-clauses';
import { orMovement } from './member-ends';

/** `(95/65)`, `(hand release)`, `(5/5)`, `(each side)`, `(40 cm)`. */
export function takeAside(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
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

/** Figures without a unit: what they are depends on the movement. */
export function takeBare(cursor: Cursor, draft: Draft): boolean {
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
