/** The coach's side of a class clock, and the phones'. News goes out as server-sent events; the browser asks again by itself when they break off. */
import { beginsSchema, classMoveSchema, classRunSchema, classSchema, classStateSchema } from '@gambito/contract';
import type { FastifyInstance, FastifyReply } from 'fastify';
import { z } from 'zod';
import type { Limit } from '../platform/limits';
import { coachIn, coachScope } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, idValue, tokenParams } from '../platform/shapes';
import { typed } from '../platform/typed';
import type { Listener } from './rooms';
import { classRoom, followerOf, moveClass, openClass, staggerClass, tellRun } from './use-cases';

/** ms after which the browser has to ask again: a link may have been withdrawn, a session ended */
const longest = 240_000;
/** ms between two signs of life: proxies cut what is silent */
const sign = 15_000;

/** @param listen takes the screen in, and says how to let it go */
function stream(reply: FastifyReply, listen: (listener: Listener) => () => void): void {
  const { raw } = reply.hijack();
  raw.writeHead(200, { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store', 'x-accel-buffering': 'no', connection: 'close' });
  // the first words have the browser know that it is heard
  raw.write('retry: 1000\n\n');
  const stop = listen({ tell: (news) => void raw.write(`data: ${JSON.stringify(news)}\n\n`), end: () => void raw.end() });
  const signs = setInterval(() => raw.write(': here\n\n'), sign);
  const end = setTimeout(() => raw.end(), longest);
  raw.once('close', () => {
    clearInterval(signs);
    clearTimeout(end);
    stop();
  });
}

export function classRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  const response = { 200: classStateSchema };
  app.get(
    '/workouts/:id/class',
    { schema: { summary: 'The class of a workout: its clock and everybody’s lane', params: idParams, response: { 200: classSchema } } },
    async (request) => classRoom(services, coachIn(request), request.params.id),
  );
  app.put('/workouts/:id/class', { schema: { summary: 'Open the class: phones may come in', params: idParams, response } }, async (request) =>
    openClass(services, coachIn(request), request.params.id),
  );
  app.post(
    '/workouts/:id/class/moves',
    { schema: { summary: 'Start, pause, go on, end', params: idParams, body: z.object({ move: classMoveSchema }), response } },
    async (request) => moveClass(services, coachIn(request), request.params.id, request.body.move),
  );
  app.put(
    '/workouts/:id/class/later',
    {
      schema: {
        summary: 'Who begins later (s, by athlete) or with another movement: shared equipment',
        params: idParams,
        body: z.object({ later: z.record(z.string().regex(/^\d{1,10}$/), z.number().int().min(0).max(7200)), begins: beginsSchema }),
        response,
      },
    },
    async (request) => staggerClass(services, coachIn(request), request.params.id, request.body),
  );
  app.get('/workouts/:id/class/news', { schema: { summary: 'What happens in the class, as it happens', params: idParams } }, async (request, reply) => {
    const { id } = await services.workouts.find(coachIn(request).id, idValue.parse(request.params.id));
    stream(reply, (listener) => services.rooms.watch(id, listener));
  });
}

/** by link: a bad network asks again every second, for a while */
const streamsByLink: Limit = { name: 'class streams', most: 90, seconds: 60 };

/** No sign-in: the link is the key, to the clock of its class and its own taps. */
export function followRoutes(plain: FastifyInstance, services: Services): void {
  const app = typed(plain);
  app.get('/time', { schema: { summary: 'The time of day that all servers share', response: { 200: z.object({ now: z.number() }) } } }, async () => ({
    now: await services.sharedTime(),
  }));
  app.get('/a/:token/class/news', { schema: { summary: 'The clock of the class, as it is moved', params: tokenParams } }, async (request, reply) => {
    services.limiter.spendHere(streamsByLink, request.params.token, services.now());
    const { workoutId, athleteId } = await followerOf(services, request.params.token);
    stream(reply, (listener) => services.rooms.follow(workoutId, athleteId, listener));
  });
  app.put(
    '/a/:token/class',
    { schema: { summary: 'What was tapped on this phone', params: tokenParams, body: classRunSchema, response: { 200: z.object({ done: z.literal(true) }) } } },
    async (request) => {
      await tellRun(services, await followerOf(services, request.params.token), request.body);
      return { done: true as const };
    },
  );
}
