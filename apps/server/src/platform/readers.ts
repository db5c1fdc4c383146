/** Who reads and closes the page before the answer is there: what was to be computed for it alone need not be. Who writes is heard to the end, whether the page stays open or not. */
import type { FastifyInstance } from 'fastify';
import { AsyncLocalStorage } from 'node:async_hooks';
import { setMaxListeners } from 'node:events';

const reading = new AsyncLocalStorage<AbortSignal>();

/** Of the request that is being answered, where it only reads. */
export const whoReadsLeft = (): AbortSignal | undefined => reading.getStore();

export function watchReaders(app: FastifyInstance): void {
  app.addHook('onRequest', (request, reply, done) => {
    if (request.method !== 'GET') return done();
    const left = new AbortController();
    // a board waits for many at once
    setMaxListeners(0, left.signal);
    reply.raw.once('close', () => !reply.raw.writableFinished && left.abort());
    reading.run(left.signal, done);
  });
}
