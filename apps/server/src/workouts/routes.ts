import {
  audienceSchema,
  listedWorkoutSchema,
  lockSchema,
  portableWorkoutSchema,
  revisionSchema,
  storedLocksSchema,
  storedWorkoutSchema,
  movementsKnownSchema,
  tagsSchema,
  workoutKinds,
} from '@gambito/contract';
import type { Lock } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachScope } from '../platform/scopes';
import { binnedSince, todayIn } from '../platform/days';
import type { Services } from '../platform/services';
import { idParams, idValue, pageQuery, pageSize } from '../platform/shapes';
import { typed, type TypedApp } from '../platform/typed';
import { createWorkouts, duplicateWorkout, saveLocks, saveWorkout } from './use-cases';

const text = z.string().max(20_000, 'expected at most 20 000 characters');
const date = z.iso
  .date('expected a date such as 2026-11-25')
  .refine((value) => value >= '1900-01-01' && value < '9000-01-01', 'expected a year from 1900 to 8999');
const day = date.nullable();
const asked = pageQuery.extend({
  search: z.string().max(200, 'expected at most 200 characters').optional(),
  from: date.optional(),
  to: date.optional(),
  undated: z.stringbool('expected true or false').optional(),
  tag: z.string().max(40).optional(),
  kind: z.enum(workoutKinds).optional(),
  minutes: z.coerce.number().int().min(1).max(600).optional(),
  movement: z.string().max(80).optional(),
  doneBy: idValue.optional(),
  bin: z.stringbool('expected true or false').optional(),
});
const list = z.object({ workouts: z.array(listedWorkoutSchema), next: idValue.nullable() });
/** texts asked for at once */
const mostTexts = 50;
/** bytes of several workouts at once */
const largest = 4 * 1024 * 1024;

function libraryRoutes(app: TypedApp, { workouts, now }: Services): void {
  app.get(
    '/workouts',
    { schema: { summary: 'Workouts without their texts, newest day first, a page at a time', querystring: asked, response: { 200: list } } },
    async (request) => {
      const { bin, ...rest } = request.query;
      const page = await workouts.page(coachIn(request).id, { ...rest, ...(bin ? { deletedSince: binnedSince(now()) } : {}) }, pageSize);
      return { workouts: page, next: page.length < pageSize ? null : page.at(-1)!.id };
    },
  );
  app.get(
    '/workout-movements',
    { schema: { summary: 'When each movement was last on a day, and those of the coach’s own', response: { 200: movementsKnownSchema } } },
    async (request) => {
      const { id, timeZone } = coachIn(request);
      const [movements, own] = await Promise.all([workouts.movementsUsed(id, todayIn(timeZone, now())), workouts.ownMovements(id)]);
      return { movements, own };
    },
  );
  app.get(
    '/workout-tags',
    { schema: { summary: 'The tags in use, those used most first', response: { 200: z.object({ tags: z.array(z.string()) }) } } },
    async (request) => ({ tags: await workouts.tags(coachIn(request).id) }),
  );
  app.post(
    '/workouts/texts',
    {
      schema: {
        summary: 'Several workouts with their texts, to be exported',
        body: z.object({ ids: z.array(idValue).min(1).max(mostTexts) }),
        response: { 200: z.object({ workouts: z.array(storedWorkoutSchema) }) },
      },
    },
    async (request) => ({ workouts: await workouts.several(coachIn(request).id, request.body.ids) }),
  );
}

function createRoutes(app: TypedApp, services: Services): void {
  app.post(
    '/workouts',
    { schema: { summary: 'A new workout', body: portableWorkoutSchema.extend({ text, day: day.default(null) }), response: { 200: storedWorkoutSchema } } },
    async (request) => (await createWorkouts(services, coachIn(request), [request.body]))[0]!,
  );
  app.post(
    '/workouts/many',
    {
      bodyLimit: largest,
      schema: {
        summary: 'Several new workouts: all of them or none',
        body: z.object({
          workouts: z
            .array(portableWorkoutSchema.extend({ text, day: day.default(null) }))
            .min(1)
            .max(500),
        }),
        response: { 200: z.object({ ids: z.array(idValue) }) },
      },
    },
    async (request) => ({ ids: (await createWorkouts(services, coachIn(request), request.body.workouts)).map(({ id }) => id) }),
  );
  app.post(
    '/workouts/:id/duplicate',
    {
      schema: {
        summary: 'A copy, on a day or without one',
        params: idParams,
        body: z.object({ day: day.default(null) }).nullish(),
        response: { 200: storedWorkoutSchema },
      },
    },
    async (request) => duplicateWorkout(services, coachIn(request), request.params.id, request.body?.day ?? null),
  );
}

function workoutItself(app: TypedApp, services: Services): void {
  const { workouts, revisions, now } = services;
  app.get('/workouts/:id', { schema: { summary: 'One workout', params: idParams, response: { 200: storedWorkoutSchema } } }, async (request) =>
    workouts.find(coachIn(request).id, request.params.id),
  );
  app.put(
    '/workouts/:id',
    {
      schema: {
        summary: 'Save a workout',
        params: idParams,
        body: z.object({
          text: text.optional(),
          day: day.optional(),
          tags: tagsSchema.optional(),
          audience: audienceSchema.optional(),
          revision: z.number().int().min(0).max(4_000_000_000),
          aside: text.optional().describe('another text, to be kept among the earlier ones'),
        }),
        response: { 200: storedWorkoutSchema },
      },
    },
    async (request) => saveWorkout(services, coachIn(request), request.params.id, request.body),
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
    '/workouts/:id/revisions',
    { schema: { summary: 'What it said before, newest first', params: idParams, response: { 200: z.object({ revisions: z.array(revisionSchema) }) } } },
    async (request) => ({ revisions: await revisions.list((await workouts.find(coachIn(request).id, request.params.id)).id) }),
  );
  app.get(
    '/workouts/:id/revisions/:revision',
    {
      schema: { summary: 'The text of a revision', params: idParams.extend({ revision: idValue }), response: { 200: z.object({ text: z.string() }) } },
    },
    async (request) => ({ text: await revisions.text((await workouts.find(coachIn(request).id, request.params.id)).id, request.params.revision) }),
  );
}

function lockRoutes(app: TypedApp, services: Services): void {
  const { workouts } = services;
  app.get(
    '/workouts/:id/locks',
    { schema: { summary: 'The coach’s locks on versions', params: idParams, response: { 200: z.object({ locks: z.array(storedLocksSchema) }) } } },
    async (request) => {
      const { id } = await workouts.find(coachIn(request).id, request.params.id);
      return { locks: (await workouts.locks(id)).map(({ athleteId, locks, by }) => ({ athleteId, locks: [...locks], by })) };
    },
  );
  app.put(
    '/workouts/:id/locks/:athleteId',
    {
      schema: {
        summary: 'Decide about one athlete’s version; `before` is what was seen, so that what others decided meanwhile stays',
        params: idParams.extend({ athleteId: idValue }),
        body: z.object({ locks: z.array(lockSchema).max(60), before: z.array(lockSchema).max(60).nullable().default(null) }),
        response: { 200: z.object({ locks: z.array(lockSchema) }) },
      },
    },
    async (request) => {
      const { id, athleteId } = request.params;
      const { locks, before } = request.body as { locks: Lock[]; before: Lock[] | null };
      return { locks: await saveLocks(services, coachIn(request), { workoutId: id, athleteId }, locks, before) };
    },
  );
}

export function workoutRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  libraryRoutes(app, services);
  createRoutes(app, services);
  workoutItself(app, services);
  lockRoutes(app, services);
}
