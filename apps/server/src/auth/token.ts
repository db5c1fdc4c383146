import { createHash } from 'node:crypto';

/** Only the hash of a session's or a link's token is kept. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');
