/** A backup taken while people work, restored into an empty instance: the same boards, links and locks; and what is no backup is refused before anything is written. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { BackupRefusal, checkBackup, restoreBackup, writeBackup } from '../src/backup/backup';
import { migrate } from '../src/migrations';
import { readConfig } from '../src/platform/config';
import { addAthlete, addWorkout, databaseNamed, openInstance, sendTo, type Desk, type Instance } from './instance';

const folder = mkdtempSync(join(tmpdir(), 'gambito-backup-'));
const file = join(folder, 'lanterns.backup');
const at = (name: string) => ({ ...readConfig(process.env).database, name });
let instance: Instance;
let desk: Desk;
let cookie: string;
let workout: number;
let token: string;

beforeAll(async () => {
  instance = await openInstance('gambito_jest_saved');
  ({ desk, cookie } = await instance.newCoach('maruvel@lanterns.example'));
  workout = await addWorkout(desk, '# Squall “ñ” 𝟠\nAMRAP 12:00\n8 pull-up\n15 air squat\nintent: 8-12 rounds\n');
  for (const [index, name] of ['Orvenna', 'Tabrik “the keeper”', 'Hespin\u202E'].entries()) {
    const athlete = await addAthlete(desk, name, { body_mass: '63.5 kg', notes: 'a\nb\\c\t"d"' });
    token = await sendTo(desk, workout, athlete);
    await desk('PUT', `/workouts/${workout}/locks/${athlete}`, { locks: [{ part: 0, slot: 0, reps: 6 + index }] });
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: `${7 + index}+${index}`, note: `wind ${index}` });
  }
});
afterAll(async () => {
  await instance.close();
  rmSync(folder, { recursive: true, force: true });
});

test('taken under load and put back, the boards, links and locks are the same', async () => {
  let over = false;
  const writing = (async () => {
    for (let count = 0; !over; count++) await addAthlete(desk, `Later ${count}`);
  })();
  const board = (await desk('GET', `/workouts/${workout}/board`)).json;
  await writeBackup(at('gambito_jest_saved'), file, new Date());
  over = true;
  await writing;
  const empty = databaseNamed('gambito_jest_restored');
  await migrate(empty);
  expect(await restoreBackup(at('gambito_jest_restored'), file)).toBe((await checkBackup(file)).rows);
  await empty.close();
  const restored = await openInstance('gambito_jest_restored');
  const there = restored.desk(cookie);
  // sessions are of the moment: one signs in again
  expect((await there('GET', `/workouts/${workout}/board`)).status).toBe(401);
  const again = restored.desk(
    String((await restored.stranger('POST', '/login', { email: 'maruvel@lanterns.example', password: 'a long lantern' })).headers['set-cookie']).split(';')[0]!,
  );
  const back = (await again('GET', `/workouts/${workout}/board`)).json;
  expect([back.boards, back.day, back.fields]).toEqual([board.boards, board.day, board.fields]);
  for (const path of [`/workouts/${workout}`, `/workouts/${workout}/locks`, `/workouts/${workout}/sends`])
    expect((await again('GET', path)).json).toEqual((await desk('GET', path)).json);
  expect((await restored.stranger('GET', `/a/${token}`)).json).toEqual((await instance.stranger('GET', `/a/${token}`)).json);
  await restored.close();
});

test('a backup goes into an empty instance only', async () => {
  await expect(restoreBackup(at('gambito_jest_saved'), file)).rejects.toThrow(/There is a desk here already/);
});

test.each([
  ['cut short', (whole: Buffer) => whole.subarray(0, whole.length - 40)],
  ['of something else', () => gzipSync('{"hello":"pier"}\n')],
  ['no archive at all', () => Buffer.from('lanterns')],
  ['without its end', (whole: Buffer) => gzipSync(gunzipSync(whole).toString('utf8').split('\n').slice(0, -2).join('\n'))],
  ['of a later version', (whole: Buffer) => gzipSync(gunzipSync(whole).toString('utf8').replace('"0001-first"', '"0001-first","9999-later"'))],
  [
    'damaged in the middle',
    (whole: Buffer) => Buffer.concat([whole.subarray(0, whole.length / 2), Buffer.alloc(40, 7), whole.subarray(whole.length / 2 + 40)]),
  ],
  ['of lines that are no JSON', (whole: Buffer) => gzipSync(gunzipSync(whole).toString('utf8').replaceAll('[', '{['))],
])('a file that is %s is refused, and nothing is written', async (_what, change) => {
  const broken = join(folder, 'broken.backup');
  writeFileSync(broken, change(readFileSync(file)));
  const empty = databaseNamed('gambito_jest_empty');
  await migrate(empty);
  await expect(restoreBackup(at('gambito_jest_empty'), broken)).rejects.toThrow(BackupRefusal);
  expect(await empty.models.coaches.count()).toBe(0);
  await empty.close();
});

test.each([
  ['a folder', () => folder, /is a folder; a file was expected/],
  ['nothing', () => join(folder, 'none.backup'), /none\.backup is not there/],
])('%s instead of a file is a sentence', async (_what, path, sentence) => {
  await expect(checkBackup(path())).rejects.toThrow(BackupRefusal);
  await expect(checkBackup(path())).rejects.toThrow(sentence);
});
