import { meSchema, type Me } from '@gambito/contract';
import { hash, verify } from '@node-rs/argon2';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Services } from '../platform/app';
import { Problem } from '../platform/errors';
import { CoachRow } from '../platform/models';
import { typed } from '../platform/typed';
import { demoEmail } from '../demo/demo-coach';
import { closeSession, coachOf, openSession, requireCoach } from './session';

const timeZone = z
  .string()
  .max(64)
  .refine((zone) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone });
      return true;
    } catch {
      return false;
    }
  }, 'expected a time zone such as Europe/Lisbon');
const slow = { config: { rateLimit: { max: 10, timeWindow: '1 minute' } } };
/** verified against when the e-mail is unknown, so that the answer takes as long */
const nobody = '$argon2id$v=19$m=19456,t=2,p=1$bm9ib2R5LW5vYm9keQ$0000000000000000000000000000000000000000000';

export function authRoutes(plain: FastifyInstance, { demo, now }: Services): void {
  const app = typed(plain);
  const me = (coach: CoachRow | null, count: number): Me => ({
    signedIn: coach !== null,
    demo,
    setUp: count > 0,
    coach: coach ? { name: coach.name, email: coach.email, timeZone: coach.timeZone, units: coach.units === 'lb' ? 'lb' : 'kg' } : null,
  });

  app.get('/me', { schema: { summary: 'Who is signed in', response: { 200: meSchema } } }, async (request) =>
    me(await coachOf(request, now()), await CoachRow.count()),
  );
  app.post(
    '/login',
    { ...slow, schema: { summary: 'Sign in', body: z.object({ email: z.string().max(190), password: z.string().max(200) }), response: { 200: meSchema } } },
    async (request, reply) => {
      const coach = await CoachRow.findOne({ where: { email: request.body.email.trim().toLowerCase() } });
      const fine = await verify(coach?.passwordHash ?? nobody, request.body.password).catch(() => false);
      if (!coach || !fine) throw new Problem('wrong_password');
      await openSession(reply, coach.id, now());
      return me(coach, 1);
    },
  );
  app.post('/demo-login', { schema: { summary: 'Sign in as the demo coach (demo only)', response: { 200: meSchema } } }, async (_request, reply) => {
    const coach = demo ? await CoachRow.findOne({ where: { email: demoEmail } }) : null;
    if (!coach) throw new Problem('no_demo');
    await openSession(reply, coach.id, now());
    return me(coach, 1);
  });
  app.post(
    '/set-up',
    {
      ...slow,
      schema: {
        summary: 'The first coach of a fresh database',
        body: z.object({
          name: z.string().trim().min(1).max(120),
          email: z.email().max(190),
          password: z.string().min(10, 'expected at least 10 characters').max(200),
          timeZone,
          units: z.enum(['kg', 'lb']).default('kg'),
        }),
        response: { 200: meSchema },
      },
    },
    async (request, reply) => {
      if ((await CoachRow.count()) > 0) throw new Problem('already_set_up');
      const { name, email, password, timeZone: zone, units } = request.body;
      const coach = await CoachRow.create({ name, email: email.toLowerCase(), passwordHash: await hash(password), timeZone: zone, units, rules: {} });
      await openSession(reply, coach.id, now());
      return me(coach, 1);
    },
  );
  app.put(
    '/me',
    { schema: { summary: 'Change time zone and units', body: z.object({ timeZone, units: z.enum(['kg', 'lb']) }), response: { 200: meSchema } } },
    async (request) => {
      const coach = await requireCoach(request, now());
      await coach.update(request.body);
      return me(coach, 1);
    },
  );
  app.post('/logout', { schema: { summary: 'Sign out' } }, async (request, reply) => {
    await closeSession(request, reply);
    return { done: true };
  });
}
