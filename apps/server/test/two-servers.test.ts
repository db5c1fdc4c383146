/** Two servers on one database: the same boards to the byte, jobs done once, tries counted together; what was read is read anew when something changes. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { seededRandom } from '@gambito/core';
import { jobStore } from '../src/jobs/store';
import { addAthlete, addWorkout, databaseNamed, finished, openInstance, sendTo, until, type Desk, type Instance } from './instance';

let lamp: Instance;
let pier: Instance;
let atLamp: Desk;
let atPier: Desk;
let coach: number;
const workouts: number[] = [];
const people: number[] = [];
const texts = [
  '# One\nAMRAP 10:00\n8 pull-up\n12 push-up\n15 air squat',
  '# Two\nfor time, cap 12:00\n21-15-9\nthruster @ 40/30 kg\nburpee',
  '# Three\nAMRAP 8:00\n10 burpee\n\nrest 2:00\n\nfor time, cap 6:00\n40 air squat\n20 push-up',
];
const scores = [
  ['7+5', '6+20', '8+2', '5+30'],
  ['8:41', '9:30', 'CAP+12', '7:05'],
  ['8+3 | 3:10', '7+0 | 2:58', '9+1', '6+6 | 4:20'],
];

beforeAll(async () => {
  lamp = await openInstance('gambito_jest_servers');
  pier = await openInstance('gambito_jest_servers', {}, databaseNamed('gambito_jest_servers'));
  const made = await lamp.newCoach('maruvel@lanterns.example');
  [coach, atLamp, atPier] = [made.id, made.desk, pier.desk(made.cookie)];
  for (const text of texts) workouts.push(await addWorkout(atLamp, text));
  for (const [at, name] of ['Orvenna', 'Tabrik', 'Hespin', 'Ylmarra'].entries())
    people.push(
      await addAthlete(atLamp, name, {
        level: at % 2 ? 'newer' : 'trained',
        place: { kit: at % 2 ? ['dumbbell 10 kg x 2'] : ['pull-up bar', 'barbell 20 kg, plates 2x10 kg'] },
      }),
    );
});
afterAll(() => Promise.all([lamp.close(), pier.close()]));

const boardAt = async (desk: Desk, workout: number): Promise<string> => JSON.stringify((await desk('GET', `/workouts/${workout}/board`)).json);
const settled = async (): Promise<void> => {
  const all = () => lamp.database.models.readings.count({ where: { coachId: coach }, paranoid: false });
  await until(async () => (await all()) === (await readNow()));
};
const readNow = async (): Promise<number> =>
  (await lamp.database.models.readings.findAll({ where: { coachId: coach } })).filter(({ revision, readRevision }) => revision === readRevision).length;

describe('shuffled between two servers', () => {
  test('scores come in at either, and both tell the same boards', async () => {
    const random = seededRandom(11);
    const entries = workouts.flatMap((workout, w) => people.map((athleteId, p) => ({ workout, athleteId, score: scores[w]![p]! })));
    for (const { workout, athleteId, score } of entries.sort(() => random() - 0.5)) {
      const desk = random() < 0.5 ? atLamp : atPier;
      expect([score, (await desk('POST', `/workouts/${workout}/scores`, { athleteId, score })).status]).toEqual([score, 200]);
    }
    await settled();
    for (const workout of workouts) {
      const [one, two, again] = [await boardAt(atLamp, workout), await boardAt(atPier, workout), await boardAt(atLamp, workout)];
      expect([two, again]).toEqual([one, one]);
      expect(
        (JSON.parse(one) as { boards: { rows: { index: number | null; unfair: string | null }[] }[] }).boards[0]!.rows.every(
          ({ index, unfair }) => index !== null || unfair !== null,
        ),
      ).toBe(true);
    }
    const day = (await atPier('GET', `/workouts/${workouts[2]}/board`)).json;
    expect(day.day.map(({ athlete, places }: { athlete: string; places: unknown }) => [athlete, places])).toContainEqual([
      'Hespin',
      [expect.any(Number), null],
    ]);
  });
  test('a file that changes is read anew, and both know it', async () => {
    const before = await boardAt(atLamp, workouts[0]!);
    const { athletes } = (await atPier('GET', '/athletes')).json as { athletes: { id: number; file: object; revision: number }[] };
    const tabrik = athletes.find(({ id }) => id === people[1])!;
    await atPier('PUT', `/athletes/${tabrik.id}`, { file: { ...tabrik.file, best_sets: { push_up: 45, strict_pull_up: 14 } }, revision: tabrik.revision });
    await settled();
    const after = await boardAt(atLamp, workouts[0]!);
    expect(after).not.toBe(before);
    expect(await boardAt(atPier, workouts[0]!)).toBe(after);
  });
  test('so is a board whose workout changed, whose rules did, or from which an earlier score of the same athlete went', async () => {
    const changed = async (change: () => Promise<unknown>, workout: number): Promise<boolean> => {
      const before = await boardAt(atLamp, workout);
      await change();
      await settled();
      const after = await boardAt(atPier, workout);
      expect(await boardAt(atLamp, workout)).toBe(after);
      return after !== before;
    };
    const { revision } = (await atLamp('GET', `/workouts/${workouts[1]}`)).json;
    expect(await changed(() => atLamp('PUT', `/workouts/${workouts[1]}`, { text: texts[1]!.replace('40/30', '50/35'), revision }), workouts[1]!)).toBe(true);
    expect(await changed(() => atPier('PUT', '/rules', { rules: { unfinished: 'equivalentTime' } }), workouts[1]!)).toBe(true);
  });
});

test('a job that both might do is done once', async () => {
  const many = [...people];
  for (let at = 0; at < 16; at++) many.push(await addAthlete(atLamp, `Class ${at}`));
  const job = (await atLamp('POST', `/workouts/${workouts[0]}/send-jobs`, { athleteIds: [...many, ...many] })).json;
  expect(job.total).toBe(many.length);
  await Promise.all([atLamp, atPier].map((at) => finished(at, job.id)));
  expect((await atPier('GET', `/jobs/${job.id}`)).json).toMatchObject({ finished: true, done: many.length, failed: [] });
  const { sends } = (await atPier('GET', `/workouts/${workouts[0]}/sends`)).json as { sends: { athleteId: number }[] };
  expect(sends.map(({ athleteId }) => athleteId).sort()).toEqual([...many].sort());
});

test('five presses of the same button, at two servers, are one job; the next press is another one', async () => {
  const send = (press: string) => (at: Desk) => at('POST', `/workouts/${workouts[0]}/send-jobs`, { athleteIds: people, press });
  const answers = await Promise.all([atLamp, atPier, atLamp, atPier, atLamp].map(send('the first press')));
  const ids = new Set(answers.map(({ status, json }) => `${status} ${json.id}`));
  expect([...ids]).toEqual([expect.stringMatching(/^202 \d+$/)]);
  const next = (await send('the second press')(atPier)).json.id as number;
  expect(ids).not.toContain(`202 ${next}`);
  await Promise.all([answers[0]!.json.id as number, next].map((id) => finished(atPier, id)));
});

test('what a server that died was doing is free after five seconds; what a living one does is held', async () => {
  const jobs = jobStore(lamp.database);
  const { jobItems } = lamp.database.models;
  const jobId = await jobs.start(coach, { workoutId: workouts[0]!, text: texts[0]! }, [people[0]!], null);
  const item = { jobId, coachId: coach, athleteId: people[0]!, task: { workoutId: workouts[0]!, text: texts[0]! } };
  const left = async (): Promise<number> => {
    const row = await jobItems.findOne({ where: { jobId } });
    return row!.leasedUntil!.getTime() - Date.now();
  };
  await jobItems.update({ leasedBy: 'gone', leasedUntil: new Date(Date.now() + 1_000) }, { where: { jobId } });
  await jobs.hold([item], 'another');
  expect(await left()).toBeLessThan(1_000);
  await jobs.hold([item], 'gone');
  expect(await left()).toBeGreaterThan(1_000);
  expect(await left()).toBeLessThanOrEqual(6_000);
  await jobs.cancel(coach, jobId);
});

test('a job that is cancelled does no more; what could not be computed is told by name', async () => {
  const odd = await addAthlete(atLamp, 'Odd', { avoid: ['the moon'] });
  const job = (await atLamp('POST', `/workouts/${workouts[0]}/send-jobs`, { athleteIds: [odd, people[0]] })).json;
  expect((await finished(atPier, job.id)).failed).toEqual([{ athleteId: odd, message: expect.stringMatching(/The file of Odd says “the moon”/) }]);
  const many = Array.from({ length: 300 }, () => people[1]!).map((id, at) => id + 100_000 + at);
  const second = (await atLamp('POST', `/workouts/${workouts[0]}/send-jobs`, { athleteIds: many })).json;
  const cancelled = (await atPier('DELETE', `/jobs/${second.id}`)).json;
  expect(cancelled).toMatchObject({ finished: true, total: 300, done: 300 });
});

test('tries are counted together', async () => {
  const answers = [];
  for (let at = 0; at < 12; at++)
    answers.push((await (at % 2 ? lamp : pier).stranger('POST', '/login', { email: 'both@lanterns.example', password: 'no' })).status);
  expect(answers).toEqual([...Array<number>(10).fill(401), 429, 429]);
});

test('fifty who log for one athlete at once, at two servers: one score counts, all are kept, and its link shows it', async () => {
  const [workout, athlete] = [await addWorkout(atLamp), await addAthlete(atLamp, 'Wendrith')];
  const token = await sendTo(atLamp, workout, athlete);
  const logging = Array.from({ length: 50 }, (_, at) =>
    (at % 2 ? lamp : pier).stranger('POST', `/a/${token}/score`, { score: `${5 + (at % 5)}+${at % 20}`, note: `${at}` }),
  );
  expect(new Set((await Promise.all(logging)).map(({ status }) => status))).toEqual(new Set([200]));
  const { scores: table } = lamp.database.models;
  expect(await table.count({ where: { workoutId: workout, athleteId: athlete } })).toBe(50);
  expect(await table.count({ where: { workoutId: workout, athleteId: athlete, deletedAt: null } })).toBe(1);
  const rows = (await atPier('GET', `/workouts/${workout}/board`)).json.boards[0].rows as { note: string }[];
  expect((await lamp.stranger('GET', `/a/${token}`)).json.score.note).toBe(rows[0]!.note);
});
