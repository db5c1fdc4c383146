/** How hard a session was said to be, whether its score counts for later versions; messages to athletes and how each one fared. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

const columns: readonly (readonly [table: string, column: string, definition: string])[] = [
  ['scores', 'rating', 'TINYINT UNSIGNED NULL'],
  // LONGTEXT with a check, as JSON is here
  ['scores', 'measured', 'JSON NULL'],
  ['scores', 'teaches', 'TINYINT UNSIGNED NOT NULL DEFAULT 1'],
  ['coaches', 'messenger', "VARCHAR(10) NOT NULL DEFAULT 'works'"],
];

export async function up(queries: QueryInterface): Promise<void> {
  for (const [table, column, definition] of columns) await ensureColumn(queries, table, column, definition);
  await queries.createTable('deliveries', {
    id: { ...number(), primaryKey: true, autoIncrement: true },
    coach_id: reference('coaches'),
    workout_id: reference('workouts'),
    athlete_id: reference('athletes'),
    // of which sending: the same one is never told twice
    sent_at: moment(),
    recipient: { type: DataTypes.STRING(190), allowNull: false },
    subject: { type: DataTypes.STRING(200), allowNull: false },
    body: { type: DataTypes.TEXT, allowNull: false },
    state: { type: DataTypes.STRING(10), allowNull: false },
    tries: { ...number(), defaultValue: 0 },
    next_try_at: moment(true),
    failure: { type: DataTypes.STRING(300), allowNull: true },
    ...times,
  });
  await ensureIndex(queries, 'deliveries', ['workout_id', 'athlete_id', 'sent_at'], { unique: true });
  await ensureIndex(queries, 'deliveries', ['state', 'next_try_at']);
  await ensureIndex(queries, 'deliveries', ['coach_id', 'id']);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable('deliveries');
  for (const [table, column] of [...columns].reverse()) await dropColumn(queries, table, column);
}
