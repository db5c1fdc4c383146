import { discomfortSchema, sparedSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { openDiscomforts, sparedIn } from './use-cases';

export function discomfortRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.get(
    '/discomforts',
    { schema: { summary: 'What hurt and is not settled', response: { 200: z.object({ discomforts: z.array(discomfortSchema) }) } } },
    async (request) => ({ discomforts: await openDiscomforts(services, coachIn(request)) }),
  );
  app.get(
    '/discomforts/:id/spared',
    { schema: { summary: 'What could be spared, and what would stand instead', params: idParams, response: { 200: sparedSchema } } },
    async (request) => sparedIn(services, coachIn(request), request.params.id),
  );
  app.put(
    '/discomforts/:id',
    { schema: { summary: 'It is settled, or waits again', params: idParams, body: z.object({ settled: z.boolean() }) } },
    async (request) => {
      await services.discomforts.settle(coachIn(request).id, request.params.id, request.body.settled, services.now());
      return { done: true };
    },
  );
}
