import { isKeptWord, withHouseWord, withoutHouseWord, type HouseWord } from '@gambito/core';
import { houseWordsSchema, linesBesideSchema, rulesFileSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';
import { changeRules } from './use-cases';

export function ruleRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  const tiersAnswer = z.object({ tiers: z.array(z.string().trim().min(1).max(80, 'expected at most 80 characters')).max(12, 'expected at most 12 tiers') });
  const answer = z.object({ rules: z.record(z.string(), z.string()) });
  app.get('/rules', { schema: { summary: 'The house rules', response: { 200: answer } } }, async (request) => ({ rules: { ...coachIn(request).rules } }));
  app.get('/tiers', { schema: { summary: 'The coach’s own tiers; none: the usual ones', response: { 200: tiersAnswer } } }, async (request) => ({
    tiers: [...coachIn(request).tiers],
  }));
  app.put('/tiers', { schema: { summary: 'Name tiers', body: tiersAnswer, response: { 200: tiersAnswer } } }, async (request) => {
    const tiers = [...new Set(request.body.tiers)];
    await services.coaches.change(coachIn(request).id, { tiers });
    return { tiers };
  });
  const ritualAnswer = z.object({ ritual: linesBesideSchema.nullable() });
  app.get('/ritual', { schema: { summary: 'The coach’s own warm-up, a line a step', response: { 200: ritualAnswer } } }, async (request) => ({
    ritual: coachIn(request).ritual,
  }));
  app.put(
    '/ritual',
    { schema: { summary: 'Write it; null or blank: there is none', body: ritualAnswer, response: { 200: ritualAnswer } } },
    async (request) => {
      const ritual = request.body.ritual?.trim() || null;
      await services.coaches.change(coachIn(request).id, { ritual });
      return { ritual };
    },
  );
  const wordsAnswer = z.object({ words: houseWordsSchema });
  app.get('/words', { schema: { summary: 'What was answered about words of messages', response: { 200: wordsAnswer } } }, async (request) => ({
    words: [...coachIn(request).words],
  }));
  app.put(
    '/words',
    {
      schema: {
        summary: 'Keep answers about words of messages, and take others back',
        body: z.object({ keep: houseWordsSchema.default([]), drop: houseWordsSchema.default([]) }),
        response: { 200: wordsAnswer },
      },
    },
    async (request) => {
      const { keep, drop } = request.body;
      const change = (before: readonly HouseWord[]) => keep.filter(isKeptWord).reduce(withHouseWord, drop.reduce(withoutHouseWord, before));
      return { words: [...(await services.coaches.changeWords(coachIn(request).id, change))] };
    },
  );
  app.put('/rules', { schema: { summary: 'Choose house rules', body: z.object({ rules: rulesFileSchema }), response: { 200: answer } } }, async (request) => ({
    rules: { ...(await changeRules(services, coachIn(request), request.body.rules)) },
  }));
}
