import { ratingSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue } from '../platform/shapes';
import { typed } from '../platform/typed';
import { scoreLength } from './store';
import { letCount, logByCoach, removeScore, restoreScore } from './use-cases';

const scoreParams = idParams.extend({ scoreId: idValue });
const entry = z.object({
  athleteId: idValue,
  score: z.string().trim().min(1).max(scoreLength),
  note: z.string().max(1000).default(''),
  rating: ratingSchema.nullish(),
});

export function scoreRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.post('/workouts/:id/scores', { schema: { summary: 'Log or correct a score', params: idParams, body: entry } }, async (request) => ({
    scoreId: await logByCoach(services, coachIn(request), request.params.id, request.body.athleteId, request.body),
  }));
  app.put(
    '/workouts/:id/scores/:scoreId/counts',
    { schema: { summary: 'Whether later versions count with it', params: scoreParams, body: z.object({ counts: z.boolean() }) } },
    async (request) => {
      await letCount(services, coachIn(request), request.params.id, request.params.scoreId, request.body.counts);
      return { done: true };
    },
  );
  app.delete('/workouts/:id/scores/:scoreId', { schema: { summary: 'Delete a score (can be undone)', params: scoreParams } }, async (request) => {
    await removeScore(services, coachIn(request), request.params.id, request.params.scoreId);
    return { done: true };
  });
  app.post('/workouts/:id/scores/:scoreId/restore', { schema: { summary: 'Undo a deletion', params: scoreParams } }, async (request) => {
    await restoreScore(services, coachIn(request), request.params.id, request.params.scoreId);
    return { done: true };
  });
}
