/** Hard and easy by turns, steady pieces, and windows of a running clock. */
import type { Assembly } from './assembly';
import { newDraft } from './draft';
import type { Named } from './gazetteer';
import type { Span } from './span';

const named = (name: string, id: string): Named => ({ name, id, guessed: false });
const run = named('Run', 'run');
/** What they are done on: what was named last; on foot where nothing was. A name without a count before it was that machine. */
function machineOf(state: Assembly): Named {
  const before = state.current.items.at(-1);
  if (before && before.count === null && before.named?.id === state.engine?.id) state.current.items.pop();
  return state.engine ?? run;
}

export function takeHardEasy(state: Assembly, { hard, easy, times, easyWay }: Extract<Span, { k: 'hardEasy' }>): void {
  const machine = machineOf(state);
  const told = state.current.items.length === 0 ? state.current.rounds : null;
  const draft = state.begin();
  draft.rounds = times ?? told;
  draft.kind = null;
  draft.items.push(
    state.item(machine, { count: String(hard), unit: 's' }),
    state.item(easyWay === 'walk' ? named('Walk', 'walk') : machine, { count: String(easy), unit: 's' }),
  );
  state.begin();
}

export function takeSteady(state: Assembly, { seconds, way }: Extract<Span, { k: 'steady' }>): void {
  const item = state.item(way === 'run' ? run : machineOf(state), { count: String(seconds), unit: 's' });
  state.current.items.push(item);
  state.last = item;
}

/** A part of its own. */
export function takeWindow(state: Assembly, { from, to }: Extract<Span, { k: 'window' }>): void {
  // a window with nothing in it is one as well: it is a rest
  const draft = state.current.window === null ? state.begin() : newDraft();
  if (draft !== state.current) state.drafts.push(draft);
  state.last = null;
  // `15 minutes on the clock` over its windows is their sum
  if (draft.items.length === 0) Object.assign(draft, { kind: null, seconds: null });
  draft.window = { from, to };
}
