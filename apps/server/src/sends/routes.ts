import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { athleteOf, findAthlete } from '../athletes/store';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import { todayIn } from '../platform/days';
import { typed } from '../platform/typed';
import { rulesOf } from '../rules/routes';
import { findWorkout, locksOf } from '../workouts/store';
import { makeBrief } from './brief';
import { listSends, revoke, send } from './store';

const idParams = z.object({ id: z.coerce.number().int().positive() });
const sendSchema = z.object({ id: z.number(), athleteId: z.number(), token: z.string(), sentAt: z.string(), revoked: z.boolean(), changed: z.boolean() });
const answer = z.object({ sends: z.array(sendSchema) });

export function sendRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  app.get('/workouts/:id/sends', { schema: { summary: 'What was sent of a workout', params: idParams, response: { 200: answer } } }, async (request) => {
    const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
    return { sends: await listSends(row.id, row.text) };
  });
  app.post(
    '/workouts/:id/sends',
    {
      schema: {
        summary: 'Send versions: one link an athlete',
        params: idParams,
        body: z.object({ athleteIds: z.array(z.number().int().positive()).min(1).max(200) }),
        response: { 200: answer },
      },
    },
    async (request) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      const locks = await locksOf(row.id);
      for (const athleteId of request.body.athleteIds) {
        const athlete = athleteOf(await findAthlete(coach.id, athleteId), todayIn(coach.timeZone, now()));
        const made = makeBrief(row.text, athlete, rulesOf(coach), locks.find((each) => each.athleteId === athleteId)?.locks ?? []);
        await send(row.id, athleteId, row.text, made, now());
        // a version takes some 50 ms of computing: let other requests through between two
        await new Promise((resolve) => setImmediate(resolve));
      }
      return { sends: await listSends(row.id, row.text) };
    },
  );
  app.delete(
    '/workouts/:id/sends/:sendId',
    { schema: { summary: 'Withdraw a link', params: idParams.extend({ sendId: z.coerce.number().int().positive() }), response: { 200: answer } } },
    async (request) => {
      const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
      await revoke(row.id, request.params.sendId, now());
      return { sends: await listSends(row.id, row.text) };
    },
  );
}
