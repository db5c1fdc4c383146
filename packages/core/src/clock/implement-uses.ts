/** When a version has each implement in use, from its run: what of it can be shared, and when it is free. */
import type { Run } from '../simulate/walk-program';
import { movementOf } from '../movements/catalogue';
import type { NeedAtom, Needs } from '../movements/needs';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import type { Use } from './share-equipment';

/** One implement of a version, and when it is in use. */
export interface ImplementUses {
  readonly implement: string;
  readonly uses: readonly Use[];
  /** the heaviest load that is made with it; null without any */
  readonly kg: number | null;
}
/** What a slot's load is made with; undefined where it has none. */
export type InHand = (part: number, slot: number) => { readonly implement: string; readonly kg: number } | undefined;
/** What two people could want at once; a wall, stairs or a route have room for both. */
const shared: Readonly<Record<string, string>> = {
  barbell: 'barbell',
  dumbbell: 'dumbbell',
  kettlebell: 'kettlebell',
  sandbag: 'sandbag',
  bar: 'pull-up bar',
  lowBar: 'low bar',
  rings: 'rings',
  dipBar: 'dip bar',
  box: 'box',
  rope: 'rope',
  row: 'rowing machine',
  bike: 'bike',
  airBike: 'air bike',
  ski: 'ski machine',
  bench: 'bench',
  sled: 'sled',
  climbingRope: 'climbing rope',
};
/** s; what is put down for less is not given away */
const shortestBreak = 15;

/** Without choices: of several implements one would do with, the version says which. */
function atomsOf(needs: Needs): NeedAtom[] {
  if (needs.kind === 'atom') return [needs.atom];
  return needs.kind === 'all' ? needs.of.flatMap(atomsOf) : [];
}

/** Uses with short gaps between them are one. */
function joined(uses: readonly Use[]): Use[] {
  const spans: Use[] = [];
  for (const use of [...uses].sort((a, b) => a.startSeconds - b.startSeconds)) {
    const last = spans.at(-1);
    if (last && use.startSeconds - last.endSeconds < shortestBreak)
      spans[spans.length - 1] = { startSeconds: last.startSeconds, endSeconds: Math.max(last.endSeconds, use.endSeconds) };
    else spans.push(use);
  }
  return spans;
}

export function implementUses(workout: Pick<Workout, 'parts'>, run: Run, inHand: InHand): ImplementUses[] {
  const uses = new Map<string, Use[]>();
  const loads = new Map<string, number>();
  for (const { part, slot, start, end } of run.trace) {
    const written = slotsOfPart(workout.parts[part]!)[slot];
    if (!written) continue;
    const chosen = inHand(part, slot);
    const names = new Set([...atomsOf(movementOf(written.movement).needs), ...(chosen ? [chosen.implement] : [])].map((atom) => shared[atom]));
    const loaded = chosen && shared[chosen.implement];
    if (loaded) loads.set(loaded, Math.max(loads.get(loaded) ?? 0, chosen.kg));
    for (const name of names) if (name !== undefined) uses.set(name, [...(uses.get(name) ?? []), { startSeconds: start, endSeconds: end }]);
  }
  return [...uses]
    .map(([implement, of]) => ({ implement, uses: joined(of), kg: loads.get(implement) ?? null }))
    .sort((a, b) => (a.implement < b.implement ? -1 : 1));
}
