import { expect, test } from '@jest/globals';
import Fastify from 'fastify';
import { Writable } from 'node:stream';
import { loggerOptions } from './app';

test('no cookie and no link’s token is logged', async () => {
  const lines: string[] = [];
  const stream = new Writable({
    write(chunk, _encoding, done) {
      lines.push(String(chunk));
      done();
    },
  });
  const app = Fastify({ logger: { ...loggerOptions('info'), stream } });
  app.get('/api/a/:token', async (request) => {
    request.log.error({ req: request, headers: undefined }, 'request failed');
    return { ok: true };
  });
  await app.inject({ url: '/api/a/SECRETTOKEN', headers: { cookie: 'gambito_session=SECRETCOOKIE' } });
  await app.close();
  expect(lines.length).toBeGreaterThan(1);
  expect(lines.join('')).not.toMatch(/SECRET/);
});
