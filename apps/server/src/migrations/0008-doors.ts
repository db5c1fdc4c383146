/** An athlete's own door: a link to all that was sent to them; what they propose through it; the link of a coach's calendar feed. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('doors', {
    athlete_id: { ...reference('athletes'), primaryKey: true },
    token: { type: 'CHAR(32) CHARACTER SET ascii COLLATE ascii_bin', allowNull: false },
    expires_at: moment(),
    revoked_at: moment(true),
    opened_at: moment(true),
    ...times,
  });
  await queries.createTable('proposals', {
    id: { ...number(), primaryKey: true, autoIncrement: true },
    coach_id: reference('coaches'),
    athlete_id: reference('athletes'),
    change: { type: DataTypes.JSON, allowNull: false },
    settled_at: moment(true),
    taken: { type: DataTypes.TINYINT.UNSIGNED, allowNull: true },
    ...times,
  });
  await ensureColumn(queries, 'coaches', 'calendar_token', 'CHAR(32) CHARACTER SET ascii COLLATE ascii_bin NULL');
  await ensureIndex(queries, 'coaches', ['calendar_token'], { unique: true });
  await ensureIndex(queries, 'doors', ['token'], { unique: true });
  await ensureIndex(queries, 'proposals', ['coach_id', 'settled_at']);
}

export async function down(queries: QueryInterface): Promise<void> {
  await dropIndex(queries, 'coaches', ['calendar_token']);
  await dropColumn(queries, 'coaches', 'calendar_token');
  for (const table of ['proposals', 'doors']) await queries.dropTable(table);
}
