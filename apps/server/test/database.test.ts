/** The schema as it stands, and what happens when a database is slow, away, or asked by two at once. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { QueryTypes, type Model, type ModelStatic } from 'sequelize';
import { migrate } from '../src/migrations';
import * as painReportsMigration from '../src/migrations/0015-pain-reports';
import { connect, type Database } from '../src/platform/database';
import { readConfig } from '../src/platform/config';
import { endLease, takeLease } from '../src/platform/leases';
import { isAway, isConflict, isDuplicate, isFull, isSlow, persistently } from '../src/platform/trouble';
import { databaseNamed } from './instance';

let database: Database;
beforeAll(async () => {
  database = databaseNamed('gambito_jest_two');
  await migrate(database);
});
afterAll(() => database.close());

const select = <T extends object>(sql: string, replacements: Record<string, unknown> = {}): Promise<T[]> =>
  database.sequelize.query<T>(sql, { replacements, type: QueryTypes.SELECT });

describe('migrations and models agree with the live database', () => {
  interface Column {
    readonly name: string;
    readonly nullable: 'YES' | 'NO';
    readonly type: string;
    readonly extra: string;
  }
  const columnsOf = (table: string): Promise<Column[]> =>
    select<Column>(
      `SELECT COLUMN_NAME AS name, IS_NULLABLE AS nullable, COLUMN_TYPE AS type, EXTRA AS extra FROM information_schema.COLUMNS
       WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = :table`,
      { table },
    );
  const described = (model: ModelStatic<Model>): [string, string][] =>
    Object.values(model.getAttributes()).map((attribute) => [attribute.field ?? '', attribute.allowNull === false || attribute.primaryKey ? 'NO' : 'YES']);
  test.each([
    'coaches',
    'sessions',
    'invitations',
    'resets',
    'messages',
    'backups',
    'doors',
    'proposals',
    'classClocks',
    'deliveries',
    'classRuns',
    'athletes',
    'figures',
    'workouts',
    'revisions',
    'locks',
    'sends',
    'scores',
    'readings',
    'jobs',
    'jobItems',
    'tallies',
    'leases',
  ] as const)('%s', async (name) => {
    const model = database.models[name] as ModelStatic<Model>;
    const columns = await columnsOf(String(model.getTableName()));
    const live = columns.filter(({ extra }) => !/GENERATED/.test(extra)).map(({ name: column, nullable }): [string, string] => [column, nullable]);
    const sorted = (pairs: [string, string][]): [string, string][] => [...pairs].sort((a, b) => (a[0] < b[0] ? -1 : 1));
    expect(sorted(described(model))).toEqual(sorted(live));
  });
  test('every table has a primary key, which several databases need', async () => {
    const without = await select(
      `SELECT t.TABLE_NAME FROM information_schema.TABLES t LEFT JOIN information_schema.TABLE_CONSTRAINTS c
       ON c.TABLE_SCHEMA = t.TABLE_SCHEMA AND c.TABLE_NAME = t.TABLE_NAME AND c.CONSTRAINT_TYPE = 'PRIMARY KEY' WHERE t.TABLE_SCHEMA = DATABASE() AND c.CONSTRAINT_NAME IS NULL`,
    );
    expect(without).toEqual([]);
  });
  test('a migration that was killed before it was noted is done again without harm', async () => {
    await database.sequelize.query('DELETE FROM migrations');
    expect(await migrate(database)).toHaveLength(16);
    expect(await migrate(database)).toEqual([]);
  });
  test('reports of pain that stood in a column of their sending become rows, once, open or settled as they were', async () => {
    const queries = database.sequelize.getQueryInterface();
    const { coaches, athletes, workouts, sends, painReports } = database.models;
    const { id: coachId } = await coaches.create({
      email: 'p@lanterns.example',
      name: 'P',
      passwordHash: '',
      timeZone: 'UTC',
      units: 'kg',
      rules: {},
      founder: null,
    });
    const { id: athleteId } = await athletes.create({ coachId, name: 'Orvenna', file: {}, revision: 1, deletedAt: null });
    const { id: workoutId } = await workouts.create({ coachId, title: 'Squall', text: '', day: '2026-11-25', revision: 1, deletedAt: null, tags: [] });
    const moment = new Date('2026-11-25T12:00:00Z');
    const made = { originalText: '', versionText: '', brief: {}, expected: [], sentAt: moment, expiresAt: moment, revokedAt: null };
    await sends.create({ workoutId, athleteId, token: 'f'.repeat(32), ...made });
    const column = { where: 'brjóst', much: 3, movement: '', note: 'faint', also: [{ where: 'knee', much: 1, movement: 'lunge', note: '' }] };
    await painReportsMigration.down(queries);
    await database.sequelize.query('UPDATE sends SET felt = :felt, felt_for = :coachId, felt_at = :moment', {
      replacements: { felt: JSON.stringify(column), coachId, moment },
    });
    // killed before the columns went
    for (let times = 0; times < 2; times++) await painReportsMigration.makeRows(queries);
    await painReportsMigration.up(queries);
    const rows = await painReports.findAll({ where: { athleteId }, order: ['id'], raw: true });
    const told = { coachId, workoutId, title: 'Squall', day: '2026-11-25', toldAt: moment, settledAt: null, takenBackAt: null };
    expect(rows).toMatchObject([
      { ...told, bodyPart: 'brjóst', severity: 3, movement: '', note: 'faint' },
      { ...told, bodyPart: 'knee', severity: 1, movement: 'lunge', note: '' },
    ]);
    await coaches.destroy({ where: { id: coachId } });
  });
});

describe('a query has an index', () => {
  interface Plan {
    readonly table: string;
    readonly possible_keys: string | null;
  }
  const queries: readonly (readonly [string, string])[] = [
    ['sessions of a coach that end', "SELECT * FROM sessions WHERE expires_at < '2026-01-01'"],
    ['athletes by name', 'SELECT * FROM athletes WHERE coach_id = 1 AND deleted_at IS NULL ORDER BY name, id LIMIT 200'],
    ['workouts by day', 'SELECT * FROM workouts WHERE coach_id = 1 AND deleted_at IS NULL ORDER BY day DESC, id DESC LIMIT 200'],
    ['a link', "SELECT * FROM sends WHERE token = 'x'"],
    ['what figures were', 'SELECT name, told FROM figures WHERE athlete_id = 1 ORDER BY id DESC LIMIT 400'],
    [
      'what was answered lately',
      "SELECT n.athlete_id FROM workouts w JOIN sends n ON n.workout_id = w.id AND n.revoked_at IS NULL WHERE w.coach_id = 1 AND w.deleted_at IS NULL AND w.day >= '2026-10-01'",
    ],
    ['what hurt somebody', 'SELECT note FROM pain_reports WHERE athlete_id = 1 ORDER BY told_at DESC LIMIT 50'],
    ['what hurt in a session', 'SELECT note FROM pain_reports WHERE workout_id = 1 AND athlete_id = 1'],
    ['what hurt and waits', 'SELECT * FROM pain_reports WHERE coach_id = 1 AND settled_at IS NULL LIMIT 100'],
    ['the sends of a workout', 'SELECT * FROM sends WHERE workout_id = 1'],
    ['the board of a workout', 'SELECT * FROM scores WHERE workout_id = 1 AND deleted_at IS NULL'],
    ['the score that counts', 'SELECT * FROM scores WHERE workout_id = 1 AND athlete_id = 1 AND deleted_at IS NULL'],
    ['past results', 'SELECT * FROM scores WHERE athlete_id = 1 AND deleted_at IS NULL ORDER BY created_at DESC, id DESC LIMIT 8'],
    ['lessons', 'SELECT lesson FROM readings WHERE coach_id = 1 AND read_revision = revision ORDER BY score_id DESC LIMIT 1000'],
    ['readings that wait', 'SELECT score_id FROM readings WHERE waits = 1 AND (leased_until IS NULL OR leased_until < NOW()) LIMIT 8'],
    ['readings of an athlete', 'UPDATE readings SET revision = revision + 1 WHERE athlete_id = 1 AND score_id > 7'],
    ['items that wait', "SELECT DISTINCT job_id FROM job_items WHERE state = 'waiting' AND leased_until < NOW() LIMIT 8"],
    ['jobs that are old', "DELETE FROM jobs WHERE created_at < '2026-01-01' LIMIT 500"],
    ['sessions of a coach', 'SELECT * FROM sessions WHERE coach_id = 1 ORDER BY created_at DESC'],
    ['texts without facts', 'SELECT id, coach_id, text FROM workouts WHERE shelved = 0 LIMIT 50'],
    ['the end of the bin', "DELETE FROM workouts WHERE deleted_at < '2026-01-01' AND NOT EXISTS (SELECT 1 FROM scores s WHERE s.workout_id = workouts.id)"],
    ['earlier texts', 'SELECT * FROM workout_revisions WHERE workout_id = 1 ORDER BY revision DESC'],
    [
      'how often workouts were done',
      'SELECT s.workout_id, COUNT(*) FROM scores s LEFT JOIN readings r ON r.score_id = s.id WHERE s.workout_id IN (1, 2) GROUP BY s.workout_id',
    ],
    ['to how many they were sent', 'SELECT workout_id, COUNT(*) FROM sends WHERE workout_id IN (1, 2) AND revoked_at IS NULL GROUP BY workout_id'],
    ['an invitation', "SELECT COUNT(*) FROM invitations WHERE token_hash = 'x' AND expires_at > NOW()"],
    ['invitations of a coach', 'SELECT * FROM invitations WHERE coach_id = 1 AND expires_at > NOW() ORDER BY expires_at'],
    ['workouts of an archive', 'SELECT * FROM workouts WHERE coach_id = 1 AND deleted_at IS NULL AND id > 100 ORDER BY id LIMIT 100'],
    [
      'scores of an archive',
      'SELECT * FROM scores WHERE workout_id IN (SELECT id FROM workouts WHERE coach_id = 1 AND deleted_at IS NULL) AND id > 100 AND deleted_at IS NULL ORDER BY id LIMIT 100',
    ],
    ['tallies that are over', "DELETE FROM tallies WHERE resets_at < '2026-01-01'"],
  ];
  test.each(queries)('%s', async (_what, sql) => {
    const plans = await select<Plan>(`EXPLAIN ${sql}`);
    // a key that finds nothing is answered from the index alone, without a table
    for (const { table, possible_keys } of plans.filter((plan) => plan.table !== null)) expect([table, possible_keys]).toEqual([table, expect.any(String)]);
  });
});

describe('trouble is told apart', () => {
  const refused = (sql: string): Promise<unknown> => select(sql).catch((error: unknown) => error);
  test('a duplicate key, a query that takes too long', async () => {
    await database.models.leases.create({ name: 'once', owner: 'x', heldUntil: new Date() });
    const twice = await database.models.leases.create({ name: 'once', owner: 'y', heldUntil: new Date() }).catch((error: unknown) => error);
    expect(isDuplicate(twice)).toBe(true);
    expect(isSlow(await refused('SET STATEMENT max_statement_time=0.05 FOR SELECT SLEEP(2)'))).toBe(true);
  });
  test('a database that is away: the next host is asked, and without one it is said so', async () => {
    const { database: config } = readConfig(process.env);
    const beside = connect({ ...config, name: 'gambito_jest_two', hosts: [{ host: '127.0.0.1', port: 1 }, ...config.hosts] });
    expect(await beside.read(() => beside.models.coaches.count())).toBeGreaterThanOrEqual(0);
    await beside.close();
    const nowhere = connect({ ...config, hosts: [{ host: '127.0.0.1', port: 1 }] });
    expect(await nowhere.answers()).toBe(false);
    const error = await nowhere.sequelize.query('SELECT 1', { type: QueryTypes.SELECT }).catch((thrown: unknown) => thrown);
    expect([isAway(error), isConflict(error), isFull(error)]).toEqual([true, false, false]);
    await nowhere.close();
  });
  test('a full disk is known by its number and by its words', () => {
    expect(isFull({ original: { errno: 1114, message: "The table 'scores' is full" } })).toBe(true);
    expect(isFull({ original: { errno: 1026, message: 'Error writing file (errno: 28 "No space left on device")' } })).toBe(true);
    expect(isFull(new Error('something else'))).toBe(false);
  });
  test('a node that left the cluster at the moment of a commit is away; a disk that is full then is full', () => {
    const commit = (message: string) => ({ name: 'SequelizeDatabaseError', original: { errno: 1180, message } });
    expect(isAway(commit('Error while appending streaming replication fragment(provider status: Not connected to Primary Component)'))).toBe(true);
    expect(isFull(commit('Got error 28 "No space left on device" during COMMIT'))).toBe(true);
  });
  test('two transactions that wait for each other: one is done again, both stand', async () => {
    for (const name of ['left', 'right']) await database.models.leases.upsert({ name, owner: '', heldUntil: new Date() });
    let meet: () => void = () => undefined;
    const both = new Promise<void>((resolve) => (meet = resolve));
    let arrived = 0;
    const tries = { left: 0, right: 0 };
    const cross = (mine: 'left' | 'right', theirs: 'left' | 'right') =>
      database.transact(async (transaction) => {
        tries[mine]++;
        const add = (name: string) =>
          database.sequelize.query('UPDATE leases SET owner = CONCAT(owner, :mine) WHERE name = :name', { replacements: { name, mine: mine[0] }, transaction });
        await add(mine);
        if (++arrived === 2) meet();
        await both;
        await add(theirs);
      });
    await Promise.all([cross('left', 'right'), cross('right', 'left')]);
    expect(tries.left + tries.right).toBe(3);
    const owners = await database.models.leases.findAll({ where: { name: ['left', 'right'] } });
    for (const { owner } of owners) expect([...owner].sort().join('')).toBe('lr');
  });
  test('what was asked of a database that then went away is asked again only where that does no harm', async () => {
    const lost = Object.assign(new Error('gone'), { original: { errno: 2013 } });
    const tried = async (again: boolean): Promise<number> => {
      let tries = 0;
      await persistently(() => (++tries < 3 ? Promise.reject(lost) : Promise.resolve()), again).catch(() => undefined);
      return tries;
    };
    expect([await tried(true), await tried(false)]).toEqual([3, 1]);
  });
});

test('a lease is held by one, kept by the one who holds it, and free when it ran out or was given back', async () => {
  const take = (owner: string, seconds = 30): Promise<boolean> => takeLease(database, 'lamp', seconds, owner);
  expect(await Promise.all(['a', 'b', 'c', 'd'].map((owner) => take(owner)))).toHaveLength(4);
  const [{ owner: holder } = { owner: '' }] = await select<{ owner: string }>("SELECT owner FROM leases WHERE name = 'lamp'");
  expect(await Promise.all(['a', 'b', 'c', 'd'].map((owner) => take(owner)))).toEqual(['a', 'b', 'c', 'd'].map((owner) => owner === holder));
  await endLease(database, 'lamp', holder);
  expect(await take('e', -1)).toBe(true);
  expect(await take('f')).toBe(true);
});

test('a time in a query of one’s own is kept in UTC, wherever the server stands', async () => {
  const zone = process.env['TZ'];
  process.env['TZ'] = 'Pacific/Auckland';
  try {
    const at = new Date('2026-12-01T23:58:00.123Z');
    const [row] = await database.sequelize.query<{ said: string; read: Date }>('SELECT CAST(:at AS CHAR) AS said, CAST(:at AS DATETIME(3)) AS `read`', {
      replacements: { at },
      type: QueryTypes.SELECT,
    });
    expect([row!.said, row!.read.getTime()]).toEqual(['2026-12-01 23:58:00.123', at.getTime()]);
  } finally {
    if (zone === undefined) delete process.env['TZ'];
    else process.env['TZ'] = zone;
  }
});
