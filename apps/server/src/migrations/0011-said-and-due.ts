/** Discomforts wait for the coach until they are settled; a coach's own warm-up; when a score is due; what a person's figures were before. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, number, reference, times } from './reentrant';

const columns: readonly (readonly [table: string, column: string, definition: string])[] = [
  // whose desk it waits on; null: nothing hurt, or it was settled
  ['sends', 'felt_for', 'INT UNSIGNED NULL'],
  ['sends', 'felt_at', 'DATETIME(3) NULL'],
  // the movement somebody begins with, by athlete; LONGTEXT with a check, as JSON is here
  ['class_clocks', 'begins', 'JSON NULL'],
  ['coaches', 'ritual', 'TEXT NULL'],
  ['coaches', 'log_by_hours', 'SMALLINT UNSIGNED NOT NULL DEFAULT 36'],
];

export async function up(queries: QueryInterface): Promise<void> {
  for (const [table, column, definition] of columns) await ensureColumn(queries, table, column, definition);
  await queries.createTable('figures', {
    id: { ...number(), primaryKey: true, autoIncrement: true },
    athlete_id: reference('athletes'),
    name: { type: DataTypes.STRING(120), allowNull: false },
    told: { type: DataTypes.STRING(190), allowNull: false },
    ...times,
  });
  await ensureIndex(queries, 'sends', ['felt_for']);
  await queries.sequelize.query(
    'UPDATE sends s JOIN workouts w ON w.id = s.workout_id SET s.felt_for = w.coach_id, s.felt_at = s.updated_at WHERE s.felt IS NOT NULL AND s.felt_at IS NULL',
  );
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable('figures');
  await dropIndex(queries, 'sends', ['felt_for']);
  for (const [table, column] of [...columns].reverse()) await dropColumn(queries, table, column);
}
