/** Reports of pain, put together by the session they were told of: they add up, the gravest first. */
import type { Felt, KeptReport } from '@gambito/contract';
import { gravityOf } from '@gambito/core';
import { groupBy } from '../platform/group-by';

/** A report as it is kept. */
export interface PainReport extends Omit<KeptReport, 'takenBack'> {
  readonly id: number;
  readonly athleteId: number;
  readonly workoutId: number | null;
  readonly title: string;
  /** ISO date */
  readonly day: string;
  readonly at: Date;
  readonly takenBackAt: Date | null;
  readonly settledAt: Date | null;
}
/** Reports of one athlete and one session. */
export interface PainfulSession extends Pick<PainReport, 'athleteId' | 'workoutId' | 'title' | 'day'> {
  /** of the first report */
  readonly id: number;
  readonly felt: Felt;
  /** when the last was told */
  readonly at: Date;
  /** one of them waits for the coach */
  readonly open: boolean;
}
/** reports that stand beside the gravest */
const mostBeside = 20;
/** From here on a report waits for the coach although who told it took it back: they had to stop, or it asks for a doctor. */
const staysFrom = 3;

/** Whether the coach has to see it: not settled, and not a slip that was taken back. */
export const isWaiting = (report: PainReport): boolean => report.settledAt === null && (report.takenBackAt === null || gravityOf(report) >= staysFrom);

const kept = ({ where, much, movement, note, takenBackAt }: PainReport): KeptReport => ({
  where,
  much,
  movement,
  note,
  ...(takenBackAt === null ? {} : { takenBack: true }),
});
/** The gravest report, and the others beside it. @param reports at least one */
export function feltOf(reports: readonly PainReport[]): Felt {
  const [gravest, ...also] = [...reports].sort((a, b) => gravityOf(b) - gravityOf(a)).map(kept);
  return { ...gravest!, ...(also.length > 0 ? { also: also.slice(0, mostBeside) } : {}) };
}

/** @returns the sessions, the last told first; each of those reports of it that are given */
export function bySession(reports: readonly PainReport[]): PainfulSession[] {
  const sessions = groupBy(reports, ({ athleteId, workoutId, title, day }) => JSON.stringify([athleteId, workoutId ?? [title, day]]));
  return [...sessions.values()]
    .map((own) => {
      const { athleteId, workoutId, title, day } = own[0]!;
      const at = new Date(Math.max(...own.map((report) => report.at.getTime())));
      return { id: Math.min(...own.map(({ id }) => id)), athleteId, workoutId, title, day, felt: feltOf(own), at, open: own.some(isWaiting) };
    })
    .sort((a, b) => b.at.getTime() - a.at.getTime());
}
