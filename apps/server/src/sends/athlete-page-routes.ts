/** What an athlete's link opens. No sign-in: the link is the key, to one version and its score. */
import { athletePageSchema, measuredSchema, ratingSchema, reportSchema, todayAskedSchema } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { addressOf } from '../platform/address';
import type { Limit } from '../platform/limits';
import { coachOf, linkIn, linkScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { tokenParams } from '../platform/shapes';
import { typed, type TypedApp } from '../platform/typed';
import { scoreLength } from '../scores/store';
import { logByLink } from '../scores/use-cases';
import { askToday, athletePage, calendarOf, noteOpened, sheetFor } from './use-cases';

/** by link, not by address: a class shares one */
const scoresByLink: Limit = { name: 'score', most: 60, seconds: 60 };
const typesOf = { pdf: 'application/pdf', md: 'text/markdown; charset=utf-8', txt: 'text/plain; charset=utf-8' } as const;
const asksByLink: Limit = { name: 'asked today', most: 30, seconds: 60 };

export function athletePageRoutes(plain: FastifyInstance, services: Services): void {
  linkScope(plain, services);
  const app = typed(plain);
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
      .send(await calendarOf(services, linkIn(request), request.params.token, addressOf(services, request))),
  );
  app.get(
    '/a/:token/version/:face',
    { schema: { summary: 'The version as PDF, Markdown or plain text', params: tokenParams.extend({ face: z.enum(['pdf', 'md', 'txt']) }) } },
    async (request, reply) => {
      const { face } = request.params;
      return reply
        .type(typesOf[face])
        .header('content-disposition', `inline; filename="workout.${face}"`)
        .send(await sheetFor(services, linkIn(request), face));
    },
  );
  saidRoutes(app, services);
}

/** What an athlete says back: what is there today, what hurt, the score. */
function saidRoutes(app: TypedApp, services: Services): void {
  app.post('/a/:token/today', { schema: { summary: 'A version for what is there today', params: tokenParams, body: todayAskedSchema } }, async (request) => {
    await services.limiter.spend(asksByLink, request.params.token, services.now());
    await askToday(services, linkIn(request), request.body);
    return { done: true };
  });
  app.delete('/a/:token/today', { schema: { summary: 'Back to the version that was sent', params: tokenParams } }, async (request) => {
    await askToday(services, linkIn(request), null);
    return { done: true };
  });
  app.post('/a/:token/felt', { schema: { summary: 'What hurt, told to the coach', params: tokenParams, body: reportSchema.nullish() } }, async (request) => {
    await services.limiter.spend(asksByLink, request.params.token, services.now());
    const link = linkIn(request);
    if (request.body) await services.discomforts.tell(link, request.body, services.now());
    else await services.discomforts.takeBack(link, services.now());
    return { done: true };
  });
  app.post(
    '/a/:token/score',
    {
      schema: {
        summary: 'Log a score from the athlete’s page',
        params: tokenParams,
        body: z.object({
          score: z.string().trim().min(1).max(scoreLength),
          note: z.string().max(1000).default(''),
          rating: ratingSchema.nullish(),
          measured: measuredSchema.nullish(),
          // of the version that was done: another one may have been sent since
          versionText: z.string().max(20_000).optional(),
        }),
        response: { 200: z.object({ score: z.string(), note: z.string() }) },
      },
    },
    async (request) => {
      await services.limiter.spend(scoresByLink, request.params.token, services.now());
      return logByLink(services, linkIn(request), request.body);
    },
  );
}
