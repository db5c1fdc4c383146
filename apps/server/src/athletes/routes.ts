import { athleteFileSchema, storedAthleteSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import { typed } from '../platform/typed';
import { findAthlete, listAthletes, saveAthlete } from './store';

const fileSchema = athleteFileSchema.extend({ name: z.string().trim().min(1, 'expected a name').max(120) }).loose();
const idParams = z.object({ id: z.coerce.number().int().positive() });

export function athleteRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  app.get('/athletes', { schema: { summary: 'All athletes', response: { 200: z.object({ athletes: z.array(storedAthleteSchema) }) } } }, async (request) => ({
    athletes: await listAthletes((await requireCoach(request, now())).id),
  }));
  app.post(
    '/athletes',
    { schema: { summary: 'Add an athlete', body: z.object({ file: fileSchema }), response: { 200: storedAthleteSchema } } },
    async (request) => saveAthlete((await requireCoach(request, now())).id, null, request.body.file, null),
  );
  app.put(
    '/athletes/:id',
    {
      schema: {
        summary: 'Change an athlete',
        params: idParams,
        body: z.object({ file: fileSchema, revision: z.number().int().nullable().default(null) }),
        response: { 200: storedAthleteSchema },
      },
    },
    async (request) => saveAthlete((await requireCoach(request, now())).id, request.params.id, request.body.file, request.body.revision),
  );
  app.delete('/athletes/:id', { schema: { summary: 'Delete an athlete (can be undone)', params: idParams } }, async (request) => {
    const row = await findAthlete((await requireCoach(request, now())).id, request.params.id);
    await row.update({ deletedAt: now() });
    return { done: true };
  });
  app.post('/athletes/:id/restore', { schema: { summary: 'Undo a deletion', params: idParams } }, async (request) => {
    const row = await findAthlete((await requireCoach(request, now())).id, request.params.id, true);
    await row.update({ deletedAt: null });
    return { done: true };
  });
}
