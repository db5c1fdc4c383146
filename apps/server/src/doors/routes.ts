/** The coach's side of athletes' own doors, and the door itself. */
import { doorSchema, ownDoorSchema, proposalSchema, proposedChangeSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Limit } from '../platform/limits';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, tokenParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { doorOf, enterDoor, openDoor, openProposals, ownDoor, propose, withdrawDoor } from './use-cases';

export function doorRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.get(
    '/athletes/:id/door',
    { schema: { summary: 'The athlete’s own link', params: idParams, response: { 200: z.object({ door: doorSchema.nullable() }) } } },
    async (request) => ({ door: await doorOf(services, coachIn(request), request.params.id) }),
  );
  app.put(
    '/athletes/:id/door',
    { schema: { summary: 'Make it, or open the withdrawn one again', params: idParams, response: { 200: z.object({ door: doorSchema }) } } },
    async (request) => ({ door: await openDoor(services, coachIn(request), request.params.id) }),
  );
  app.delete('/athletes/:id/door', { schema: { summary: 'Withdraw it', params: idParams } }, async (request) => {
    await withdrawDoor(services, coachIn(request), request.params.id);
    return { done: true };
  });
  app.get(
    '/proposals',
    { schema: { summary: 'What athletes propose', response: { 200: z.object({ proposals: z.array(proposalSchema) }) } } },
    async (request) => ({
      proposals: await openProposals(services, coachIn(request)),
    }),
  );
  app.put(
    '/proposals/:id',
    { schema: { summary: 'Take or leave a proposal; null: it waits again', params: idParams, body: z.object({ taken: z.boolean().nullable() }) } },
    async (request) => {
      await services.proposals.settle(coachIn(request).id, request.params.id, request.body.taken, services.now());
      return { done: true };
    },
  );
}

const proposalsByDoor: Limit = { name: 'proposals', most: 20, seconds: 600 };

/** No sign-in: the link is the key, to what is one athlete's own. */
export function ownDoorRoutes(plain: FastifyInstance, services: Services): void {
  const app = typed(plain);
  app.get('/d/:token', { schema: { summary: 'An athlete’s own door', params: tokenParams, response: { 200: ownDoorSchema } } }, async (request, reply) => {
    void reply.header('referrer-policy', 'no-referrer');
    return ownDoor(services, await enterDoor(services, request.params.token));
  });
  app.post(
    '/d/:token/proposals',
    { schema: { summary: 'Propose a change of one’s own file', params: tokenParams, body: proposedChangeSchema } },
    async (request) => {
      const door = await enterDoor(services, request.params.token);
      await services.limiter.spend(proposalsByDoor, request.params.token, services.now());
      await propose(services, door, request.body);
      return { done: true };
    },
  );
}
