import { sendJobSchema, storedSendSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { cancelJob, findJob, startSending } from '../jobs/use-cases';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue } from '../platform/shapes';
import { typed } from '../platform/typed';
import { listSends, reopen, sendNow, withdraw } from './use-cases';

const answer = z.object({ sends: z.array(storedSendSchema) });
/** more than so many are a job */
const mostAtOnce = 20;

export function sendRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.post(
    '/workouts/:id/send-jobs',
    {
      schema: {
        summary: 'Send versions to many athletes: a job with its progress',
        params: idParams,
        body: z.object({
          athleteIds: z.array(idValue).min(1).max(2000),
          press: z.string().min(8).max(60).optional().describe('a name of this press of the button: the same one again is the same job'),
        }),
        response: { 202: sendJobSchema },
      },
    },
    async (request, reply) => {
      void reply.code(202);
      return startSending(services, coachIn(request), request.params.id, request.body.athleteIds, request.body.press ?? null);
    },
  );
  app.get('/jobs/:id', { schema: { summary: 'How far a job is', params: idParams, response: { 200: sendJobSchema } } }, async (request) =>
    findJob(services, coachIn(request), request.params.id),
  );
  app.delete('/jobs/:id', { schema: { summary: 'Cancel what a job has not done yet', params: idParams, response: { 200: sendJobSchema } } }, async (request) =>
    cancelJob(services, coachIn(request), request.params.id),
  );
  app.get('/workouts/:id/sends', { schema: { summary: 'What was sent of a workout', params: idParams, response: { 200: answer } } }, async (request) => ({
    sends: await listSends(services, coachIn(request), request.params.id),
  }));
  app.post(
    '/workouts/:id/sends',
    {
      schema: {
        summary: 'Send versions to a few at once: one link an athlete',
        params: idParams,
        body: z.object({ athleteIds: z.array(idValue).min(1).max(mostAtOnce, `expected at most ${mostAtOnce}; more are a job`) }),
        response: { 200: answer },
      },
    },
    async (request) => ({ sends: await sendNow(services, coachIn(request), request.params.id, request.body.athleteIds) }),
  );
  app.delete(
    '/workouts/:id/sends/:sendId',
    { schema: { summary: 'Withdraw a link', params: idParams.extend({ sendId: idValue }), response: { 200: answer } } },
    async (request) => ({ sends: await withdraw(services, coachIn(request), request.params.id, request.params.sendId) }),
  );
  app.put(
    '/workouts/:id/sends/:sendId/open',
    { schema: { summary: 'Open a withdrawn link again', params: idParams.extend({ sendId: idValue }), response: { 200: answer } } },
    async (request) => ({ sends: await reopen(services, coachIn(request), request.params.id, request.params.sendId) }),
  );
}
