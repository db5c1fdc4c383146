import { rulesFileSchema } from '@gambito/contract';
import { readRules, type HouseRules, type MassUnit } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import type { CoachRow } from '../platform/models';
import { typed } from '../platform/typed';

export const rulesOf = (coach: Pick<CoachRow, 'rules'>): HouseRules => readRules(coach.rules).rules;

/** The room's unit, for loads that say none. */
export const unitsOf = (coach: Pick<CoachRow, 'units'>): MassUnit => (coach.units === 'lb' ? 'lb' : 'kg');

export function ruleRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  const answer = z.object({ rules: z.record(z.string(), z.string()) });
  app.get('/rules', { schema: { summary: 'The house rules', response: { 200: answer } } }, async (request) => ({
    rules: { ...rulesOf(await requireCoach(request, now())) },
  }));
  app.put('/rules', { schema: { summary: 'Choose house rules', body: z.object({ rules: rulesFileSchema }), response: { 200: answer } } }, async (request) => {
    const coach = await requireCoach(request, now());
    const { rules } = readRules({ ...rulesOf(coach), ...request.body.rules });
    await coach.update({ rules });
    return { rules: { ...rules } };
  });
}
