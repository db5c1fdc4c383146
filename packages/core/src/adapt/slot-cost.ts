/** What a choice costs by itself, before the whole part is simulated: likeness, time, feel, and what the house rules prefer. */
import type { Movement, Pattern } from '../movements/movement';
import type { HouseRules } from '../rules/house-rules';
import type { Slot } from '../workout/workout';
import type { Conversion } from './conversions';
import { nearPattern, similarity } from './near';
import type { SlotQuestion } from './question';

/** what following a stated conversion is worth: about what a swap to a far movement costs */
export const preferredWorth = 1;

/** what practising a half-owned skill is worth under the rules for it: more than its time costs */
const practiceWorth = 2;
/** what one side after the other costs where the coach wants sides to alternate */
const blocksPrice = 0.02;

export interface CostInput {
  readonly original: Movement;
  readonly movement: Movement;
  readonly hops: number;
  readonly kept: boolean;
  /** a skill that is there, but not for the whole set */
  readonly halfOwned: boolean;
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

export function costOf(input: CostInput): { structural: number; cost: number } {
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
    (kept ? 0 : (input.rules.homeVersion === 'another' ? 0.3 : 1) * (0.05 + 0.04 * hops + 0.25 * (1 - muscle) + shorter)) +
    // what the coach said must stay is left only when nothing of it can be done
    (leavesPattern(original, movement, question.intent.mustStay) ? 1.2 : 0) +
    (movement.side === 'perSide' && original.side !== 'perSide' && input.rules.sides === 'alternate' ? blocksPrice : 0) +
    // a half-owned skill is practised, where the rule says so
    (kept && input.halfOwned && input.rules.halfSkill !== 'swapUnlessNear' ? -practiceWorth : 0) +
    (input.countChanged && kept ? 0.03 : 0) +
    (input.loadChanged ? 0.015 : 0) +
    // a conversion the house rules state is what this coach would do
    (input.conversion?.preferred ? -preferredWorth + 0.15 * (input.conversion.rank ?? 0) : 0) +
    // steps on the spot are what is left when there is neither road nor machine nor rope
    (movement.family === 'run' && movement.limit.by === 'ease' && original.limit.by === 'engine' ? 0.3 : 0) +
    0.12 * Math.max(0, movement.skill - original.skill) +
    // a hold is a poor stand-in for moving
    (movement.unit === 's' && original.unit !== 's' && movement.limit.by !== 'engine' && movement.family !== 'run' ? 0.2 : 0) +
    broken +
    // the lowest surface that stays unbroken: height costs a little, so the lowest of equals wins
    (movement.id === 'raised-push-up' ? 0.002 * (input.heightCm ?? 60) + 0.8 * Math.max(0, bout.setShare - 0.95) : 0) +
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

const leavesPattern = (original: Movement, movement: Movement, mustStay: readonly Pattern[]): boolean => {
  const share = (each: Movement): number => mustStay.reduce((sum, pattern) => sum + (each.patterns[pattern] ?? 0), 0);
  return share(original) >= 0.4 && share(movement) < 0.4;
};

/** Schools that prefer one movement over another. */
function rulePreference(id: string, original: Movement, rules: HouseRules): number {
  if (original.family === 'push-up' && rules.easierPushUp === 'knees') return id === 'knee-push-up' ? -0.6 : id === 'raised-push-up' ? 0.3 : 0;
  if (original.family === 'push-up' && rules.easierPushUp === 'kneesThenRaised') return id === 'knee-push-up' ? -0.3 : id === 'raised-push-up' ? -0.1 : 0;
  if (original.family === 'push-up' && id === 'raised-push-up') return -0.3;
  if (original.family === 'push-up' && id === 'knee-push-up') return rules.easierPushUp === 'coach' ? 0 : 0.5;
  if (original.id === 'double-under' && rules.noDoubleUnders === 'hops') return id === 'hip-tap-hop' ? -0.5 : id === 'single-under' ? 0.3 : 0;
  // pulling on the floor is what is left when nothing can be hung from or leant on (C11, common practice)
  if (id === 'floor-pull' && original.id !== id) return 0.2;
  // a bag stands in for the bar before a lighter lift does (C10, common practice)
  if (original.id === 'deadlift' && id === 'sandbag-deadlift') return -0.25;
  if (rules.loadGone === 'tempo' && id === 'slow-air-squat') return -0.25;
  if (rules.squatDepth === 'chair' && id === 'squat-to-chair') return -0.15;
  return 0;
}
