/**
 * The last gate: rules of sense that look at every version before it is shown or sent, written apart from the search. What fails goes back and is searched again
 * without it; what cannot be mended is shown with its warning.
 */
import { mainPattern, movementOf } from '../../movements/catalogue';
import type { Movement } from '../../movements/movement';
import { formatWorkout, wordsOf } from '../../notation/format-workout';
import { parseWorkout } from '../../notation/parse-workout';
import { formatClock } from '../../units/duration';
import { compile } from '../../simulate/program';
import { walkProgram } from '../../simulate/walk-program';
import { slotCounts } from '../../stimulus/stimulus';
import { isOpen, itemLists, slotsOfPart } from '../../workout/walk';
import type { Part, Slot, DefinedMovement } from '../../workout/workout';
import type { PartPlan } from '../part/search';
import { isFiller, mostFillerSeconds } from '../slot/count';
import { isHangingPull, mostPulls } from './volume-caps';
import { isNewer, timesThrough, type AdaptContext } from '../slot/question';

export interface Finding {
  readonly code:
    'reps_in_all' | 'reps_a_bout' | 'hold_a_bout' | 'over_max' | 'filler' | 'newer_total' | 'newer_pulls' | 'rounds_lost' | 'over_cap' | 'not_owned' | 'text';
  /** slot of the searched part to blame; null where no other movement would mend it */
  readonly slot: number | null;
  readonly message: string;
}
interface Asked {
  readonly written: Part;
  readonly part: Part;
  readonly plan: PartPlan;
  readonly from: readonly number[];
  readonly context: AdaptContext;
}

/** so many times the written reps, in all (judgement): with a load, without one */
const mostLoaded = 2;
const mostUnloaded = 3;
/** rounding to familiar figures may add so much */
const rounding = 1.08;
/** reps of one bout that nobody is asked (round figures): with a load; without; hops and steps on the spot */
const mostOfBout = { loaded: 60, unloaded: 120, steps: 400, hold: 120 } as const;
/** what a newer athlete's swap may come to, of its group as it was written; where it is converted by a rule of the trade (judgement) */
const newerAllowance = 1.05;
const newerConverted = 1.3;
/** rounds a version keeps at least, of the written ones */
const leastRounds = 0.5;

/** The groups a newer athlete's totals are counted in. */
const groups: readonly (readonly [string, ReadonlySet<string>])[] = [
  ['pulling', new Set(['verticalPull', 'horizontalPull'])],
  ['pushing', new Set(['verticalPush', 'horizontalPush'])],
  ['legs', new Set(['squat', 'lunge', 'jump'])],
  ['hinging', new Set(['hinge', 'groundToOverhead', 'trunkExtension'])],
  ['trunk', new Set(['trunkFlexion', 'trunkRotation', 'trunkBrace'])],
];
const groupOf = (movement: Movement): string | null => groups.find(([, patterns]) => patterns.has(mainPattern(movement)))?.[0] ?? null;

interface Total {
  readonly slot: number;
  readonly written: Slot;
  readonly now: Slot;
  /** in all, both sides, in the unit of each */
  readonly before: number;
  readonly after: number;
  /** in one go, a side's count being a side's, as it was written and as it is */
  readonly meant: number;
  readonly bout: number;
}

/** Reps of each slot over a whole part, with the rounds it comes to. */
function totalsOf(part: Part, rounds: number, context: AdaptContext): Map<number, { total: number; bout: number }> {
  const program = compile({ parts: [part] }, context.capacity, context.place);
  const times = timesThrough(part, itemLists(part).length, rounds);
  return new Map([...slotCounts(program, 0)].map(([slot, { total, bouts }]) => [slot, { total: total * times, bout: total / Math.max(1, bouts) }]));
}

/** Rounds in all of sets that became pieces of fixed length. */
function roundsOf(part: Part, { capacity, place }: AdaptContext): number {
  const { sets } = walkProgram(compile({ parts: [part] }, capacity, place)).parts[0]!;
  return sets.reduce((sum, each) => sum + each, 0);
}

function comparedSlots({ written, part, plan, from, context }: Asked): Total[] {
  // rounds of an AMRAP are compared as the reference does them, whoever gets how far
  const rounds = plan.space.intent.stimulus.score;
  const before = totalsOf(written, rounds, context);
  const after = totalsOf(part, part.kind === 'amrap' && written.kind !== 'amrap' ? roundsOf(part, context) : rounds, context);
  const slots = slotsOfPart(written);
  return slotsOfPart(part).flatMap((now, slot): Total[] => {
    const own = slots[from[slot] ?? slot];
    const [then, mine] = [before.get(from[slot] ?? slot), after.get(slot)];
    const aSide = ({ perSide }: Slot, bout: number): number => (perSide ? bout / 2 : bout);
    return own && then && mine
      ? [{ slot, written: own, now, before: then.total, after: mine.total, meant: aSide(own, then.bout), bout: aSide(now, mine.bout) }]
      : [];
  });
}

const name = (slot: Slot): string => wordsOf(slot.movement);

/** More than twice the written reps with a load, three times without, unless a conversion is stated. */
function inAll({ plan }: Asked, totals: readonly Total[]): Finding[] {
  return totals.flatMap(({ slot, written, now, before, after }): Finding[] => {
    const option = plan.options[slot]!;
    if (
      written.unit !== 'reps' ||
      now.unit !== 'reps' ||
      isOpen(written) ||
      option.rule !== null ||
      option.said !== null ||
      option.coachRank !== null ||
      now.bracket
    )
      return [];
    const most = (now.load ? mostLoaded : mostUnloaded) * before * rounding;
    return after > most
      ? [{ code: 'reps_in_all', slot, message: `${Math.round(after)} ${name(now)} in all, where ${Math.round(before)} ${name(written)} are written.` }]
      : [];
  });
}

function inOneBout(totals: readonly Total[]): Finding[] {
  return totals.flatMap(({ slot, written, now, meant, bout }): Finding[] => {
    if (isOpen(now) || (now.movement === written.movement && JSON.stringify(now.count) === JSON.stringify(written.count))) return [];
    const { family, impact, limit, small } = movementOf(now.movement);
    if (now.unit === 's' && written.unit !== 's' && now.movement !== written.movement && !isFiller(movementOf(now.movement)) && bout > mostOfBout.hold)
      return [{ code: 'hold_a_bout', slot, message: `${Math.round(bout)} s of ${name(now)} in one go.` }];
    // as many as the coach asked for in one go may be asked
    if (now.unit !== 'reps' || (written.unit === 'reps' && bout <= meant)) return [];
    const steps = family === 'rope' || family === 'run' || limit.by === 'ease' || impact === 1 || small;
    const most = now.load ? mostOfBout.loaded : steps ? mostOfBout.steps : mostOfBout.unloaded;
    return bout > most ? [{ code: 'reps_a_bout', slot, message: `${Math.round(bout)} ${name(now)} in one go.` }] : [];
  });
}

/** A load above the max, or so near to it that the count cannot be done. */
function overMax({ plan }: Asked): Finding[] {
  return plan.options.flatMap(({ loadShare, repsToFailure, movement, count }, slot): Finding[] => {
    if (loadShare === null || isOpen({ count } as Slot)) return [];
    return loadShare > 1.001 || repsToFailure < 1
      ? [{ code: 'over_max', slot, message: `${wordsOf(movement)} at ${Math.round(100 * loadShare)} % of the max.` }]
      : [];
  });
}

function filler({ plan }: Asked, totals: readonly Total[]): Finding[] {
  const dull = totals.filter(
    ({ slot, now, written }) =>
      plan.options[slot]!.coachRank === null && now.unit === 's' && isFiller(movementOf(now.movement)) && now.movement !== written.movement && !isOpen(now),
  );
  const seconds = dull.reduce((sum, { after }) => sum + after, 0);
  if (seconds <= mostFillerSeconds * rounding) return [];
  const last = dull[dull.length - 1]!;
  return [{ code: 'filler', slot: dull.length > 1 ? last.slot : null, message: `${formatClock(seconds)} of ${name(last.now)} and the like.` }];
}

/** A newer athlete's swaps do not add up to more than what was written in the same group. */
function newerTotals({ plan, context }: Asked, totals: readonly Total[]): Finding[] {
  if (!isNewer(context.athlete)) return [];
  return groups.flatMap(([group]): Finding[] => {
    const counted = (slot: Slot): boolean => slot.unit === 'reps' && !isOpen(slot) && groupOf(movementOf(slot.movement)) === group;
    const mine = totals.filter(({ now }) => counted(now));
    // a swap inherits the allowance of the slot it stands in
    const allowed = mine.reduce((sum, { slot, before, written, after }) => {
      const option = plan.options[slot]!;
      const stated = option.rule !== null || option.said !== null;
      return sum + (written.unit === 'reps' ? before * (stated ? newerConverted * (after > 1.6 * before ? 2 : 1) : newerAllowance) : Math.max(after, before));
    }, 0);
    const asked = mine.reduce((sum, { after, now }) => sum + (now.perSide && movementOf(now.movement).family === 'row' ? after / 2 : after), 0);
    const worst = mine
      .filter(({ written, now }) => written.movement !== now.movement)
      .reduce<Total | null>((most, each) => (most === null || each.after / each.before > most.after / most.before ? each : most), null);
    return asked > allowed + 1 && worst
      ? [
          {
            code: 'newer_total',
            slot: worst.slot,
            message: `${Math.round(asked)} reps of ${group} for a ${context.athlete.level} athlete, where ${Math.round(allowed)} are written.`,
          },
        ]
      : [];
  });
}

/** Hanging pulls that add up beyond what a newer athlete should do in one piece. */
function pulls({ part, plan, context }: Asked, totals: readonly Total[]): Finding[] {
  const most = mostPulls[context.athlete.level];
  const hanging = totals.filter(({ now }) => now.unit === 'reps' && isHangingPull(movementOf(now.movement)));
  // as far as this athlete gets
  const further = part.kind === 'amrap' && plan.part.kind === 'amrap' ? plan.result.score / Math.max(0.1, plan.space.intent.stimulus.score) : 1;
  const asked = further * hanging.reduce((sum, { after }) => sum + after, 0);
  if (most === null || asked <= most * 1.001) return [];
  return [
    {
      code: 'newer_pulls',
      slot: hanging[0]!.slot,
      message: `${Math.round(asked)} ${name(hanging[0]!.now)} in all for a ${context.athlete.level} athlete; ${most} are enough.`,
    },
  ];
}

/** A version over its own cap, or with most of its rounds gone. */
function whole({ written, part, plan }: Asked): Finding[] {
  const block = (each: Part) => (each.kind === 'forTime' ? each.items.find((item) => item.kind === 'block') : undefined);
  const [before, after] = [block(written), block(part)];
  const lost = before?.kind === 'block' && after?.kind === 'block' && !before.ladder && after.rounds.high < leastRounds * before.rounds.high;
  const cap = part.kind === 'forTime' && !part.capPerSet ? part.capSeconds : null;
  // a cap that the reference does not meet either is the coach's, and is meant to be met by few
  const capped = cap !== null && plan.result.reached !== null && plan.result.score > cap && plan.space.intent.stimulus.score <= cap;
  return [
    ...(lost ? [{ code: 'rounds_lost' as const, slot: null, message: `${after.rounds.high} of ${before.rounds.high} rounds are left.` }] : []),
    ...(capped ? [{ code: 'over_cap' as const, slot: null, message: `It is not done within its own cap of ${formatClock(cap)}.` }] : []),
  ];
}

/** What is in the hands is owned: as many, as heavy. */
function owned({ plan, context }: Asked): Finding[] {
  return plan.options.flatMap(({ load, movement }, slot): Finding[] =>
    load && !context.loads.some((each) => each.implement === load.implement && each.count === load.count && each.grams === load.grams)
      ? [{ code: 'not_owned', slot, message: `${wordsOf(movement)} with a load that is not in ${context.place.name}.` }]
      : [],
  );
}

const definitionsIn = (part: Part): DefinedMovement[] => slotsOfPart(part).flatMap(({ own, movement }) => (own ? [{ own, as: movement }] : []));
const textOf = (part: Part): string => formatWorkout({ title: null, intent: null, notes: [], parts: [part], tiers: [], own: definitionsIn(part) });
const complaints = (diagnostics: ReturnType<typeof parseWorkout>['diagnostics']) =>
  diagnostics.filter(({ level, code }) => level !== 'info' && code !== 'unknown_movement');

/** The version's text reads back to what it was written from, with no warning that the coach's own text does not give. */
function readsBack({ written, part }: Asked): Finding[] {
  const { workout, diagnostics } = parseWorkout(textOf(part));
  const slots = slotsOfPart(part);
  const read = workout.parts[0] ? slotsOfPart(workout.parts[0]) : [];
  const wrong = slots.findIndex((slot, at) => read[at]?.movement !== slot.movement || read[at]?.implement !== slot.implement);
  const found = complaints(diagnostics);
  const before = found.length > 0 ? new Set(complaints(parseWorkout(textOf(written)).diagnostics).map(({ code }) => code)) : new Set();
  const [said] = found.filter(({ code }) => !before.has(code));
  return wrong >= 0 || said
    ? [{ code: 'text', slot: wrong >= 0 ? wrong : null, message: `The text of it reads otherwise${said ? `: ${said.message.replace(/\.$/, '')}` : ''}.` }]
    : [];
}

/** Everything the rules of sense find in a part. @param asked the part as it is to be sent, and the plan it came from */
export function findingsOf(asked: Asked): Finding[] {
  const totals = comparedSlots(asked);
  return [
    ...inAll(asked, totals),
    ...inOneBout(totals),
    ...overMax(asked),
    ...filler(asked, totals),
    ...newerTotals(asked, totals),
    ...pulls(asked, totals),
    ...whole(asked),
    ...owned(asked),
    ...readsBack(asked),
  ];
}
