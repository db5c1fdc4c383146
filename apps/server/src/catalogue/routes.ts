import { presentMovement } from '@gambito/contract';
import { movements } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { typed } from '../platform/typed';

export function catalogueRoutes(plain: FastifyInstance): void {
  const app = typed(plain);
  const shown = movements.map(presentMovement);
  app.get('/movements', { schema: { summary: 'The movement catalogue' } }, async (_request, reply) => {
    void reply.header('cache-control', 'public, max-age=3600');
    return { movements: shown };
  });
  app.get('/health', { schema: { summary: 'Whether the server answers' } }, async () => ({ ok: true }));
}
