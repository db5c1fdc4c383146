import { sendJobSchema, storedSendSchema, type SendJob } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { athleteOf, knownAthlete } from '../athletes/store';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import { todayIn } from '../platform/days';
import type { JobRow } from '../platform/models';
import { typed } from '../platform/typed';
import { rulesOf, unitsOf } from '../rules/routes';
import { findWorkout, locksOf } from '../workouts/store';
import { briefPool } from './brief-pool';
import { findJob, runSendJob, startJob, type JobFailure } from './send-job';
import { listSends, revoke, send } from './store';

const idParams = z.object({ id: z.coerce.number().int().positive() });
const answer = z.object({ sends: z.array(storedSendSchema) });

/** a job that has not moved for so long was on a server that went down */
const stalledAfterMilliseconds = 60_000;

function showJob(row: JobRow, now: Date): SendJob {
  const stalled = row.finishedAt === null && now.getTime() - row.updatedAt.getTime() > stalledAfterMilliseconds;
  const failed = (row.failed as JobFailure[] | null) ?? [];
  return {
    id: row.id,
    total: row.total,
    done: row.done,
    finished: row.finishedAt !== null || stalled,
    failed: stalled ? [...failed, { athleteId: 0, message: 'the server stopped meanwhile; send the rest again' }] : failed,
  };
}

export function sendRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  const pool = briefPool();
  app.addHook('onClose', () => pool.close());
  app.post(
    '/workouts/:id/send-jobs',
    {
      schema: {
        summary: 'Send versions to many athletes: a job with its progress',
        params: idParams,
        body: z.object({ athleteIds: z.array(z.number().int().positive()).min(1).max(2000) }),
        response: { 202: sendJobSchema },
      },
    },
    async (request, reply) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      const { athleteIds } = request.body;
      const job = await startJob(coach.id, athleteIds.length);
      const task = {
        coachId: coach.id,
        workoutId: row.id,
        text: row.text,
        rules: rulesOf(coach),
        units: unitsOf(coach),
        locks: await locksOf(row.id),
        today: todayIn(coach.timeZone, now()),
        athleteIds,
      };
      void runSendJob(job, task, pool, now).catch((error: unknown) =>
        request.log.error({ err: { message: error instanceof Error ? error.name : 'unknown' } }, 'send job failed'),
      );
      void reply.code(202);
      return showJob(job, now());
    },
  );
  app.get('/jobs/:id', { schema: { summary: 'How far a job is', params: idParams, response: { 200: sendJobSchema } } }, async (request) =>
    showJob(await findJob((await requireCoach(request, now())).id, request.params.id), now()),
  );
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
        const athlete = athleteOf(await knownAthlete(coach.id, athleteId), todayIn(coach.timeZone, now()), row.id);
        const made = await pool.make({
          text: row.text,
          athlete,
          rules: rulesOf(coach),
          units: unitsOf(coach),
          locks: locks.find((each) => each.athleteId === athleteId)?.locks ?? [],
        });
        await send(row.id, athleteId, row.text, made, now());
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
