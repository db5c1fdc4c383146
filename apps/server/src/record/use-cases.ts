/** A person's record, and who is silent, for their coach. */
import type { PersonRecord, Silent } from '@gambito/contract';
import { addDays, attendance, hoursAfter, silentFrom } from '@gambito/core';
import type { Coach } from '../auth/store';
import { todayIn, wallClockIn } from '../platform/days';
import { groupBy } from '../platform/group-by';
import type { Services } from '../platform/services';
import type { Answered } from './store';

/** Whether a score of that day is due. */
const dueAt = ({ timeZone, logByHours }: Coach, now: Date): ((day: string) => boolean) => {
  const wall = wallClockIn(timeZone, now);
  return (day) => hoursAfter(day, logByHours) <= wall;
};

/** @throws {Problem} not_found */
export async function recordOf(services: Services, coach: Coach, athleteId: number): Promise<PersonRecord> {
  await services.athletes.find(coach.id, athleteId);
  const { unscored, ...done } = await services.record.of(athleteId);
  const isDue = dueAt(coach, services.now());
  const hurt = (await services.discomforts.ofPerson(athleteId)).map(({ title, day, felt, open }) => ({ title, day, felt, open }));
  return { ...done, hurt, missed: unscored.filter(({ day }) => isDue(day)), open: unscored.filter(({ day }) => !isDue(day)) };
}

/** days that are looked back */
const lookedBack = 60;
/** Who has logged nothing of the last sendings that were due, the longest silence first. */
export async function silentOf(services: Services, coach: Coach): Promise<Silent[]> {
  const isDue = dueAt(coach, services.now());
  const answered = await services.record.answered(coach.id, addDays(todayIn(coach.timeZone, services.now()), -lookedBack));
  return [...groupBy(answered, ({ athleteId }) => athleteId).values()].flatMap((rows) => silence(rows, isDue)).sort((a, b) => b.missed - a.missed);
}

/** @param rows of one athlete, at least one */
function silence(rows: readonly Answered[], isDue: (day: string) => boolean): Silent[] {
  const due = rows.filter(({ day, scored }) => scored || isDue(day)).map(({ day, scored: kept }) => ({ day, kept }));
  const { silent: missed, silentSince: since } = attendance(due);
  const { athleteId, name } = rows[0]!;
  return since === null || missed < silentFrom ? [] : [{ athleteId, name, missed, since }];
}
