import { presentMovement } from '@gambito/contract';
import { movements } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';

export function catalogueRoutes(plain: FastifyInstance, { databaseAnswers }: Services): void {
  const app = typed(plain);
  const shown = movements.map(presentMovement);
  app.get('/movements', { schema: { summary: 'The movement catalogue' } }, async (_request, reply) => {
    void reply.header('cache-control', 'public, max-age=3600');
    return { movements: shown };
  });
  const health = z.object({ ok: z.boolean(), database: z.boolean() });
  app.get('/health', { schema: { summary: 'Whether the server and its database answer', response: { 200: health, 503: health } } }, async (_request, reply) => {
    const database = await databaseAnswers();
    if (!database) void reply.code(503);
    return { ok: database, database };
  });
}
