/** Reports of pain in an archive: each has a line of its own; in older ones those of a session stand with what was sent. */
import type { Report } from '@gambito/contract';
import type { Transaction } from 'sequelize';
import type { Models } from '../platform/models';
import type { PainReportRow } from '../platform/rows';
import type { LineOf, Numbers } from './line';

export function reportLine(row: PainReportRow): LineOf<'report'> {
  const { athleteId, workoutId, title, day, bodyPart: where, severity, movement, note, toldAt, takenBackAt, settledAt } = row;
  const at = { at: toldAt.toISOString(), takenBackAt: takenBackAt?.toISOString() ?? null, settledAt: settledAt?.toISOString() ?? null };
  return { report: { athleteId, workoutId, title, day, where, much: severity as Report['much'], movement, note, ...at } };
}

/** The desk that is filled. */
interface Target {
  readonly models: Models;
  readonly coachId: number;
  readonly numbers: Numbers;
  readonly transaction: Transaction;
}
const moment = (iso: string | null): Date | null => (iso === null ? null : new Date(iso));

/** @throws {RangeError} of somebody who is not in the archive; a workout that is not in it is none */
export async function putReport({ models, coachId, numbers, transaction }: Target, report: LineOf<'report'>['report']): Promise<void> {
  const { where: bodyPart, much: severity, at, takenBackAt, settledAt, ...rest } = report;
  const athleteId = numbers.athletes.get(report.athleteId);
  if (athleteId === undefined) throw new RangeError('of somebody who is not in it');
  const workoutId = (report.workoutId === null ? undefined : numbers.workouts.get(report.workoutId)) ?? null;
  const moments = { toldAt: new Date(at), takenBackAt: moment(takenBackAt), settledAt: moment(settledAt) };
  await models.painReports.create({ ...rest, coachId, athleteId, workoutId, bodyPart, severity, ...moments }, { transaction });
}

type Send = LineOf<'send'>['send'];
export async function putOldReports(target: Target, { athleteId, workoutId }: Send, { felt, at, open }: NonNullable<Send['hurt']>): Promise<void> {
  const { models, numbers, transaction } = target;
  const { title, day } = (await models.workouts.findByPk(numbers.workouts.get(workoutId), { attributes: ['title', 'day'], transaction }))!;
  const session = { athleteId, workoutId, title, day: day ?? at.slice(0, 10), at, takenBackAt: null, settledAt: open ? null : at };
  for (const { where, much, movement, note } of [felt, ...(felt.also ?? [])]) await putReport(target, { ...session, where, much, movement, note });
}
