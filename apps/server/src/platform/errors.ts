/** The one error registry: code → status → sentence. Answers are problem details (RFC 9457). A failure that is not listed is a 500 without particulars. */
import { withoutLongEchoes } from '@gambito/core';
import type { FastifyError, FastifyInstance } from 'fastify';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';
import { isAway, isConflict, isFull, isSlow } from './trouble';

const registry = {
  not_signed_in: { status: 401, title: 'Please sign in.' },
  wrong_password: { status: 401, title: 'E-mail and password do not match.' },
  no_demo: { status: 404, title: 'This is not the demo.' },
  not_found: { status: 404, title: 'Not found: it was deleted, or never here.' },
  link_gone: { status: 410, title: 'This link was withdrawn. Ask your coach for a new one.' },
  held: { status: 409, title: 'Your coach is looking at this version again. Open your link before you begin.' },
  changed_elsewhere: { status: 409, title: 'This was changed in another window since you opened it.' },
  bad_score: { status: 422, title: 'That is no score for this workout.' },
  unreadable_athlete: { status: 422, title: 'Something of this athlete must be settled first.' },
  unreadable_workout: { status: 422, title: 'The workout text cannot be read yet.' },
  invalid_input: { status: 400, title: 'Some of it cannot be taken as it is.' },
  too_large: { status: 413, title: 'That is too large.' },
  too_many: { status: 429, title: 'Too many tries. Wait a minute.' },
  not_founder: { status: 403, title: 'Whoever set Gambito up here invites other coaches.' },
  not_owner: { status: 403, title: 'Whoever the desk belongs to decides who works at it.' },
  wrong_host: { status: 421, title: 'Gambito was asked under a name it does not know.' },
  email_taken: { status: 409, title: 'Somebody signs in here with this e-mail already.' },
  not_empty: { status: 409, title: 'This desk has people or workouts already; an archive goes into an empty one, so that nothing is mixed up.' },
  bad_archive: { status: 422, title: 'This is no archive of a desk that can be taken.' },
  already_set_up: { status: 409, title: 'A coach is already set up here.' },
  wrong_origin: { status: 403, title: 'Asked from another site.' },
  too_slow: { status: 422, title: 'This takes too long to compute; make the text, the kit or the figures smaller.' },
  busy: { status: 503, title: 'Much is being computed for you already. Try again in a moment.' },
  given_up: { status: 499, title: 'Whoever asked has left.' },
  database_away: { status: 503, title: 'The database is away. What you typed is kept; try again in a moment.' },
  in_the_way: { status: 503, title: 'Somebody else changed the same at the same moment, again and again. Nothing of yours is lost; try once more.' },
  query_slow: { status: 503, title: 'The database took too long over this. Nothing you typed is lost; try again in a moment.' },
  disk_full: {
    status: 507,
    title: 'Nothing can be written now: the database’s disk is full, or it is being looked after. Reading goes on, and what you typed is kept.',
  },
  failed: { status: 500, title: 'Something went wrong here. Nothing you typed is lost; try again.' },
} as const;
export type ErrorCode = keyof typeof registry;

export class Problem extends Error {
  constructor(
    readonly code: ErrorCode,
    readonly detail: string | null = null,
    readonly extra: Readonly<Record<string, unknown>> = {},
  ) {
    super(registry[code].title);
  }
}

/** A failure of the database as what it means for who asked; null where it is none of these. */
function databaseProblem(error: unknown): ErrorCode | null {
  if (isFull(error)) return 'disk_full';
  if (isConflict(error)) return 'in_the_way';
  if (isSlow(error)) return 'query_slow';
  if (isAway(error)) return 'database_away';
  return null;
}

function body(code: ErrorCode, detail: string | null, extra: Readonly<Record<string, unknown>> = {}) {
  const { title, status } = registry[code];
  return { type: `urn:gambito:problem:${code}`, title, status, code, ...(detail ? { detail: withoutLongEchoes(detail) } : {}), ...extra };
}

export function registerErrors(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError, request, reply) => {
    const send = (code: ErrorCode, detail: string | null, extra: Readonly<Record<string, unknown>> = {}) =>
      reply
        .code(registry[code].status)
        .type('application/problem+json')
        .send(body(code, detail, extra));
    if (error instanceof Problem) return send(error.code, error.detail, error.extra);
    if (hasZodFastifySchemaValidationErrors(error)) {
      const fields = error.validation.map((each) => ({
        path: each.instancePath.replace(/^\//, '').replaceAll('/', '.'),
        message: withoutLongEchoes(each.message ?? 'unreadable'),
      }));
      return send('invalid_input', fields.map((each) => `${each.path || 'input'}: ${each.message}`).join('; '), { fields });
    }
    const database = databaseProblem(error);
    if (database) {
      void reply.header('retry-after', '1');
      return send(database, null);
    }
    if (error.statusCode === 413) {
      // who still sends hears the answer only if the connection stays until all has come
      void reply.removeHeader('connection');
      return send('too_large', `Expected at most ${Math.round(request.routeOptions.bodyLimit / 1024)} kB.`);
    }
    if (error.statusCode === 429) return send('too_many', null);
    if (error.statusCode && error.statusCode < 500) return send('invalid_input', error.message);
    request.log.error({ err: { type: error.name, stack: error.stack?.split('\n').slice(1, 6) } }, 'request failed');
    return send('failed', null);
  });
}
