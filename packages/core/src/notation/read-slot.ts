/** One whiteboard line of movements → slots: `9 toes-to-bar`, `8 ring row | 12 plank row`, `3 x (1 lunge + 1 squat)`, `6 clean + 6 press, unbroken @ 60 kg`. */
import { findMovement, nearestMovements } from '../movements/names';
import { movementOf } from '../movements/catalogue';
import type { Columns, Count, CountUnit, Prescription, Slot } from '../workout/workout';
import { durationSource, readColumns, readLadder, readLoad, readTempo, readTime, readUnit, unitSource } from './figures';
import type { ReadProblem, Span } from './problems';
import { splitOutside } from './scan';

export interface SlotContext {
  readonly line: number;
  readonly column: number;
  /** what a movement without a figure means here */
  readonly bare: 'rung' | 'max' | 'missing';
  readonly nextId: () => number;
  readonly report: (problem: ReadProblem) => void;
}

interface Draft {
  movementText: string;
  count: Count | null;
  unit: CountUnit | null;
  perSide: boolean;
  load: Prescription | null;
  heightCm: Columns | null;
  hold: Slot['hold'];
  tempo: string | null;
  build: boolean;
  side: Slot['side'];
  notes: string[];
}

const fixed = (columns: Columns, low: number | null = null): Count => ({ kind: 'fixed', ...columns, low });
const sideWords = /\b(?:each|per|a|\/)\s*(?:side|arm|leg)\b/i;
const remainder = /\s+(?:in|for)\s+(?:what is left|the (?:remaining|rest of the) time|what remains)\s*$/i;

function spanOf(context: SlotContext, whole: string, part: string): Span {
  const at = Math.max(0, whole.indexOf(part));
  return { line: context.line, column: context.column + at, length: Math.max(1, part.length) };
}

/** The note that stands after a comma, or a word at the end. @returns false when it says nothing we know */
function takeNote(draft: Draft, text: string): boolean {
  const note = text
    .trim()
    .replace(/^\(|\)$/g, '')
    .trim();
  const tempo = /^(?:@?\s*tempo\s+)([\dxX-]+)$/.exec(note);
  if (note === '') return true;
  if (/^(?:each|per|a) (?:side|arm|leg)$/i.test(note)) draft.perSide = true;
  else if (/^(?:ub|unbroken)$/i.test(note)) draft.hold = 'unbroken';
  else if (/^may break$/i.test(note)) draft.hold = 'mayBreak';
  else if (/^build(?:ing)?$/i.test(note)) draft.build = true;
  else if (/^(?:left|right)$/i.test(note)) draft.side = note.toLowerCase() as 'left' | 'right';
  else if (tempo && readTempo(tempo[1]!)) draft.tempo = readTempo(tempo[1]!);
  else return false;
  return true;
}

function takeLoad(draft: Draft, text: string, context: SlotContext, whole: string): boolean {
  const read = readLoad(text);
  if (!read) return false;
  if (read.kind === 'height') draft.heightCm = read.heightCm;
  else if (read.kind === 'tempo') draft.tempo = read.tempo;
  else {
    draft.load = read.load;
    if (read.unitAssumed) context.report({ code: 'unit_assumed', span: spanOf(context, whole, text.trim()), text: text.trim() });
  }
  return true;
}

/** A note without the signs that would make it read as something else when it is written out again. */
const plainNote = (text: string): string =>
  text
    .replace(/[()@|+#]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function addNote(draft: Draft, text: string): void {
  if (!takeNote(draft, text) && plainNote(text) !== '') draft.notes.push(plainNote(text));
}

/** Everything after the first comma or `@` of one movement. */
function takeTail(draft: Draft, tail: string, context: SlotContext, whole: string): void {
  for (const clause of splitOutside(tail, ',')) {
    const [before = '', ...loads] = clause.split('@');
    addNote(draft, before);
    for (const load of loads) if (!takeLoad(draft, load, context, whole) && plainNote(load) !== '') addNote(draft, `at ${plainNote(load)}`);
  }
}

function takeCount(draft: Draft, text: string): string {
  let rest = text.trim();
  const own = /^([\d\s-]+(?:\.{3})?)\s*:\s*(.+)$/.exec(rest);
  const growing = /^(\d+)\s*,\s*\+\s*(\d+)\s*(?:each|every|per|a)\s*(?:round|rung|set)\s*:?\s*(.+)$/i.exec(rest);
  if (growing) {
    draft.count = { kind: 'growing', start: Number(growing[1]), step: Number(growing[2]) };
    rest = growing[3]!;
  } else if (own && readLadder(own[1]!)) {
    const { rungs, open } = readLadder(own[1]!)!;
    draft.count = open ? { kind: 'growing', start: rungs[0]!, step: (rungs[1] ?? 0) - rungs[0]! } : { kind: 'ladder', rungs };
    rest = own[2]!;
  } else if (/^match(?:ing)?(?: the)? time\s*:?\s*/i.test(rest)) {
    draft.count = { kind: 'matchTime' };
    return rest.replace(/^match(?:ing)?(?: the)? time\s*:?\s*/i, '');
  } else if (/^max(?:imum)?\b/i.test(rest)) {
    draft.count = { kind: 'max' };
    rest = rest.replace(/^max(?:imum)?\b\s*/i, '').replace(remainder, '');
    const unit = /^(distance|cals?|calories|metres|meters|reps?|time)\s+(?:of\s+)?/i.exec(rest);
    if (unit) {
      const word = unit[1]!.toLowerCase();
      draft.unit = word === 'distance' || word.startsWith('met') ? 'm' : word.startsWith('cal') ? 'cal' : word === 'time' ? 's' : 'reps';
      rest = rest.slice(unit[0].length);
    }
    return rest;
  }
  if (!draft.count) {
    const time = /^(\d{1,3}:\d{2})\s+(?=[a-z])/i.exec(rest);
    const range = /^(\d+)\s*-\s*(\d+)\s*(?=[a-z])/i.exec(rest);
    const columns = /^(\d+(?:\.\d+)?(?:\s*\/\s*\d+(?:\.\d+)?)?)\s*x?\s*(?=[a-z'"])/i.exec(rest);
    if (time) {
      const seconds = readTime(time[1]!, 'seconds')!;
      draft.count = fixed({ men: seconds, women: seconds });
      draft.unit = 's';
      return rest.slice(time[0].length);
    }
    if (range) {
      const high = Number(range[2]);
      draft.count = fixed({ men: high, women: high }, Number(range[1]));
      rest = rest.slice(range[0].length);
    } else if (columns) {
      draft.count = fixed(readColumns(columns[1]!)!);
      rest = rest.slice(columns[0].length);
    }
  }
  const unit = new RegExp(`^(${unitSource})(?=\\s|$)\\.?\\s*(?:of\\s+)?`, 'i').exec(rest);
  if (unit && rest.slice(unit[0].length).trim() !== '') {
    const { unit: name, factor } = readUnit(unit[1]!)!;
    draft.unit = name;
    if (draft.count?.kind === 'fixed')
      draft.count = {
        ...draft.count,
        men: draft.count.men * factor,
        women: draft.count.women * factor,
        low: draft.count.low === null ? null : draft.count.low * factor,
      };
    rest = rest.slice(unit[0].length);
  }
  return rest.replace(remainder, '');
}

/** A figure that stands behind the movement: `run 400 m`, `plank 1:00`, `box jump 60 cm`, `deadlift 100 kg`. */
function takeTrailing(draft: Draft, text: string, context: SlotContext, whole: string): string {
  let rest = text;
  const mass = /\s+((?:2\s*x\s*)?\d+(?:\.\d+)?(?:\s*\/\s*\d+(?:\.\d+)?)?\s*(?:kg|lb|lbs|cm|in|%))$/i.exec(rest);
  if (mass && takeLoad(draft, mass[1]!, context, whole)) rest = rest.slice(0, mass.index);
  if (draft.count) return rest;
  const count = new RegExp(`\\s+(\\d+(?:\\.\\d+)?(?:\\s*/\\s*\\d+(?:\\.\\d+)?)?)\\s*(${unitSource})$`, 'i').exec(rest);
  const time = new RegExp(`\\s+(${durationSource})$`, 'i').exec(rest);
  if (count) {
    const { unit, factor } = readUnit(count[2]!)!;
    const columns = readColumns(count[1]!)!;
    draft.count = fixed({ men: columns.men * factor, women: columns.women * factor });
    draft.unit = unit;
    return rest.slice(0, count.index);
  }
  if (time && time[1]!.includes(':')) {
    const seconds = readTime(time[1]!, 'seconds')!;
    draft.count = fixed({ men: seconds, women: seconds });
    draft.unit = 's';
    return rest.slice(0, time.index);
  }
  return rest;
}

function readDraft(text: string, context: SlotContext, whole: string): Draft {
  const draft: Draft = {
    movementText: '',
    count: null,
    unit: null,
    perSide: false,
    load: null,
    heightCm: null,
    hold: null,
    tempo: null,
    build: false,
    side: null,
    notes: [],
  };
  let body = text.trim();
  const growing = /^\d+\s*,\s*\+/.test(body);
  const from = growing ? body.indexOf(':') + 1 || body.indexOf('+') + 2 : 0;
  const cut = [...body].findIndex((sign, at) => at >= from && (sign === ',' || sign === '@'));
  const tail = cut >= 0 ? body.slice(cut) : '';
  if (cut >= 0) body = body.slice(0, cut);
  for (const bracket of body.match(/\([^)]*\)/g) ?? []) {
    const inside = bracket.slice(1, -1);
    if (!takeLoad(draft, inside, context, whole)) addNote(draft, inside);
  }
  body = body
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  body = takeCount(draft, body);
  body = takeTrailing(draft, body, context, whole);
  for (let more = true; more;) {
    more = false;
    const last = /\s+(unbroken|ub|left|right|may break|building|build|(?:each|per|a) (?:side|arm|leg))$/i.exec(body);
    if (last && takeNote(draft, last[1]!)) {
      body = body.slice(0, last.index);
      more = true;
    }
  }
  if (sideWords.test(body)) {
    draft.perSide = true;
    body = body.replace(sideWords, ' ').trim();
  }
  draft.movementText = body.replace(/[.:;]+$/, '').trim();
  takeTail(draft, tail.replace(/^,/, ''), context, whole);
  return draft;
}

function toSlot(
  draft: Draft,
  context: SlotContext,
  whole: string,
  link: number | null,
  bracket: Slot['bracket'],
  inherited: Pick<Slot, 'count' | 'unit'> | null,
): Slot | null {
  if (draft.movementText === '') {
    context.report({
      code: 'unreadable',
      span: spanOf(context, whole, whole.trim()),
      text: whole.trim(),
      expected: 'a count and a movement, such as “10 push-ups”',
    });
    return null;
  }
  const movement = findMovement(draft.movementText);
  if (!movement) {
    context.report({
      code: 'unknown_movement',
      span: spanOf(context, whole, draft.movementText),
      text: draft.movementText,
      nearest: nearestMovements(draft.movementText),
    });
    return null;
  }
  const own = movementOf(movement);
  let count = draft.count;
  let unit = draft.unit;
  if (!count && inherited) {
    count = inherited.count;
    unit ??= own.unit === 'm' || inherited.unit === own.unit ? inherited.unit : null;
  }
  if (!count) {
    if (context.bare === 'missing' && bracket === null)
      context.report({ code: 'no_count', span: spanOf(context, whole, draft.movementText), text: draft.movementText });
    count = bracket ? fixed({ men: 1, women: 1 }) : context.bare === 'rung' ? { kind: 'rung' } : { kind: 'max' };
  }
  return {
    kind: 'slot',
    movement,
    unit: unit ?? (own.unit === 's' && own.family !== 'prepare' ? 's' : own.unit),
    count,
    perSide: draft.perSide,
    load: draft.load,
    heightCm: draft.heightCm,
    hold: draft.hold,
    tempo: draft.tempo,
    build: draft.build,
    side: draft.side,
    link,
    bracket,
    note: draft.notes.length > 0 ? draft.notes.join(', ') : null,
    alternatives: [],
  };
}

/** A string of linked movements, or one; a load or a note at the very end goes to all members that have none. */
function readString(text: string, context: SlotContext, whole: string, bracket: Slot['bracket'], inherited: Pick<Slot, 'count' | 'unit'> | null): Slot[] {
  const pieces = /^\s*\d+\s*,\s*\+/.test(text) ? [text] : splitOutside(text, '+').filter((piece) => piece.trim() !== '');
  const drafts = pieces.map((piece) => readDraft(piece, context, whole));
  const last = drafts[drafts.length - 1];
  if (last && drafts.length > 1)
    for (const draft of drafts) {
      draft.load ??= last.load;
      draft.hold ??= last.hold;
    }
  const link = drafts.length > 1 && bracket === null ? context.nextId() : null;
  return drafts.flatMap((draft) => toSlot(draft, context, whole, link, bracket, inherited) ?? []);
}

function readOption(text: string, context: SlotContext, whole: string, inherited: Pick<Slot, 'count' | 'unit'> | null): Slot[] {
  const bracketed = /^\s*(\d+)\s*x\s*\((.+)\)(.*)$/i.exec(text);
  if (!bracketed) return readString(text, context, whole, null, inherited);
  const bracket = { id: context.nextId(), times: Number(bracketed[1]) };
  const tail = bracketed[3]!.trim();
  return readString(`${bracketed[2]}${tail.startsWith('@') ? ` ${tail}` : tail}`, context, whole, bracket, null);
}

/** One line → its slots, in order. Movements after a comma and a figure are slots of their own. */
export function readSlots(text: string, context: SlotContext): Slot[] {
  const growing = /^\s*\d+\s*,\s*\+/.exec(text);
  const pieces: string[] = [];
  for (const piece of splitOutside(text, ',')) {
    const startsMovement = /^\s*\d[\d/:.-]*\s*[a-z]/i.test(piece) && pieces.length > 0 && !(growing && pieces.length === 1);
    if (pieces.length === 0 || startsMovement) pieces.push(piece);
    else pieces[pieces.length - 1] += `,${piece}`;
  }
  return pieces.flatMap((piece) => {
    const options = splitOutside(piece, '|');
    const main = readOption(options[0]!, context, piece, null);
    const first = main[0];
    if (!first || options.length === 1) return main;
    const alternatives = options
      .slice(1)
      .map((option) => readOption(option, context, piece, { count: first.count, unit: first.unit }))
      .filter((option) => option.length > 0);
    return [{ ...first, alternatives }, ...main.slice(1)];
  });
}
