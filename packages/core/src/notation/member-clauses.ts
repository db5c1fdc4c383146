/** What may follow any movement, comma or not: a side, a hold, a load, what it is done with, a tempo, a step, and words kept as a note. */
import type { Cursor } from '../text/cursor';
import { readColumns, readTempo, readUnit } from '../text/figures';
import { own } from '../text/own';
import type { Draft, MemberContext } from './draft';
import { emptyHeader } from './header';
import { vest } from './header-clauses';
import { readEffort, readMass, readMeasured, type ReadLoad } from './loads';
import { noteEnds } from './member-ends';
import { readMaxTime, readPerSide, readStep } from './read-count';

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

export function applyLoad(draft: Draft, read: ReadLoad, cursor: Cursor, from: number, context: MemberContext): void {
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
export function takeClause(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  if (readPerSide(cursor)) draft.perSide = true;
  else if (cursor.phrase('unbroken|ub') || cursor.try((c) => (c.isWord('u') && c.isSign('/', 1) && c.isWord('b', 2) ? ((c.at += 3), true) : null)))
    draft.hold = 'unbroken';
  else if (cursor.phrase('may', 'break')) draft.hold = 'mayBreak';
  else if (cursor.phrase('build|building', 'up?')) draft.build = true;
  else if (cursor.word('left')) draft.side = 'left';
  else if (cursor.word('right')) draft.side = 'right';
  else if (cursor.word('ahap')) draft.load = { kind: 'heavy' };
  else if (takeWith(cursor, draft, context) || takeVest(cursor, draft)) return true;
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
function takeWith(cursor: Cursor, draft: Draft, context: MemberContext): boolean {
  return (
    cursor.try((c) => {
      if (!(c.isWord('w') && c.isSign('/', 1) ? ((c.at += 2), true) : c.word('with'))) return null;
      if (!c.isWord('pair', 1)) c.phrase('a|an|one');
      const from = c.at;
      const read = readMass(c, context.room);
      const token = c.peek();
      const held = token?.kind === 'word' ? own(implementsInHand, token.text) : undefined;
      if (!read || !held || read.load.kind !== 'mass' || draft.load !== null) return null;
      const load = { ...read.load, count: held[1] === 2 ? 2 : read.load.count };
      applyLoad(draft, { ...read, load }, c, from, context);
      c.at++;
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

export function takeKind(cursor: Cursor, draft: Draft): boolean {
  for (const words of kindWords)
    if (cursor.phrase(...words)) {
      draft.kinds.push(words.join(' '));
      return true;
    }
  return false;
}

/** Words up to the next comma, `@` or bracket, kept as they stand. */
export function takeNote(cursor: Cursor, draft: Draft): void {
  const from = cursor.at;
  cursor.next();
  while (!cursor.done && !(cursor.peek()!.kind === 'sign' && noteEnds.has(cursor.peek()!.text))) cursor.next();
  draft.notes.push({ text: cursor.text(from, cursor.at), from, to: cursor.at });
}
