/** Pieces in the order they stand → parts: which scheme owns which items, and what a count, a load, a rest or a cap that stands before or after belongs to. */
import { Assembly } from './assembly';
import type { Draft } from './draft';
import type { Named } from './gazetteer';
import type { Span } from './span';
import { takeColumns, takeColumnsFor, takeFigure, takeWomen } from './take-figures';
import { takeHardEasy, takeSteady, takeWindow } from './take-turns';
import { takeClock, takeLadder, takeRest, takeRounds, takeScheme, takeSeries, takeSets, takeSetsReps } from './take-schemes';

export interface Assembled {
  readonly drafts: readonly Draft[];
  /** figures that found no place, as they were written */
  readonly left: readonly string[];
  /** names that were guessed or are not known */
  readonly guessed: readonly Named[];
}

/** words that join names and make no talk of them */
const joins = /^(?:and|of|the|a|an|some|with|at|for|to|each|per|n|by|-|,)$/;

const schemes: ReadonlySet<Span['k']> = new Set(['clock', 'every', 'onOff', 'ladder', 'rounds', 'sets', 'forTime', 'quality', 'head']);

/** What stands after a piece. */
interface Ahead {
  /** pieces of the line after it */
  readonly rest: readonly Span[];
  /** whether an item stands there, or in the lines after */
  readonly items: boolean;
}
type Takers = { readonly [K in Span['k']]: (state: Assembly, span: Extract<Span, { k: K }>, ahead: Ahead) => void };

/** A kind of piece, and what it does to the parts so far. */
const takers: Takers = {
  clock: (state, { clock, seconds }) => (clock === 'tabata' ? takeClock(state, 'onOff', { on: 20, off: 10, times: 8 }) : takeClock(state, clock, { seconds })),
  every: (state, { each, times, seconds }) => takeClock(state, 'every', { each, times: times ?? (seconds === null ? null : Math.round(seconds / each)) }),
  onOff: (state, { on, off, times }) => takeClock(state, 'onOff', { on, off, times }),
  heavy: (state, { seconds, reps }) => {
    takeClock(state, 'heavy', { seconds: seconds ?? state.current.seconds });
    const [item] = state.current.items;
    if (reps !== null && item?.count === null) item.count = String(reps);
    else if (reps !== null) state.hold(String(reps), null);
  },
  effort: (state, { text }) => {
    if (state.last) state.last.load ??= text;
  },
  repeat: (state, { count }) => void (state.repeat = count),
  forTime: (state, _span, { items }) => takeScheme(state, 'forTime', items),
  quality: (state, _span, { items }) => takeScheme(state, 'quality', items),
  rounds: (state, { count, word }, { items }) => takeRounds(state, count, word, items),
  sets: (state, { count }) => takeSets(state, count),
  setsReps: (state, span, { rest }) =>
    takeSetsReps(
      state,
      span,
      rest.slice(0, rest.findIndex(({ k }) => k === 'part') === -1 ? undefined : rest.findIndex(({ k }) => k === 'part')).some(({ k }) => k === 'movement'),
    ),
  series: (state, span) => takeSeries(state, span),
  ladder: (state, { rungs }) => takeLadder(state, rungs),
  cap: (state, { seconds }) => {
    state.current.cap = seconds;
    state.current.kind ??= 'forTime';
  },
  rest: (state, span, { rest, items }) => takeRest(state, span, items || rest.some(({ k }) => k === 'clock')),
  figure: (state, span, { rest }) => takeFigure(state, span, rest),
  columns: (state, span) => takeColumns(state, span),
  women: (state, span) => takeWomen(state, span),
  columnsFor: (state, span) => takeColumnsFor(state, span),
  hardEasy: (state, span) => takeHardEasy(state, span),
  steady: (state, span) => takeSteady(state, span),
  window: (state, span) => takeWindow(state, span),
  unit: (state, { unit }) => state.takeUnit(unit),
  max: (state) => void (state.pending = { count: 'max', unit: state.pending?.unit ?? null }),
  movement: (state, { named }) => state.movement(named),
  label: (state, { label }) => void (state.label = label),
  letter: (state, { at }) => (state.current.kind === 'every' || state.current.kind === 'emom' ? void (state.label = at) : void state.begin()),
  head: (state) => void state.begin(),
  team: (state, { size }) => void (state.current.team = size),
  tier: (state, { name }) => (name === null ? undefined : state.beginTier(name)),
  part: (state) => state.endSegment(false),
  after: (state) => state.beginAfter(),
  once: (state, { at }) => state.beginOnce(at),
  plus: (state) => void (state.plus = state.last !== null),
  vest: (state, { text }) => void (state.current.vest = text ?? ''),
  corrects: (state) => void (state.corrects = true),
  all: (state) => void (state.forAll = true),
  bodyweight: (state) => {
    if (state.last) state.last.load = 'bodyweight';
  },
  side: (state) => {
    if (state.last) state.last.side = true;
  },
  sameLoad: (state) => {
    if (state.last) state.last.load ??= state.current.items.at(-2)?.load ?? null;
  },
  word: (state, { text }) => {
    if (!joins.test(text.replace(/[:;.]+$/, ''))) state.words++;
  },
};

/** @param lines spans of each line @param way on which a length without a movement is covered; null: nobody said */
export function assemble(lines: readonly (readonly Span[])[], way: string | null = null): Assembled {
  const state = new Assembly(way);
  const names = (spans: readonly Span[]): boolean => spans.some(({ k }) => k === 'movement');
  lines.forEach((spans, at) => {
    state.line = at;
    const later = lines.slice(at + 1).some(names);
    spans.forEach((span, index) => {
      const rest = spans.slice(index + 1);
      (takers[span.k] as (state: Assembly, span: Span, ahead: Ahead) => void)(state, span, { rest, items: later || names(rest) });
      // what was said before a scheme is no talk about the work after it
      if (schemes.has(span.k)) [state.words, state.once] = [0, null];
      state.previous = span.k === 'part' ? null : span;
    });
    state.endSegment(true);
  });
  return { drafts: state.drafts, left: state.left, guessed: state.guessed };
}
