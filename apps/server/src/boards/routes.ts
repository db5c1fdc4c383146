import { boardSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { boardOf } from './use-cases';

export function boardRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  typed(plain).get(
    '/workouts/:id/board',
    { schema: { summary: 'Every score carried over to the workout as written', params: idParams, response: { 200: boardSchema } } },
    async (request) => boardOf(services, coachIn(request), request.params.id),
  );
}
