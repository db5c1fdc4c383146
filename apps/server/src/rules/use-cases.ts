import type { HouseRules } from '@gambito/core';
import type { Coach } from '../auth/store';
import type { Services } from '../platform/services';

/** rules that decide what a score is: readings are made with them */
const scoreRules = ['unfinished', 'setsOneScore', 'compositeCount'] as const;

export async function changeRules(services: Services, coach: Coach, change: Readonly<Record<string, unknown>>): Promise<HouseRules> {
  const rules = await services.coaches.changeRules(coach.id, change);
  if (scoreRules.some((key) => rules[key] !== coach.rules[key])) {
    await services.readings.outdateCoach(coach.id);
    services.wake();
  }
  return rules;
}
