/**
 * The feasible ways to fill one slot, cheapest first. Hard limits come first and are never traded (`hard-limits.ts`).
 * Then each movement left gets loads near the wanted feel and counts near the wanted time, in figures a coach would write.
 */
import type { FeasibleLoad } from '../kit/loads';
import { movementOf } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import { constants } from '../simulate/body';
import { demandOf, maxOf, type Demand } from '../simulate/demand';
import { atTempo } from '../simulate/program';
import { boutOf, type Bout } from '../stimulus/bout';
import type { SlotStimulus } from '../stimulus/stimulus';
import type { Category, Count, CountUnit, Slot } from '../workout/workout';
import { singleAlternatives, type Choice } from './choice';
import { isEasierPushUp } from './easier-push-up';
import { roundFigures } from './coach-numbers';
import { statedConversion, type Conversion } from './conversions';
import { meanCount, scaledCounts } from './counts';
import { isHalfOwned, isSkill, nearlyUnbroken } from './half-skill';
import { breaksStyle, hardLimits } from './hard-limits';
import { heightsFor, isWritten, loadOptions } from './load-options';
import { nearMovements, type Near } from './near';
import type { AdaptContext, SlotQuestion } from './question';
import { costOf, preferredWorth } from './slot-cost';
import { isBeyond, mostOfBout } from './volume-caps';

/** What leaving a feasible movement costs on top: few changes are part of a good version. */
const keepWritten = 0.3;
/** What leaving all load costs where some load could still do it: implements come before body mass in the order of the levers. */
const unloadedLast = 0.25;
/** What passing over the coach's own alternative costs: more than any drift can win back. */
const outrankedBy = 5;

const even = (movement: Movement, slot: Slot): boolean => movement.side === 'alternating' && slot.bracket === null && slot.side === null;

/**
 * Every way to fill the slot that breaks no hard limit, cheapest first.
 * @param only restrict to one movement (a coach's question or lock)
 */
export function choicesFor(question: SlotQuestion, context: AdaptContext, only: string | null = null): Choice[] {
  const { slot, stimulus, intent } = question;
  const { rules, athlete, capacity } = context;
  const original = movementOf(slot.movement);
  const coachIds = singleAlternatives(slot);
  const pool: Near[] = only
    ? [{ movement: movementOf(only), hops: nearMovements(slot.movement).find((each) => each.movement.id === only)?.hops ?? 4 }]
    : [
        ...nearMovements(slot.movement),
        ...coachIds
          .filter((each) => !nearMovements(slot.movement).some((near) => near.movement.id === each.movement))
          .map((each) => ({ movement: movementOf(each.movement), hops: 1 })),
      ];
  const wantedSeconds = Math.max(1, stimulus.bout.seconds * question.timeScale);
  const found: Choice[] = [];
  for (const { movement, hops } of pool) {
    if (only === null && breaksStyle(slot.movement, movement, rules)) continue;
    if (only === null && slot.load !== null && slot.load.kind !== 'any' && question.strength && movement.load === null && hops > 3) continue;
    const coachIndex = coachIds.findIndex((each) => each.movement === movement.id);
    const coachSlot = coachIndex >= 0 ? coachIds[coachIndex]! : null;
    const source: Slot = coachSlot && coachSlot.count.kind !== 'matchTime' ? { ...coachSlot, load: coachSlot.load ?? slot.load } : slot;
    const kept = movement.id === slot.movement;
    if (hardLimits(movement, context).length > 0 && only === null) {
      const withHeight = heightsFor(movement, source, context)[0] ?? null;
      if (hardLimits(movement, context, null, withHeight).length > 0) continue;
    }
    const unit: CountUnit = kept || coachSlot?.count.kind === 'fixed' ? source.unit : unitFor(original, movement, slot.unit);
    const conversion: Conversion | null = kept || coachSlot ? null : statedConversion(slot.movement, movement.id, rules, capacity);
    const perSide = conversion ? conversion.perSide : kept ? slot.perSide : coachSlot ? coachSlot.perSide : movement.side === 'perSide';
    const sides = perSide ? 2 : 1;
    const originalSides = slot.perSide ? 2 : 1;
    const written = meanCount(source, question.ladder, athlete.category);
    for (const heightCm of heightsFor(movement, source, context)) {
      if (only === null && hardLimits(movement, context, null, heightCm).length > 0) continue;
      // first at the written count, to learn the load; then the counts that match time at that load
      for (const { load, asWritten } of loadOptions(
        movement,
        { ...question, slot: { ...source, movement: slot.movement } },
        context,
        conversion?.factor ?? 1,
      )) {
        if (load && only === null && hardLimits(movement, context, load, heightCm).length > 0) continue;
        // a load to be built up is judged at half the max, as the reference is
        const loadKg = load ? (load.grams * load.count) / 1000 : asWritten && question.strength ? 0.5 * (maxOf(movement, capacity) ?? 0) : 0;
        const demand = demandOf(movement.id, unit, capacity, loadKg, heightCm, question.vestKg);
        const open = source.count.kind === 'max' || written === null;
        const perRep = boutOf(demand, Math.max(1, stimulus.count), capacity).seconds / Math.max(1, stimulus.count);
        const writtenWhole = open ? 1 : Math.max(0.5, written * sides * (slot.bracket?.times ?? 1));
        const matched = open ? 1 : wantedSeconds / perRep / writtenWhole;
        const most = coachSlot || slot.bracket ? Infinity : mostOfBout(movement, question);
        const factors = slot.bracket
          ? [1]
          : conversion
            ? [conversion.factor]
            : coachSlot?.count.kind === 'fixed'
              ? [1]
              : unit === slot.unit
                ? [
                    originalSides / sides,
                    ...(rules.otherImplement === 'sameReps' && !kept && movement.load && original.load ? [] : [Math.min(3, Math.max(0.34, matched))]),
                  ]
                : [matched];
        for (const asked of factors) {
          const factor = Math.min(asked, most / writtenWhole);
          const addsUp = factor < asked ? `fewer than the time asks, because ${Math.round(question.bouts)} bouts add up` : null;
          for (const { count, mean } of source.count.kind === 'matchTime' || coachSlot?.count.kind === 'matchTime'
            ? scaledCounts({ ...slot, unit }, question.ladder, matched, unit, even(movement, slot), athlete.category, 1)
            : scaledCounts(source, question.ladder, factor, unit, even(movement, slot), athlete.category, 2, conversion !== null)) {
            const whole = mean > 0 ? mean * sides * (slot.bracket?.times ?? 1) : stimulus.count;
            if (isBeyond(whole, most)) continue;
            if (
              !able(
                movement,
                demand.repsToFailure,
                whole / (movement.side === 'perSide' ? 2 : 1),
                context,
                demand.isHold,
                coachSlot ? coachsLeast : modelsLeast,
                kept ? stimulus.count : 0,
              ) &&
              only === null
            )
              continue;
            const bout = boutOf(demand, whole, capacity);
            // too fit for it: under the rule for load, more reps come second as long as there is a heavier load; under the rule for reps, a heavier load does
            const moreReps = rules.tooFit === 'load' && written !== null && mean > 1.1 * written;
            const second =
              kept && load !== null && (moreReps ? hasHeavier(load, context) : rules.tooFit === 'reps' && isHeavier(load, slot, athlete.category))
                ? secondLever
                : 0;
            const halfOwned = isHalfOwned(movement, demand.repsToFailure, whole);
            const practised = halfOwned && rules.halfSkill !== 'swapUnlessNear';
            const own = costOf({
              original,
              movement,
              hops,
              kept,
              halfOwned,
              slot,
              bout,
              question,
              wantedSeconds,
              conversion,
              countChanged: !kept || JSON.stringify(count) !== JSON.stringify(slot.count),
              loadChanged: Boolean(load) && !isWritten(load, slot, athlete.category),
              unbroken: intent.unbroken || slot.hold === 'unbroken',
              heightCm,
              rules,
            });
            // fewer reps come last: an easier form of the movement keeps the set as long (C9, common practice)
            const isFewer =
              written !== null &&
              mean > 0 &&
              !conversion &&
              unit === slot.unit &&
              !(kept && practised) &&
              (kept ? mean < 0.8 * written : movement.family === original.family && mean * sides < 0.65 * written * originalSides);
            const fewer = isFewer ? fewerRepsLast : 0;
            const structural = own.structural + second + fewer;
            const cost = own.cost + second + fewer;
            found.push({
              movement: movement.id,
              unit,
              count,
              perSide,
              load,
              heightCm,
              tempo: null,
              asWritten,
              rule: conversion?.rule ?? null,
              said: addsUp ?? conversion?.said ?? null,
              stated: conversion?.preferred ?? false,
              needless: false,
              coachRank: coachIndex >= 0 ? coachIndex : null,
              bout,
              repsToFailure: demand.repsToFailure,
              share: demand.share,
              cost,
              structural,
            });
            const slow = question.mayTempo && slowed({ movement, slot, unit, bout, stimulus, rules, demand }) ? atTempo(demand, slowTempo) : null;
            if (slow && count.kind === 'fixed') {
              const figure = roundFigures(wantedSeconds / slow.cycleSeconds / sides, unit, { even: even(movement, slot), most: 1 })[0]!;
              const slowBout = boutOf(slow, figure * sides, capacity);
              // another count than the one that was stated is not what the school would do first
              const price = rules.loadGone === 'tempo' ? tempoAsked : tempoPrice + (conversion?.preferred ? preferredWorth : 0);
              found.push({
                ...found[found.length - 1]!,
                count: { kind: 'fixed', men: figure, women: figure, low: null },
                tempo: slowTempo,
                bout: slowBout,
                repsToFailure: slow.repsToFailure,
                rule: rules.loadGone === 'tempo' ? 'loadGone' : (conversion?.rule ?? null),
                said: 'slow tempo, because the load is too light',
                cost: cost + price - feelPrice(bout.setShare, stimulus.bout.setShare) + feelPrice(slowBout.setShare, stimulus.bout.setShare),
                structural: structural + price,
              });
            }
          }
        }
      }
    }
  }
  const surfaces = only === null ? lowestUnbroken(found, meanCount(slot, question.ladder, athlete.category) ?? 0) : null;
  const seen = new Set<string>();
  // what is written and may be done is not swapped for a slightly better figure, nor for the coach's second choice
  const open = only === null && found.some((each) => each.movement === slot.movement);
  // the school's easier push-up, where it keeps the set as long as it was meant and the written one would break (C9, C18), is no needless swap
  const written = meanCount(slot, question.ladder, athlete.category);
  const broken = written !== null && !found.some((each) => each.movement === slot.movement && holdsCount(each, written) && each.bout.setShare <= 1);
  const isEasierForm = (each: Choice): boolean =>
    broken && original.family === 'push-up' && isEasierPushUp(each.movement) && holdsCount(each, written!) && each.bout.setShare <= 1;
  const loadedToo = found.some((each) => each.load !== null && each.load.implement !== 'band');
  const firstRank = Math.min(...found.map((each) => each.coachRank ?? Infinity));
  return found
    .filter(
      (each) => each.movement !== 'raised-push-up' || surfaces === null || (surfaces.heightsCm.includes(each.heightCm!) && holdsCount(each, surfaces.written)),
    )
    .map((each) => {
      if (only !== null || each.movement === slot.movement) return each;
      // the coach's first feasible alternative outranks whatever the model would like better
      const outranked = !open && Number.isFinite(firstRank) && each.coachRank !== firstRank ? outrankedBy : 0;
      // with the written movement at hand no conversion is called for
      const bare = original.load !== null && each.load === null && loadedToo && !each.stated ? unloadedLast : 0;
      // the higher surface only where the lower one clearly breaks in the course of the part
      const higher = each.movement === 'raised-push-up' && surfaces !== null && each.heightCm !== surfaces.heightsCm[0] ? higherSurface : 0;
      const needless = open && !isEasierForm(each);
      const extra = bare + higher + (needless ? keepWritten + (each.stated ? preferredWorth : 0) : open ? 0 : outranked);
      return { ...each, needless, cost: each.cost + extra, structural: each.structural + extra };
    })
    .sort((a, b) => a.cost - b.cost || (a.movement < b.movement ? -1 : a.movement > b.movement ? 1 : 0))
    .filter((choice) => {
      const { movement, count, perSide, load, heightCm, tempo } = choice;
      const key = `${movement} ${countKey(count)} ${perSide} ${load ? `${load.count} ${load.implement} ${load.grams}` : ''} ${heightCm} ${tempo}`;
      return seen.has(key) ? false : (seen.add(key), true);
    });
}

const countKey = (count: Count): string => (count.kind === 'fixed' ? `${count.men}` : JSON.stringify(count));

/** what the other lever costs where the house rule names the first one (C17, common practice: 95 → 115–135 lb) */
const secondLever = 0.5;
const fewerRepsLast = 0.25;
/** what hands higher than the lowest surface that is unbroken when fresh cost */
const higherSurface = 0.12;
const isHeavier = (load: FeasibleLoad, slot: Slot, category: Category): boolean =>
  slot.load?.kind === 'mass' && (load.grams * load.count) / 1000 > 1.05 * slot.load[category] * slot.load.count;
const hasHeavier = (load: FeasibleLoad, context: AdaptContext): boolean =>
  context.loads.some((each) => each.implement === load.implement && each.count === load.count && each.grams > load.grams);

/** three seconds down, one at the bottom, up as fast as possible, one at the top */
const slowTempo = '31X1';
/** what a slow tempo costs where the rules do not ask for it: it changes how a workout feels */
const tempoPrice = 0.12;
/** and what it is worth where they do: more than leaping without the load */
const tempoAsked = -0.6;
/** below this share of the meant effort a load is too light */
const tooLight = 0.6;
const slowFamilies = new Set(['squat', 'push-up', 'press', 'row', 'lunge', 'hinge', 'body row', 'curl']);
const feelPrice = (now: number, meant: number): number => 0.2 * Math.max(0, Math.log(Math.max(0.02, meant) / Math.max(0.02, now)));

/** Whether a slow tempo is worth a try: a lifting movement whose set would be far too easy, and nothing that must be quick. */
function slowed(at: {
  movement: Movement;
  slot: Slot;
  unit: CountUnit;
  bout: Bout;
  stimulus: SlotStimulus;
  rules: AdaptContext['rules'];
  demand: Demand;
}): boolean {
  const { movement, slot, unit, bout, stimulus, rules } = at;
  if (unit !== 'reps' || slot.bracket !== null || slot.tempo !== null || movement.jumps || !slowFamilies.has(movement.family)) return false;
  return bout.setShare < tooLight * stimulus.bout.setShare && (rules.loadGone === 'tempo' || (movementOf(slot.movement).load !== null && bout.setShare < 0.4));
}

/**
 * The lowest surface on which the raised push-up's whole set is still unbroken when fresh (C18, common practice), and the next one up, which may be the lowest
 * that stays so round after round; null where there is none.
 */
function lowestUnbroken(found: readonly Choice[], written: number): { heightsCm: readonly number[]; written: number } | null {
  const unbroken = found.filter(
    (each) => each.movement === 'raised-push-up' && each.heightCm !== null && each.bout.setShare <= 0.95 && holdsCount(each, written),
  );
  const heights = [...new Set(unbroken.map((each) => each.heightCm!))].sort((a, b) => a - b);
  return heights.length === 0 ? null : { heightsCm: heights.slice(0, 2), written };
}
const holdsCount = ({ count }: Choice, written: number): boolean => count.kind !== 'fixed' || count.men >= 0.9 * written;

/** Breathing movements keep metres only for their own kind; a swap takes the unit its movement is counted in. */
function unitFor(original: Movement, movement: Movement, unit: CountUnit): CountUnit {
  if (unit === 's' && movement.unit !== 'm') return 's';
  // jogging and the like instead of metres on a machine or road: by the clock, nobody counts 240 steps
  if (original.limit.by === 'engine' && movement.family === 'run' && movement.limit.by === 'ease') return 's';
  if (unit === 'cal' && movement.limit.by === 'engine' && movement.limit.engine !== 'run') return 'cal';
  if (unit === 's') return 's';
  return movement.unit === 'cal' && original.limit.by !== 'engine' ? 'cal' : movement.unit;
}

/** share of the coach's own count that must be there in one go: an alternative far beyond the athlete is none */
const coachsLeast = 0.25;
/** the same for a movement of the model's, which may cut its count */
const modelsLeast = 0.12;
/**
 * A movement below its first rep is no swap; a half-owned skill is one only under the rule that says so.
 * @param least share of the count that must be there in one go
 * @param meant the set as it was written, 0 for another movement
 */
function able(movement: Movement, reps: number, count: number, context: AdaptContext, isHold: boolean, least: number, meant: number): boolean {
  if (isHold) return reps >= 5;
  const inside = reps * constants.insideShare;
  if (movement.limit.by === 'engine' || movement.limit.by === 'ease') return true;
  if (inside < 1.5) return count <= 1 && reps >= 1;
  const skilled = isSkill(movement);
  const rule = context.rules.halfSkill;
  // a skill is owned or not by the set that was written, not by what could be cut from it
  if (skilled && rule !== 'attempts') return inside >= Math.max(count, meant) * (rule === 'smallSets' ? 0.2 : nearlyUnbroken);
  return inside >= count * least;
}
