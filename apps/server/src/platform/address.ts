import type { FastifyRequest } from 'fastify';
import type { Services } from './services';

/** Where people reach the instance, without a path: as it was told, else as the request came. */
export const addressOf = ({ address }: Pick<Services, 'address'>, { protocol, host }: FastifyRequest): string => address ?? `${protocol}://${host}`;
