/**
 * The version of one part. The untouched text is tried first, with loads from what is owned; then what is a wall for this athlete gives way; then the fewest edits that
 * bring the score into its band: every single one, and only if none does it every pair. Exhaustive over what is proposed, and deterministic: ties keep the earlier one.
 */
import { movementOf } from '../../movements/catalogue';
import type { Part } from '../../workout/workout';
import { isSkill } from '../slot/half-skill';
import { noLever, type Option, type PartLever } from '../slot/option';
import type { PartResult } from '../../simulate/walk-part';
import { costOf, meet, type Edit, type Tried } from './edit';
import { countEdits, editsOf, replaced, swapEdits, followers } from './edits-of';
import { evaluatePoint, type Evaluated, type Point } from './evaluate';
import type { Space } from './space';

export interface PartPlan {
  readonly part: Part;
  readonly options: readonly Option[];
  readonly lever: PartLever;
  readonly result: PartResult;
  readonly evaluated: Evaluated;
  /** the text as it is, with loads from what is owned */
  readonly untouched: Evaluated;
  /** the same without what is a wall for this athlete */
  readonly passable: Evaluated;
  /** what was changed after the options were chosen */
  readonly edits: readonly Edit[];
  readonly space: Space;
  readonly evaluations: number;
  /** false: a wall or a score out of its band is left, because no edit or pair of edits a coach would make does it */
  readonly met: boolean;
}

/** pairs beyond these are not tried; the nearest singles come first, so what is left out is further away (a limit for time, not for taste) */
const mostPairs = 500;
/** edits that do not do it by themselves are still worth it where they halve the distance (judgement) */
const worthIt = 0.55;

interface Found {
  readonly evaluated: Evaluated;
  readonly edits: readonly Edit[];
}

class Search {
  evaluations = 0;
  constructor(readonly space: Space) {}

  at(point: Point): Evaluated {
    this.evaluations++;
    return evaluatePoint(this.space, point.options, point.lever);
  }

  /** The gentlest set of edits that does it; null where none does. */
  gentlest(tried: readonly { readonly edits: readonly Edit[]; readonly point: Point }[], fits: (evaluated: Evaluated) => boolean): Found | null {
    const ordered = tried.map((each) => ({ ...each, cost: costOf(each.edits, this.space.context.rules) })).sort((a, b) => a.cost - b.cost);
    for (const { edits, point } of ordered) {
      const evaluated = this.at(point);
      if (fits(evaluated)) return { evaluated, edits };
    }
    return null;
  }
}

export function searchPart(space: Space): PartPlan {
  if (space.first.some((option) => option === undefined)) throw new RangeError('searchPart: a slot has no option; the caller asks hasOptions first');
  const search = new Search(space);
  const untouched: Found = { evaluated: search.at({ options: space.first, lever: noLever }), edits: [] };
  const passable = withoutWalls(search, untouched);
  const found = passable.evaluated.beyond === 0 ? passable : intoBand(search, passable, passable.edits.length > 0);
  const { part, options, lever, result } = found.evaluated;
  return {
    part,
    options,
    lever,
    result,
    evaluated: found.evaluated,
    untouched: untouched.evaluated,
    passable: passable.evaluated,
    edits: found.edits,
    space,
    evaluations: search.evaluations,
    met: isMet(found.evaluated),
  };
}
const isMet = ({ walls, beyond }: Evaluated): boolean => walls.length === 0 && beyond === 0;

/** A wall gives way alone: its count in steps of a fifth and more, or the nearest other movement; whatever the window says of the whole. */
function withoutWalls(search: Search, from: Found): Found {
  let found = from;
  for (const slot of from.evaluated.walls) {
    if (search.space.leaders[slot] !== slot) continue;
    const fits = ({ walls }: Evaluated): boolean => !walls.includes(slot);
    const practised = isPractised(search.space, slot);
    const others = practised ? [] : swapEdits(search.space, found.evaluated, slot);
    // a skill that is owned is done less often; nothing that is set to fit is one
    const skill = isSkill(movementOf(search.space.questions[slot]!.slot.movement));
    const setToFit = others.filter(({ edit }) => !skill && edit.kind === 'swap' && (edit.to.rank.school < 0 || movementOf(edit.to.movement).adjusts !== null));
    const fewer = countEdits(search.space, found.evaluated, false, slot);
    // what is written is set to fit where it can be, then cut; what is swapped already keeps its count before it keeps its movement
    const swapped = found.evaluated.options[slot]!.nearness !== 'written';
    const next = (swapped ? [others, fewer] : [setToFit, fewer, others]).reduce<Found | null>(
      (done, tried) => done ?? search.gentlest(asLists(tried), fits),
      null,
    );
    const least = next ?? (practised && fewer.length > 0 ? lastOf(search, fewer) : null);
    if (least) found = { evaluated: least.evaluated, edits: [...found.edits, ...least.edits] };
  }
  return found;
}
/** The furthest of a row of edits, though even it does not do it. */
function lastOf(search: Search, tried: readonly Tried[]): Found {
  const { edit, point } = tried[tried.length - 1]!;
  return { evaluated: search.at(point), edits: [edit] };
}
/** A half-owned skill is practised in small sets, where the house rule says so. */
const isPractised = ({ context, questions }: Space, slot: number): boolean =>
  context.rules.halfSkill === 'smallSets' && isSkill(movementOf(questions[slot]!.slot.movement));
const asLists = (tried: readonly Tried[]): { edits: readonly Edit[]; point: Point }[] => tried.map(({ edit, point }) => ({ edits: [edit], point }));

/** One edit that does it beats two that do it better; where nothing decent does it, the text stays, or what at least halves the way. */
function intoBand(search: Search, from: Found, gaveWay: boolean): Found {
  const { space } = search;
  const harder = from.evaluated.beyond < 0;
  // a slot that gave way is not paid for by the others; without a window somebody fast gets more load, never another text
  const unwindowed = space.band !== null && !space.band.windowed && space.context.rules.tooFit === 'load';
  const loadOnly = harder && (gaveWay || unwindowed);
  const fits = (evaluated: Evaluated): boolean => evaluated.beyond === 0 && evaluated.walls.every((slot) => from.evaluated.walls.includes(slot));
  const singles = editsOf(space, from.evaluated, harder, loadOnly);
  const one = search.gentlest(asLists(singles), fits);
  if (one) return joined(from, one);
  const two = search.gentlest(pairsOf(singles, loadOnly), fits);
  if (two) return joined(from, two);
  return joined(from, nearestOf(search, from, singles, harder));
}
const joined = (from: Found, next: Found): Found => ({ evaluated: next.evaluated, edits: [...from.edits, ...next.edits] });

/** Pairs of edits on different things, the second from where the first leads. */
function pairsOf(singles: readonly Tried[], loadOnly: boolean): { edits: readonly Edit[]; point: Point }[] {
  if (loadOnly) return [];
  const pairs: { edits: readonly Edit[]; point: Point }[] = [];
  for (let first = 0; first < singles.length && pairs.length < mostPairs; first++)
    for (let second = first + 1; second < singles.length && pairs.length < mostPairs; second++) {
      const [a, b] = [singles[first]!, singles[second]!];
      if (!meet(a.edit, b.edit)) pairs.push({ edits: [a.edit, b.edit], point: both(a, b) });
    }
  return pairs;
}

/** Two edits together: the options of each where it changed them, the lever of the one that pulls it. */
function both(a: Tried, b: Tried): Point {
  const changed = 'slots' in b.edit ? b.edit.slots : [];
  const options = replaced(a.point.options, changed, (option, slot) => merged(option, b.point.options[slot]!, b.edit));
  const lever = b.edit.kind === 'rounds' || b.edit.kind === 'scheme' ? b.point.lever : a.point.lever;
  return { options, lever };
}
const merged = (option: Option, other: Option, edit: Edit): Option =>
  edit.kind === 'load'
    ? { ...option, load: other.load, openLoad: other.openLoad, share: other.share, loadShare: other.loadShare, repsToFailure: other.repsToFailure }
    : { ...option, count: other.count, bout: other.bout };

/**
 * Nothing does it. Ability is met by the load, as far as the kit goes: the load that comes nearest. Else the gentlest single edit that takes away half of the
 * distance or more; else the text as it stands.
 */
function nearestOf(search: Search, from: Found, singles: readonly Tried[], harder: boolean): Found {
  const away = Math.abs(from.evaluated.beyond);
  const keepsWalls = ({ walls }: Evaluated): boolean => walls.every((slot) => from.evaluated.walls.includes(slot));
  const half = harder ? null : search.gentlest(asLists(singles), (evaluated) => Math.abs(evaluated.beyond) <= worthIt * away && keepsWalls(evaluated));
  if (half) return half;
  const loads = singles.filter(({ edit }) => edit.kind === 'load').map(({ edit, point }): Found => ({ edits: [edit], evaluated: search.at(point) }));
  const nothing: Found = { evaluated: from.evaluated, edits: [] };
  return loads
    .filter(({ evaluated }) => keepsWalls(evaluated))
    .reduce((best, each) => (Math.abs(each.evaluated.beyond) < Math.abs(best.evaluated.beyond) - 0.01 ? each : best), nothing);
}

/** The part with another option in one slot and all else as it is: what a coach asks when pointing at an alternative. */
export function evaluateOption({ space, options, lever }: PartPlan, slot: number, option: Option): Evaluated {
  return evaluatePoint(
    space,
    replaced(options, followers(space, slot), () => option),
    lever,
  );
}
