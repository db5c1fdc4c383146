/** The plan of every part: each searched fresh, and again where the parts before it push it out of its window. */
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { Intent, PartIntent } from '../stimulus/intent';
import { mapSlots, slotsOfPart } from '../workout/walk';
import type { Part, Slot } from '../workout/workout';
import { insideWindow } from './drift';
import type { AdaptContext } from './question';
import { capByRule, lastResort, setsByTheClock, sidesByRule, withoutLoads } from './reshape';
import { searchPart, type PartPlan } from './search';
import type { SlotLock } from './space';

export interface PlannedPart {
  readonly part: Part;
  /** the part the search was asked about: after a replacement for missing loads, before the choices */
  readonly searched: Part;
  readonly plan: PartPlan | null;
  /** what it was searched for: the part's own intent, or for a part done tired a better score */
  readonly aim: PartIntent;
}

/** @param locksOf those of one part, by its index in the intent */
export function planParts(intent: Intent, context: AdaptContext, locksOf: (index: number) => readonly SlotLock[]): PlannedPart[] {
  const fresh = intent.base.parts.map((base, index) => planPart(base, intent.parts[index]!, context, locksOf(index)));
  return fresh.map((each, index) => plannedTired(each, fresh, intent, index, context, locksOf(index)));
}

/**
 * The search judges each part fresh. Where the parts before it push a part out of its stated window, it is searched again for a score as much better as it
 * comes out worse; what the window says stays the coach's.
 */
function plannedTired(
  part: PlannedPart,
  all: readonly PlannedPart[],
  intent: Intent,
  index: number,
  context: AdaptContext,
  locks: readonly SlotLock[],
): PlannedPart {
  const own = intent.parts[index]!;
  if (index === 0 || !part.plan || own.target === null || insideWindow(own, part.part.kind, part.plan.result.score) !== true) return part;
  const scoreOf = (each: PlannedPart): number => {
    const parts = all.map((other, at) => (at === index ? each.part : other.part));
    return walkProgram(compile({ parts }, context.capacity, context.place)).parts[index]!.score;
  };
  const tired = scoreOf(part);
  if (insideWindow(own, part.part.kind, tired) !== false || !(tired > 0)) return part;
  const share = part.plan.result.score / tired;
  const scaled = (bound: number | null): number | null => (bound === null ? null : bound * share);
  const aim: PartIntent = {
    ...own,
    target: own.target * share,
    window: own.window && { ...own.window, low: scaled(own.window.low), high: scaled(own.window.high) },
  };
  const again = planPart(intent.base.parts[index]!, aim, context, locks);
  return insideWindow(own, again.part.kind, scoreOf(again)) === true ? again : part;
}

/** @param locks of this part only */
function planPart(base: Part, own: PartIntent, context: AdaptContext, locks: readonly SlotLock[]): PlannedPart {
  if (base.kind === 'rest' || slotsOfPart(base).length === 0) return { part: base, searched: base, plan: null, aim: own };
  const replaced = withoutLoads(base, own, context);
  let part = replaced ?? base;
  const taken = new Set<string>();
  const members = new Map<string, Slot | null>();
  const resorts = slotsOfPart(part).map((slot, at) => {
    // right and left of one composite rep stay one movement
    const member = slot.bracket && JSON.stringify([slot.bracket.id, slot.movement]);
    if (member !== null && members.has(member)) return members.get(member)!;
    const resort = lastResort(slot, part, own, at, context, taken);
    taken.add(resort?.movement ?? slot.movement);
    if (member !== null) members.set(member, resort);
    return resort;
  });
  if (resorts.some(Boolean)) {
    let at = 0;
    const replace = (slot: Slot): Slot => resorts[at++] ?? slot;
    part = mapSlots(part, replace);
  }
  const plan = searchPart(part, own, context, locks);
  const clocked = setsByTheClock(plan.part, plan.result, own, context);
  const drift = replaced || clocked ? { ...plan.drift, scoreType: 1, total: 1 - (1 - plan.drift.total) * 0.67 } : plan.drift;
  const filled = clocked ?? plan.part;
  const noVest = filled.vest && !context.place.kit.some((item) => item.kind === 'vest') ? { ...filled, vest: null } : filled;
  return { part: sidesByRule(capByRule(noVest, plan.result, context.rules), part, context.rules), searched: part, plan: { ...plan, drift }, aim: own };
}
