import { recordSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { recordOf } from './use-cases';

export function recordRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  typed(plain).get(
    '/athletes/:id/record',
    { schema: { summary: 'What somebody did, kept and missed', params: idParams, response: { 200: recordSchema } } },
    async (request) => recordOf(services, coachIn(request), request.params.id),
  );
}
