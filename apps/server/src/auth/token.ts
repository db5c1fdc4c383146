/** Tokens of sessions and links. */
import { createHash, randomBytes } from 'node:crypto';

/** Only the hash of a token is kept, wherever the token itself need not be shown again. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');
/** 192 bits in 32 letters, so that nobody guesses it. */
export const newToken = (): string => randomBytes(24).toString('base64url');
