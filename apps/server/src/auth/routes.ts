import {
  deskPersonSchema,
  forgottenSchema,
  logBySchema,
  meSchema,
  newCoachSchema,
  newPasswordSchema,
  passwordSchema,
  sessionSchema,
  type Me,
} from '@gambito/contract';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { z } from 'zod';
import { browserOf, coachIn, coachOf, coachScope, dropSession, keepBrowser, keepSession, sessionOf } from '../platform/scopes';
import type { Services } from '../platform/services';
import { idParams, tokenParams } from '../platform/shapes';
import { typed, type TypedApp } from '../platform/typed';
import { Problem } from '../platform/errors';
import { handOver, listPeople, removePerson } from './desk-people';
import type { Coach } from './store';
import { tokenHash } from './token';
import { changePassword, changeSettings, demoSignIn, forgotten, invite, join, resetPassword, setUp, signIn, type SignedIn, type Visitor } from './use-cases';

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
const newCoach = newCoachSchema.extend({ timeZone, units: units.default('kg') });
const hashParams = z.object({ id: z.string().regex(/^[0-9a-f]{64}$/, 'expected its id') });

async function show(services: Services, coach: Coach | null): Promise<Me> {
  const { demo, coaches } = services;
  return {
    signedIn: coach !== null,
    demo,
    setUp: coach !== null || (await coaches.count()) > 0,
    coach: coach && {
      name: coach.name,
      email: coach.email,
      timeZone: coach.timeZone,
      units: coach.units,
      firstDay: coach.firstDay,
      logByHours: coach.logByHours,
      founder: coach.founder,
      guestOf: coach.guestOf,
    },
  };
}
const visitor = (request: FastifyRequest): Visitor => ({ address: request.ip, device: request.headers['user-agent'] ?? '', browser: browserOf(request) });

export function authRoutes(plain: FastifyInstance, services: Services): void {
  const app = typed(plain);
  const welcome = async ({ coach, token, browser }: SignedIn, reply: FastifyReply): Promise<Me> => {
    keepSession(reply, token, services.https);
    if (browser !== null) keepBrowser(reply, browser, services.https);
    return show(services, coach);
  };
  app.get('/me', { schema: { summary: 'Who is signed in', response: { 200: meSchema } } }, async (request) => show(services, await coachOf(request, services)));
  app.post(
    '/login',
    { schema: { summary: 'Sign in', body: z.object({ email: z.string().max(190), password: z.string().max(200) }), response: { 200: meSchema } } },
    async (request, reply) => welcome(await signIn(services, request.body.email, request.body.password, visitor(request)), reply),
  );
  app.post('/demo-login', { schema: { summary: 'Sign in as the demo coach (demo only)', response: { 200: meSchema } } }, async (request, reply) =>
    welcome(await demoSignIn(services, visitor(request)), reply),
  );
  app.post('/set-up', { schema: { summary: 'The first coach of a fresh database', body: newCoach, response: { 200: meSchema } } }, async (request, reply) =>
    welcome(await setUp(services, request.body, visitor(request)), reply),
  );
  app.get(
    '/join/:token',
    { schema: { summary: 'Whether an invitation is open', params: tokenParams, response: { 200: z.object({ open: z.boolean() }) } } },
    async (request) => ({ open: await services.invitations.isOpen(tokenHash(request.params.token), services.now()) }),
  );
  app.post(
    '/join/:token',
    { schema: { summary: 'A coach who was invited', params: tokenParams, body: newCoach, response: { 200: meSchema } } },
    async (request, reply) => welcome(await join(services, request.params.token, request.body, visitor(request)), reply),
  );
  resetRoutes(app, services, welcome);
  app.post('/logout', { schema: { summary: 'Sign out' } }, async (request, reply) => {
    await services.sessions.close(tokenHash(sessionOf(request)));
    dropSession(reply);
    return { done: true };
  });
}

/** A forgotten password: a link goes out, and what it opens. */
function resetRoutes(app: TypedApp, services: Services, welcome: (signedIn: SignedIn, reply: FastifyReply) => Promise<Me>): void {
  app.post(
    '/forgotten',
    { schema: { summary: 'Ask for a link to a new password', body: forgottenSchema, response: { 200: z.object({ done: z.boolean() }) } } },
    async (request) => {
      await forgotten(services, request.body.email, visitor(request));
      return { done: true };
    },
  );
  app.get(
    '/reset/:token',
    { schema: { summary: 'Whether a link to a new password is open', params: tokenParams, response: { 200: z.object({ open: z.boolean() }) } } },
    async (request) => ({ open: await services.resets.isOpen(request.params.token, services.now()) }),
  );
  app.post(
    '/reset/:token',
    { schema: { summary: 'Set the new password', params: tokenParams, body: newPasswordSchema, response: { 200: meSchema } } },
    async (request, reply) => welcome(await resetPassword(services, request.params.token, request.body.password, visitor(request)), reply),
  );
}

/** What a signed-in coach changes about the account. */
export function accountRoutes(plain: FastifyInstance, services: Services): void {
  coachScope(plain, services);
  const app = typed(plain);
  app.put(
    '/me',
    {
      schema: {
        summary: 'Change time zone, units, the first day of the week, and when scores are due',
        body: z.object({ timeZone, units, firstDay: z.union([z.literal(0), z.literal(1)]).default(1), logByHours: logBySchema.optional() }),
        response: { 200: meSchema },
      },
    },
    async (request) => {
      const coach = coachIn(request);
      return show(services, await changeSettings(services, coach, { ...request.body, logByHours: request.body.logByHours ?? coach.logByHours }));
    },
  );
  app.put(
    '/me/password',
    { schema: { summary: 'Change the password; every other session ends', body: z.object({ before: z.string().max(200), after: passwordSchema }) } },
    async (request) => {
      await changePassword(services, coachIn(request), request.body.before, request.body.after, sessionOf(request));
      return { done: true };
    },
  );
  sessionRoutes(app, services);
  deskPeopleRoutes(app, services);
  invitationRoutes(app, services);
}

function sessionRoutes(app: TypedApp, { sessions, now }: Services): void {
  app.get(
    '/me/sessions',
    { schema: { summary: 'Where one is signed in', response: { 200: z.object({ sessions: z.array(sessionSchema) }) } } },
    async (request) => {
      const here = tokenHash(sessionOf(request));
      const living = await sessions.list(coachIn(request).personId, now());
      return { sessions: living.map(({ id, device, since }) => ({ id, device, since: since.toISOString(), here: id === here })) };
    },
  );
  app.delete('/me/sessions/:id', { schema: { summary: 'Sign out elsewhere', params: hashParams } }, async (request) => {
    await sessions.end(coachIn(request).personId, request.params.id);
    return { done: true };
  });
}

/** Who works at this desk. */
function deskPeopleRoutes(app: TypedApp, services: Services): void {
  const answer = { 200: z.object({ people: z.array(deskPersonSchema) }) };
  app.get('/desk/people', { schema: { summary: 'Who works at this desk', response: answer } }, async (request) => ({
    people: await listPeople(services, coachIn(request)),
  }));
  app.delete(
    '/desk/people/:id',
    { schema: { summary: 'Somebody works at this desk no more: a guest, or oneself as a guest', params: idParams, response: answer } },
    async (request) => ({ people: await removePerson(services, coachIn(request), request.params.id) }),
  );
  app.post('/desk/people/:id/owner', { schema: { summary: 'Hand the desk over to a guest', params: idParams, response: answer } }, async (request) => ({
    people: await handOver(services, coachIn(request), request.params.id),
  }));
}

function invitationRoutes(app: TypedApp, services: Services): void {
  const { invitations, now } = services;
  const one = z.object({ id: z.string(), expiresAt: z.string(), shared: z.boolean() });
  app.get(
    '/invitations',
    { schema: { summary: 'Open invitations of other coaches', response: { 200: z.object({ invitations: z.array(one) }) } } },
    async (request) => ({
      invitations: (coachIn(request).founder ? await invitations.list(coachIn(request).id, now()) : []).map(({ expiresAt, ...open }) => ({
        ...open,
        expiresAt: expiresAt.toISOString(),
      })),
    }),
  );
  app.post(
    '/invitations',
    {
      schema: {
        summary: 'A link for one more coach (the founder’s): to this desk, or to a desk of their own',
        body: z.object({ shared: z.boolean().default(false) }).nullish(),
        response: { 200: z.object({ token: z.string(), expiresAt: z.string() }) },
      },
    },
    async (request) => {
      const { token, expiresAt } = await invite(services, coachIn(request), request.body?.shared ?? false);
      return { token, expiresAt: expiresAt.toISOString() };
    },
  );
  app.delete('/invitations/:id', { schema: { summary: 'Withdraw an invitation', params: hashParams } }, async (request) => {
    if (!coachIn(request).founder) throw new Problem('not_founder');
    await invitations.withdraw(coachIn(request).id, request.params.id);
    return { done: true };
  });
}
