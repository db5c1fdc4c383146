/** One clock for a whole class, and what each phone tapped in it. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { moment, number, reference, times } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('class_clocks', {
    workout_id: { ...reference('workouts'), primaryKey: true },
    started_at: moment(true),
    paused_at: moment(true),
    paused_ms: { ...number(), defaultValue: 0 },
    ended_at: moment(true),
    later: { type: DataTypes.JSON, allowNull: false },
    ...times,
  });
  await queries.createTable('class_runs', {
    workout_id: { ...reference('workouts'), primaryKey: true },
    athlete_id: { ...reference('athletes'), primaryKey: true },
    run: { type: DataTypes.JSON, allowNull: false },
    seen_at: moment(),
    ...times,
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ['class_runs', 'class_clocks']) await queries.dropTable(table);
}
