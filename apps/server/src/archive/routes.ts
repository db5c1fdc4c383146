import type { FastifyInstance } from 'fastify';
import { Readable } from 'node:stream';
import { z } from 'zod';
import { Problem } from '../platform/errors';
import type { Limit } from '../platform/limits';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';
import { giveArchive, largestArchive, takeArchive } from './use-cases';

const archivesByCoach: Limit = { name: 'archive', most: 10, seconds: 600 };

export function archiveRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  // the file itself, unpacked while it comes
  plain.addContentTypeParser('application/gzip', { bodyLimit: largestArchive }, (_request, payload, done) => done(null, payload));
  const app = typed(plain);
  app.get('/archive', { schema: { summary: 'The whole desk as gzipped lines of JSON' } }, async (request, reply) => {
    await services.limiter.spend(archivesByCoach, String(coachIn(request).id), services.now());
    return reply
      .type('application/gzip')
      .header('content-disposition', `attachment; filename="desk-${services.now().toISOString().slice(0, 10)}.ndjson.gz"`)
      .send(giveArchive(services, coachIn(request)));
  });
  app.post(
    '/archive',
    { bodyLimit: largestArchive, schema: { summary: 'Take an archive into an empty desk', response: { 200: z.object({ lines: z.number() }) } } },
    async (request) => {
      if (!(request.body instanceof Readable)) throw new Problem('bad_archive', 'Expected the file itself, as application/gzip.');
      await services.limiter.spend(archivesByCoach, String(coachIn(request).id), services.now());
      return { lines: await takeArchive(services, coachIn(request), request.body) };
    },
  );
}
