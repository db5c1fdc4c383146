import { lockSchema, storedLocksSchema, storedWorkoutSchema } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { findAthlete } from '../athletes/store';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import { typed } from '../platform/typed';
import { createWorkout, findWorkout, listWorkouts, locksOf, saveLocks, showWorkout, updateWorkout } from './store';

const text = z.string().max(20_000, 'expected at most 20 000 characters');
const day = z.iso.date('expected a date such as 2026-11-25').nullable();
const idParams = z.object({ id: z.coerce.number().int().positive() });

export function workoutRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  app.get(
    '/workouts',
    { schema: { summary: 'All workouts, newest day first', response: { 200: z.object({ workouts: z.array(storedWorkoutSchema) }) } } },
    async (request) => ({
      workouts: await listWorkouts((await requireCoach(request, now())).id),
    }),
  );
  app.get('/workouts/:id', { schema: { summary: 'One workout', params: idParams, response: { 200: storedWorkoutSchema } } }, async (request) =>
    showWorkout(await findWorkout((await requireCoach(request, now())).id, request.params.id)),
  );
  app.post(
    '/workouts',
    { schema: { summary: 'A new workout', body: z.object({ text, day: day.default(null) }), response: { 200: storedWorkoutSchema } } },
    async (request) => createWorkout((await requireCoach(request, now())).id, request.body.text, request.body.day),
  );
  app.put(
    '/workouts/:id',
    {
      schema: {
        summary: 'Save a workout',
        params: idParams,
        body: z.object({ text: text.optional(), day: day.optional(), revision: z.number().int() }),
        response: { 200: storedWorkoutSchema },
      },
    },
    async (request) => {
      const { text: newText, day: newDay, revision } = request.body;
      return updateWorkout((await requireCoach(request, now())).id, request.params.id, {
        revision,
        ...(newText === undefined ? {} : { text: newText }),
        ...(newDay === undefined ? {} : { day: newDay }),
      });
    },
  );
  app.post(
    '/workouts/:id/duplicate',
    { schema: { summary: 'A copy without a day', params: idParams, response: { 200: storedWorkoutSchema } } },
    async (request) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      return createWorkout(coach.id, row.text.replace(/^#(?!#)\s*(.+)$/m, '# $1 (copy)'), null);
    },
  );
  app.delete('/workouts/:id', { schema: { summary: 'Delete a workout (can be undone)', params: idParams } }, async (request) => {
    const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
    await row.update({ deletedAt: now() });
    return { done: true };
  });
  app.post('/workouts/:id/restore', { schema: { summary: 'Undo a deletion', params: idParams } }, async (request) => {
    const row = await findWorkout((await requireCoach(request, now())).id, request.params.id, true);
    await row.update({ deletedAt: null });
    return { done: true };
  });
  app.get(
    '/workouts/:id/locks',
    {
      schema: {
        summary: 'The coach’s locks on versions',
        params: idParams,
        response: { 200: z.object({ locks: z.array(storedLocksSchema) }) },
      },
    },
    async (request) => {
      const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
      return { locks: await locksOf(row.id) };
    },
  );
  app.put(
    '/workouts/:id/locks/:athleteId',
    {
      schema: {
        summary: 'Set the locks of one athlete’s version',
        params: idParams.extend({ athleteId: z.coerce.number().int().positive() }),
        body: z.object({ locks: z.array(lockSchema).max(60) }),
      },
    },
    async (request) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      await findAthlete(coach.id, request.params.athleteId);
      await saveLocks(row.id, request.params.athleteId, request.body.locks as Lock[]);
      return { done: true };
    },
  );
}
