/** Desks that several share, with the names on what they change; links to a new password and the messages they travel in; what is known of backups. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

const name = "VARCHAR(120) NOT NULL DEFAULT ''";
const columns: readonly (readonly [table: string, column: string, definition: string])[] = [
  ['coaches', 'desk_id', 'INTEGER UNSIGNED NULL'],
  ['invitations', 'shared', 'TINYINT UNSIGNED NOT NULL DEFAULT 0'],
  ['workouts', 'changed_by', name],
  ['workout_revisions', 'saved_by', name],
  ['locks', 'changed_by', name],
  ['sends', 'sent_by', name],
  ['scores', 'entered_name', name],
];

export async function up(queries: QueryInterface): Promise<void> {
  for (const [table, column, definition] of columns) await ensureColumn(queries, table, column, definition);
  await ensureIndex(queries, 'coaches', ['desk_id']);
  await queries.createTable('resets', {
    token_hash: { type: DataTypes.CHAR(64), primaryKey: true },
    coach_id: reference('coaches'),
    expires_at: moment(),
    ...times,
  });
  await queries.createTable('messages', {
    id: { ...number(), primaryKey: true, autoIncrement: true },
    coach_id: reference('coaches'),
    recipient: { type: DataTypes.STRING(190), allowNull: false },
    subject: { type: DataTypes.STRING(200), allowNull: false },
    body: { type: DataTypes.TEXT, allowNull: false },
    ...times,
  });
  await queries.createTable('backups', {
    id: { ...number(), primaryKey: true, autoIncrement: true },
    file: { type: DataTypes.STRING(300), allowNull: false },
    bytes: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false },
    row_count: number(),
    failure: { type: DataTypes.STRING(500), allowNull: true },
    ...times,
  });
  await ensureIndex(queries, 'resets', ['expires_at']);
  await ensureIndex(queries, 'messages', ['coach_id', 'id']);
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ['backups', 'messages', 'resets']) await queries.dropTable(table);
  await dropIndex(queries, 'coaches', ['desk_id']);
  for (const [table, column] of [...columns].reverse()) await dropColumn(queries, table, column);
}
