import { deliverySchema, draftSchema, messengerSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { addressOf } from '../platform/address';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue } from '../platform/shapes';
import { typed } from '../platform/typed';
import { previewMessages, queueMessages } from './use-cases';

const whom = z.object({ athleteIds: z.array(idValue).min(1).max(200, 'expected at most 200 at once') });

export function deliveryRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.post(
    '/workouts/:id/messages/preview',
    { schema: { summary: 'What would be written to whom', params: idParams, body: whom, response: { 200: z.object({ drafts: z.array(draftSchema) }) } } },
    async (request) => ({
      drafts: await previewMessages(services, coachIn(request), request.params.id, request.body.athleteIds, addressOf(services, request)),
    }),
  );
  app.post(
    '/workouts/:id/messages',
    {
      schema: {
        summary: 'Write to athletes about what was sent: once a sending',
        params: idParams,
        body: whom,
        response: { 200: z.object({ queued: z.number() }) },
      },
    },
    async (request) => ({ queued: await queueMessages(services, coachIn(request), request.params.id, request.body.athleteIds, addressOf(services, request)) }),
  );
  app.get(
    '/deliveries',
    {
      schema: {
        summary: 'Messages and how they fared, the newest first',
        querystring: z.object({ workout: idValue.optional() }),
        response: { 200: z.object({ messenger: messengerSchema, deliveries: z.array(deliverySchema) }) },
      },
    },
    async (request) => {
      const { id } = coachIn(request);
      return { messenger: await services.deliveries.mode(id), deliveries: await services.deliveries.list(id, request.query.workout ?? null) };
    },
  );
  app.post('/deliveries/:id/again', { schema: { summary: 'Try a failed message again', params: idParams } }, async (request) => {
    await services.deliveries.again(coachIn(request).id, request.params.id, services.now());
    services.wake();
    return { done: true };
  });
  app.put('/messenger', { schema: { summary: 'How the stand-in for a messenger behaves', body: z.object({ mode: messengerSchema }) } }, async (request) => {
    await services.deliveries.setMode(coachIn(request).id, request.body.mode);
    return { done: true };
  });
}
