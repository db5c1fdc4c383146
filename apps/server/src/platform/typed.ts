/** A Fastify instance whose handlers are typed by their Zod schemas. */
import type { FastifyInstance, FastifyBaseLogger, RawReplyDefaultExpression, RawRequestDefaultExpression, RawServerDefault } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';

export type TypedApp = FastifyInstance<RawServerDefault, RawRequestDefaultExpression, RawReplyDefaultExpression, FastifyBaseLogger, ZodTypeProvider>;
export const typed = (app: FastifyInstance): TypedApp => app.withTypeProvider<ZodTypeProvider>() as unknown as TypedApp;
