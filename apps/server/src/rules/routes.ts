import { rulesFileSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';
import { changeRules } from './use-cases';

export function ruleRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  const answer = z.object({ rules: z.record(z.string(), z.string()) });
  app.get('/rules', { schema: { summary: 'The house rules', response: { 200: answer } } }, async (request) => ({ rules: { ...coachIn(request).rules } }));
  app.put('/rules', { schema: { summary: 'Choose house rules', body: z.object({ rules: rulesFileSchema }), response: { 200: answer } } }, async (request) => ({
    rules: { ...(await changeRules(services, coachIn(request), request.body.rules)) },
  }));
}
