/** Feeds that calendars subscribe to, and the link of the coach's own. */
import type { FastifyInstance, FastifyReply } from 'fastify';
import { z } from 'zod';
import { addressOf } from '../platform/address';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { tokenParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import { athleteFeed, coachFeed } from './use-cases';

const link = z.object({ token: z.string().nullable() });

export function calendarRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  const { calendars } = services;
  app.get('/me/calendar', { schema: { summary: 'The link of one’s calendar feed', response: { 200: link } } }, async (request) => ({
    token: await calendars.token(coachIn(request).id),
  }));
  app.put('/me/calendar', { schema: { summary: 'A new link; the one before opens no more', response: { 200: link } } }, async (request) => ({
    token: await calendars.renew(coachIn(request).id, true),
  }));
  app.delete('/me/calendar', { schema: { summary: 'No feed any more', response: { 200: link } } }, async (request) => ({
    token: await calendars.renew(coachIn(request).id, false),
  }));
}

const asCalendar = (reply: FastifyReply): FastifyReply =>
  reply.type('text/calendar; charset=utf-8').header('content-disposition', 'inline; filename="gambito.ics"');

/** No sign-in: the link is the key. */
export function feedRoutes(plain: FastifyInstance, services: Services): void {
  const app = typed(plain);
  app.get(
    '/d/:token/calendar.ics',
    { schema: { summary: 'All that was sent to an athlete, as a calendar feed', params: tokenParams } },
    async (request, reply) => {
      const feed = await athleteFeed(services, request.params.token, addressOf(services, request));
      return asCalendar(reply).send(feed);
    },
  );
  app.get('/c/:token/calendar.ics', { schema: { summary: 'A coach’s dated workouts, as a calendar feed', params: tokenParams } }, async (request, reply) => {
    const feed = await coachFeed(services, request.params.token, addressOf(services, request));
    return asCalendar(reply).send(feed);
  });
}
