/**
 * What a past result says, beside its reading, so that lists carry figures in place of texts; what a coach keeps about a workout: tags, whom it is for, what a library finds it by, what it said before;
 * when a link was first opened, what its athlete asked for on the day, and what hurt; which sessions there are, and links that invite another coach.
 */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

const columns: readonly (readonly [table: string, column: string, definition: string])[] = [
  ['readings', 'past', 'LONGTEXT NULL CHECK (JSON_VALID(past))'],
  ['workouts', 'tags', "LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(tags))"],
  ['workouts', 'audience', `LONGTEXT NOT NULL DEFAULT '{"groups":[],"athletes":[]}' CHECK (JSON_VALID(audience))`],
  ['workouts', 'facts', 'LONGTEXT NULL CHECK (JSON_VALID(facts))'],
  ['workouts', 'shelved', 'TINYINT AS (IF(facts IS NULL, 0, 1)) STORED'],
  ['sends', 'opened_at', 'DATETIME(3) NULL'],
  ['sends', 'today', 'LONGTEXT NULL CHECK (JSON_VALID(today))'],
  ['sends', 'felt', 'LONGTEXT NULL CHECK (JSON_VALID(felt))'],
  ['sessions', 'device', "VARCHAR(200) NOT NULL DEFAULT ''"],
  ['coaches', 'tiers', "LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(tiers))"],
  ['coaches', 'first_day', 'TINYINT UNSIGNED NOT NULL DEFAULT 1'],
];

export async function up(queries: QueryInterface): Promise<void> {
  for (const [table, column, definition] of columns) await ensureColumn(queries, table, column, definition);
  await queries.createTable('workout_revisions', {
    workout_id: { ...reference('workouts'), primaryKey: true },
    revision: { ...number(), primaryKey: true },
    text: { type: DataTypes.TEXT, allowNull: false },
    saved_at: moment(),
    ...times,
  });
  await queries.createTable('invitations', {
    token_hash: { type: DataTypes.CHAR(64), primaryKey: true },
    coach_id: reference('coaches'),
    expires_at: moment(),
    ...times,
  });
  await ensureIndex(queries, 'workouts', ['shelved']);
  await ensureIndex(queries, 'workouts', ['deleted_at']);
  await ensureIndex(queries, 'invitations', ['expires_at']);
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ['workout_revisions', 'invitations']) await queries.dropTable(table);
  await dropIndex(queries, 'workouts', ['deleted_at']);
  await dropIndex(queries, 'workouts', ['shelved']);
  for (const [table, column] of [...columns].reverse()) await dropColumn(queries, table, column);
}
