/** What holds for every request: JSON only, from our own pages, not too deep, and nothing private kept on the way. */
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { isIP } from 'node:net';
import { hostname as machine } from 'node:os';
import { Readable } from 'node:stream';
import { Problem } from './errors';

const writes = (request: FastifyRequest): boolean => request.method !== 'GET' && request.method !== 'HEAD' && request.method !== 'OPTIONS';

/** A form of another site can send neither JSON nor an archive; anything that writes must be one of them, or empty. */
function refuseForms(request: FastifyRequest): void {
  const type = request.headers['content-type'];
  if (writes(request) && type && !/^application\/(?:json|gzip)\s*(?:;|$)/i.test(type)) throw new Problem('invalid_input', 'Expected JSON.');
}

/** The browser says where a request comes from: another site may not write. */
function refuseOtherSites(request: FastifyRequest): void {
  const { origin, 'sec-fetch-site': site } = request.headers;
  if (!writes(request)) return;
  if (site !== undefined && site !== 'same-origin' && site !== 'none') throw new Problem('wrong_origin');
  if (typeof origin === 'string' && origin !== 'null' && URL.canParse(origin) && new URL(origin).host !== request.host) throw new Problem('wrong_origin');
  if (origin === 'null') throw new Problem('wrong_origin');
}

/** What the database's JSON takes is 32 deep; nothing of ours is deeper than this. */
const deepest = 20;
function depthOf(value: unknown, room: number): number {
  if (typeof value !== 'object' || value === null || room === 0) return 0;
  return 1 + Math.max(0, ...Object.values(value).map((inner) => depthOf(inner, room - 1)));
}

/** Half a pair of surrogates is no letter, and no database keeps it. */
const halfPair = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;
function wellFormed(value: unknown): unknown {
  if (typeof value === 'string') return value.replace(halfPair, '\uFFFD');
  if (Array.isArray(value)) return value.map(wellFormed);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [wellFormed(key), wellFormed(inner)]));
}

/** A name that anybody can point at this machine is none of ours: a page of theirs would be ours, to the browser. A number, this machine's own name and the address we were told are. */
function refuseOtherNames({ hostname }: FastifyRequest, address: string | null): void {
  const asked = hostname.replace(/^\[|\]$/g, '').toLowerCase();
  const own = machine().toLowerCase();
  const isOurs = isIP(asked) !== 0 || asked === 'localhost' || asked.endsWith('.localhost') || [own, `${own}.local`, `${own}.lan`].includes(asked);
  if (isOurs || (address !== null && new URL(address).hostname === asked)) return;
  throw new Problem('wrong_host', `“${asked.slice(0, 100)}” is not known here. Whoever keeps Gambito names it: GAMBITO_ADDRESS=https://${asked.slice(0, 100)}`);
}

/** @param address where people reach the instance; null: by the machine's own names */
export function registerGuards(app: FastifyInstance, address: string | null): void {
  app.addHook('preValidation', async (request) => {
    if (!(request.body instanceof Readable) && depthOf(request.body, deepest + 1) > deepest)
      throw new Problem('invalid_input', `Nested too deep: expected at most ${deepest} levels.`);
    // a file that still comes is looked at line by line
    if (!(request.body instanceof Readable)) request.body = wellFormed(request.body);
  });
  app.addHook('onRequest', async (request) => {
    refuseOtherNames(request, address);
    refuseForms(request);
    refuseOtherSites(request);
  });
  app.addHook('onSend', async (request, reply, payload) => {
    if (request.url.startsWith('/api/') && !reply.hasHeader('cache-control')) void reply.header('cache-control', 'no-store');
    return payload;
  });
}
