/** Telling athletes what was sent to them: drafted to be looked at, queued once a sending, tried until it arrives or cannot. */
import type { Draft } from '@gambito/contract';
import { formatClock } from '@gambito/core';
import type { Coach } from '../auth/store';
import type { Services } from '../platform/services';
import { DeliveryFailure, standIn } from './messenger';
import type { DueDelivery } from './store';

/** tries of one message, and ms before the second; each later one waits twice as long */
const mostTries = 5;
const firstPause = 5_000;

/** characters of an address that a message can go to */
const longestContact = 190;
const contactOf = (file: Readonly<Record<string, unknown>>): string | null => (typeof file['contact'] === 'string' && file['contact'].trim()) || null;

interface Told {
  readonly name: string;
  readonly about: string;
  readonly link: string;
  /** s the version should take; 0 where that is not known */
  readonly seconds: number;
  readonly coach: string;
}
function bodyOf({ name, about, link, seconds, coach }: Told): string {
  const long = seconds > 0 ? ` It should take you about ${formatClock(Math.round(seconds / 60) * 60)} without the warm-up.` : '';
  return `Hello ${name},\n\nyour version of ${about} is here:\n${link}\n\nIt has the warm-up, the clock and a place for your score.${long} If anything hurts or is missing today, tell me on the page.\n\n${coach}`;
}

/** Why nothing goes out; null where it does. */
function reasonOf(contact: string | null, sentAt: number | null, toldOf: number | undefined): Draft['reason'] {
  if (sentAt === null) return 'not sent';
  if (contact === null) return 'no contact';
  if (contact.length > longestContact) return 'contact too long';
  return toldOf === sentAt ? 'told already' : null;
}

interface Drafted extends Draft {
  readonly sentAt: Date | null;
}
/** One a person, whether or not it can go out. @param address where pages are reached */
async function draft(services: Services, coach: Coach, workoutId: number, athleteIds: readonly number[], address: string): Promise<Drafted[]> {
  const { text, title, day } = await services.workouts.find(coach.id, workoutId);
  const [sends, told] = [await services.sends.list(workoutId, text), await services.deliveries.told(workoutId)];
  const lengths = await services.sends.lengths(workoutId);
  const about = day === null ? title : `${title}, ${day}`;
  const drafts: Drafted[] = [];
  for (const athleteId of new Set(athleteIds)) {
    const { name, file } = await services.athletes.find(coach.id, athleteId);
    const sent = sends.find((each) => each.athleteId === athleteId && !each.revoked);
    const [recipient, sentAt] = [contactOf(file), sent ? new Date(sent.sentAt) : null];
    const reason = reasonOf(recipient, sentAt && sentAt.getTime(), told.get(athleteId));
    const link = sent ? `${address}/a/${sent.token}` : '(its link)';
    const body = bodyOf({ name, about, link, seconds: lengths.get(athleteId) ?? 0, coach: coach.name });
    drafts.push({ athleteId, name, recipient, subject: about.slice(0, 200), body, reason, sentAt });
  }
  return drafts;
}

export async function previewMessages(services: Services, coach: Coach, workoutId: number, athleteIds: readonly number[], address: string): Promise<Draft[]> {
  return (await draft(services, coach, workoutId, athleteIds, address)).map(({ sentAt: _sentAt, ...each }) => each);
}

/** @returns how many go out that were not on their way before */
export async function queueMessages(services: Services, coach: Coach, workoutId: number, athleteIds: readonly number[], address: string): Promise<number> {
  const drafts = await draft(services, coach, workoutId, athleteIds, address);
  const letters = drafts.flatMap(({ athleteId, recipient, subject, body, sentAt, reason }) =>
    reason === null && recipient !== null && sentAt !== null ? [{ workoutId, athleteId, sentAt, recipient, subject, body }] : [],
  );
  const fresh = await services.deliveries.queue(coach.id, letters, services.now());
  services.wake();
  return fresh;
}

async function tryOne(services: Services, { id, recipient, subject, body, tries, mode }: DueDelivery): Promise<void> {
  try {
    await standIn(mode, tries).deliver({ key: `delivery-${id}`, recipient, subject, body });
    await services.deliveries.noteSent(id);
  } catch (error) {
    if (!(error instanceof DeliveryFailure)) throw error;
    const last = !error.passing || tries + 1 >= mostTries;
    await services.deliveries.noteFailure(id, error.message.slice(0, 300), last ? null : new Date(services.now().getTime() + firstPause * 2 ** tries));
  }
}
/** @returns how many it tried */
export async function deliverDue(services: Services, most: number): Promise<number> {
  const due = await services.deliveries.lease(most, services.now());
  await Promise.all(due.map((each) => tryOne(services, each)));
  return due.length;
}
