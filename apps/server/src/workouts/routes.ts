import { listedWorkoutSchema, lockSchema, storedLocksSchema, storedWorkoutSchema } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue, pageQuery, pageSize } from '../platform/shapes';
import { typed } from '../platform/typed';
import { createWorkout, duplicateWorkout, saveLocks, saveWorkout } from './use-cases';

const text = z.string().max(20_000, 'expected at most 20 000 characters');
const date = z.iso
  .date('expected a date such as 2026-11-25')
  .refine((value) => value >= '1900-01-01' && value < '9000-01-01', 'expected a year from 1900 to 8999');
const day = date.nullable();

export function workoutRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  const { workouts, now } = services;
  const asked = pageQuery.extend({
    search: z.string().max(200, 'expected at most 200 characters').optional(),
    from: date.optional(),
    to: date.optional(),
    undated: z.stringbool('expected true or false').optional(),
  });
  const list = z.object({ workouts: z.array(listedWorkoutSchema), next: idValue.nullable() });
  app.get(
    '/workouts',
    { schema: { summary: 'Workouts without their texts, newest day first, a page at a time', querystring: asked, response: { 200: list } } },
    async (request) => {
      const page = await workouts.page(coachIn(request).id, request.query, pageSize);
      return { workouts: page, next: page.length < pageSize ? null : page.at(-1)!.id };
    },
  );
  app.get('/workouts/:id', { schema: { summary: 'One workout', params: idParams, response: { 200: storedWorkoutSchema } } }, async (request) =>
    workouts.find(coachIn(request).id, request.params.id),
  );
  app.post(
    '/workouts',
    { schema: { summary: 'A new workout', body: z.object({ text, day: day.default(null) }), response: { 200: storedWorkoutSchema } } },
    async (request) => createWorkout(services, coachIn(request), request.body.text, request.body.day),
  );
  app.put(
    '/workouts/:id',
    {
      schema: {
        summary: 'Save a workout',
        params: idParams,
        body: z.object({ text: text.optional(), day: day.optional(), revision: z.number().int().min(0).max(4_000_000_000) }),
        response: { 200: storedWorkoutSchema },
      },
    },
    async (request) => saveWorkout(services, coachIn(request), request.params.id, request.body),
  );
  app.post(
    '/workouts/:id/duplicate',
    { schema: { summary: 'A copy without a day', params: idParams, response: { 200: storedWorkoutSchema } } },
    async (request) => duplicateWorkout(services, coachIn(request), request.params.id),
  );
  app.delete('/workouts/:id', { schema: { summary: 'Delete a workout (can be undone)', params: idParams } }, async (request) => {
    await workouts.setDeleted(coachIn(request).id, request.params.id, now());
    return { done: true };
  });
  app.post('/workouts/:id/restore', { schema: { summary: 'Undo a deletion', params: idParams } }, async (request) => {
    await workouts.setDeleted(coachIn(request).id, request.params.id, null);
    return { done: true };
  });
  app.get(
    '/workouts/:id/locks',
    { schema: { summary: 'The coach’s locks on versions', params: idParams, response: { 200: z.object({ locks: z.array(storedLocksSchema) }) } } },
    async (request) => {
      const { id } = await workouts.find(coachIn(request).id, request.params.id);
      return { locks: (await workouts.locks(id)).map(({ athleteId, locks }) => ({ athleteId, locks: [...locks] })) };
    },
  );
  app.put(
    '/workouts/:id/locks/:athleteId',
    {
      schema: {
        summary: 'Set the locks of one athlete’s version',
        params: idParams.extend({ athleteId: idValue }),
        body: z.object({ locks: z.array(lockSchema).max(60) }),
      },
    },
    async (request) => {
      const { id, athleteId } = request.params;
      await saveLocks(services, coachIn(request), id, athleteId, request.body.locks as Lock[]);
      return { done: true };
    },
  );
}
