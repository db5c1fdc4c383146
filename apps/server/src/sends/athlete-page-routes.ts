/** What an athlete's link opens. No sign-in: the link is the key, to one version and its score. */
import { athletePageSchema } from '@gambito/contract';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { z } from 'zod';
import type { Limit } from '../platform/limits';
import { coachOf, linkIn, linkScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';
import { scoreLength } from '../scores/store';
import { logByLink } from '../scores/use-cases';
import { athletePage, calendarOf, noteOpened } from './use-cases';

const tokenParams = z.object({ token: z.string().max(60) });
/** by link, not by address: a class shares one */
const scoresByLink: Limit = { name: 'score', most: 60, seconds: 60 };

export function athletePageRoutes(plain: FastifyInstance, services: Services): void {
  linkScope(plain, services);
  const app = typed(plain);
  const addressOf = (request: FastifyRequest): string => services.address ?? `${request.protocol}://${request.host}`;
  app.get('/a/:token', { schema: { summary: 'An athlete’s page', params: tokenParams, response: { 200: athletePageSchema } } }, async (request, reply) => {
    void reply.header('referrer-policy', 'no-referrer');
    // a coach who looks at the page has not opened it for the athlete
    if (!(await coachOf(request, services))) await noteOpened(services, linkIn(request));
    return athletePage(services, linkIn(request));
  });
  app.get('/a/:token/calendar.ics', { schema: { summary: 'The version as a calendar entry', params: tokenParams } }, async (request, reply) =>
    reply
      .type('text/calendar; charset=utf-8')
      .header('content-disposition', 'attachment; filename="workout.ics"')
      .send(await calendarOf(services, linkIn(request), request.params.token, addressOf(request))),
  );
  app.post(
    '/a/:token/score',
    {
      schema: {
        summary: 'Log a score from the athlete’s page',
        params: tokenParams,
        body: z.object({ score: z.string().trim().min(1).max(scoreLength), note: z.string().max(1000).default('') }),
        response: { 200: z.object({ score: z.string(), note: z.string() }) },
      },
    },
    async (request) => {
      await services.limiter.spend(scoresByLink, request.params.token, services.now());
      return logByLink(services, linkIn(request), request.body);
    },
  );
}
