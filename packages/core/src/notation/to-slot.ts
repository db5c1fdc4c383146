/** Draft → slot: the movement is looked up, and what waited for it (bare figures, quotes, sides) is decided. */
import { isMovementId, movementOf } from '../movements/catalogue';
import type { Implement, Movement, MovementId } from '../movements/movement';
import { findInHand } from '../movements/in-hand';
import { findMovement, foldName, nearMovements, unknownId } from '../movements/names';
import { poundsToKilograms } from '../units/mass';
import { heightOf } from '../units/height';
import type { Slot } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { fixed, type Draft, type MemberContext } from './draft';
import { most } from './limits';

import type { OwnMovements } from './read-own';

export interface SlotContext extends MemberContext {
  /** what a movement without a figure means here */
  readonly bare: 'rung' | 'max' | 'missing';
  readonly nextId: () => number;
  /** movements of the coach's own */
  readonly own: OwnMovements;
  /** looking for near names takes its time: a text of nothing but unknown words gets them for the first few */
  readonly mayLookNear: () => boolean;
}

interface Found {
  readonly id: string;
  /** the coach's words for it, where they are others than the catalogue's */
  readonly said: string | null;
  readonly implement: Implement | null;
  /** words behind the movement that are no part of its name */
  readonly note: string | null;
}

/** Words that may follow a movement and only say where, how or with what. */
const prepositions = new Set([
  'over',
  'to',
  'with',
  'on',
  'onto',
  'from',
  'in',
  'into',
  'at',
  'as',
  'for',
  'per',
  'off',
  'without',
  'through',
  'around',
  'across',
  'until',
  'while',
  'after',
  'before',
  'using',
  'facing',
  'buy',
  'cash',
  'touching',
  'between',
  'unbroken',
  'hold',
  'then',
  'no',
  'not',
  'if',
  'must',
  'only',
  'each',
  'together',
  'plus',
  'and',
  'under',
  'w',
  'like',
  'easy',
  'hard',
  'fast',
  'slow',
  'slowly',
  'heavy',
  'light',
  'max',
  'effort',
  'total',
  'complex',
  'pace',
  'steady',
  'repeats',
  'repeat',
  'sprint',
  'sprints',
  'intervals',
  'machine',
  'working',
  'sets',
  'warm',
  'superset',
  'alternating',
  'alternate',
  'alt',
  'sync',
  'synchro',
  'synchronised',
  'synchronized',
  'partner',
  'strict',
  'kipping',
  'butterfly',
]);
const before = new Set([
  'heavy',
  'light',
  'moderate',
  'easy',
  'hard',
  'fast',
  'slow',
  'slowly',
  'controlled',
  'perfect',
  'good',
  'quality',
  'more',
  'another',
  'synchro',
  'synchronised',
  'synchronized',
  'sync',
  'partner',
  'sprint',
  'a',
  'an',
  'the',
  'of',
  'one',
  'full',
  'big',
  'working',
  'weighted',
  'total',
  'consecutive',
  'standard',
  'regular',
  'normal',
]);

/** The whole text, then with its kind words before it, then without what only says where or how. */
function lookUp(name: string, kinds: readonly string[]): Found | null {
  for (const kind of kinds) {
    const id = findMovement(`${kind} ${name}`) ?? findMovement(`${name} ${kind}`);
    const found = id ? { id, said: null, implement: null, note: null } : lookUpImplement(`${kind} ${name}`);
    if (found) return found;
  }
  const direct = findMovement(name);
  if (direct) return { id: direct, said: name, implement: null, note: null };
  return lookUpShorter(name) ?? lookUpImplement(name);
}

/** prepositions that join two movements to another one */
const joining = new Set(['and', 'to', 'into', 'plus']);
const beginsMovement = (words: readonly string[]): boolean => words.some((_, at) => findMovement(words.slice(0, at + 1).join(' ')) !== null);

function lookUpShorter(name: string): Found | null {
  const words = name.split(/\s+/);
  for (let keep = words.length - 1; keep >= 1; keep--) {
    const next = words[keep]!.toLowerCase().replace(/[^\p{L}]/gu, '');
    if (!prepositions.has(next)) continue;
    // `plank to push-up`: two movements in one are neither of them, and no note
    if (joining.has(next) && beginsMovement(words.slice(keep + 1))) return null;
    const head = words.slice(0, keep).join(' ');
    const tail = words.slice(keep).join(' ');
    const turned = findMovement(`${next} ${head}`);
    const id = keep === words.length - 1 && turned ? turned : findMovement(head);
    const last = keep === words.length - 1;
    const inName = last && (id === turned || next === 'hold');
    if (id) return { id, said: inName ? null : head, implement: null, note: inName ? null : tail };
  }
  const first = words[0]!.toLowerCase();
  if (words.length > 1 && before.has(first)) {
    const found = lookUp(words.slice(1).join(' '), []);
    return found ? { ...found, note: [first, found.note].filter(Boolean).join(' ') } : null;
  }
  return null;
}

/** `can push press`, `backpack row`: the family's movement with another implement in hand. */
function lookUpImplement(name: string): Found | null {
  const found = findInHand(name);
  return found && { ...found, said: null, note: null };
}

/** of a way whose length nobody told */
const lengths = /^(?:laps?|lengths?|loops?)\b/i;
/** `row` with a load or a count of reps pulls; with metres, calories or minutes it is the machine. */
function rowMeant(id: string, draft: Draft): string {
  if (id !== 'row') return id;
  if (draft.unit === 'm' || draft.unit === 'cal' || draft.notes.some(({ text }) => lengths.test(text))) return id;
  const machine = draft.unit === 's' || draft.count === null || draft.count.kind !== 'fixed';
  return draft.load !== null || (!machine && draft.unit === null && /rows?$/i.test(draft.name)) ? 'bent-over-row' : id;
}

const takesHeight = (movement: Movement): boolean => /box|step|ball-to|wall-ball|raised|jump/.test(`${movement.id} ${movement.needsText}`);

/** Bare figures behind or beside a movement: a load, a height, each side, or the count. */
function settleBare(draft: Draft, movement: Movement, cursor: Cursor, context: SlotContext): void {
  for (const figure of draft.bare) {
    const { columns } = figure;
    const text = cursor.text(figure.from, figure.to);
    const span = context.span(figure.from, figure.to);
    const isCount = draft.count?.kind === 'fixed' && draft.count.men === columns.men && figure.paired && figure.from < draft.nameFrom;
    if (figure.paired && columns.men === columns.women && (movement.side !== 'both' || isCount))
      settleSides(draft, movement, columns.men, isCount, text, span, context);
    else if (figure.paired && movement.load && draft.load === null) {
      const unit = columns.men > (movement.load.kilogramsUpTo ?? Infinity) ? 'lb' : context.room;
      const factor = unit === 'lb' ? poundsToKilograms(1) : 1;
      draft.load = { kind: 'mass', men: columns.men * factor, women: columns.women * factor, count: 1, unit };
      context.report({ code: 'unit_assumed', span, text, unit });
    } else if (figure.paired && takesHeight(movement) && draft.heightCm === null) {
      const unit = columns.men >= 36 ? 'cm' : 'in';
      draft.heightCm = heightOf(columns, unit);
      context.report({ code: 'height_assumed', span, text, unit });
    } else if (draft.count === null && !figure.paired) draft.count = fixed(columns);
    else if (!isCount) {
      draft.notes.push({ text, from: figure.from, to: figure.to });
      context.report({ code: 'unread_figure', span, text });
    }
  }
}
function settleSides(
  draft: Draft,
  movement: Movement,
  aSide: number,
  isCount: boolean,
  text: string,
  span: ReturnType<SlotContext['span']>,
  context: SlotContext,
): void {
  const inAll = draft.count?.kind === 'fixed' && !isCount && draft.count.men === 2 * aSide;
  if (inAll) {
    context.report({ code: 'read_as', span, text, as: `${aSide} a side, ${2 * aSide} in all` });
    return;
  }
  if (isCount && movement.side === 'both') return;
  draft.perSide = true;
  if (draft.count === null) draft.count = fixed({ men: aSide, women: aSide });
  context.report({ code: 'read_as', span, text, as: `${aSide} each side` });
}

/** `24/20" box jump`: the quotes were inches, the figure a height. */
function settleQuotes(draft: Draft, movement: Movement): void {
  if (!draft.quoted || movement.unit === 's' || movement.limit.by === 'engine' || draft.count?.kind !== 'fixed' || !takesHeight(movement)) return;
  const { men, women } = draft.count;
  // `10'` was taken for minutes: its figure is in seconds
  draft.heightCm = draft.unitSaid === 'min' ? heightOf({ men: men / 60, women: women / 60 }, 'ft') : heightOf({ men, women }, 'in');
  draft.count = null;
  draft.unit = null;
  draft.unitSaid = null;
}

/** A note without the signs that would make it read as something else when it is written out again. */
const plainNote = (text: string): string =>
  text
    .replace(/[()@|+#[\]]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function noteOf(draft: Draft, behind: string | null, context: SlotContext): string | null {
  for (const note of draft.notes)
    if (note.to > note.from && /\p{L}/u.test(note.text) && !note.text.startsWith('at '))
      context.report({ code: 'kept_as_note', span: context.span(note.from, note.to), text: note.text });
  const all = [...(behind ? [behind] : []), ...draft.kinds.filter((kind) => !foldName(draft.name).includes(kind)), ...draft.notes.map(({ text }) => text)]
    .map(plainNote)
    .filter((text) => text !== '');
  return all.length > 0 ? all.join(', ') : null;
}

function unknown(draft: Draft, nearest: readonly MovementId[], context: SlotContext): Found {
  const text = draft.name;
  context.report({ code: 'unknown_movement', span: context.span(draft.nameFrom, draft.nameTo), text, nearest });
  return { id: unknownId(text), said: text, implement: null, note: null };
}

/** A figure beyond what anybody does is cut, and said. */
function withinLimits(draft: Draft, context: SlotContext): void {
  const { count } = draft;
  if (count?.kind !== 'fixed' || Math.max(count.men, count.women) <= most.figure) return;
  context.report({ code: 'limit', span: context.span(draft.nameFrom, draft.nameTo), limit: 'figure', found: count.men, most: most.figure });
  draft.count = { kind: 'fixed', men: Math.min(count.men, most.figure), women: Math.min(count.women, most.figure), low: count.low };
}

/** `row 4 laps`, `55 shuttle run`: figures whose unit is taken for granted. */
function tellLengths(draft: Draft, movement: Movement, context: SlotContext): void {
  const lap = draft.notes.find(({ text }) => lengths.test(text));
  if (draft.count?.kind !== 'fixed') return;
  const figure = draft.count.men;
  const span = context.span(draft.nameFrom, draft.nameTo);
  if (lap) {
    // how far that is, nobody told
    draft.notes = draft.notes.map((note) => (note === lap ? { ...note, text: `${figure} ${lap.text}` } : note));
    draft.count = null;
    context.report({ code: 'unread_figure', span, text: `${figure} ${lap.text}` });
  } else if (movement.id === 'shuttle-run' && draft.unit === null)
    context.report({ code: 'read_as', span, text: `${figure} ${draft.name}`, as: `${figure} m` });
}

/** Words that no figure, load or ladder makes work: said to the athlete rather than counted. */
const isWordsAlone = (draft: Draft, context: SlotContext, place: Place, inherited: Inherited | null): boolean =>
  context.bare === 'missing' &&
  place.link === null &&
  place.bracket === null &&
  inherited === null &&
  (draft.count === null || draft.trailing) &&
  [draft.unit, draft.times, draft.load, draft.heightCm, draft.hold, draft.tempo, draft.effort].every((said) => said === null) &&
  !draft.build &&
  draft.options.length === 0;

/** What a slot without a figure takes from the one it stands beside. */
export type Inherited = Pick<Slot, 'count' | 'unit' | 'unitSaid'>;

interface Place {
  readonly link: number | null;
  readonly bracket: Slot['bracket'];
}
/** @returns null where the line names no movement, or none of it */
export function toSlot(draft: Draft, cursor: Cursor, context: SlotContext, place: Place, inherited: Inherited | null): Slot | null {
  if (draft.name === '') {
    if (draft.unit !== 'm' || draft.count === null) return null;
    // metres alone are run
    const metres = cursor.text(0, cursor.end).slice(0, 40);
    context.report({ code: 'read_as', span: context.span(0, cursor.end), text: metres, as: 'a run' });
    draft.name = 'run';
  }
  const defined = context.own.get(foldName(draft.name)) ?? null;
  const known = defined ? { id: defined.as, said: null, implement: null, note: null } : lookUp(draft.name, draft.kinds);
  const nearest = known === null && context.mayLookNear() ? nearMovements(draft.name) : [];
  if (known === null && nearest.length === 0 && isWordsAlone(draft, context, place, inherited)) {
    // all that was taken with the name: nothing of it is dropped
    const text = cursor.text(draft.nameFrom, cursor.at).trim();
    const span = context.span(draft.nameFrom, cursor.at);
    context.report(draft.trailing ? { code: 'unreadable', span, text, expected: 'a count before a movement' } : { code: 'unread_words', span, text });
    return null;
  }
  const found = known ?? unknown(draft, nearest, context);
  if (draft.kinds.length > 0 && found.said === null) draft.kinds = [];
  const id = rowMeant(found.id, draft);
  const movement = movementOf(id);
  settleQuotes(draft, movement);
  settleBare(draft, movement, cursor, context);
  withinLimits(draft, context);
  tellLengths(draft, movement, context);
  if (draft.count?.kind === 'fixed' && draft.count.men <= 0) {
    context.report({ code: 'zero_count', span: context.span(draft.nameFrom, draft.nameTo), text: `0 ${draft.name}` });
    return null;
  }
  const count = draft.count ?? countWithout(draft, movement, cursor, context, place.bracket, inherited);
  const said = found.said !== null && (!isMovementId(id) || foldName(found.said) !== foldName(movement.name)) && id === found.id ? found.said : null;
  return {
    kind: 'slot',
    movement: id,
    own: defined?.own ?? null,
    said,
    implement: found.implement,
    unit: draft.unit ?? (movement.unit === 's' && movement.family !== 'prepare' ? 's' : movement.unit),
    unitSaid: draft.unitSaid,
    count,
    perSide: draft.perSide,
    load: draft.load,
    heightCm: draft.heightCm,
    hold: draft.hold,
    tempo: draft.tempo,
    effort: draft.effort,
    build: draft.build,
    side: draft.side,
    link: place.link,
    bracket: place.bracket,
    note: noteOf(draft, found.note, context),
    alternatives: [],
  };
}

function countWithout(
  draft: Draft,
  movement: Movement,
  cursor: Cursor,
  context: SlotContext,
  bracket: Slot['bracket'],
  inherited: Inherited | null,
): Slot['count'] {
  if (inherited) {
    if (movement.unit === 'm' || inherited.unit === movement.unit || inherited.unit !== 'm') {
      draft.unit ??= movement.unit === 'm' || inherited.unit === movement.unit || movement.limit.by === 'engine' ? inherited.unit : null;
      if (draft.unit === inherited.unit) draft.unitSaid = inherited.unitSaid;
    }
    return inherited.count;
  }
  if (context.bare === 'missing' && bracket === null)
    context.report({ code: 'no_count', span: context.span(draft.nameFrom, draft.nameTo), text: cursor.text(draft.nameFrom, draft.nameTo), line: draft.name });
  return bracket ? fixed({ men: 1, women: 1 }) : context.bare === 'rung' ? { kind: 'rung' } : { kind: 'max' };
}
