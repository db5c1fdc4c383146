/** What who set the instance up sees of it: what went out to people, and how its backups stand. */
import { backupsSchema, outboxSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { Problem } from '../platform/errors';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';

export function instanceRoutes(plain: FastifyInstance, { outbox, backups, backupAt, ...services }: Services): void {
  coachScope(plain, { outbox, backups, backupAt, ...services });
  plain.addHook('preHandler', async (request) => {
    if (!coachIn(request).founder) throw new Problem('not_founder');
  });
  const app = typed(plain);
  app.get('/outbox', { schema: { summary: 'What went out to people', response: { 200: outboxSchema } } }, async () => ({
    messages: (await outbox.list()).map(({ at, ...message }) => ({ ...message, at: at.toISOString() })),
  }));
  app.get('/backups', { schema: { summary: 'When backups are taken, and how the last ones went', response: { 200: backupsSchema } } }, async () => ({
    at: backupAt,
    taken: (await backups.list()).map(({ at, ...backup }) => ({ ...backup, at: at.toISOString() })),
  }));
}
