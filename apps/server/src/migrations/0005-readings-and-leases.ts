/**
 * Readings of scores; jobs as items that any server goes on with; tallies that all servers share; links that end and whose letters' case counts;
 * one founder; one score that counts, by a unique key; an index for every query.
 */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

const indexes: readonly (readonly [string, readonly string[]])[] = [
  ['sessions', ['expires_at']],
  ['athletes', ['coach_id', 'deleted_at', 'name', 'id']],
  ['workouts', ['coach_id', 'deleted_at', 'day', 'id']],
  ['scores', ['workout_id', 'deleted_at']],
  ['readings', ['workout_id']],
  ['readings', ['athlete_id', 'score_id']],
  ['readings', ['coach_id', 'score_id']],
  ['readings', ['waits', 'leased_until']],
  ['job_items', ['state', 'leased_until']],
  ['jobs', ['coach_id', 'id']],
  ['jobs', ['created_at']],
  ['tallies', ['resets_at']],
];

async function tables(queries: QueryInterface): Promise<void> {
  await queries.createTable('readings', {
    score_id: { ...reference('scores'), primaryKey: true },
    coach_id: reference('coaches'),
    workout_id: reference('workouts'),
    athlete_id: reference('athletes'),
    revision: number(),
    read_revision: number(true),
    model: { type: DataTypes.STRING(40), allowNull: true },
    reading: { type: DataTypes.JSON, allowNull: true },
    lesson: { type: DataTypes.JSON, allowNull: true },
    leased_until: moment(true),
    failures: number(),
    ...times,
  });
  await queries.createTable('job_items', {
    job_id: { ...reference('jobs'), primaryKey: true },
    athlete_id: { ...number(), primaryKey: true },
    state: { type: DataTypes.STRING(10), allowNull: false },
    message: { type: DataTypes.STRING(500), allowNull: true },
    leased_by: { type: DataTypes.STRING(40), allowNull: true },
    leased_until: moment(true),
    ...times,
  });
  await queries.createTable('tallies', { name: { type: DataTypes.STRING(100), primaryKey: true }, count: number(), resets_at: moment(), ...times });
}

async function columns(queries: QueryInterface): Promise<void> {
  await ensureColumn(queries, 'readings', 'waits', 'TINYINT AS (IF(read_revision <=> revision OR failures >= 3, 0, 1)) STORED');
  await ensureColumn(queries, 'coaches', 'founder', 'TINYINT UNSIGNED NULL');
  await ensureColumn(queries, 'sends', 'expected', "LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(expected))");
  await ensureColumn(queries, 'sends', 'expires_at', "DATETIME(3) NOT NULL DEFAULT '2000-01-01'");
  await ensureColumn(queries, 'scores', 'counts', 'TINYINT AS (IF(deleted_at IS NULL, 1, NULL)) STORED');
  await ensureColumn(queries, 'jobs', 'kind', "VARCHAR(20) NOT NULL DEFAULT 'send'");
  await ensureColumn(queries, 'jobs', 'task', "LONGTEXT NOT NULL DEFAULT '{}' CHECK (JSON_VALID(task))");
  await ensureColumn(queries, 'jobs', 'cancelled_at', 'DATETIME(3) NULL');
  for (const gone of ['total', 'done', 'failed', 'finished_at']) await dropColumn(queries, 'jobs', gone);
}

/** What was there before takes its place in the new columns. */
async function carryOver({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query('UPDATE sends SET expires_at = sent_at + INTERVAL 120 DAY WHERE expires_at < sent_at');
  await sequelize.query(
    'UPDATE coaches SET founder = 1 WHERE founder IS NULL AND NOT EXISTS (SELECT 1 FROM (SELECT id FROM coaches WHERE founder = 1) AS had) ORDER BY id LIMIT 1',
  );
  // of two scores that both counted, the later one does
  await sequelize.query(
    'UPDATE scores s JOIN scores later ON later.workout_id = s.workout_id AND later.athlete_id = s.athlete_id AND later.deleted_at IS NULL AND later.id > s.id SET s.deleted_at = later.created_at WHERE s.deleted_at IS NULL',
  );
  await sequelize.query(
    `INSERT IGNORE INTO readings (score_id, coach_id, workout_id, athlete_id, revision, failures, created_at, updated_at)
     SELECT s.id, w.coach_id, s.workout_id, s.athlete_id, 1, 0, NOW(3), NOW(3) FROM scores s JOIN workouts w ON w.id = s.workout_id WHERE s.deleted_at IS NULL`,
  );
}

export async function up(queries: QueryInterface): Promise<void> {
  await tables(queries);
  await columns(queries);
  await carryOver(queries);
  await queries.sequelize.query('ALTER TABLE sends MODIFY token CHAR(32) CHARACTER SET ascii COLLATE ascii_bin NOT NULL');
  await ensureIndex(queries, 'coaches', ['founder'], { unique: true });
  await ensureIndex(queries, 'scores', ['workout_id', 'athlete_id', 'counts'], { unique: true });
  for (const [table, keys] of indexes) await ensureIndex(queries, table, keys);
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ['readings', 'job_items', 'tallies']) await queries.dropTable(table);
  for (const [table, keys] of indexes.filter(([name]) => !['readings', 'job_items', 'tallies'].includes(name))) await dropIndex(queries, table, keys);
  await dropIndex(queries, 'scores', ['workout_id', 'athlete_id', 'counts']);
  await dropIndex(queries, 'coaches', ['founder']);
  await dropColumn(queries, 'scores', 'counts');
  await dropColumn(queries, 'coaches', 'founder');
  for (const column of ['expected', 'expires_at']) await dropColumn(queries, 'sends', column);
  for (const column of ['kind', 'task', 'cancelled_at']) await dropColumn(queries, 'jobs', column);
  await ensureColumn(queries, 'jobs', 'total', 'INT UNSIGNED NOT NULL DEFAULT 0');
  await ensureColumn(queries, 'jobs', 'done', 'INT UNSIGNED NOT NULL DEFAULT 0');
  await ensureColumn(queries, 'jobs', 'failed', "LONGTEXT NOT NULL DEFAULT '[]'");
  await ensureColumn(queries, 'jobs', 'finished_at', 'DATETIME(3) NULL');
}
