/** The words beside a choice: its mark, one plain sentence with figures, what it gives up, and what to fall back to. */
import { sentenceForObstacle } from '../kit/feasible';
import { describeLoad } from '../kit/loads';
import { mainPattern, movementOf } from '../movements/catalogue';
import { muscles, type Muscle, type Pattern } from '../movements/movement';
import { constants } from '../simulate/body';
import { demandOf } from '../simulate/demand';
import { ruleLabel, type RuleKey } from '../rules/house-rules';
import { wordsOf } from '../notation/format-workout';
import { formatClock } from '../units/duration';
import { formatMass } from '../units/mass';
import type { SlotStimulus } from '../stimulus/stimulus';
import type { Slot } from '../workout/workout';
import { isEasierPushUp } from './easier-push-up';
import { isHalfOwned, isSkill } from './half-skill';
import { hardLimits } from './hard-limits';
import { nearMovements } from './near';
import type { AdaptContext } from './question';
import { writtenWith, type Choice } from './choice';

export type Mark = '!' | '!?' | '?!' | '?';
export const markWords: Readonly<Record<Mark, string>> = { '!': 'holds', '!?': 'gives something up', '?!': 'doubtful', '?': 'breaks the intent' };
/** Cost of a slot up to which a mark is given; measured on the demo class so that neighbours of one curated step with matched time hold. */
export const markThresholds: readonly (readonly [upTo: number, mark: Mark])[] = [
  [0.22, '!'],
  [0.6, '!?'],
  [1.1, '?!'],
  [Infinity, '?'],
];

export function markOf(choice: Choice, kept: boolean): Mark {
  // a choice that stepped over the coach's alternative carries a penalty that says nothing of the movement itself
  const cost = Math.max(0, choice.cost >= 5 ? choice.cost - 5 : choice.cost);
  const mark = markThresholds.find(([upTo]) => cost <= upTo)![1];
  return kept && (mark === '?!' || mark === '?') ? '!?' : mark;
}

export const patternWords: Readonly<Record<Pattern, string>> = {
  squat: 'squat',
  hinge: 'hinge',
  lunge: 'lunge',
  horizontalPush: 'horizontal push',
  verticalPush: 'vertical push',
  horizontalPull: 'horizontal pull',
  verticalPull: 'vertical pull',
  trunkFlexion: 'trunk flexion',
  trunkExtension: 'trunk extension',
  trunkRotation: 'trunk rotation',
  trunkBrace: 'trunk bracing',
  jump: 'jump',
  rope: 'rope',
  run: 'running',
  machine: 'machine',
  carry: 'carry',
  crawl: 'crawl',
  groundToOverhead: 'ground to overhead',
  mobility: 'mobility',
};

const muscleWords: Readonly<Record<Muscle, string>> = {
  quads: 'thighs',
  posterior: 'back of the legs',
  chest: 'chest',
  shoulders: 'shoulders',
  back: 'upper back',
  arms: 'arms',
  grip: 'grip',
  trunk: 'trunk',
  calves: 'calves',
};

/** Whole seconds below two minutes, clock notation above. */
const seconds = (value: number): string => (value < 120 ? `${Math.round(value)} s` : formatClock(value));
const percent = (share: number): string => `${Math.round(share * 100)} %`;

export function countText(choice: Pick<Choice, 'count' | 'unit' | 'perSide'>): string {
  const unit = choice.unit === 'reps' ? '' : ` ${choice.unit}`;
  const side = choice.perSide ? ' each side' : '';
  switch (choice.count.kind) {
    case 'fixed':
      return `${choice.count.men}${unit}${side}`;
    case 'ladder':
      return `${choice.count.rungs.join('-')}${unit}${side}`;
    case 'growing':
      return `${choice.count.start}, +${choice.count.step}${unit}${side}`;
    case 'rung':
      return `the same rungs${side}`;
    case 'max':
    case 'matchTime':
      return 'max';
  }
}

/** What the kit has in place of the written load, which would have been fine. */
function loadMissing(slot: Slot, count: number, kg: number, context: AdaptContext): string {
  const { load } = movementOf(slot.movement);
  const wanted = kg * 1000;
  const own = context.loads.filter((each) => load?.implements.includes(each.implement) && each.count === count);
  const name = wordsOf(slot.movement);
  if (own.length === 0) return count === 2 ? `No two of one weight for ${name} here` : `No load for ${name} here`;
  const nearest = own.reduce((best, each) => (Math.abs(each.grams - wanted) < Math.abs(best.grams - wanted) ? each : best));
  return `For ${name} the nearest load here is ${describeLoad(nearest)}`;
}

/** Why the movement as written was left, in a clause; null when it was kept. */
function whyLeft(slot: Slot, choice: Choice, context: AdaptContext, stimulus: SlotStimulus): string | null {
  if (choice.movement === slot.movement) return null;
  const original = movementOf(slot.movement);
  if (original.anyOf) return 'The coach left the movement open';
  const [obstacle] = hardLimits(original, context);
  if (obstacle) {
    const text = sentenceForObstacle(obstacle);
    return obstacle.code === 'needs'
      ? `${original.name} ${text}, not in ${context.place.name}`
      : `${original.name} is ${text.startsWith('needs') ? `out: ${text}` : text}`;
  }
  if (choice.coachRank !== null) return 'The coach’s own alternative';
  const demand = demandOf(
    slot.movement,
    slot.unit,
    context.capacity,
    original.load && slot.load?.kind === 'mass' ? slot.load[context.athlete.category] * slot.load.count : 0,
    slot.heightCm?.[context.athlete.category] ?? null,
  );
  const inside = demand.repsToFailure * constants.insideShare;
  if (original.load && !context.loads.some((load) => original.load!.implements.includes(load.implement))) return `No load for ${wordsOf(original.id)} here`;
  if (original.load && slot.load === null) return `${original.name} finds no fitting load here`;
  if (original.load && slot.load?.kind === 'mass' && inside >= stimulus.count)
    return loadMissing(slot, slot.load.count, slot.load[context.athlete.category], context);
  if (demand.share !== null && demand.share > 1) return `${original.name} at the written load is above the max`;
  return `${original.name}: about ${inside < 1 ? 'none' : Math.floor(inside)} in one go against ${Math.round(stimulus.count)} asked`;
}

/** House rules that had a say in a choice and are not named with a conversion. */
function rulesBehind(slot: Slot, choice: Choice, context: AdaptContext, stimulus: SlotStimulus): RuleKey[] {
  const [original, movement] = [movementOf(slot.movement), movementOf(choice.movement)];
  const swapped = movement.id !== original.id;
  const behind: RuleKey[] = [];
  if (swapped && original.family === 'push-up' && isEasierPushUp(movement.id)) behind.push('easierPushUp');
  if (swapped && context.athlete.limits.squatDepth !== null && (movement.id === 'half-squat' || movement.id === 'squat-to-chair')) behind.push('squatDepth');
  if (isSkill(original) && choice.coachRank === null && hardLimits(original, context).length === 0) {
    const { repsToFailure } = demandOf(slot.movement, slot.unit, context.capacity, 0, null);
    if (isHalfOwned(original, repsToFailure, stimulus.count)) behind.push('halfSkill');
  }
  if (choice.perSide && !slot.perSide) behind.push('sides');
  return behind;
}

/** One plain sentence with figures. */
export function reasonOf(slot: Slot, choice: Choice, context: AdaptContext, stimulus: SlotStimulus, timeScale: number): string {
  const movement = movementOf(choice.movement);
  const left = whyLeft(slot, choice, context, stimulus);
  const wanted = stimulus.bout.seconds * timeScale;
  const time = `${seconds(choice.bout.seconds)} a bout where ${seconds(wanted)} are meant`;
  const load =
    choice.load && choice.share !== null
      ? `${formatMass((choice.load.grams / 1000) * choice.load.count, context.athlete.units)} is ${percent(choice.share)} of the max (${stimulus.loadShare === null ? 'as written' : percent(stimulus.loadShare)} meant)`
      : null;
  const conversion = choice.said ? `${choice.said}${choice.rule ? ` (house rule “${ruleLabel(choice.rule, context.rules[choice.rule])}”)` : ''}` : null;
  const height =
    choice.heightCm !== null && choice.movement === 'raised-push-up' ? `hands at ${choice.heightCm} cm, the lowest surface that stays unbroken` : null;
  const { category } = context.athlete;
  const beside = choice.coachRank === null ? null : writtenWith(choice, slot);
  const instead =
    beside?.count.kind === 'fixed' && choice.count.kind === 'fixed' && choice.count[category] !== beside.count[category]
      ? `instead of the written ${beside.count[category]}`
      : null;
  const named = rulesBehind(slot, choice, context, stimulus).map((key) => `house rule “${ruleLabel(key, context.rules[key])}”`);
  const details = [conversion, ...named, instead, height, load, time].filter((each): each is string => each !== null);
  if (left) return `${left}: ${countText(choice)} ${wordsOf(movement.id)}; ${details.join('; ')}.`;
  const changed = choice.count.kind !== slot.count.kind || JSON.stringify(choice.count) !== JSON.stringify(slot.count);
  return `${changed ? `Kept, with ${countText(choice)}` : 'As written'}: ${details.join('; ')}.`;
}

/** What the swap gives up against the slot as meant, the largest first. */
export function givesUpOf(slot: Slot, choice: Choice, stimulus: SlotStimulus): string[] {
  const lost: string[] = [];
  const original = movementOf(slot.movement);
  const movement = movementOf(choice.movement);
  if (choice.movement !== slot.movement && !original.anyOf) {
    const pattern = mainPattern(original);
    if ((movement.patterns[pattern] ?? 0) < 0.5 * (original.patterns[pattern] ?? 0))
      lost.push(`${patternWords[pattern]} becomes ${patternWords[mainPattern(movement)]}`);
    for (const muscle of muscles)
      if ((original.muscles[muscle] ?? 0) >= 0.6 && (movement.muscles[muscle] ?? 0) <= 0.3)
        lost.push(muscle === 'grip' ? 'less grip' : `less for the ${muscleWords[muscle]}`);
    if (original.skill - movement.skill >= 2) lost.push('no practice of the skill');
  }
  const feel = Math.log(Math.max(0.02, choice.bout.setShare) / Math.max(0.02, stimulus.bout.setShare));
  if (feel < -0.45) lost.push('feels lighter');
  if (feel > 0.45) lost.push(choice.bout.setShare > 1 && stimulus.bout.setShare <= 1 ? 'will be broken where it was unbroken' : 'feels heavier');
  const breath = Math.log(Math.max(0.1, choice.bout.joulesPerKg / choice.bout.seconds) / Math.max(0.1, stimulus.bout.joulesPerKg / stimulus.bout.seconds));
  if (breath < -0.4) lost.push('less breathing');
  if (breath > 0.4) lost.push('more breathing');
  return lost.slice(0, 4);
}

export interface Fallback {
  readonly movement: string;
  readonly reps: readonly number[];
  readonly when: string;
}

/** What to do when it fails half-way: the nearest easier movement that may be done here, else fewer reps of the same. */
export function fallbackOf(choice: Choice, context: AdaptContext): Fallback | null {
  if (choice.count.kind === 'max' || choice.unit !== 'reps') return null;
  const inside = Math.max(1, Math.floor(choice.repsToFailure * constants.insideShare * 0.5));
  const figures =
    choice.count.kind === 'fixed'
      ? [choice.count.men]
      : choice.count.kind === 'ladder'
        ? choice.count.rungs
        : choice.count.kind === 'growing'
          ? [choice.count.start]
          : [];
  const when = `if sets of ${Math.min(inside, Math.max(...figures, 2))} fail`;
  const easier = movementOf(choice.movement).easier.find((id) => {
    const movement = movementOf(id);
    if (hardLimits(movement, context).length > 0 || movement.load) return false;
    return (
      nearMovements(choice.movement).some((near) => near.movement.id === id) &&
      demandOf(id, 'reps', context.capacity, 0, null).repsToFailure > choice.repsToFailure
    );
  });
  const two = (value: number): number =>
    movementOf(easier ?? choice.movement).side === 'alternating' ? Math.max(2, Math.round(value / 2) * 2) : Math.max(1, Math.round(value));
  if (easier) return { movement: easier, reps: figures.map(two), when };
  return { movement: choice.movement, reps: figures.map((figure) => two(figure * 0.67)), when };
}
