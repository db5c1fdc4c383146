/** Counts, loads, heights and columns: which item they are of; before it, after it, or of all that have none. */
import type { Assembly } from './assembly';
import { clean, loadText, movementIn, type Columns, type Draft, type Figure, type Item } from './draft';
import type { Span } from './span';

/** what stands before it is of the one, what stands after it of the other */
const joins = /^(?:and|then|&|\+|or|,|;|\/)$/;

export function takeFigure(state: Assembly, span: Figure, rest: readonly Span[]): void {
  const { unit, values, count, at } = span;
  const next = rest.find(({ k }) => k !== 'word');
  const isDirect = rest[0]?.k === 'movement' || (rest[0]?.k === 'word' && rest[1]?.k === 'movement' && !joins.test(rest[0].text)) || rest[0]?.k === 'max';
  const text = values.map(clean).join('/');
  if (unit === 'kg' || unit === 'lb' || unit === 'pood' || unit === '%' || count === 2) return setLoad(state, loadText(span), span);
  if (unit === 'in' || unit === 'cm') return setHeight(state, `${text} ${unit}`);
  if (unit === 'foot' && state.last && /wall-ball|rope-climb/.test(state.last.named?.id ?? '')) return setHeight(state, `${text} ft`);
  // `emom, 5 rounds (15 min)`: the clock’s own
  if (unit === 's' && (state.current.kind === 'emom' || state.current.kind === 'amrap') && state.current.seconds === null && !isDirect)
    return void (state.current.seconds = values[0]!);
  if (unit !== null && !at) {
    const own = state.last && state.last.count === null && state.previous?.k === 'movement';
    if (own && !isDirect) {
      state.last!.count = text;
      state.last!.unit = unit;
    } else if (state.pending?.count === 'max' && state.current.items.length > 0) state.pending = { count: 'max', unit };
    else state.hold(text, unit);
    return;
  }
  if (isDirect && !at) return state.hold(text, null);
  const movement = movementIn(state.last ?? undefined);
  // `21-15-9 swings 24/16`: the scheme counts, two figures are masses
  const isCounted = state.current.ladder !== null && values.length === 2 && (movement?.load ?? null) !== null;
  if (state.last && state.last.count === null && !at && !isCounted) {
    state.last.count = text;
    return;
  }
  if (state.last && state.last.load === null && (at || values.length === 2 || values[0]! >= 4)) {
    if ((movement === null || movement.load === null) && /box|step|jump/.test(state.last.named?.name ?? '')) return setHeight(state, text);
    if (movement === null || movement.load !== null) return setLoad(state, loadText(span), span);
  }
  if (next?.k === 'movement' || state.pending === null) state.hold(text, null);
  else state.left.push(text);
}

function setLoad(state: Assembly, load: string, figure: Pick<Figure, 'values'>): void {
  if (state.forAll) {
    state.forAll = false;
    if (state.drafts.map((draft) => toAll(state, load, draft)).includes(true)) return;
  }
  if (state.last && state.last.load === null) state.last.load = load;
  else if (state.last === null && state.current.items.length > 0 && toAll(state, load)) return;
  else if (state.last === null) state.load = load;
  else state.left.push(figure.values.map(clean).join('/'));
}

function setHeight(state: Assembly, height: string): void {
  if (state.last) state.last.height ??= height;
  else state.height = height;
}

/** What is said once for all: the items that take a load and have none. */
function toAll(state: Assembly, load: string, draft: Draft = state.current): boolean {
  const bare = draft.items.filter((item) => item.load === null && (movementIn(item)?.load ?? null) !== null && !movementIn(item)!.load!.optional);
  for (const item of bare) item.load = load;
  return bare.length > 0;
}

export function takeColumns(state: Assembly, span: Columns): void {
  const figure = { values: [span.men, span.women], high: null, unit: span.unit, count: span.count };
  if (span.unit === 'cm' || span.unit === 'in') return setHeight(state, `${span.men}/${span.women} ${span.unit}`);
  if (state.last && state.last.count === null && (span.unit === 'cal' || span.unit === 'm')) {
    state.last.count = `${clean(span.men)}/${clean(span.women)}`;
    state.last.unit = span.unit;
    return;
  }
  if (span.unit === 'cal' || span.unit === 'm') {
    return state.hold(`${clean(span.men)}/${clean(span.women)}`, span.unit);
  }
  if (state.last && state.last.load === null && (movementIn(state.last) === null || movementIn(state.last)!.load !== null)) state.last.load = loadText(figure);
  else if (!toAll(state, loadText(figure))) state.left.push(`${span.men}/${span.women}`);
}

/** `20 cal row (women 17)`, `24" (W 20")`: the second column of what the figure is of. */
export function takeWomen(state: Assembly, { value, unit }: Extract<Span, { k: 'women' }>): void {
  const item = state.last ?? state.current.items.at(-1);
  const second = (text: string | null): string | null =>
    text !== null && /^(?:2x)?[\d.]+(?= |$)/.test(text) ? text.replace(/^((?:2x)?[\d.]+)/, `$1/${clean(value)}`) : null;
  const places: readonly ('height' | 'load' | 'count')[] =
    unit === 'in' || unit === 'cm'
      ? ['height']
      : unit === 'kg' || unit === 'lb'
        ? ['load']
        : item?.unit === 'cal' || item?.unit === 'm'
          ? ['count']
          : ['load', 'height', 'count'];
  const place = item && places.find((each) => second(item[each]) !== null);
  if (item && place) item[place] = second(item[place]);
  else state.left.push(clean(value));
}

/** what is done with a thing */
const doneWith: Readonly<Record<string, RegExp>> = {
  ball: /ball/,
  dumbbell: /dumbbell/,
  kettlebell: /kettlebell/,
  bag: /bag/,
  plate: /plate/,
};
/** `men: 9 kg ball and 22.5 kg dumbbell, women: …` */
export function takeColumnsFor(state: Assembly, { thing, men, women, unit }: Extract<Span, { k: 'columnsFor' }>): void {
  const pattern = doneWith[thing.replace(/s$/, '')];
  const isOf = (item: Item): boolean =>
    item.load === null && (pattern ? pattern.test(item.named?.id ?? '') : (movementIn(item)?.load?.implements.includes('barbell') ?? false));
  const own = state.drafts.flatMap(({ items }) => items).filter(isOf);
  for (const item of own) item.load = loadText({ values: [men, women], high: null, unit, count: null });
  if (own.length === 0) state.left.push(`${men}/${women} ${unit ?? ''}`.trim());
}
