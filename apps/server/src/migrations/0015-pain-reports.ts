/** Each report of pain is a row of its own: it adds up with the others, is never replaced, and outlives its workout. Before, a sending held the reports of its session in one column. */
import { DataTypes, type QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex, moment, number, reference, times } from './reentrant';

const table = {
  id: { ...number(), primaryKey: true, autoIncrement: true },
  coach_id: reference('coaches'),
  athlete_id: reference('athletes'),
  workout_id: { ...number(true), references: { model: 'workouts', key: 'id' }, onDelete: 'SET NULL' },
  title: { type: DataTypes.STRING(200), allowNull: false },
  day: { type: DataTypes.DATEONLY, allowNull: false },
  body_part: { type: DataTypes.STRING(80), allowNull: false },
  severity: { type: DataTypes.TINYINT.UNSIGNED, allowNull: false },
  movement: { type: DataTypes.STRING(80), allowNull: false },
  note: { type: DataTypes.STRING(500), allowNull: false },
  told_at: moment(),
  taken_back_at: moment(true),
  settled_at: moment(true),
  ...times,
};

/** The gravest report of a column, and those beside it, each as a row; done twice it adds nothing. */
const moveReports = (report: string): string => `INSERT INTO pain_reports
    (coach_id, athlete_id, workout_id, title, day, body_part, severity, movement, note, told_at, settled_at, created_at, updated_at)
  SELECT w.coach_id, s.athlete_id, s.workout_id, LEFT(w.title, 200), COALESCE(w.day, DATE(s.sent_at)), r.body_part, r.severity, COALESCE(r.movement, ''), COALESCE(r.note, ''),
    COALESCE(s.felt_at, s.sent_at), IF(s.felt_for IS NULL, s.updated_at, NULL), s.updated_at, s.updated_at
  FROM sends s JOIN workouts w ON w.id = s.workout_id JOIN JSON_TABLE(s.felt, '${report}' COLUMNS (body_part VARCHAR(80) PATH '$.where', severity INT PATH '$.much',
    movement VARCHAR(80) PATH '$.movement', note VARCHAR(500) PATH '$.note')) r
  WHERE s.felt IS NOT NULL AND r.body_part IS NOT NULL AND NOT EXISTS (SELECT 1 FROM pain_reports p WHERE p.athlete_id = s.athlete_id AND p.workout_id = s.workout_id
    AND p.body_part = r.body_part AND p.severity = r.severity AND p.movement = COALESCE(r.movement, '') AND p.note = COALESCE(r.note, ''))`;

const hasColumn = async (queries: QueryInterface, column: string): Promise<boolean> => column in (await queries.describeTable('sends'));

/** The table, and in it what stood in the column. */
export async function makeRows(queries: QueryInterface): Promise<void> {
  await queries.createTable('pain_reports', table);
  await ensureIndex(queries, 'pain_reports', ['coach_id', 'settled_at']);
  await ensureIndex(queries, 'pain_reports', ['athlete_id', 'told_at']);
  await ensureIndex(queries, 'pain_reports', ['workout_id', 'athlete_id']);
  if (await hasColumn(queries, 'felt')) for (const report of ['$', '$.also[*]']) await queries.sequelize.query(moveReports(report));
}

export async function up(queries: QueryInterface): Promise<void> {
  await makeRows(queries);
  // the column goes last: while it is there, not everything is known to be moved
  await dropIndex(queries, 'sends', ['felt_for']);
  for (const column of ['felt_for', 'felt_at', 'felt']) await dropColumn(queries, 'sends', column);
}

/** One report of each session goes back; a column holds no more. */
export async function down(queries: QueryInterface): Promise<void> {
  for (const [column, definition] of [
    ['felt', 'JSON NULL'],
    ['felt_for', 'INT UNSIGNED NULL'],
    ['felt_at', 'DATETIME(3) NULL'],
  ] as const)
    await ensureColumn(queries, 'sends', column, definition);
  await ensureIndex(queries, 'sends', ['felt_for']);
  await queries.sequelize.query(`UPDATE sends s JOIN pain_reports p ON p.workout_id = s.workout_id AND p.athlete_id = s.athlete_id AND p.taken_back_at IS NULL
    SET s.felt = JSON_OBJECT('where', p.body_part, 'much', p.severity, 'movement', p.movement, 'note', p.note), s.felt_at = p.told_at, s.felt_for = IF(p.settled_at IS NULL, p.coach_id, NULL)`);
  await queries.dropTable('pain_reports');
}
