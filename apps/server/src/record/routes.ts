import { recordSchema, silentSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { recordOf, silentOf } from './use-cases';

export function recordRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.get(
    '/silent',
    { schema: { summary: 'Who has logged nothing for a while', response: { 200: z.object({ silent: z.array(silentSchema) }) } } },
    async (request) => ({
      silent: await silentOf(services, coachIn(request)),
    }),
  );
  app.get(
    '/athletes/:id/record',
    { schema: { summary: 'What somebody did, kept and missed', params: idParams, response: { 200: recordSchema } } },
    async (request) => recordOf(services, coachIn(request), request.params.id),
  );
}
