/**
 * The feasible ways to fill one slot, cheapest first. Hard limits come first and are never traded: kit, floor, ceiling, noise, avoid-list, range, skill, loads.
 * Then each movement left gets loads near the wanted feel and counts near the wanted time, in figures a coach would write.
 */
import type { Athlete } from '../athlete/athlete';
import type { Capacity } from '../capacity/capacity';
import { shareAtReps } from '../capacity/strength-laws';
import { obstacles, type Obstacle } from '../kit/feasible';
import type { Place } from '../kit/kit';
import { loadsFor, type FeasibleLoad } from '../kit/loads';
import { mainPattern, movementOf, movements } from '../movements/catalogue';
import { muscles, patterns, type Movement } from '../movements/movement';
import type { HouseRules } from '../rules/house-rules';
import { constants } from '../simulate/body';
import { demandOf, maxOf } from '../simulate/demand';
import { boutOf } from '../stimulus/bout';
import type { PartIntent } from '../stimulus/intent';
import type { SlotStimulus } from '../stimulus/stimulus';
import type { Count, CountUnit, Slot } from '../workout/workout';
import type { Choice } from './choice';
import { roundFigures, scaleLadder } from './coach-numbers';
import { statedConversion, type Conversion } from './conversions';

export interface AdaptContext {
  readonly athlete: Athlete;
  readonly capacity: Capacity;
  readonly place: Place;
  readonly rules: HouseRules;
  readonly loads: readonly FeasibleLoad[];
}
export interface SlotQuestion {
  readonly slot: Slot;
  readonly stimulus: SlotStimulus;
  readonly intent: PartIntent;
  /** wanted seconds of a bout ÷ the reference athlete's */
  readonly timeScale: number;
  /** mean of the block ladder, where the slot follows one */
  readonly ladder: readonly number[] | null;
  readonly vestKg: number;
  readonly strength: boolean;
}

/** What leaving a feasible movement costs on top: few changes are part of a good version. */
const keepWritten = 0.2;
/** What passing over the coach's own alternative costs: more than any drift can win back. */
const outrankedBy = 5;

/** Skill an athlete of this level may be given, unless a known max or best set says otherwise. */
const skillAllowed = { new: 1, newer: 1, trained: 3, competitive: 3 } as const;

/** How alike two movements are, 0…1 each: patterns shared, and the angle between the muscles they tire. */
export function similarity(a: Movement, b: Movement): { pattern: number; muscle: number } {
  const pattern = patterns.reduce((sum, each) => sum + Math.min(a.patterns[each] ?? 0, b.patterns[each] ?? 0), 0);
  let dot = 0;
  let first = 0;
  let second = 0;
  for (const muscle of muscles) {
    const x = a.muscles[muscle] ?? 0;
    const y = b.muscles[muscle] ?? 0;
    dot += x * y;
    first += x * x;
    second += y * y;
  }
  return { pattern, muscle: dot / Math.sqrt(Math.max(1e-9, first * second)) };
}

/** Breathing work stands in for breathing work: running, rope, machines and their quiet cousins count as near. */
const engineLike = new Set(['run', 'rope', 'machine']);
const nearPattern = (a: Movement, b: Movement): number => {
  const { pattern } = similarity(a, b);
  return engineLike.has(mainPattern(a)) && engineLike.has(mainPattern(b)) ? Math.max(pattern, 0.7) : pattern;
};

interface Near {
  readonly movement: Movement;
  /** steps along the curated easier/harder chains; 4 for a movement found by likeness alone */
  readonly hops: number;
}

const nearCache = new Map<string, readonly Near[]>();
/** Movements that could stand in, curated neighbours first. Depends on the catalogue alone, so it is kept. */
export function nearMovements(id: string): readonly Near[] {
  const known = nearCache.get(id);
  if (known) return known;
  const origin = movementOf(id);
  const hops = new Map<string, number>([[id, 0]]);
  let edge = [id];
  for (let step = 1; step <= 3; step++) {
    const next: string[] = [];
    for (const each of edge)
      for (const neighbour of [...movementOf(each).easier, ...(step === 1 ? movementOf(each).harder : [])])
        if (!hops.has(neighbour)) {
          hops.set(neighbour, step);
          next.push(neighbour);
        }
    edge = next;
  }
  const alike = movements
    .filter((each) => !hops.has(each.id) && !each.prepareOnly && each.anyOf === null)
    .map((each) => ({ movement: each, likeness: nearPattern(origin, each) + 0.4 * similarity(origin, each).muscle }))
    .filter((each) => each.likeness > 0.55 || origin.anyOf !== null)
    .sort((a, b) => b.likeness - a.likeness || (a.movement.id < b.movement.id ? -1 : 1))
    .slice(0, 28);
  const near = [
    ...[...hops.entries()].map(([each, count]) => ({ movement: movementOf(each), hops: count })),
    ...alike.map(({ movement }) => ({ movement, hops: 4 })),
  ].filter((each) => each.movement.anyOf === null && !each.movement.prepareOnly);
  nearCache.set(id, near);
  return near;
}

/** `strict` was written: no kip, and not the free style of the same movement. */
const freeStyle = new Set([
  'pull-up',
  'toes-to-bar',
  'handstand-push-up',
  'chest-to-bar-pull-up',
  'jumping-pull-up',
  'bar-muscle-up',
  'ring-muscle-up',
  'burpee-pull-up',
]);
function breaksStyle(original: string, candidate: Movement, rules: HouseRules): boolean {
  // the bare name is any style already
  if (candidate.id === `kipping-${original}`) return true;
  return original.startsWith('strict-') && rules.strictMissing === 'staysStrict' && (candidate.id.includes('kipping') || freeStyle.has(candidate.id));
}

/** All hard limits of one movement for one athlete in one place. Empty when it may be done. */
export function hardLimits(movement: Movement, context: AdaptContext, load: FeasibleLoad | null = null, heightCm: number | null = null): Obstacle[] {
  const found = obstacles(movement, context.athlete, context.place, load, heightCm);
  const knows = (context.athlete.maxes[movement.id]?.kg ?? 0) > 0 || (context.athlete.bestSets[movement.id] ?? 0) >= 1;
  if (movement.skill > skillAllowed[context.athlete.level] && !knows) found.push({ code: 'skill', skill: movement.skill });
  return found;
}

const meanCount = (slot: Slot, ladder: readonly number[] | null, category: Athlete['category']): number | null => {
  switch (slot.count.kind) {
    case 'fixed':
      return slot.count[category];
    case 'rung':
      return ladder ? ladder.reduce((sum, rung) => sum + rung, 0) / ladder.length : 10;
    case 'ladder':
      return slot.count.rungs.reduce((sum, rung) => sum + rung, 0) / slot.count.rungs.length;
    case 'growing':
      return slot.count.start + slot.count.step * 2;
    case 'max':
    case 'matchTime':
      return null;
  }
};

/** Counts at `factor` times the written one, as the same kind of count. */
function scaledCounts(
  slot: Slot,
  ladder: readonly number[] | null,
  factor: number,
  unit: CountUnit,
  even: boolean,
  category: Athlete['category'],
  most: number,
  exact = false,
): { count: Count; mean: number }[] {
  const { count } = slot;
  if (count.kind === 'max') return [{ count, mean: 0 }];
  const asLadder = (rungs: readonly number[]): { count: Count; mean: number }[] => {
    const scaled =
      unit === slot.unit && factor === 1
        ? [...rungs]
        : exact
          ? rungs.map((rung) => Math.max(1, Math.round(rung * factor)))
          : unit === 'reps'
            ? scaleLadder(rungs, factor, even)
            : rungs.map((rung) => roundFigures(rung * factor, unit, { even, most: 1 })[0]!);
    const same = scaled.every((rung, index) => rung === rungs[index]);
    return [
      { count: count.kind === 'rung' && same ? count : { kind: 'ladder', rungs: scaled }, mean: scaled.reduce((sum, rung) => sum + rung, 0) / scaled.length },
    ];
  };
  if (count.kind === 'rung' && ladder) return asLadder(ladder);
  if (count.kind === 'ladder') return asLadder(count.rungs);
  if (count.kind === 'growing') {
    const start = Math.max(1, Math.round(count.start * factor)) * (even && Math.round(count.start * factor) % 2 ? 2 : 1);
    const step = Math.max(1, Math.round(count.step * factor)) * (even && Math.round(count.step * factor) % 2 ? 2 : 1);
    return [{ count: factor === 1 ? count : { kind: 'growing', start, step }, mean: start + 2 * step }];
  }
  const written = meanCount(slot, ladder, category) ?? 10;
  if (exact) {
    const stated = Math.max(1, Math.round(written * factor));
    return [{ count: { kind: 'fixed', men: stated, women: stated, low: null }, mean: stated }];
  }
  if (factor === 1 && unit === slot.unit && (!even || written % 2 === 0))
    return [{ count: { kind: 'fixed', men: written, women: written, low: null }, mean: written }];
  return roundFigures(written * factor, unit, { even, most, ...(unit === slot.unit ? { kept: written } : {}) }).map((figure) => ({
    count: { kind: 'fixed', men: figure, women: figure, low: null },
    mean: figure,
  }));
}

/** Surfaces of a kit by height, for raised push-ups and steps. */
function heightsFor(movement: Movement, slot: Slot, context: AdaptContext): (number | null)[] {
  const { kit } = context.place;
  const written = slot.heightCm?.[context.athlete.category] ?? null;
  const of = (...kinds: string[]): number[] =>
    [...new Set(kit.flatMap((item) => ('heightCm' in item && kinds.includes(item.kind) ? [item.heightCm] : [])))].sort((a, b) => a - b);
  if (movement.id === 'raised-push-up') {
    const surfaces = of('box', 'chair', 'table', 'couch', 'bench').concat(
      kit.some((item) => item.kind === 'stairs') ? [18, 36, 54] : [],
      kit.some((item) => item.kind === 'wall') ? [110] : [],
    );
    return surfaces.length > 0 ? [...new Set(surfaces)].sort((a, b) => a - b) : [null];
  }
  if (movement.id === 'low-step-up') {
    const low = of('box').filter((height) => height <= 40);
    return [...low, ...(kit.some((item) => item.kind === 'stairs') ? [of('stairs')[0] ?? 18] : [])].slice(0, 1).map((height) => Math.min(40, height));
  }
  if (movement.family === 'box' || movement.family === 'step') {
    const boxes = of('box', ...(movement.family === 'step' ? ['bench'] : []));
    if (boxes.length === 0) return kit.some((item) => item.kind === 'stairs') && movement.family === 'step' ? [36] : [null];
    const wanted = written ?? 50;
    return [boxes.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best))];
  }
  return [movement.id === slot.movement ? written : null];
}

const gramsOfWritten = (slot: Slot, category: Athlete['category']): { grams: number; count: 1 | 2 } | null =>
  slot.load?.kind === 'mass' ? { grams: Math.round(slot.load[category] * 1000), count: slot.load.count } : null;

/** Loads worth trying: the written one where owned, and those nearest to the wanted feel. */
function loadOptions(
  movement: Movement,
  question: SlotQuestion,
  context: AdaptContext,
  countFactor: number,
): { load: FeasibleLoad | null; asWritten: boolean }[] {
  if (!movement.load) return [{ load: null, asWritten: false }];
  const { slot, stimulus } = question;
  const all = movement.load.implements.flatMap((kind) => loadsFor(context.loads, [kind], movement.load!.count));
  const written = movement.id === slot.movement ? gramsOfWritten(slot, context.athlete.category) : null;
  const owned = written ? all.find((load) => Math.abs(load.grams - written.grams) <= 60 && load.count === written.count) : undefined;
  const bare = movement.load.optional ? [{ load: null, asWritten: false }] : [];
  if (movement.load.optional && slot.load === null && movement.id === slot.movement) return [{ load: null, asWritten: true }];
  if (all.length === 0) return bare;
  if (question.strength && slot.load === null && movement.id === slot.movement) return [{ load: null, asWritten: true }];
  const max = maxOf(movement, context.capacity);
  const feel = context.rules.loadChoice === 'heaviest' ? 0.75 : context.rules.loadChoice === 'light' ? 1.35 : 1;
  const wantedReps = question.strength ? stimulus.repsToFailure : Math.max(2, stimulus.repsToFailure * countFactor * feel);
  const bodyShare = movement.limit.by === 'lift' ? movement.limit.bodyShare * context.athlete.bodyMassKg : 0;
  const share = slot.load?.kind === 'share' && question.strength ? slot.load[context.athlete.category] : shareAtReps(wantedReps);
  const wantedKg = max === null ? (written ? (written.grams / 1000) * written.count : 10) : Math.max(0.5, share * (max + bodyShare) - bodyShare);
  const distance = (load: FeasibleLoad): number => Math.abs(Math.log((load.grams * load.count) / 1000 / wantedKg));
  const nearest = [...all].sort((a, b) => distance(a) - distance(b)).slice(0, 3);
  const options = nearest.map((load) => ({ load, asWritten: false }));
  return [...(owned ? [{ load: owned, asWritten: false }] : []), ...options.filter((each) => each.load !== owned), ...bare];
}

const even = (movement: Movement, slot: Slot): boolean => movement.side === 'alternating' && slot.bracket === null && slot.side === null;

/**
 * Every way to fill the slot that breaks no hard limit, cheapest first.
 * @param only restrict to one movement (a coach's question or lock)
 */
export function choicesFor(question: SlotQuestion, context: AdaptContext, only: string | null = null): Choice[] {
  const { slot, stimulus, intent } = question;
  const { rules, athlete, capacity } = context;
  const original = movementOf(slot.movement);
  const coachIds = slot.alternatives.flatMap((option) => (option.length === 1 ? [option[0]!] : []));
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
        const matched = open ? 1 : wantedSeconds / perRep / Math.max(0.5, written * sides * (slot.bracket?.times ?? 1));
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
        for (const factor of factors)
          for (const { count, mean } of source.count.kind === 'matchTime' || coachSlot?.count.kind === 'matchTime'
            ? scaledCounts({ ...slot, unit }, question.ladder, matched, unit, even(movement, slot), athlete.category, 1)
            : scaledCounts(source, question.ladder, factor, unit, even(movement, slot), athlete.category, 2, conversion !== null)) {
            const whole = mean > 0 ? mean * sides * (slot.bracket?.times ?? 1) : stimulus.count;
            const bout = boutOf(demand, whole, capacity);
            if (!able(movement, demand.repsToFailure, whole / (movement.side === 'perSide' ? 2 : 1), context, demand.isHold) && only === null) continue;
            const { structural, cost } = costOf({
              original,
              movement,
              hops,
              kept,
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
              said: conversion?.said ?? null,
              coachRank: coachIndex >= 0 ? coachIndex : null,
              bout,
              repsToFailure: demand.repsToFailure,
              share: demand.share,
              cost,
              structural,
            });
          }
      }
    }
  }
  const seen = new Set<string>();
  // what is written and may be done is not swapped for a slightly better figure, nor for the coach's second choice
  const open = only === null && found.some((each) => each.movement === slot.movement);
  const firstRank = Math.min(...found.map((each) => each.coachRank ?? Infinity));
  return found
    .map((each) => {
      if (only !== null || each.movement === slot.movement) return each;
      // the coach's first feasible alternative outranks whatever the model would like better
      const outranked = !open && Number.isFinite(firstRank) && each.coachRank !== firstRank ? outrankedBy : 0;
      const extra = open ? keepWritten : outranked;
      return { ...each, cost: each.cost + extra, structural: each.structural + extra };
    })
    .sort((a, b) => a.cost - b.cost || (a.movement < b.movement ? -1 : a.movement > b.movement ? 1 : 0))
    .filter((choice) => {
      const key = JSON.stringify([
        choice.movement,
        choice.count,
        choice.perSide,
        choice.load?.implement,
        choice.load?.grams,
        choice.load?.count,
        choice.heightCm,
      ]);
      return seen.has(key) ? false : (seen.add(key), true);
    });
}

const isWritten = (load: FeasibleLoad | null, slot: Slot, category: Athlete['category']): boolean => {
  const written = gramsOfWritten(slot, category);
  return load !== null && written !== null && Math.abs(load.grams - written.grams) <= 60 && load.count === written.count;
};

/** Breathing movements keep metres only for their own kind; a swap takes the unit its movement is counted in. */
function unitFor(original: Movement, movement: Movement, unit: CountUnit): CountUnit {
  if (unit === 's' && movement.unit !== 'm') return 's';
  // jogging and the like instead of metres on a machine or road: by the clock, nobody counts 240 steps
  if (original.limit.by === 'engine' && movement.family === 'run' && movement.limit.by === 'ease') return 's';
  if (unit === 'cal' && movement.limit.by === 'engine' && movement.limit.engine !== 'run') return 'cal';
  if (unit === 's') return 's';
  return movement.unit === 'cal' && original.limit.by !== 'engine' ? 'cal' : movement.unit;
}

/** A movement below its first rep is no swap; a half-owned skill is one only under the rule that says so. */
function able(movement: Movement, reps: number, count: number, context: AdaptContext, isHold: boolean): boolean {
  if (isHold) return reps >= 5;
  const inside = reps * constants.insideShare;
  if (movement.limit.by === 'engine' || movement.limit.by === 'ease') return true;
  if (inside < 1.5) return count <= 1 && reps >= 1;
  const skilled = movement.skill >= 2 && movement.limit.by === 'set';
  const rule = context.rules.halfSkill;
  if (skilled && rule !== 'attempts') return inside >= count * (rule === 'smallSets' ? 0.2 : 0.6);
  return inside >= count * 0.12;
}

interface CostInput {
  readonly original: Movement;
  readonly movement: Movement;
  readonly hops: number;
  readonly kept: boolean;
  readonly slot: Slot;
  readonly bout: { seconds: number; setShare: number; joulesPerKg: number };
  readonly question: SlotQuestion;
  readonly wantedSeconds: number;
  readonly conversion: Conversion | null;
  readonly countChanged: boolean;
  readonly loadChanged: boolean;
  readonly unbroken: boolean;
  readonly heightCm: number | null;
  readonly rules: HouseRules;
}

function costOf(input: CostInput): { structural: number; cost: number } {
  const { original, movement, hops, kept, bout, question, wantedSeconds } = input;
  const { stimulus } = question;
  const { muscle } = similarity(original, movement);
  const heavier = Math.log(Math.max(0.02, bout.setShare) / Math.max(0.02, stimulus.bout.setShare));
  const broken = input.unbroken && input.slot.hold !== 'mayBreak' ? 0.8 * Math.max(0, bout.setShare - 0.95) : 0;
  const shorter =
    original.rise.body > 0 && movement.limit.by !== 'engine'
      ? 0.4 * Math.max(0, 0.8 - movement.rise.body / original.rise.body) * (nearPattern(original, movement) > 0.5 ? 1 : 0)
      : 0;
  const structural =
    (kept ? 0 : 0.05 + 0.04 * hops + 0.25 * (1 - muscle) + shorter) +
    (input.countChanged && kept ? 0.03 : 0) +
    (input.loadChanged ? 0.015 : 0) +
    // a conversion the house rules state is what this coach would do
    (input.conversion?.preferred ? -0.5 : 0) +
    // steps on the spot are what is left when there is neither road nor machine nor rope
    (movement.family === 'run' && movement.limit.by === 'ease' && original.limit.by === 'engine' ? 0.15 : 0) +
    0.06 * Math.max(0, movement.skill - original.skill) +
    // a hold is a poor stand-in for moving
    (movement.unit === 's' && original.unit !== 's' && movement.limit.by !== 'engine' && movement.family !== 'run' ? 0.2 : 0) +
    broken +
    // the lowest surface that stays unbroken: height costs a little, so the lowest of equals wins
    (movement.id === 'raised-push-up' ? 0.0012 * (input.heightCm ?? 60) : 0) +
    rulePreference(movement.id, original, input.rules) +
    (movement.load && movement.load.implements[0] === 'band' ? 0.08 : 0);
  const cost =
    structural +
    0.8 * Math.abs(Math.log(bout.seconds / wantedSeconds)) +
    (heavier > 0 ? 0.3 * heavier : -0.2 * heavier) +
    0.8 * (1 - nearPattern(original, movement)) +
    0.08 * Math.abs(Math.log(Math.max(0.1, bout.joulesPerKg) / Math.max(0.1, stimulus.bout.joulesPerKg)));
  return { structural, cost };
}

/** Schools that prefer one movement over another. */
function rulePreference(id: string, original: Movement, rules: HouseRules): number {
  if (original.family === 'push-up' && rules.easierPushUp === 'knees') return id === 'knee-push-up' ? -0.6 : id === 'raised-push-up' ? 0.3 : 0;
  if (original.family === 'push-up' && id === 'knee-push-up') return 0.12;
  if (original.id === 'double-under' && rules.noDoubleUnders === 'hops') return id === 'hip-tap-hop' ? -0.5 : id === 'single-under' ? 0.3 : 0;
  if (rules.loadGone === 'tempo' && id === 'slow-air-squat') return -0.25;
  if (rules.squatDepth === 'chair' && id === 'squat-to-chair') return -0.15;
  return 0;
}
