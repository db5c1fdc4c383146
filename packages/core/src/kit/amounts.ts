/** The figures of a kit line: `2x15 kg`, `16 kg (x2)`, `4-20 kg step 2`, `pair of 20s`, `20/24/30 in`, `8x1.25`. */
import { cmOf } from '../units/height';
import { poundsToKilograms, toGrams } from '../units/mass';
import type { Cursor } from '../text/cursor';
import { readMassUnit, readNumber } from '../text/figures';

export type AmountKind = 'mass' | 'length' | 'distance' | 'seconds' | 'count' | 'step';
export interface Amount {
  readonly what: AmountKind;
  /** as written */
  readonly text: string;
}
export interface MassAmount {
  readonly grams: number;
  /** `2x15 kg`, `15 kg x 2`; null where nothing was said */
  readonly count: number | null;
}
export interface Amounts {
  readonly masses: readonly MassAmount[];
  readonly range: { readonly fromGrams: number; readonly toGrams: number } | null;
  readonly stepGrams: number | null;
  readonly lengthsCm: readonly number[];
  readonly metres: readonly number[];
  /** said apart from any mass: `2 dumbbells`, `x 2` */
  readonly count: number | null;
  /** `pair of`, `two`, `pairs` */
  readonly pairs: boolean;
  readonly negative: boolean;
  readonly all: readonly Amount[];
}

type Unit =
  | { readonly kind: 'mass'; readonly grams: number }
  | { readonly kind: 'cm'; readonly factor: number }
  | { readonly kind: 'm'; readonly factor: number }
  | { readonly kind: 's' };

function readUnit(cursor: Cursor): Unit | null {
  const mass = readMassUnit(cursor);
  if (mass) return { kind: 'mass', grams: mass === 'lb' ? poundsToKilograms(1) * 1000 : 1000 };
  if (cursor.word('l', 'litre', 'litres', 'liter', 'liters', 'ltr')) return { kind: 'mass', grams: 1000 };
  if (cursor.word('cm')) return { kind: 'cm', factor: 1 };
  if (cursor.word('in', 'inch', 'inches') || cursor.sign('"')) return { kind: 'cm', factor: cmOf.in };
  if (cursor.word('ft', 'feet', 'foot') || cursor.sign("'")) return { kind: 'cm', factor: cmOf.ft };
  if (cursor.word('km')) return { kind: 'm', factor: 1000 };
  if (cursor.word('m', 'metre', 'metres', 'meter', 'meters')) return { kind: 'm', factor: 1 };
  return cursor.word('s', 'sec', 'seconds') ? { kind: 's' } : null;
}

interface Figure {
  value: number;
  /** so many of them: `2x15` */
  before: number | null;
  after: number | null;
  /** the upper end of `4-20` */
  to: number | null;
  unit: Unit | null;
  /** `step 2`, `in 2.5 steps` */
  step: boolean;
  text: string;
  /** a slash or a comma parts it from the next */
  listed: boolean;
}

/** `(x2)`, `x 2`. */
function readAfter(cursor: Cursor): number | null {
  return cursor.try((c) => {
    const bracket = c.sign('(');
    const named = c.word('x');
    if ((!named && !(bracket && c.isSign(')', 1))) || !c.isNumber() || c.isWord('x', 1)) return null;
    const count = c.next()!.value;
    if (bracket) c.sign(')');
    return count;
  });
}

function readFigure(cursor: Cursor, stepped: boolean): Figure | null {
  const from = cursor.at;
  const before = stepped
    ? null
    : cursor.try((c) => {
        const count = c.isNumber() ? c.next()!.value : NaN;
        return c.word('x') && c.isNumber() ? count : null;
      });
  const value = readNumber(cursor);
  if (value === null) return null;
  const first = readUnit(cursor);
  const to = cursor.try((c) => (c.sign('-') || c.word('to') ? readNumber(c) : null));
  const unit = (to === null ? null : readUnit(cursor)) ?? first;
  // a step of so many centimetres stands on the floor
  const step = unit?.kind !== 'cm' && (stepped || (cursor.try((c) => (c.phrase('step|steps|increments|jumps') && !c.isNumber() ? true : null)) ?? false));
  return {
    value,
    before,
    after: step ? null : readAfter(cursor),
    to,
    unit,
    step,
    text: cursor.text(from, cursor.at),
    listed: cursor.isSign('/') || cursor.isSign(','),
  };
}

/** Figures in a list take the unit of the next one that says it: `10, 15, 20 kg`, `2x10 2x5 kg`; 15s of a pair are masses. */
function spreadUnits(figures: Figure[], pairs: boolean): void {
  for (let at = figures.length - 2; at >= 0; at--) {
    const [here, next] = [figures[at]!, figures[at + 1]!];
    const listed =
      here.before !== null ||
      next.unit?.kind === 'cm' ||
      next.unit?.kind === 'm' ||
      figures.slice(at).every((figure) => figure.after === null && figure.before === null);
    if (here.unit === null && next.unit !== null && next.unit.kind !== 's' && !here.step && listed && figures.length > 1 && isList(figures, at))
      here.unit = next.unit;
  }
  for (const figure of figures) if (figure.unit?.kind === 's' && pairs) figure.unit = null;
}
/** A small whole figure before a mass is a count (`2 dumbbells 15 kg`), not the first of a list. */
const isList = (figures: readonly Figure[], at: number): boolean =>
  at > 0 || figures[at]!.before !== null || figures.length > 2 || figures[at]!.listed || (figures[at]!.value > 4 && figures[at + 1]!.unit?.kind === 'mass');

const inGrams = (value: number, unit: Unit | null, usual: number): number => toGrams((value * (unit?.kind === 'mass' ? unit.grams : usual)) / 1000);

/** @param room what a mass without a unit is in */
export function readAmounts(cursor: Cursor, room: 'kg' | 'lb'): Amounts {
  const figures: Figure[] = [];
  let pairs = false;
  let negative = false;
  let stepped = false;
  while (!cursor.done) {
    if (cursor.isSign('-') && cursor.isNumber(1) && !cursor.peek(1)!.spaced && (figures.length === 0 || cursor.peek()!.spaced)) negative = true;
    if (cursor.phrase('pair|pairs', 'of?') || cursor.word('two')) {
      pairs = true;
      continue;
    }
    if (cursor.phrase('step|steps', 'of?')) {
      stepped = true;
      continue;
    }
    const figure = cursor.isNumber() ? readFigure(cursor, stepped) : null;
    if (figure) figures.push(figure);
    else {
      const after = readAfter(cursor);
      if (after !== null && figures.length > 0 && !figures[figures.length - 1]!.step) figures[figures.length - 1]!.after ??= after;
      else if (after !== null) figures.push({ value: after, before: null, after: null, to: null, unit: null, step: false, text: `x ${after}`, listed: false });
      else cursor.next();
    }
    stepped = false;
  }
  spreadUnits(figures, pairs);
  return collect(figures, pairs, negative, room === 'lb' ? poundsToKilograms(1) * 1000 : 1000);
}

function collect(figures: readonly Figure[], pairs: boolean, negative: boolean, usual: number): Amounts {
  const all = figures.map((figure): Amount & { figure: Figure } => ({ what: kindOf(figure, figures, pairs), text: figure.text, figure }));
  const of = (what: AmountKind): Figure[] => all.filter((amount) => amount.what === what).map(({ figure }) => figure);
  const unitOfMass = of('mass').find(({ unit }) => unit)?.unit ?? null;
  const spans = of('mass').filter(({ to }) => to !== null);
  const counts = of('count').map(({ value, after }) => after ?? value);
  return {
    masses: of('mass')
      .filter(({ to }) => to === null)
      .map(({ value, unit, before, after }) => ({ grams: inGrams(value, unit, usual), count: before ?? after })),
    range: spans[0] ? { fromGrams: inGrams(spans[0].value, spans[0].unit, usual), toGrams: inGrams(spans[0].to!, spans[0].unit, usual) } : null,
    stepGrams: of('step')[0] ? inGrams(of('step')[0]!.value, of('step')[0]!.unit ?? unitOfMass, usual) : null,
    lengthsCm: of('length').flatMap(({ value, unit }) => (unit?.kind === 'cm' ? [Math.round(value * unit.factor)] : [])),
    metres: of('distance').flatMap(({ value, unit, to }) =>
      unit?.kind === 'm' ? [value, ...(to === null ? [] : [to])].map((figure) => figure * unit.factor) : [],
    ),
    count: counts[0] ?? spans[0]?.after ?? of('length')[0]?.after ?? null,
    pairs,
    negative,
    all,
  };
}
function kindOf(figure: Figure, figures: readonly Figure[], pairs: boolean): AmountKind {
  if (figure.step) return 'step';
  if (figure.unit?.kind === 'mass') return 'mass';
  if (figure.unit?.kind === 'cm') return 'length';
  if (figure.unit?.kind === 'm') return 'distance';
  if (figure.unit?.kind === 's') return 'seconds';
  const onlyOne = figures.every((other) => other === figure || other.unit === null);
  return figure.before !== null || figure.to !== null || (pairs && onlyOne) ? 'mass' : 'count';
}
