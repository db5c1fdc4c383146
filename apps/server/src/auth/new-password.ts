/** Whoever keeps the machine gives a coach who forgot it a new password: it is told once, and every session of that coach ends. */
import { hash } from '@node-rs/argon2';
import { randomBytes } from 'node:crypto';
import type { Database } from '../platform/database';
import { coachStore, sessionStore } from './store';

/** @returns the new password; null where nobody has this e-mail */
export async function newPassword(database: Database, email: string): Promise<string | null> {
  const coaches = coachStore(database);
  const coach = await coaches.byEmail(email.trim().toLowerCase());
  if (!coach) return null;
  const password = randomBytes(12).toString('base64url');
  await coaches.change(coach.id, { passwordHash: await hash(password) });
  await sessionStore(database).closeAll(coach.id, null);
  return password;
}
