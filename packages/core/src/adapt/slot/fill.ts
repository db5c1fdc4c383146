/**
 * The ways to fill one slot, nearest first: propose movements, admit those that hurt nobody and fit the room, load, count, style, rank.
 * Each step is a room of its own; an option that falls out of one is gone.
 */
import { movementOf } from '../../movements/catalogue';
import { findInHand, implementToSay, nameInHand } from '../../movements/in-hand';
import type { Movement } from '../../movements/movement';
import { findMovement } from '../../movements/names';
import type { Nearness } from '../../movements/stand-ins';
import { constants } from '../../simulate/body';
import { demandOf, maxOf, type Demand } from '../../simulate/demand';
import { atTempo } from '../../simulate/program';
import { boutOf, type Bout } from '../../stimulus/bout';
import { withRack } from '../../limits/bar-without-rack';
import { isOpen } from '../../workout/walk';
import { isAdmitted } from './admit';
import { alike, countFor, isFiller, meanCount, unitFor, weighsAsWritten, type Counted } from './count';
import { isSkill, nearlyUnbroken } from './half-skill';
import { hardLimits } from './hard-limits';
import { heightsFor, wallCm } from './heights';
import { allByLikeness } from './likeness';
import { loadFor, totalKg, type ChosenLoad } from './load';
import type { Option } from './option';
import { propose, type Proposed } from './propose';
import { isNewer, type AdaptContext, type SlotQuestion } from './question';
import { kinOf, ranked, stepOf, type Rank } from './rank';
import { isWished, schoolOf } from './schools';
import { tempoFor } from './style';

/** share of the coach's own count that must be there in one go: an alternative far beyond the athlete is none (round figure) */
const coachsLeast = 0.25;
/** the same for what was written, and for a movement of the model's (round figures) */
const writtenLeast = 0.3;
const modelsLeast = 0.2;
/** beyond this effort against what is meant no lever of the kit repairs it (round figure); what is light keeps its pattern */
const hopelesslyHeavy = 3;

/** Share of the written set that makes a skill one that can be asked, by the school on skills half owned. */
function skillShare({ mustBeTold }: Movement, { halfSkill }: AdaptContext['rules']): number {
  if (halfSkill === 'attempts') return 0;
  return halfSkill === 'smallSets' ? 0.2 : mustBeTold ? nearlyUnbroken : writtenLeast;
}

/** reps of a skill that are a set, whoever breaks it sooner (round figure) */
const skillSet = 10;
/** The reps in one go that the written movement is owned by: a count that the reference breaks too is meant in sets. */
function setOf(whole: number, movement: Movement, { setReps }: SlotQuestion): number {
  if (setReps === 0) return whole;
  return Math.min(whole, isSkill(movement) ? Math.max(skillSet, setReps) : setReps);
}

/** A movement below its first rep is no swap; a half-owned skill is one only under the rule that says so. */
function isAble({ movement, coachRank, nearness }: Proposed, reps: number, whole: number, isHold: boolean, { rules }: AdaptContext): boolean {
  if (isHold) return reps >= 5;
  if (movement.limit.by === 'engine' || movement.limit.by === 'ease' || movement.adjusts === 'angle') return true;
  const inside = reps * constants.insideShare;
  if (inside < 1.5) return whole <= 1 && reps >= 1;
  // a skill is owned or not by the set that was written, not by what could be cut from it
  if (isSkill(movement)) return inside >= whole * skillShare(movement, rules);
  return inside >= whole * (coachRank !== null ? coachsLeast : nearness === 'written' ? writtenLeast : modelsLeast);
}

/** The words of an option read back to it; where they are another movement's name, that movement says it better. */
function readsBack(movement: Movement, implement: Parameters<typeof implementToSay>[1] | null): boolean {
  const say = implement && implementToSay(movement.id, implement);
  if (!say) return true;
  const name = nameInHand(movement.id, say);
  const found = findMovement(name) === null ? findInHand(name) : null;
  return findMovement(name) === movement.id || (found?.id === movement.id && found.implement === say);
}

interface Draft {
  readonly proposed: Proposed;
  readonly chosen: ChosenLoad;
  readonly heightCm: number | null;
  readonly demand: Demand;
  readonly counted: Counted;
}

/** Loads and counts of one movement: one option, or one for each surface it can be set to. */
function drafts(proposed: Proposed, question: SlotQuestion, context: AdaptContext, forced: boolean): Draft[] {
  const { movement, source } = proposed;
  // what the coach decides is loaded as they wrote it; a missing rack is said then
  const where = forced ? { ...context, place: withRack(context.place) } : context;
  const chosen = loadFor(proposed, question, where) ?? (forced ? { load: null, open: false } : null);
  if (!chosen || !readsBack(movement, chosen.load?.implement ?? null)) return [];
  const original = movementOf(question.slot.movement);
  const kept = movement.id === question.slot.movement;
  const unit =
    proposed.coachRank !== null && source.count.kind !== 'matchTime'
      ? source.unit
      : kept
        ? question.slot.unit
        : unitFor(original, movement, question.slot.unit);
  return heightsFor(movement, source, context).flatMap((heightCm) => {
    if (!forced && hardLimits(movement, context, chosen.load, heightCm).length > 0) return [];
    const loadKg = chosen.load ? totalKg(chosen.load) : chosen.open ? 0.5 * (maxOf(movement, context.capacity) ?? 0) : 0;
    const demand = demandOf(movement.id, unit, context.capacity, loadKg, heightCm, question.vestKg);
    return [{ proposed, chosen, heightCm, demand, counted: countFor({ proposed, demand, load: chosen.load, question, context }) }];
  });
}

/** share of the effort meant from which a set is far another one */
const farFrom = alike ** 2;
/** 0 within a third of the effort meant; heavier counts at once, lighter only where a load is to be felt, and more with each halving: of two too light the heavier is nearer. */
function effortBucket(now: number, meant: number, loaded: boolean): number {
  const share = now / Math.max(0.02, meant);
  if (share > alike) return share > farFrom ? 2 : 1;
  return loaded && share < 1 / farFrom ? 1 + Math.floor(Math.log2(1 / farFrom / Math.max(0.001, share))) : 0;
}
/** A set that would be broken more than once where it was not meant to be: an easier stand-in keeps the count. */
const tooHard = {
  /** newer athletes keep their counts with an easier movement */
  newer: { set: 0.9, than: 1.5 },
  /** what has a load has its levers (C15): the count may come down before the movement is left */
  loaded: { set: 2.2, than: 2 },
} as const;
/** What stands for a run goes on for minutes, and may be broken; trained people break a set of their own accord. */
function isTooHard(setShare: number, meant: number, original: Movement, loaded: boolean, { athlete }: AdaptContext): boolean {
  const most = original.limit.by === 'engine' ? null : loaded ? tooHard.loaded : isNewer(athlete) ? tooHard.newer : null;
  return most !== null && setShare > most.set && setShare > most.than * meant;
}

/** A set whose load is not here is no longer the one that was written: another implement comes before it. */
const losesItsLoad = ({ load, open }: ChosenLoad, movement: Movement, { slot }: SlotQuestion): boolean =>
  movement.id === slot.movement && movement.load !== null && slot.load !== null && load === null && !open;

function rankOf({ proposed, chosen, counted, demand }: Draft, question: SlotQuestion, context: AdaptContext, taken: ReadonlySet<string>): Rank {
  const { movement, nearness, coachRank, order } = proposed;
  const original = movementOf(question.slot.movement);
  const meant = question.stimulus.bout.setShare;
  const bout = boutOf(demand, counted.plain, context.capacity);
  const { setShare } = bout;
  // another workout with the same stimulus: the likest bout, whatever the movement
  const another = context.rules.homeVersion === 'another' && nearness !== 'written' && nearness !== 'likeness';
  const loaded = movement.load !== null && original.load !== null;
  const kept = nearness === 'written' && !losesItsLoad(chosen, movement, question);
  const standing: Nearness = another ? 'position' : nearness === 'written' && !kept ? 'range' : nearness;
  // fewer of what is near are nearer than as many of something else
  const leavesTheMuscles = nearness === 'muscles' || nearness === 'likeness';
  return {
    wish: isWished(movement, original, context.athlete) ? -1 : 0,
    coach: kept ? -1 : (coachRank ?? question.slot.alternatives.length),
    leaves: leavesPattern(original, movement, question) ? 1 : 0,
    // what stands for a run goes on for minutes and is broken: it is long, not heavy
    beyondRepair:
      ((loaded || original.limit.by !== 'engine') && setShare > hopelesslyHeavy * Math.max(1, meant)) ||
      (!kept && isNoStrength({ proposed, chosen, counted, demand }, question, context))
        ? 1
        : 0,
    kin: kinOf(standing),
    // as many as possible are as many as there are
    tooHard: kept
      ? 0
      : leavesTheMuscles
        ? 2
        : !isOpen(question.slot) && movement.adjusts === null && isTooHard(setShare, meant, original, loaded, context)
          ? 1
          : 0,
    school: schoolOf(movement.id, original, counted.rule, context.rules),
    step: stepOf(standing),
    short: counted.unit !== question.slot.unit && !isOpen(question.slot) && bout.seconds < shortShare * question.stimulus.bout.seconds ? 1 : 0,
    filler: isFiller(movement) && !isFiller(original) ? (movement.impact > 0 || movement.lastResort ? 2 : 1) : 0,
    taken: !kept && taken.has(movement.id) ? 1 : 0,
    implement: loaded && !isHeldAlike(movement, chosen, original) ? 1 : 0,
    recounted: !kept && coachRank === null && counted.rule === null && isRecounted(counted, question, context) ? 1 : 0,
    effort: kept ? 0 : effortBucket(setShare, meant, loaded),
    order: another ? unlike(bout, question) : order,
  };
}

/** share of the effort meant below which no count and no tempo makes a strength set of it (round figure) */
const hopelesslyLight = 0.5;
/** A strength set that would end with most of its reps left is none, however near the movement. */
function isNoStrength(
  { proposed, chosen, counted, demand }: Pick<Draft, 'proposed' | 'chosen' | 'counted' | 'demand'>,
  question: SlotQuestion,
  context: AdaptContext,
): boolean {
  const { strength, stimulus, slot } = question;
  if (!strength || counted.unit !== 'reps' || slot.load === null || slot.bracket !== null) return false;
  if (weighsAsWritten({ proposed, load: chosen.load, question, context })) return false;
  return boutOf(demand, counted.whole, context.capacity).setShare < hopelesslyLight * stimulus.bout.setShare;
}

/** share of the time meant below which a stand-in by the clock is another thing (round figure) */
const shortShare = 0.6;
/** sides aside: so many each side, or half of them (round figures, an odd rep to either side) */
const sidesOnly = { perSide: [1, 0.5], both: [1, 1.5, 2], same: [1] } as const;
const oddRep = 0.1;
/** The written reps had to come down for it; in a strength set, where reps are the work, be moved at all. */
function isRecounted(
  { count, unit, perSide, whole, plain }: Counted,
  { slot, ladder, strength }: SlotQuestion,
  { athlete: { category } }: AdaptContext,
): boolean {
  const [now, then] = [meanCount({ ...slot, count }, ladder, category), meanCount(slot, ladder, category)];
  if (now === null || then === null || unit !== slot.unit || unit !== 'reps') return false;
  if (!strength) return whole < plain;
  const kept = sidesOnly[perSide === slot.perSide ? 'same' : perSide ? 'perSide' : 'both'];
  return !kept.some((share) => Math.abs(now / then - share) < (share === 1 ? 1e-9 : oddRep));
}

/** How far a bout is from the one meant, in time and effort, in tenths of a logarithm. */
function unlike({ seconds, setShare }: Bout, { stimulus }: SlotQuestion): number {
  const away = (now: number, meant: number): number => Math.abs(Math.log(Math.max(0.02, now) / Math.max(0.02, meant)));
  return Math.round(10 * (away(seconds, stimulus.bout.seconds) + away(setShare, stimulus.bout.setShare)));
}

/** A bar for a bar, bells for bells, one side at a time where the trade does it so: what the coach had in mind is taken first where several are as near. */
function isHeldAlike({ load, side }: Movement, chosen: ChosenLoad, original: Movement): boolean {
  const held = chosen.load?.implement ?? load!.implements[0];
  return (held === 'barbell') === (original.load!.implements[0] === 'barbell') && (side !== 'both' || original.side !== 'perSide');
}

function leavesPattern(original: Movement, movement: Movement, { intent }: SlotQuestion): boolean {
  const share = (each: Movement): number => intent.mustStay.reduce((sum, pattern) => sum + (each.patterns[pattern] ?? 0), 0);
  return share(original) >= 0.4 && share(movement) < 0.4;
}

function optionOf(draft: Draft, question: SlotQuestion, context: AdaptContext, taken: ReadonlySet<string>): Option {
  const { proposed, chosen, heightCm, counted } = draft;
  const { movement } = proposed;
  const first = boutOf(draft.demand, counted.whole, context.capacity);
  const tempo = tempoFor(movement, counted.unit, first.setShare, question, context);
  const demand = tempo ? atTempo(draft.demand, tempo) : draft.demand;
  const bout = tempo ? boutOf(demand, counted.whole, context.capacity) : first;
  const max = maxOf(movement, context.capacity);
  return {
    movement: movement.id,
    nearness: proposed.nearness,
    unit: counted.unit,
    count: counted.count,
    perSide: counted.perSide,
    load: chosen.load,
    openLoad: chosen.open,
    heightCm,
    tempo,
    words: null,
    rule: counted.rule ?? (tempo && context.rules.loadGone === 'tempo' ? 'loadGone' : null),
    said: counted.said,
    coachRank: proposed.coachRank,
    bout,
    repsToFailure: demand.repsToFailure,
    share: demand.share,
    loadShare: chosen.load && max ? totalKg(chosen.load) / max : null,
    rank: rankOf(draft, question, context, taken),
  };
}

/** hands on a wall only where every edge would break the set so often (round figure) */
const wallOnlyFrom = 2;
/** Of several surfaces the lowest on which the set is still unbroken when fresh (C18, common practice), a wall last; none is: the highest. */
function lowestUnbroken(options: readonly Option[]): Option[] {
  const edges = options.filter(({ heightCm }) => heightCm !== wallCm);
  const highest = edges[edges.length - 1];
  if (!highest || highest.bout.setShare > wallOnlyFrom) return options.slice(-1);
  return [edges.find(({ bout }) => bout.setShare <= 0.95) ?? highest];
}

function optionsOf(proposed: Proposed, question: SlotQuestion, context: AdaptContext, taken: ReadonlySet<string>, forced: boolean): Option[] {
  const { movement } = proposed;
  const made = drafts(proposed, question, context, forced).flatMap((draft) => {
    const { demand, counted } = draft;
    const whole = counted.whole / (counted.perSide ? 2 : 1);
    const written = Math.max(whole, question.stimulus.count);
    const set = movement.id === question.slot.movement ? setOf(written, movement, question) : whole;
    return forced || isAble(proposed, demand.repsToFailure, set, demand.isHold, context) ? [optionOf(draft, question, context, taken)] : [];
  });
  return movement.adjusts === 'height' && made.length > 1 ? lowestUnbroken(made) : made;
}

/**
 * Every way to fill the slot that breaks no hard limit, nearest first.
 * @param only restrict to one movement (a coach's question or lock): it is answered whatever it breaks
 * @param taken movements that other slots of the part do already
 */
export function optionsFor(question: SlotQuestion, context: AdaptContext, only: string | null = null, taken: ReadonlySet<string> = new Set()): Option[] {
  const made = (list: readonly Proposed[], forced: boolean): Option[] => list.flatMap((proposed) => optionsOf(proposed, question, context, taken, forced));
  if (only !== null) return ranked(made(propose(question.slot, only), true));
  const near = ranked(
    made(
      propose(question.slot, null).filter((each) => isAdmitted(each, question, context)),
      false,
    ),
  );
  return near.length > 0 ? near : ranked(made(farOnes(question, context), false)).slice(0, 5);
}

/** Nothing near can be done: of all there is, what is likest, without a load that was not written. */
function farOnes(question: SlotQuestion, context: AdaptContext): Proposed[] {
  return allByLikeness(question.slot.movement)
    .map(({ movement, nearness, order }): Proposed => ({ movement, nearness, order, coachRank: null, source: question.slot }))
    .filter((each) => (each.movement.load === null || each.movement.load.optional) && isAdmitted(each, question, context));
}
