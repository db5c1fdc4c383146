/** What the use cases promise beyond the path: pages of lists, versions nobody was sent, readings that wait, units and days of the coach, and what a broken text or file does. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addAthlete, addWorkout, openInstance, sendTo, squall, until, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let coach: number;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_cases');
  ({ desk, id: coach } = await instance.newCoach('maruvel@lanterns.example'));
});
afterAll(() => instance.close());

const rowsOf = async (workout: number, own = desk) => (await own('GET', `/workouts/${workout}/board`)).json.boards[0].rows as Record<string, unknown>[];
describe('lists come in pages', () => {
  test('athletes by name, namesakes by number, each once and none twice', async () => {
    const { desk: own } = await instance.newCoach('pages@lanterns.example');
    const { athletes } = instance.database.models;
    const { id: coachId } = (await instance.database.models.coaches.findOne({ where: { email: 'pages@lanterns.example' } }))!;
    const names = Array.from({ length: 450 }, (_, at) => `Keeper ${String(at % 150).padStart(3, '0')}`);
    await athletes.bulkCreate(names.map((name) => ({ coachId, name, file: { name }, revision: 1, deletedAt: null })));
    const seen: { id: number; name: string }[] = [];
    for (let after: number | null = null, pages = 0; pages < 5; pages++) {
      const page = (await own('GET', `/athletes${after === null ? '' : `?after=${after}`}`)).json as {
        athletes: { id: number; name: string }[];
        next: number | null;
      };
      expect(page.athletes.length).toBeLessThanOrEqual(200);
      seen.push(...page.athletes);
      after = page.next;
      if (after === null) break;
    }
    expect(seen.map(({ name }) => name)).toEqual([...names].sort());
    expect(new Set(seen.map(({ id }) => id)).size).toBe(450);
  });
  test('workouts: the newest day first, those without a day last, the same across pages', async () => {
    const { desk: own, id: coachId } = await instance.newCoach('library@lanterns.example');
    const days = Array.from({ length: 250 }, (_, at) => (at % 5 === 0 ? null : `2026-0${1 + (at % 9)}-1${at % 9}`));
    await instance.database.models.workouts.bulkCreate(
      days.map((day, at) => ({ coachId, title: `${at}`, text: squall, day, revision: 1, deletedAt: null, updatedAt: new Date() })),
    );
    const first = (await own('GET', '/workouts')).json;
    const second = (await own('GET', `/workouts?after=${first.next}`)).json;
    expect([first.workouts.length, second.workouts.length, second.next]).toEqual([200, 50, null]);
    const shown = [...first.workouts, ...second.workouts].map(({ day, id }: { day: string | null; id: number }) => ({ day: day ?? '', id }));
    expect(shown).toEqual([...shown].sort((a, b) => (a.day === b.day ? b.id - a.id : a.day < b.day ? 1 : -1)));
  });
  test('a page after a row of another coach begins at the beginning, and a number that is none is refused', async () => {
    const foreign = (await instance.database.models.athletes.findOne({ where: { name: 'Keeper 000' } }))!.id;
    const mine = await addAthlete(desk, 'Aaron');
    expect((await desk('GET', `/athletes?after=${foreign}`)).json.athletes[0].id).toBe(mine);
    expect((await desk('GET', '/athletes?after=lamp')).status).toBe(400);
  });
  test('workouts are listed without their texts, found by words in them, by their days, or as those without one', async () => {
    const { desk: own } = await instance.newCoach('shelf@lanterns.example');
    for (const [text, day] of [
      ['# Fog Bell\n\nAMRAP 8:00\n  10 goblet squat @ 16 kg', '2026-11-20'],
      ['# Half Tide\nfor time, cap 9:00\n50 % of a class_A', '2026-11-28'],
      ['# Quay\nAMRAP 8:00\n10 burpee', null],
    ] as const)
      await own('POST', '/workouts', { text, day });
    const titles = async (query: string): Promise<string[]> =>
      (await own('GET', `/workouts?${query}`)).json.workouts.map(({ title }: { title: string }) => title);
    const [, first] = (await own('GET', '/workouts')).json.workouts;
    expect(first).toMatchObject({ title: 'Fog Bell', day: '2026-11-20', revision: 1, preview: 'AMRAP 8:00 · 10 goblet squat @ 16 kg', tags: [], done: null });
    expect(first).not.toHaveProperty('text');
    expect(await titles('')).toEqual(['Half Tide', 'Fog Bell', 'Quay']);
    expect(await titles('search=GOBLET%20%2016')).toEqual(['Fog Bell']);
    expect(await titles('search=%25%20of')).toEqual(['Half Tide']);
    expect(await titles('search=class_a')).toEqual(['Half Tide']);
    expect(await titles('search=classXA')).toEqual([]);
    expect(await titles('from=2026-11-21')).toEqual(['Half Tide']);
    expect(await titles('to=2026-11-27')).toEqual(['Fog Bell']);
    expect(await titles('undated=true')).toEqual(['Quay']);
    expect((await own('GET', '/workouts?from=soon')).status).toBe(400);
  });
  test('a roster comes without past results; where they come, they are what each says, and no texts', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Thessin')];
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '9+4' });
    const resultsOf = async (query: string): Promise<unknown[]> =>
      (await desk('GET', `/athletes${query}`)).json.athletes.find(({ id }: { id: number }) => id === athlete).results;
    expect(await resultsOf('?results=no')).toEqual([]);
    expect(await resultsOf('')).toEqual([
      {
        workoutId: workout,
        result: {
          fitness: { log: expect.any(Number), spread: expect.any(Number) },
          movements: expect.arrayContaining(['burpee']),
          reps: expect.any(Object),
          seconds: 720,
        },
      },
    ]);
    // not read yet, as after a change of the model: the text itself stands in for it
    await instance.database.sequelize.query('UPDATE readings SET revision = revision + 1, failures = 3 WHERE athlete_id = :athlete', {
      replacements: { athlete },
    });
    expect(await resultsOf('')).toEqual([{ workoutId: workout, result: { workout: expect.stringContaining('burpee'), score: '9+4' } }]);
    expect((await desk('GET', `/athletes/${athlete}/results`)).json.results).toEqual([
      { workoutId: workout, title: 'Squall', score: '9+4', loggedAt: expect.any(String), beyond: null, verdict: null },
    ]);
  });
});

describe('scores', () => {
  test('of somebody who was sent nothing are of the version that would be sent now', async () => {
    const [workout, athlete] = [await addWorkout(desk, 'AMRAP 10:00\n5 pull-up\n10 push-up'), await addAthlete(desk, 'Hespin', { place: { kit: [] } })];
    expect((await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '9+4' })).status).toBe(200);
    const [row] = await rowsOf(workout);
    expect(row).toMatchObject({ athlete: 'Hespin', version: 'own version', index: expect.any(Number) });
    expect(row!['versionText']).not.toMatch(/pull-up/);
    expect((await desk('GET', `/workouts/${workout}/sends`)).json.sends).toEqual([]);
  });
  test('a name is told as it is now; a deleted athlete is on no board, and on it again when undone', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Quessil')];
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '9+4' });
    const { file, revision } = (await desk('GET', '/athletes')).json.athletes.find(({ id }: { id: number }) => id === athlete);
    await desk('PUT', `/athletes/${athlete}`, { file: { ...file, name: 'Quessil of the Wick' }, revision });
    expect((await rowsOf(workout)).map(({ athlete: name }) => name)).toEqual(['Quessil of the Wick']);
    await desk('DELETE', `/athletes/${athlete}`);
    expect(await rowsOf(workout)).toEqual([]);
    await desk('POST', `/athletes/${athlete}/restore`);
    expect(await rowsOf(workout)).toHaveLength(1);
  });
  test('restoring what counts already changes nothing', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Wendrith')];
    const { scoreId } = (await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '9+4' })).json;
    expect((await desk('POST', `/workouts/${workout}/scores/${scoreId}/restore`)).status).toBe(200);
    expect(await rowsOf(workout)).toMatchObject([{ scoreId, score: '9+4', index: expect.any(Number) }]);
  });
  test('what the workers could not read when it was logged is read in the background', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Ostrame')];
    const { scoreId } = (await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '8+0' })).json;
    await instance.database.models.readings.update({ readRevision: null, reading: null }, { where: { scoreId } });
    expect(await until(async () => (await instance.database.models.readings.findByPk(scoreId))?.reading !== null)).toBe(true);
  });
  test('a board reads at once what waits', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Tabrik')];
    const { scoreId } = (await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '8+0' })).json;
    // another server has it for a while, and may have died with it
    await instance.database.models.readings.update({ readRevision: null, reading: null, leasedUntil: new Date(Date.now() + 60_000) }, { where: { scoreId } });
    expect(await rowsOf(workout)).toMatchObject([{ score: '8+0', index: expect.any(Number) }]);
  });
  test('what cannot be read after all stands on the board as it was typed, and blocks nobody', async () => {
    const [workout, fine, odd] = [await addWorkout(desk), await addAthlete(desk, 'Brontek'), await addAthlete(desk, 'Drosimel')];
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: fine, score: '8+0' });
    const { scoreId } = (await desk('POST', `/workouts/${workout}/scores`, { athleteId: odd, score: '7+0' })).json;
    await instance.database.models.readings.update({ readRevision: null, reading: null, failures: 3 }, { where: { scoreId } });
    await instance.database.models.scores.update({ versionText: '' }, { where: { id: scoreId } });
    const rows = await rowsOf(workout);
    expect(rows.map(({ athlete }) => athlete)).toContain('Brontek');
    expect(rows.find(({ athlete }) => athlete === 'Brontek')).toMatchObject({ index: expect.any(Number) });
  });
  test('past results of a reading are those before it, not those after', async () => {
    const athlete = await addAthlete(desk, 'Corvalume');
    const [early, late] = [await addWorkout(desk), await addWorkout(desk, '# Late\nfor time, cap 9:00\n40 burpee')];
    await desk('POST', `/workouts/${early}/scores`, { athleteId: athlete, score: '9+0' });
    const before = JSON.stringify(await rowsOf(early));
    await desk('POST', `/workouts/${late}/scores`, { athleteId: athlete, score: '2:10' });
    expect(JSON.stringify(await rowsOf(early))).toBe(before);
    const indexOf = async (workout: number): Promise<unknown> => (await rowsOf(workout))[0]!['index'];
    const known = await indexOf(late);
    const [{ scoreId }] = (await rowsOf(early)) as [{ scoreId: number }];
    await desk('DELETE', `/workouts/${early}/scores/${scoreId}`);
    expect(await until(async () => typeof (await indexOf(late)) === 'number')).toBe(true);
    expect(typeof known).toBe('number');
  });
});

describe('several scores', () => {
  test('each part has its board; the day follows the house rule; one part alone is no missing athlete', async () => {
    const workout = await addWorkout(desk, '# Slack Water\nAMRAP 6:00\n8 push-up\n12 air squat\n\nrest 2:00\n\nfor time, cap 9:00\n40 burpee');
    const [one, two] = [await addAthlete(desk, 'Ylmarra'), await addAthlete(desk, 'Orvenna')];
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: one, score: '7+2 | 3:10' });
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: two, score: '- | 2:58' });
    const board = (await desk('GET', `/workouts/${workout}/board`)).json;
    expect(board.boards.map(({ rows }: { rows: { athlete: string }[] }) => rows.map(({ athlete }) => athlete))).toEqual([['Ylmarra'], ['Orvenna', 'Ylmarra']]);
    expect(board.day).toMatchObject([
      { athlete: 'Ylmarra', places: [1, 2], points: 3 },
      { athlete: 'Orvenna', places: [null, 1], points: 3, entry: '- | 2:58' },
    ]);
    expect(board.missing.map(({ athleteId }: { athleteId: number }) => athleteId)).not.toContain(two);
    await desk('PUT', '/rules', { rules: { severalScores: 'lead' } });
    expect((await desk('GET', `/workouts/${workout}/board`)).json).toMatchObject({ dayRule: 'lead', day: [{ rank: 1 }, { points: null }] });
  });
});

describe('the coach’s own', () => {
  test('pounds where none are said, after the units changed; the board is read with them', async () => {
    const { desk: own, id } = await instance.newCoach('pounds@lanterns.example');
    const [workout, athlete] = [
      await addWorkout(own, 'for time, cap 12:00\n30 thruster @ 40/30'),
      await addAthlete(own, 'Hespin', { place: { kit: ['barbell 45 lb, plates 2x45 2x25 2x10 lb'] } }),
    ];
    await own('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '4:00' });
    const before = (await rowsOf(workout, own))[0]!['equivalent'];
    expect(before).not.toBeNull();
    expect((await own('PUT', '/me', { timeZone: 'America/New_York', units: 'lb' })).json.coach).toMatchObject({ units: 'lb' });
    expect(await until(async () => (await instance.database.models.readings.findOne({ where: { coachId: id } }))?.reading !== null)).toBe(true);
    expect((await rowsOf(workout, own))[0]!['equivalent']).not.toEqual(before);
  });
  test('a text that cannot be adapted says at which line, and sends nothing', async () => {
    const [workout, athlete] = [await addWorkout(desk, '# Empty\n'), await addAthlete(desk, 'Lissom')];
    const answer = await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    expect(answer).toMatchObject({ status: 422, json: { code: 'unreadable_workout', detail: expect.stringMatching(/^Line 1: No workout yet/) } });
    expect((await desk('GET', `/workouts/${workout}/sends`)).json.sends).toEqual([]);
  });
  test('more than twenty at once are a job', async () => {
    const workout = await addWorkout(desk);
    const athletes = Array.from({ length: 21 }, (_, at) => at + 1);
    expect((await desk('POST', `/workouts/${workout}/sends`, { athleteIds: athletes })).json.detail).toMatch(/at most 20; more are a job/);
  });
  test('a link is replaced when it was withdrawn or ran out, and kept while it lives', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Pharrow')];
    const first = await sendTo(desk, workout, athlete);
    expect(await sendTo(desk, workout, athlete)).toBe(first);
    const before = instance.clock.now;
    instance.clock.now = new Date(before.getTime() + 130 * 86_400_000);
    const { desk: later } = await instance.newCoach('later@lanterns.example');
    expect((await later('GET', '/rules')).status).toBe(200);
    await instance.database.models.sessions.update({ expiresAt: new Date(instance.clock.now.getTime() + 1e6) }, { where: { coachId: coach } });
    expect(await sendTo(desk, workout, athlete)).not.toBe(first);
    instance.clock.now = before;
  });
  test('what is unchanged since is said shortly; what is private is kept by nobody on the way', async () => {
    const ask = (tag?: string) =>
      instance.app.inject({ url: '/api/movements', headers: { 'accept-encoding': 'gzip', ...(tag ? { 'if-none-match': tag } : {}) } });
    const first = await ask();
    const again = await ask(String(first.headers['etag']));
    expect(first.headers['content-encoding']).toBe('gzip');
    expect([again.statusCode, again.body, first.headers['cache-control']]).toEqual([304, '', 'public, max-age=3600']);
    expect((await desk('GET', '/rules')).headers['cache-control']).toBe('no-store');
    expect((await instance.stranger('GET', '/health')).json).toEqual({ ok: true, database: true });
  });
});

describe('what a request asks of the database', () => {
  /** SQL of what runs meanwhile, a line each, without the background's. */
  async function asked(run: () => Promise<unknown>): Promise<string[]> {
    const lines: { transaction: string; sql: string }[] = [];
    const { options } = instance.database.sequelize as unknown as { options: { logging: false | ((sql: string) => void) } };
    options.logging = (said) => {
      const [, transaction, sql] = /^Executing \(([^)]*)\): ([\s\S]*)$/.exec(said) as unknown as [string, string, string];
      lines.push({ transaction, sql });
    };
    await run();
    options.logging = false;
    const isOfBackground = (sql: string): boolean => /leased_until|`leases`|shelved|job_items|deliveries|FROM `?tallies/.test(sql);
    // all of a transaction that asks what the background asks, and one of which only its begin or its end falls in here
    const asksNothing = (sql: string): boolean => /^(?:START|COMMIT|ROLLBACK|SET)/.test(sql);
    const own = (transaction: string): boolean => {
      const said = lines.filter((line) => line.transaction === transaction).map(({ sql }) => sql);
      return !said.some(isOfBackground) && !said.every(asksNothing);
    };
    return lines.filter(({ transaction, sql }) => (transaction === 'default' ? !isOfBackground(sql) : own(transaction))).map(({ sql }) => sql);
  }
  test('a logged score: what is needed, a little more where it takes another’s place', async () => {
    const { desk: own } = await instance.newCoach('frugal@lanterns.example');
    const workout = await addWorkout(own);
    const athlete = await addAthlete(own, 'Quillume');
    const token = await sendTo(own, workout, athlete);
    const log = (score: string) => instance.stranger('POST', `/a/${token}/score`, { score });
    const first = await asked(() => log('7+4'));
    const again = await asked(() => log('7+6'));
    const writes = (lines: readonly string[]): string[] =>
      lines.filter((sql) => /^(?:INSERT|DELETE|UPDATE `|UPDATE readings SET revision|START|COMMIT)/.test(sql));
    // tally; begin, score, reading, those of later ones, commit
    expect(writes(first).length).toBeLessThanOrEqual(6);
    // and the reading and the score that step back
    expect(writes(again).length).toBeLessThanOrEqual(8);
    // what is read in the background comes beside, or after
    expect(first.length).toBeLessThanOrEqual(13);
  });
  test('a session is one question', async () => {
    const { desk: own } = await instance.newCoach('brief@lanterns.example');
    expect(await asked(() => own('GET', '/me'))).toHaveLength(1);
  });
});
