/** Clocks, rounds, sets, ladders and rests: which part they are of, and whether they begin another one. */
import type { Assembly } from './assembly';
import { clean, movementIn, newDraft, type Draft, type Item, type Kind } from './draft';
import type { Span } from './span';

export function takeClock(state: Assembly, kind: Kind, figures: Partial<Draft>): void {
  if (kind === 'every' && figures.times === null && state.current.sets !== null && state.current.items.length > 0) {
    Object.assign(state.current, { kind, each: figures.each, times: state.current.sets, sets: null });
    return;
  }
  const alone = state.current.items.length > 0 && state.current.kind === null && state.current.sets === null;
  const draft =
    alone && state.drafts.length === 1 ? state.current : state.current.kind === null && state.current.items.length === 0 ? state.current : state.begin();
  if (draft.kind !== null && draft.items.length === 0 && draft.kind !== 'rest' && draft.kind !== 'forTime') {
    Object.assign(draft, Object.fromEntries(Object.entries(figures).filter(([, value]) => value !== null)));
    return;
  }
  Object.assign(draft, figures, { kind });
  if (state.repeat !== null && kind === 'amrap') draft.sets = state.repeat;
  state.repeat = null;
}

export function takeScheme(state: Assembly, kind: 'forTime' | 'quality', itemsFollow: boolean): void {
  const { current } = state;
  if (current.kind === kind || (current.kind === 'quality' && kind === 'forTime')) return;
  if (current.kind === null) {
    current.kind = kind;
    return;
  }
  if (current.items.length > 0 && itemsFollow) state.begin().kind = kind;
}

export function takeRounds(state: Assembly, count: number, word: 'rounds' | 'times', itemsFollow: boolean): void {
  const { current } = state;
  // how often a clock that runs out goes round is no part of it: `beginners do 3 rounds only`
  if (current.kind === 'amrap' && !itemsFollow) return void state.left.push(`${count} rounds`);
  if (current.kind === 'emom' || current.kind === 'every' || current.kind === 'onOff') {
    // rounds of stations: each once a round
    if (current.kind === 'onOff' && word === 'rounds') current.rounds ??= count;
    else if (current.kind !== 'emom') current.times ??= count;
    if (current.items.length === 0 || !itemsFollow) return;
  }
  if (current.items.length === 0 || (!itemsFollow && current.rounds === null)) {
    current.rounds = count;
    return;
  }
  if (word === 'times' && current.rounds === null && current.kind !== 'amrap') current.rounds = count;
  else state.begin().rounds = count;
}

export function takeSetsReps(state: Assembly, { sets, reps, unit }: Extract<Span, { k: 'setsReps' }>, isNamed: boolean): void {
  // `100 m farmers carry 2x24`: two of 24, of what is held in each hand
  const inHands = movementIn(state.last ?? undefined)?.load ?? null;
  if (sets === 2 && !isNamed && state.last && state.last.count !== null && state.last.load === null && inHands !== null && inHands.implements[0] !== 'barbell')
    return void (state.last.load = `2x${reps}`);
  if (state.last && state.last.count === null) {
    const item = state.last;
    if (state.current.items.length > 1 || state.current.kind !== null) {
      state.current.items.pop();
      state.begin().items.push(item);
      state.last = item;
    }
    state.current.sets = sets;
    item.count = reps;
    item.unit = unit;
    return;
  }
  state.begin();
  state.current.sets = sets;
  // `Work sets: 3 x 5 @ 80%`, under the name of the lift
  if (!isNamed && unit === null && state.lift !== null) {
    const item = state.item(state.lift, { count: reps });
    state.current.items.push(item);
    state.last = item;
  } else state.pending = { count: reps, unit, alone: true };
}

/** Squats with loads of their own sets are back squats (common practice). */
function asBackSquat(item: Item): void {
  if (item.named?.id === 'air-squat') item.named = { name: 'Back squat', id: 'back-squat', guessed: true };
}
/** `3@70 3@75 3@80%`: a set each */
export function takeSeries(state: Assembly, { reps, loads, unit }: Extract<Span, { k: 'series' }>): void {
  const named = state.last ?? state.current.items.at(-1);
  if (!named && state.lift === null) return;
  const item = named ?? state.item(state.lift);
  if (!named) state.current.items.push(item);
  asBackSquat(item);
  if (state.current.items.length > 1) {
    state.current.items.pop();
    state.begin().items.push(item);
  }
  state.current.sets = reps.length;
  if (reps.every((each) => each === reps[0])) item.count = String(reps[0]);
  else state.current.ladder = reps;
  item.load = `${loads.map(clean).join('/')}${unit === '%' ? '%' : ` ${unit ?? 'kg'}`}`;
  state.last = item;
}

export function takeLadder(state: Assembly, rungs: readonly number[]): void {
  const lift = movementIn(state.last ?? undefined);
  if (state.last && state.last.count === null && state.current.kind === null && state.current.items.length === 1 && lift !== null && lift.load !== null) {
    state.current.sets = rungs.length;
    state.current.ladder = rungs;
    return;
  }
  if (state.current.items.length > 0 && state.current.ladder === null && state.current.items.some(({ count }) => count !== null)) state.begin();
  state.current.ladder ??= rungs;
}

export function takeSets(state: Assembly, count: number): void {
  if (state.current.kind === 'every') {
    state.current.times ??= count;
    return;
  }
  if (state.current.items.length > 0) state.begin();
  state.current.sets = count;
}

/** clocks that have no rest between their own rounds: a rest between is one between parts */
const isWhole = ({ kind }: Draft): boolean => kind === 'amrap' || kind === 'onOff';

/** @param goesOn whether more work comes after it */
export function takeRest(state: Assembly, { seconds, high, between }: Extract<Span, { k: 'rest' }>, goesOn: boolean): void {
  const { current } = state;
  if (seconds === null || current.kind === 'emom' || (current.kind === 'every' && state.label !== null)) return takeOpenRest(state);
  if (between && isWhole(current) && state.drafts.length > 1) return restBetweenParts(state, seconds);
  if (between || current.sets !== null) return restOfSets(state, seconds, high);
  if (current.rounds !== null && (current.kind === null || current.kind === 'quality')) {
    if (current.items.length > 0 && current.items.every(({ unit }) => unit === 's')) current.items.push(state.item(null, { restSeconds: seconds }));
    else current.rest ??= seconds;
    return;
  }
  if (current.items.length === 0) return;
  if (!goesOn) {
    current.rest ??= seconds;
    return;
  }
  state.drafts.push({ ...newDraft(), kind: 'rest', seconds }, newDraft());
  state.last = null;
}
/** A minute of rest, or one nobody told the length of. */
function takeOpenRest(state: Assembly): void {
  const { current } = state;
  if (current.kind === 'emom' || current.kind === 'every') current.items.push(state.item(null, { restSeconds: 0 }));
  state.label = null;
}
/** Between all parts of clocks, where they stand one after the other. */
function restBetweenParts(state: Assembly, seconds: number): void {
  const parts = state.drafts.splice(0);
  for (const draft of parts) {
    const before = state.drafts.at(-1);
    if (before && isWhole(before) && isWhole(draft)) state.drafts.push({ ...newDraft(), kind: 'rest', seconds });
    state.drafts.push(draft);
  }
}
/** Of these sets, and of those before that have none. */
function restOfSets(state: Assembly, seconds: number, high: number | null): void {
  const { current } = state;
  for (const draft of state.drafts.filter((each) => each === current || (each.sets !== null && each.rest === null && current.sets !== null))) {
    draft.rest ??= seconds;
    if (high !== null) draft.restHigh ??= high;
  }
}
