/** Which of a coach's own choices made a version what it is: each is put back to its default, and named where the version would read otherwise. */
import type { Athlete } from '../athlete/athlete';
import { defaultRules, ruleLabel, ruleSpecs, type HouseRules, type RuleKey } from '../rules/house-rules';
import type { Workout } from '../workout/workout';
import { adapt } from './adapt';
import type { AdaptOptions } from './adapted';

export interface RuleAtWork {
  readonly rule: RuleKey;
  /** `sides: blocks allowed` */
  readonly said: string;
  /** the version as it would read under the default */
  readonly otherwise: string;
}

/**
 * One adaptation for each rule that is not at its default, so ask it of one version at a time.
 * @returns in the order of the rules' page; empty where every rule is at its default or none made a difference
 */
export function rulesAtWork(workout: Workout, athlete: Athlete, options: AdaptOptions = {}): RuleAtWork[] {
  const rules = options.rules ?? defaultRules;
  const changed = (Object.keys(ruleSpecs) as RuleKey[]).filter((key) => rules[key] !== defaultRules[key]);
  if (changed.length === 0) return [];
  const textUnder = (under: HouseRules): string => adapt(workout, athlete, { ...options, rules: under, runs: 1 }).version.text;
  const now = textUnder(rules);
  return changed.flatMap((rule): RuleAtWork[] => {
    const otherwise = textUnder({ ...rules, [rule]: defaultRules[rule] });
    return otherwise === now ? [] : [{ rule, said: ruleLabel(rule, rules[rule]), otherwise }];
  });
}
