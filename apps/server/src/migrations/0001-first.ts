/** Coaches, sessions, athletes, workouts, locks, sends, scores. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { ensureIndex, moment, reference, times } from './reentrant';

const id = { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true, autoIncrement: true };

async function makePeople(queries: QueryInterface): Promise<void> {
  await queries.createTable('coaches', {
    id,
    email: { type: DataTypes.STRING(190), allowNull: false, unique: true },
    name: { type: DataTypes.STRING(120), allowNull: false },
    password_hash: { type: DataTypes.STRING(255), allowNull: false },
    time_zone: { type: DataTypes.STRING(64), allowNull: false },
    units: { type: DataTypes.STRING(2), allowNull: false },
    rules: { type: DataTypes.JSON, allowNull: false },
    ...times,
  });
  await queries.createTable('sessions', {
    token_hash: { type: DataTypes.CHAR(64), primaryKey: true },
    coach_id: reference('coaches'),
    expires_at: moment(),
    ...times,
  });
  await queries.createTable('athletes', {
    id,
    coach_id: reference('coaches'),
    name: { type: DataTypes.STRING(120), allowNull: false },
    file: { type: DataTypes.JSON, allowNull: false },
    revision: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    deleted_at: moment(true),
    ...times,
  });
}

async function makeWorkouts(queries: QueryInterface): Promise<void> {
  await queries.createTable('workouts', {
    id,
    coach_id: reference('coaches'),
    title: { type: DataTypes.STRING(200), allowNull: false },
    text: { type: DataTypes.TEXT, allowNull: false },
    day: { type: DataTypes.DATEONLY, allowNull: true },
    revision: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    deleted_at: moment(true),
    ...times,
  });
  await ensureIndex(queries, 'workouts', ['coach_id', 'day']);
  await queries.createTable('locks', {
    id,
    workout_id: reference('workouts'),
    athlete_id: reference('athletes'),
    locks: { type: DataTypes.JSON, allowNull: false },
    ...times,
  });
  await ensureIndex(queries, 'locks', ['workout_id', 'athlete_id'], { unique: true });
  await queries.createTable('sends', {
    id,
    workout_id: reference('workouts'),
    athlete_id: reference('athletes'),
    token: { type: DataTypes.CHAR(32), allowNull: false, unique: true },
    original_text: { type: DataTypes.TEXT, allowNull: false },
    version_text: { type: DataTypes.TEXT, allowNull: false },
    brief: { type: DataTypes.JSON, allowNull: false },
    sent_at: moment(),
    revoked_at: moment(true),
    ...times,
  });
  await ensureIndex(queries, 'sends', ['workout_id', 'athlete_id'], { unique: true });
  await queries.createTable('scores', {
    id,
    workout_id: reference('workouts'),
    athlete_id: reference('athletes'),
    score: { type: DataTypes.STRING(120), allowNull: false },
    note: { type: DataTypes.STRING(1000), allowNull: false },
    version_text: { type: DataTypes.TEXT, allowNull: false },
    original_text: { type: DataTypes.TEXT, allowNull: false },
    entered_by: { type: DataTypes.STRING(10), allowNull: false },
    deleted_at: moment(true),
    ...times,
  });
  await ensureIndex(queries, 'scores', ['workout_id', 'athlete_id']);
}

export async function up(queries: QueryInterface): Promise<void> {
  await makePeople(queries);
  await makeWorkouts(queries);
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ['scores', 'sends', 'locks', 'workouts', 'athletes', 'sessions', 'coaches']) await queries.dropTable(table);
}
