/** Schools that prefer one movement over another where the written one is out: the house rule decides before nearness within the pattern does. */
import { own } from '../../text/own';
import { movementOf } from '../../movements/catalogue';
import type { Athlete } from '../../athlete/athlete';
import type { Movement } from '../../movements/movement';
import { findMovement } from '../../movements/names';
import type { HouseRules, RuleKey } from '../../rules/house-rules';

interface School {
  readonly rule: RuleKey;
  readonly value: string;
  /** the written movement, by family or id */
  readonly of: (original: Movement) => boolean;
  /** ids in the school's order; those in `last` come behind everything else */
  readonly first: readonly string[];
  readonly last: readonly string[];
}
const family = (name: string) => (each: Movement) => each.family === name;
const is = (id: string) => (each: Movement) => each.id === id;
const squats = (each: Movement): boolean => (each.patterns.squat ?? 0) >= 0.4;

const schools: readonly School[] = [
  { rule: 'easierPushUp', value: 'raised', of: family('push-up'), first: ['fist-push-up', 'raised-push-up'], last: ['knee-push-up'] },
  { rule: 'easierPushUp', value: 'knees', of: family('push-up'), first: ['fist-push-up', 'knee-push-up'], last: ['raised-push-up'] },
  { rule: 'easierPushUp', value: 'kneesThenRaised', of: family('push-up'), first: ['fist-push-up', 'knee-push-up', 'raised-push-up'], last: [] },
  { rule: 'easierPushUp', value: 'coach', of: family('push-up'), first: ['fist-push-up', 'raised-push-up', 'knee-push-up'], last: [] },
  { rule: 'noDoubleUnders', value: 'hops', of: is('double-under'), first: ['hip-tap-hop', 'hop-over', 'jumping-jack'], last: ['single-under'] },
  { rule: 'squatDepth', value: 'chair', of: squats, first: ['thruster-to-chair', 'goblet-squat-to-chair', 'squat-to-chair'], last: ['half-squat'] },
  { rule: 'loadGone', value: 'tempo', of: squats, first: [], last: ['jumping-squat'] },
];

export const isEasierPushUp = (id: string): boolean => id === 'raised-push-up' || id === 'knee-push-up';

/** 0 where no school speaks; below 0 the nearer to −1 the later in its order; 1 what it does last. */
export function schoolOf(id: string, original: Movement, rule: RuleKey | null, rules: HouseRules): number {
  if (id === original.id) return -1;
  const school = schools.find((each) => rules[each.rule] === each.value && each.of(original) && (each.first.includes(id) || each.last.includes(id)));
  if (!school) return 0;
  const at = school.first.indexOf(id);
  // squats of a shortened depth are preferred only among squats that are out of reach themselves
  if (school.rule === 'squatDepth' && movementOf(id).family !== 'squat' && movementOf(id).family !== 'thruster') return 0;
  return at >= 0 ? -1 + at / (school.first.length + 1) : rule === null ? 1 : 0;
}

/** `prefer: { lunge: forward }`: of a family, the movement the athlete would rather do; its note is told and not read. */
export function isWished(movement: Movement, original: Movement, { prefer }: Athlete): boolean {
  if (movement.family !== original.family) return false;
  const said = own(prefer, original.family) ?? own(prefer, original.id);
  return said !== undefined && (findMovement(`${said} ${original.family}`) ?? findMovement(said)) === movement.id;
}
