/** Signing in and out, setting up, and changing what is one's own. */
import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes } from 'node:crypto';
import { demoEmail } from '../demo/demo-coach';
import { Problem } from '../platform/errors';
import { isDuplicate } from '../platform/trouble';
import type { Services } from '../platform/services';
import type { Limit } from '../platform/limits';
import type { Coach, NewCoach } from './store';
import { newToken, tokenHash } from './token';

/** ms */
export const sessionLength = 14 * 24 * 3600 * 1000;
export const browserLength = 180 * 24 * 3600 * 1000;
const signInByAccount: Limit = { name: 'sign-in account', most: 10, seconds: 300 };
const signInByBrowser: Limit = { name: 'sign-in browser', most: 10, seconds: 300 };
const ownPassword: Limit = { name: 'own password', most: 10, seconds: 300 };
const signInByAddress: Limit = { name: 'sign-in address', most: 60, seconds: 300 };
const setUpByAddress: Limit = { name: 'set-up', most: 10, seconds: 60 };
/** verified against when the e-mail is unknown, so that the answer takes as long */
const nobody = '$argon2id$v=19$m=19456,t=2,p=1$bm9ib2R5LW5vYm9keQ$0000000000000000000000000000000000000000000';

export interface SignedIn {
  readonly coach: Coach;
  /** for the cookie; nothing keeps it here */
  readonly token: string;
  /** by which this browser is known from now on; null: it is known already */
  readonly browser: string | null;
}

/** What a browser calls itself; nothing hangs on it. */
export interface Visitor {
  readonly address: string;
  readonly device: string;
  /** by which it is known here; blank: it is not */
  readonly browser: string;
}

const newSecret = (): string => randomBytes(32).toString('base64url');

/** @param browser by which it is known for this person; null: it is not */
async function openSession({ sessions, browsers, now }: Services, coach: Coach, device: string, browser: string | null = null): Promise<SignedIn> {
  const token = newSecret();
  await sessions.open(tokenHash(token), coach.personId, new Date(now().getTime() + sessionLength), device);
  if (browser !== null) return { coach, token, browser: null };
  const known = newSecret();
  await browsers.know(coach.personId, tokenHash(known), new Date(now().getTime() + browserLength));
  return { coach, token, browser: known };
}

/** names under which the tries at accounts nobody has are counted: together on all servers, and never more rows than these */
const strangers = 1024;
const strangerOf = (account: string): string => `nobody ${createHash('sha256').update(account).digest().readUInt32BE() % strangers}`;

/** A browser that signed in before has tries of its own: whoever guesses elsewhere does not lock its owner out. @throws {Problem} too_many */
async function spendTry({ limiter, now }: Services, account: string, coach: Coach | null, known: string | null, address: string): Promise<void> {
  if (known !== null) return limiter.spend(signInByBrowser, tokenHash(known), now());
  limiter.spendHere(signInByAddress, address, now());
  return limiter.spend(signInByAccount, coach ? account : strangerOf(account), now());
}

/** @throws {Problem} wrong_password; too_many for this browser, account or address */
export async function signIn(services: Services, email: string, password: string, { address, device, browser }: Visitor): Promise<SignedIn> {
  const account = email.trim().toLowerCase();
  const coach = await services.coaches.byEmail(account);
  const known = coach && browser !== '' && (await services.browsers.isKnown(coach.personId, tokenHash(browser), services.now())) ? browser : null;
  await spendTry(services, account, coach, known, address);
  const kept = coach && (await services.coaches.passwordHash(coach.personId));
  const fine = await verify(kept ?? nobody, password).catch(() => false);
  if (!coach || !fine) throw new Problem('wrong_password');
  return openSession(services, coach, device, known);
}

/** @throws {Problem} no_demo */
export async function demoSignIn(services: Services, { device }: Visitor): Promise<SignedIn> {
  const coach = services.demo ? await services.coaches.byEmail(demoEmail) : null;
  if (!coach) throw new Problem('no_demo');
  // there is no password to be locked out of
  return openSession(services, coach, device, '');
}

/** The first coach of a fresh database; of several at once one is made. @throws {Problem} already_set_up */
export async function setUp(
  services: Services,
  { password, ...coach }: Omit<NewCoach, 'passwordHash'> & { password: string },
  { address, device }: Visitor,
): Promise<SignedIn> {
  services.limiter.spendHere(setUpByAddress, address, services.now());
  if ((await services.coaches.count()) > 0) throw new Problem('already_set_up');
  const passwordHash = await hash(password);
  const made = await services.coaches.createFounder({ ...coach, email: coach.email.toLowerCase(), passwordHash }).catch((error: unknown) => {
    if (isDuplicate(error)) throw new Problem('already_set_up');
    throw error;
  });
  return openSession(services, made, device);
}

export async function changeSettings(services: Services, coach: Coach, change: Pick<Coach, 'timeZone' | 'units' | 'firstDay' | 'logByHours'>): Promise<Coach> {
  await services.coaches.change(coach.id, change);
  // a load without a unit, and the day a score was logged on, read otherwise now
  if (change.timeZone !== coach.timeZone || change.units !== coach.units) {
    await services.readings.outdateCoach(coach.id);
    services.wake();
  }
  return { ...coach, ...change };
}

/** Every other session ends. @throws {Problem} wrong_password */
export async function changePassword(services: Services, coach: Coach, before: string, after: string, session: string): Promise<void> {
  await services.limiter.spend(ownPassword, coach.email, services.now());
  const kept = await services.coaches.passwordHash(coach.personId);
  if (!kept || !(await verify(kept, before).catch(() => false))) throw new Problem('wrong_password');
  await services.coaches.change(coach.personId, { passwordHash: await hash(after) });
  await services.sessions.closeAll(coach.personId, tokenHash(session));
}

/** ms */
const invitationLength = 7 * 24 * 3600 * 1000;
const joinByAddress: Limit = { name: 'join', most: 20, seconds: 300 };

/** A link for one more coach. @param shared to this desk; else to a desk of their own @returns its token, told once @throws {Problem} not_founder */
export async function invite(services: Services, coach: Coach, shared: boolean): Promise<{ token: string; expiresAt: Date }> {
  if (!coach.founder) throw new Problem('not_founder');
  const token = newToken();
  const expiresAt = new Date(services.now().getTime() + invitationLength);
  await services.invitations.make(coach.id, tokenHash(token), expiresAt, shared);
  return { token, expiresAt };
}

/** @throws {Problem} not_found where the link was used, withdrawn or ran out; email_taken */
export async function join(
  services: Services,
  token: string,
  { password, ...coach }: Omit<NewCoach, 'passwordHash'> & { password: string },
  { address, device }: Visitor,
): Promise<SignedIn> {
  services.limiter.spendHere(joinByAddress, address, services.now());
  const passwordHash = await hash(password);
  const made = await services.coaches
    .createInvited({ ...coach, email: coach.email.toLowerCase(), passwordHash }, tokenHash(token), services.now())
    .catch((error: unknown) => {
      if (isDuplicate(error)) throw new Problem('email_taken');
      throw error;
    });
  return openSession(services, made, device);
}

const forgottenByAddress: Limit = { name: 'forgotten address', most: 10, seconds: 600 };
const forgottenByAccount: Limit = { name: 'forgotten account', most: 3, seconds: 600 };

/** A link to a new password goes out to whoever signs in with this e-mail. Nothing tells whether anybody does, nor does the time it takes. */
export async function forgotten(services: Services, email: string, { address: from }: Visitor): Promise<void> {
  const account = email.trim().toLowerCase();
  services.limiter.spendHere(forgottenByAddress, from, services.now());
  const coach = await services.coaches.byEmail(account);
  await services.limiter.spend(forgottenByAccount, coach ? account : strangerOf(account), services.now());
  // a database that is away now is asked for another link later
  void sendReset(services, account).catch(() => undefined);
}
/** The link has the address that was configured and no other: a request may call this machine whatever it likes. */
async function sendReset(services: Services, account: string): Promise<void> {
  const coach = await services.coaches.byEmail(account);
  if (!coach) return;
  const path = `/reset/${await services.resets.make(coach.personId, services.now())}`;
  const where = services.address === null ? `where you open Gambito, under ${path}` : `${services.address}${path}`;
  await services.outbox.send({
    recipient: coach.email,
    subject: 'A new password for Gambito',
    body: `${coach.name}, somebody asked for a new password. Set it here within an hour: ${where}\nIf it was not you, leave this alone: nothing changes.`,
  });
}

/** @throws {Problem} not_found where the link was used or ran out */
export async function resetPassword(services: Services, token: string, password: string, { address, device }: Visitor): Promise<SignedIn> {
  services.limiter.spendHere(joinByAddress, address, services.now());
  const personId = await services.resets.use(token, password, services.now());
  return openSession(services, (await services.coaches.byId(personId))!, device);
}
