/** Sessions: a random token in a cookie, only its hash in the database. */
import { createHash, randomBytes } from 'node:crypto';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { Op } from 'sequelize';
import { Problem } from '../platform/errors';
import { CoachRow, SessionRow } from '../platform/models';

export const cookieName = 'gambito_session';
const lifetimeMs = 14 * 24 * 3600 * 1000;
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

export async function openSession(reply: FastifyReply, coachId: number, now: Date): Promise<void> {
  const token = randomBytes(32).toString('base64url');
  await SessionRow.destroy({ where: { expiresAt: { [Op.lt]: now } } });
  await SessionRow.create({ tokenHash: hashOf(token), coachId, expiresAt: new Date(now.getTime() + lifetimeMs) });
  void reply.setCookie(cookieName, token, { path: '/', httpOnly: true, sameSite: 'strict', maxAge: lifetimeMs / 1000 });
}

export async function closeSession(request: FastifyRequest, reply: FastifyReply): Promise<void> {
  const token = request.cookies[cookieName];
  if (token) await SessionRow.destroy({ where: { tokenHash: hashOf(token) } });
  void reply.clearCookie(cookieName, { path: '/' });
}

export async function coachOf(request: FastifyRequest, now: Date): Promise<CoachRow | null> {
  const token = request.cookies[cookieName];
  if (!token) return null;
  const session = await SessionRow.findOne({ where: { tokenHash: hashOf(token), expiresAt: { [Op.gt]: now } } });
  return session ? CoachRow.findByPk(session.coachId) : null;
}

/** The signed-in coach, or a 401. */
export async function requireCoach(request: FastifyRequest, now: Date): Promise<CoachRow> {
  const coach = await coachOf(request, now);
  if (!coach) throw new Problem('not_signed_in');
  return coach;
}
