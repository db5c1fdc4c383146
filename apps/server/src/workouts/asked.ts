/** What a list of workouts is asked for, as conditions of a query. What is left out narrows nothing. */
import type { PartKind } from '@gambito/core';
import { literal, Op, type WhereOptions } from 'sequelize';
import type { Database } from '../platform/database';

export interface WorkoutsAsked {
  /** the last of the page before */
  readonly after?: number | undefined;
  /** words of the text */
  readonly search?: string | undefined;
  /** the first and the last day; with either, only what has a day */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  /** only what has no day */
  readonly undated?: boolean | undefined;
  readonly tag?: string | undefined;
  readonly kind?: PartKind | undefined;
  /** most minutes of the clock */
  readonly minutes?: number | undefined;
  /** id of a movement in it */
  readonly movement?: string | undefined;
  /** an athlete who scored it */
  readonly doneBy?: number | undefined;
  /** what was deleted since this, instead of what is there */
  readonly deletedSince?: Date | undefined;
}
type Condition = WhereOptions;

/** As they stand, in this order, whatever is between them. */
const likeOf = (search: string): string =>
  `%${search
    .replace(/[\\%_]/g, '\\$&')
    .trim()
    .split(/\s+/)
    .join('%')}%`;

/** @returns the conditions of everything asked for, deleted or not */
export function narrowed({ sequelize }: Database, asked: WorkoutsAsked): Condition[] {
  const has = (json: string, value: string): Condition => literal(`JSON_CONTAINS(${json}, ${sequelize.escape(JSON.stringify(value))})`);
  const { search, from, to, undated, tag, kind, minutes, movement, doneBy, deletedSince } = asked;
  return [
    deletedSince ? { deletedAt: { [Op.gt]: deletedSince } } : { deletedAt: null },
    ...(search?.trim() ? [{ text: { [Op.like]: likeOf(search) } }] : []),
    ...(from ? [{ day: { [Op.gte]: from } }] : []),
    ...(to ? [{ day: { [Op.lte]: to } }] : []),
    ...(undated ? [{ day: null }] : []),
    ...(tag ? [has('tags', tag)] : []),
    ...(kind ? [has("JSON_EXTRACT(facts, '$.kinds')", kind)] : []),
    ...(movement ? [has("JSON_EXTRACT(facts, '$.movements')", movement)] : []),
    ...(minutes ? [literal(`CAST(JSON_VALUE(facts, '$.minutes') AS UNSIGNED) BETWEEN 1 AND ${Math.round(minutes)}`)] : []),
    ...(doneBy ? [literal(`EXISTS (SELECT 1 FROM scores s WHERE s.workout_id = workouts.id AND s.athlete_id = ${Math.round(doneBy)} AND s.counts = 1)`)] : []),
  ];
}

/** What stands after a row when the newest day is first and those without a day are last. */
export function beyond({ id, day }: { readonly id: number; readonly day: string | null }): Condition {
  if (day === null) return { day: null, id: { [Op.lt]: id } };
  return { [Op.or]: [{ day: { [Op.lt]: day } }, { day, id: { [Op.lt]: id } }, { day: null }] };
}
