/** The plan of every part: each searched fresh, and again where the parts before it push it out of its band. */
import { compile } from '../../simulate/program';
import { walkProgram } from '../../simulate/walk-program';
import type { Intent, PartIntent } from '../../stimulus/intent';
import { slotsOfPart } from '../../workout/walk';
import type { Part } from '../../workout/workout';
import { capByRule, sidesByRule } from '../asked/by-rule';
import { findingsOf, type Finding } from '../gate/sense';
import { isNewer, type AdaptContext } from '../slot/question';
import { bandOf, beyondBand } from './band';
import { setsByTheClock } from './by-the-clock';
import { divided, hardSets } from './replaced';
import { searchPart, type PartPlan } from './search';
import { spaceOf, type SlotLock } from './space';

export interface PlannedPart {
  readonly part: Part;
  /** the part the search was asked about: after a replacement, before the options */
  readonly searched: Part;
  /** the number of the written slot each of its slots stands for */
  readonly from: readonly number[];
  readonly plan: PartPlan | null;
  /** what it was searched for: the part's own intent, with a slot for each of `searched` */
  readonly aim: PartIntent;
  /** it is scored in another way than it was written */
  readonly replaced: boolean;
  /** what the last gate still finds, because nothing else is left */
  readonly findings: readonly Finding[];
}

/** A part whose scheme was cut for a newer athlete: it is cut once, and its score may still be what the whole one would have allowed. */
export interface Uncut {
  readonly part: Part;
  readonly intent: PartIntent;
}

/**
 * @param locksOf those of one part, by its index in the intent
 * @param uncutOf the part before the cut for newer athletes; null where there was none
 */
export function planParts(
  intent: Intent,
  context: AdaptContext,
  locksOf: (index: number) => readonly SlotLock[],
  uncutOf: (index: number) => Uncut | null = () => null,
): PlannedPart[] {
  const fresh = intent.base.parts.map((base, index) => planPart(base, intent.parts[index]!, context, locksOf(index), uncutOf(index)));
  return fresh.map((planned, index) => plannedTired(planned, fresh, intent, index, context, locksOf(index), uncutOf(index)));
}

/**
 * The search judges each part fresh. Where the parts before it push a part out of its band, it is searched again for a score as much better as it comes out worse;
 * what the window says stays the coach's.
 */
function plannedTired(
  planned: PlannedPart,
  all: readonly PlannedPart[],
  intent: Intent,
  index: number,
  context: AdaptContext,
  locks: readonly SlotLock[],
  uncut: Uncut | null,
): PlannedPart {
  const own = intent.parts[index]!;
  const { plan } = planned;
  if (index === 0 || !plan?.space.band || plan.evaluated.beyond !== 0 || own.target === null) return planned;
  const { band } = plan.space;
  const scoreOf = (each: PlannedPart): number => {
    const parts = all.map((other, at) => (at === index ? each.part : other.part));
    return walkProgram(compile({ parts }, context.capacity, context.place)).parts[index]!.score;
  };
  const tired = scoreOf(planned);
  if (beyondBand(band, tired) === 0 || !(tired > 0)) return planned;
  const again = planPart(intent.base.parts[index]!, own, context, locks, uncut, plan.result.score / tired);
  return beyondBand(band, scoreOf(again)) === 0 ? again : planned;
}

/** times the gate may send a part back */
const mostReturns = 8;

/** @param fresher how much better than its band a part should come out, because it is done tired */
function planPart(base: Part, own: PartIntent, context: AdaptContext, locks: readonly SlotLock[], uncut: Uncut | null, fresher = 1): PlannedPart {
  const nothing = { part: base, searched: base, from: slotsOfPart(base).map((_, at) => at), plan: null, aim: own, replaced: false, findings: [] };
  if (base.kind === 'rest' || slotsOfPart(base).length === 0) return nothing;
  const hard = hardSets(base, own, context);
  const { part, from } = divided(hard?.part ?? base, own, context, (slot) => hard !== null || locks.some((lock) => lock.slot === slot));
  const aim = withSlots(own, from);
  const band = uncut ? bandOf(uncut.part, uncut.intent, true) : bandOf(part, aim, isNewer(context.athlete));
  const held: SlotLock[] = [
    ...(uncut ? [{ slot: 0, scheme: true as const }] : []),
    ...locks.map((lock) => ({ ...lock, slot: from.indexOf(lock.slot) })),
    ...(hard ? [hard.lock] : []),
  ];
  const asked = { part, intent: aim, context, locks: held, band: band && scaled(band, fresher) };
  let without: readonly { slot: number; movement: string }[] = [];
  for (let returned = 0; ; returned++) {
    const plan = searchPart(spaceOf({ ...asked, without }));
    const clocked = setsByTheClock(plan.part, base, plan.result, own, context);
    const finished = sidesByRule(capByRule(withoutVest(clocked ?? plan.part, context), plan.result, context.rules), part, context.rules);
    const findings = findingsOf({ written: hard?.part ?? base, part: finished, plan, from, context });
    const culprits = findings.flatMap(({ slot }) =>
      slot === null || locks.some((lock) => from.indexOf(lock.slot) === slot) ? [] : [{ slot, movement: plan.options[slot]!.movement }],
    );
    if (culprits.length === 0 || returned === mostReturns)
      return { part: finished, searched: part, from, plan, aim, replaced: hard !== null || clocked !== null, findings };
    without = [...without, ...culprits];
  }
}

const withSlots = (intent: PartIntent, from: readonly number[]): PartIntent => ({
  ...intent,
  boutSeconds: from.map((slot) => intent.boutSeconds[slot] ?? 0),
  setReps: from.map((slot) => intent.setReps[slot] ?? 0),
  stimulus: { ...intent.stimulus, slots: from.map((slot) => intent.stimulus.slots[slot] ?? intent.stimulus.slots[0]!) },
});

function scaled<B extends { readonly low: number | null; readonly high: number | null }>(band: B, factor: number): B {
  return factor === 1 ? band : { ...band, low: band.low === null ? null : band.low * factor, high: band.high === null ? null : band.high * factor };
}

/** A vest that is not owned, or that a newer athlete leaves on its hook (T9, common practice). */
function withoutVest(part: Part, { athlete, place }: AdaptContext): Part {
  return part.vest && (isNewer(athlete) || !place.kit.some((item) => item.kind === 'vest')) ? { ...part, vest: null } : part;
}
