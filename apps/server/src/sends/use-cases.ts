/** Sending versions, and what a link opens. */
import type { AthletePage, StoredSend, TodayAsked } from '@gambito/contract';
import { hoursAfter, isAlarming, withByHand, type Lock } from '@gambito/core';
import { athleteInput } from '../athletes/use-cases';
import type { Coach } from '../auth/store';
import { harmSaid, saidSentence } from '../doors/said';
import { Problem } from '../platform/errors';
import type { Urgency } from '../platform/pool/fair-queue';
import type { Services } from '../platform/services';
import { calendarFile, uidOf } from '../calendars/calendar';
import type { MadeBrief } from './brief';
import { sheetMarkdown, sheetOf, sheetText } from './sheet';
import type { OpenLink } from './store';
import { againstNow, locksStamp } from './still-safe';
import { fileToday, placesOfFile } from './today';

/** A living link. @throws {Problem} not_found; link_gone where it was withdrawn, ran out, or its workout or athlete was deleted */
export async function openLink(services: Services, token: string): Promise<OpenLink> {
  const link = /^[\w-]{20,40}$/.test(token) ? await services.sends.open(token) : null;
  if (!link) throw new Problem('not_found');
  const over = link.revokedAt !== null || link.expiresAt < services.now();
  if (over || link.workout === null || link.athleteDeleted) throw new Problem('link_gone');
  return link;
}

interface Meant {
  readonly workoutId: number;
  readonly text: string;
  readonly athleteId: number;
  readonly locks: readonly Lock[];
}
/** One athlete's version, computed by the workers. */
export async function makeVersion(
  services: Services,
  coach: Coach,
  { workoutId, text, athleteId, locks }: Meant,
  urgency: Urgency = 'now',
): Promise<MadeBrief> {
  const { stored, file, results, today } = await athleteInput(services, coach, athleteId, workoutId);
  const said = await saidBy(services, athleteId, file);
  if (said.length > 0) throw new Problem('unreadable_athlete', saidSentence(stored.name, said));
  return services.pool.run(coach.id, 'brief', { file, results, today, text, locks, rules: coach.rules, units: coach.units, ritual: coach.ritual }, urgency);
}

const saidBy = async (services: Services, athleteId: number, file: Readonly<Record<string, unknown>>): Promise<string[]> =>
  harmSaid((await services.proposals.from([athleteId])).get(athleteId) ?? [], file);

/** To a few, at once. */
export async function sendNow(services: Services, coach: Coach, workoutId: number, athleteIds: readonly number[]): Promise<StoredSend[]> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  const locked = new Map((await services.workouts.locks(workoutId)).map(({ athleteId, locks }) => [athleteId, locks]));
  for (const athleteId of new Set(athleteIds)) {
    const made = await makeVersion(services, coach, { workoutId, text, athleteId, locks: locked.get(athleteId) ?? [] });
    await services.sends.send({ workoutId, athleteId, originalText: text, made, by: coach.name }, services.now());
  }
  return listed(services, workoutId, text);
}

const wroteIt = (words: string): string => `“${words}” was written on the athlete’s own page and waits for an answer`;

/** What was sent, with the lines that go against what an athlete is to be spared by now. */
async function listed(services: Services, workoutId: number, text: string): Promise<StoredSend[]> {
  const [sends, standing, locked] = await Promise.all([
    services.sends.list(workoutId, text),
    services.sends.standing(workoutId),
    services.workouts.locks(workoutId),
  ]);
  const said = await services.proposals.from(sends.map(({ athleteId }) => athleteId));
  const made = new Map(
    standing.map((sent) => [
      sent.id,
      { against: [...againstNow(sent), ...harmSaid(said.get(sent.athleteId) ?? [], sent.file).map(wroteIt)], locks: sent.madeFor?.locks },
    ]),
  );
  return sends.map((send) => {
    const { against = [], locks } = made.get(send.id) ?? {};
    const fixed = locked.find(({ athleteId }) => athleteId === send.athleteId)?.locks ?? [];
    return { ...send, against, changed: send.changed || (locks !== undefined && locks !== locksStamp(fixed)) };
  });
}

export async function listSends(services: Services, coach: Coach, workoutId: number): Promise<StoredSend[]> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  return listed(services, workoutId, text);
}

export async function withdraw(services: Services, coach: Coach, workoutId: number, sendId: number): Promise<StoredSend[]> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  await services.sends.revoke(workoutId, sendId, services.now());
  return listed(services, workoutId, text);
}

/** The link that was withdrawn opens again: whoever has it need not be written to. */
export async function reopen(services: Services, coach: Coach, workoutId: number, sendId: number): Promise<StoredSend[]> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  await services.sends.reopen(workoutId, sendId);
  return listed(services, workoutId, text);
}

/** Told the coach; the page comes whether or not it can be written down. */
export async function noteOpened(services: Services, { workoutId, athleteId }: OpenLink): Promise<void> {
  await services.sends.noteOpened(workoutId, athleteId, services.now()).catch(() => undefined);
}

export async function athletePage(services: Services, link: OpenLink): Promise<AthletePage> {
  const score = await services.scores.latest(link.workoutId, link.athleteId);
  const felt = await services.discomforts.toldOf(link.workoutId, link.athleteId);
  const { brief, originalText, versionText, sentAt, workout, today, together } = link;
  const changed = workout !== null && workout.text !== originalText;
  const logBy = workout?.day ? hoursAfter(workout.day, link.logByHours) : null;
  return {
    brief,
    originalText,
    versionText,
    sentAt: sentAt.toISOString(),
    changed,
    score,
    places: placesOfFile(link.athleteFile),
    today,
    felt,
    // the gravest comes first
    doctorNow: felt !== null && isAlarming(felt),
    together,
    held: await isHeld(services, link),
    logBy,
  };
}

/** A version for what is there today, kept beside the one that was sent and told to the coach. @param asked null: back to the one that was sent */
export async function askToday(services: Services, link: OpenLink, asked: TodayAsked | null): Promise<void> {
  const { coachId, workoutId, athleteId, originalText } = link;
  if (asked === null) return services.sends.setToday(workoutId, athleteId, null);
  const coach = await services.coaches.byId(coachId);
  if (!coach) throw new Problem('not_found');
  const input = await athleteInput(services, coach, athleteId, workoutId);
  const { file, said } = fileToday(input.file, asked);
  const locks = (await services.workouts.locks(workoutId)).find((row) => row.athleteId === athleteId)?.locks ?? [];
  const { rules, units, ritual } = coach;
  // what was written by hand was for another day
  const made = await services.pool.run(coachId, 'brief', { ...input, file, text: originalText, rules, units, ritual, locks: withByHand(locks, null) });
  await services.sends.setToday(workoutId, athleteId, { said, ...made });
}

const isHeld = async (services: Services, { versionText, brief, athleteFile, athleteId }: OpenLink): Promise<boolean> =>
  againstNow({ versionText, madeFor: brief.madeFor, file: athleteFile }).length > 0 || (await saidBy(services, athleteId, athleteFile)).length > 0;
const beingLookedAt = 'Your coach is looking at this again. Open the link before you begin.';

/** @param address where the page is reached, without its path */
export async function calendarOf(services: Services, link: OpenLink, token: string, address: string): Promise<string> {
  const text = (await isHeld(services, link)) ? beingLookedAt : await services.pool.run(link.coachId, 'plainText', { text: link.versionText });
  const entry = {
    uid: uidOf(link.workoutId, link.athleteId),
    title: link.brief.title,
    text,
    url: `${address}/a/${token}`,
    day: dayOf(link),
    changedAt: link.sentAt,
  };
  return calendarFile([entry]);
}
const dayOf = ({ workout, sentAt }: OpenLink): string => workout?.day ?? sentAt.toISOString().slice(0, 10);

/** The version on paper, or as text. @throws {Problem} held */
export async function sheetFor(services: Services, link: OpenLink, face: 'pdf' | 'md' | 'txt'): Promise<Buffer | string> {
  if (await isHeld(services, link)) throw new Problem('held');
  const [{ brief, coachId }, day] = [link, dayOf(link)];
  if (face === 'pdf') return Buffer.from(await services.pool.run(coachId, 'pages', { brief, day }));
  return face === 'md' ? sheetMarkdown(sheetOf(brief, day)) : sheetText(sheetOf(brief, day));
}
