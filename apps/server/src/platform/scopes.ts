/** Who may be here: the coach's scope asks for a session, the link's scope for a living link. A route inside either cannot forget it. */
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { tokenHash } from '../auth/token';
import { browserLength, sessionLength } from '../auth/use-cases';
import type { Coach } from '../auth/store';
import type { OpenLink } from '../sends/store';
import { openLink } from '../sends/use-cases';
import { Problem } from './errors';
import type { Services } from './services';

declare module 'fastify' {
  interface FastifyRequest {
    signedIn: Coach | null;
    link: OpenLink | null;
  }
}

export const cookieName = 'gambito_session';
const browserCookie = 'gambito_browser';

export const sessionOf = (request: FastifyRequest): string => request.cookies[cookieName] ?? '';

export function keepSession(reply: FastifyReply, token: string, https: boolean): void {
  void reply.setCookie(cookieName, token, { path: '/', httpOnly: true, sameSite: 'strict', secure: https, maxAge: sessionLength / 1000 });
}
export const browserOf = (request: FastifyRequest): string => request.cookies[browserCookie] ?? '';
export function keepBrowser(reply: FastifyReply, token: string, https: boolean): void {
  void reply.setCookie(browserCookie, token, { path: '/api', httpOnly: true, sameSite: 'strict', secure: https, maxAge: browserLength / 1000 });
}
export const dropSession = (reply: FastifyReply): void => void reply.clearCookie(cookieName, { path: '/' });

/** Who is signed in; null where nobody is. */
export async function coachOf(request: FastifyRequest, { sessions, now }: Services): Promise<Coach | null> {
  const token = sessionOf(request);
  return token === '' ? null : sessions.coachOf(tokenHash(token), now());
}

/** Every route of this scope asks for a session. */
export function coachScope(app: FastifyInstance, services: Services): void {
  app.addHook('onRequest', async (request) => {
    request.signedIn = await coachOf(request, services);
    if (!request.signedIn) throw new Problem('not_signed_in');
  });
}
/** Inside the coach's scope there is one. */
export function coachIn(request: FastifyRequest): Coach {
  if (!request.signedIn) throw new RangeError('coachIn: a route outside the coach’s scope');
  return request.signedIn;
}

/** Every route of this scope has a link in its address. */
export function linkScope(app: FastifyInstance, services: Services): void {
  app.addHook('onRequest', async (request) => {
    request.link = await openLink(services, String((request.params as { token?: string }).token ?? ''));
  });
}
export function linkIn(request: FastifyRequest): OpenLink {
  if (!request.link) throw new RangeError('linkIn: a route outside the link’s scope');
  return request.link;
}
