import { athleteFileSchema, deletedAthleteSchema, listedResultSchema, storedAthleteSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { binnedSince } from '../platform/days';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue, pageQuery, pageSize } from '../platform/shapes';
import { typed, type TypedApp } from '../platform/typed';
import { saveAthlete, saveAthletes } from './use-cases';

/** What speaks of harm is taken in any shape: the core's reader places it or holds versions back, and nothing of it is refused or stripped on the way. */
const fileSchema = athleteFileSchema
  .extend({
    name: z.string().trim().min(1, 'expected a name').max(120),
    avoid: z.unknown().optional(),
    limits: z.unknown().optional(),
    skills: z.unknown().optional(),
  })
  .loose();

const revision = z.number().int().min(0).max(4_000_000_000);
/** bytes of several files at once */
const largest = 4 * 1024 * 1024;

export function athleteRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  readRoutes(typed(plain), services);
  writeRoutes(typed(plain), services);
}

const list = z.object({ athletes: z.array(storedAthleteSchema), next: idValue.nullable() });
function readRoutes(app: TypedApp, { athletes, now }: Services): void {
  app.get(
    '/athletes',
    {
      schema: {
        summary: 'Athletes by name, a page at a time',
        querystring: pageQuery.extend({ results: z.enum(['yes', 'no']).default('yes') }),
        response: { 200: list },
      },
    },
    async (request) => {
      const { after = null, results } = request.query;
      const page = await athletes.page(coachIn(request).id, { after, most: pageSize, results: results === 'yes' });
      return { athletes: page, next: page.length < pageSize ? null : page.at(-1)!.id };
    },
  );
  app.get(
    '/athletes/deleted',
    { schema: { summary: 'Who was deleted in the last days, and can be put back', response: { 200: z.object({ athletes: z.array(deletedAthleteSchema) }) } } },
    async (request) => ({ athletes: await athletes.deletedSince(coachIn(request).id, binnedSince(now())) }),
  );
  app.get('/athletes/:id', { schema: { summary: 'One athlete', params: idParams, response: { 200: storedAthleteSchema } } }, async (request) =>
    athletes.find(coachIn(request).id, request.params.id),
  );
  app.get(
    '/athletes/:id/results',
    { schema: { summary: 'What an athlete scored, newest first', params: idParams, response: { 200: z.object({ results: z.array(listedResultSchema) }) } } },
    async (request) => ({ results: await athletes.results(coachIn(request).id, request.params.id) }),
  );
}

function writeRoutes(app: TypedApp, services: Services): void {
  const { athletes, now } = services;
  app.post(
    '/athletes',
    { schema: { summary: 'Add an athlete', body: z.object({ file: fileSchema }), response: { 200: storedAthleteSchema } } },
    async (request) => saveAthlete(services, coachIn(request), null, request.body.file, null),
  );
  app.post(
    '/athletes/many',
    {
      bodyLimit: largest,
      schema: {
        summary: 'Add and change several athletes: all of them or none',
        body: z.object({
          athletes: z
            .array(z.object({ id: idValue.nullable(), file: fileSchema, revision: revision.default(0) }))
            .min(1)
            .max(2000),
        }),
        response: { 200: z.object({ ids: z.array(idValue) }) },
      },
    },
    async (request) => ({ ids: await saveAthletes(services, coachIn(request), request.body.athletes) }),
  );
  app.put(
    '/athletes/:id',
    {
      schema: {
        summary: 'Change an athlete',
        params: idParams,
        body: z.object({ file: fileSchema, revision: revision.nullable().default(null) }),
        response: { 200: storedAthleteSchema },
      },
    },
    async (request) => saveAthlete(services, coachIn(request), request.params.id, request.body.file, request.body.revision),
  );
  app.delete('/athletes/:id', { schema: { summary: 'Delete an athlete (can be undone)', params: idParams } }, async (request) => {
    await athletes.setDeleted(coachIn(request).id, request.params.id, now());
    return { done: true };
  });
  app.post('/athletes/:id/restore', { schema: { summary: 'Undo a deletion', params: idParams } }, async (request) => {
    await athletes.setDeleted(coachIn(request).id, request.params.id, null);
    return { done: true };
  });
}
