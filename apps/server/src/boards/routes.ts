import { boardSchema, nextTimeSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { boardOf, nextTimes } from './use-cases';

export function boardRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.get(
    '/workouts/:id/board',
    { schema: { summary: 'Every score carried over to the workout as written', params: idParams, response: { 200: boardSchema } } },
    async (request) => boardOf(services, coachIn(request), request.params.id),
  );
  app.get(
    '/workouts/:id/next',
    { schema: { summary: 'What to change for each when it comes again', params: idParams, response: { 200: z.object({ next: z.array(nextTimeSchema) }) } } },
    async (request) => ({ next: await nextTimes(services, coachIn(request), request.params.id) }),
  );
}
