import { meSchema, type Me } from '@gambito/contract';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { coachIn, coachOf, coachScope, dropSession, keepSession, sessionOf } from '../platform/scopes';
import type { Services } from '../platform/services';
import { typed } from '../platform/typed';
import type { Coach } from './store';
import { changePassword, changeSettings, demoSignIn, setUp, signIn, tokenHash, type SignedIn } from './use-cases';

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
const timeZone = z.string().max(64).refine(isZone, 'expected a time zone such as Europe/Lisbon');
const units = z.enum(['kg', 'lb']);
const newPassword = z.string().min(10, 'expected at least 10 characters').max(200);
const firstCoach = z.object({
  name: z.string().trim().min(1).max(120),
  email: z.email().max(190),
  password: newPassword,
  timeZone,
  units: units.default('kg'),
});

const show = (coach: Coach | null, demo: boolean, isSetUp: boolean): Me => ({
  signedIn: coach !== null,
  demo,
  setUp: isSetUp,
  coach: coach && { name: coach.name, email: coach.email, timeZone: coach.timeZone, units: coach.units },
});

export function authRoutes(plain: FastifyInstance, services: Services): void {
  const app = typed(plain);
  const { demo, https } = services;
  app.get('/me', { schema: { summary: 'Who is signed in', response: { 200: meSchema } } }, async (request) => {
    const coach = await coachOf(request, services);
    return show(coach, demo, coach !== null || (await services.coaches.count()) > 0);
  });
  app.post(
    '/login',
    { schema: { summary: 'Sign in', body: z.object({ email: z.string().max(190), password: z.string().max(200) }), response: { 200: meSchema } } },
    async ({ body, ip }, reply) => welcome(await signIn(services, body.email, body.password, ip), reply),
  );
  app.post('/demo-login', { schema: { summary: 'Sign in as the demo coach (demo only)', response: { 200: meSchema } } }, async (_request, reply) =>
    welcome(await demoSignIn(services), reply),
  );
  app.post(
    '/set-up',
    { schema: { summary: 'The first coach of a fresh database', body: firstCoach, response: { 200: meSchema } } },
    async ({ body, ip }, reply) => welcome(await setUp(services, body, ip), reply),
  );
  app.post('/logout', { schema: { summary: 'Sign out' } }, async (request, reply) => {
    await services.sessions.close(tokenHash(sessionOf(request)));
    dropSession(reply);
    return { done: true };
  });
  const welcome = ({ coach, token }: SignedIn, reply: Parameters<typeof keepSession>[0]): Me => {
    keepSession(reply, token, https);
    return show(coach, demo, true);
  };
}

/** What a signed-in coach changes about the account. */
export function accountRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.put('/me', { schema: { summary: 'Change time zone and units', body: z.object({ timeZone, units }), response: { 200: meSchema } } }, async (request) =>
    show(await changeSettings(services, coachIn(request), request.body), services.demo, true),
  );
  app.put(
    '/me/password',
    { schema: { summary: 'Change the password; every other session ends', body: z.object({ before: z.string().max(200), after: newPassword }) } },
    async (request) => {
      await changePassword(services, coachIn(request), request.body.before, request.body.after, sessionOf(request));
      return { done: true };
    },
  );
}
