/** What `npm start` is made of: one lock with a living owner, files that are never wiped, processes that are kept alive. */
import { afterAll, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dataFolder } from '../lib/database-files.mjs';
import { ownerOf, takeLock } from '../lib/lock.mjs';
import { cameBetween, minutesOf, nightlyFile } from '../lib/nightly.mjs';
import { keepAlive } from '../lib/supervise.mjs';
import { Refusal } from '../lib/say.mjs';
import { root } from '../lib/root.mjs';

const made = [];
const folder = () => {
  const path = mkdtempSync(join(tmpdir(), 'gambito-starter-'));
  made.push(path);
  return path;
};
afterAll(() => made.forEach((path) => rmSync(path, { recursive: true, force: true })));
const me = { name: 'x', uid: process.getuid(), gid: process.getgid(), admin: 'x', isSystem: false };
const refusal = (run) => {
  try {
    run();
  } catch (error) {
    return error instanceof Refusal ? error.message : `no refusal: ${error}`;
  }
  return null;
};
const until = async (holds) => {
  for (let tries = 0; tries < 600 && !holds(); tries++) await new Promise((resolve) => setTimeout(resolve, 50));
  return holds();
};

describe('one clone, one lock', () => {
  test('a second start says where the first one serves; when that one ended, the lock is free', async () => {
    const path = folder();
    const giveBack = takeLock(path, 'http://127.0.0.1:4780');
    expect(ownerOf(path)).toMatchObject({ pid: process.pid, url: 'http://127.0.0.1:4780' });
    expect(refusal(() => takeLock(path, 'http://127.0.0.1:5000'))).toMatch(/already runs from this folder, at http:\/\/127\.0\.0\.1:4780/);
    giveBack();
    expect(ownerOf(path)).toBeNull();
    takeLock(path, 'x')();
    expect(readdirSync(path)).toEqual([]);
  });
  test('a lock whose owner died is nobody’s, also where its number went to somebody else', () => {
    const path = folder();
    writeFileSync(join(path, 'lock'), JSON.stringify({ pid: process.pid, began: '1', url: 'http://127.0.0.1:1' }));
    expect(ownerOf(path)).toBeNull();
    takeLock(path, 'x')();
    writeFileSync(join(path, 'lock'), 'half a li');
    takeLock(path, 'x')();
  });
  test('the command itself refuses, in one sentence and without a stack', () => {
    const path = folder();
    mkdirSync(join(path, 'demo'));
    const giveBack = takeLock(join(path, 'demo'), 'http://127.0.0.1:4799');
    const start = (...asked) => spawnSync(process.execPath, [join(root, 'tools/start.mjs'), ...asked], { encoding: 'utf8' });
    expect(start('--data', path)).toMatchObject({ status: 1, stderr: expect.stringMatching(/^Gambito already runs .* http:\/\/127\.0\.0\.1:4799 .*\n$/) });
    giveBack();
    expect(start('--prot', '1')).toMatchObject({ status: 1, stderr: expect.stringMatching(/^Unknown option '--prot'\. Expected: npm start.*\n$/) });
    expect(start('--port', 'pier')).toMatchObject({ status: 1, stderr: expect.stringMatching(/^--port: “pier” is no port.*\n$/) });
  });
});

describe('the files of the database', () => {
  test('files without the folder every database has are left alone, and it is said what to do', () => {
    const path = folder();
    mkdirSync(join(path, 'mariadb/gambito_own'), { recursive: true });
    writeFileSync(join(path, 'mariadb/ibdata1'), 'years of other people’s work');
    expect(refusal(() => dataFolder(path, me))).toMatch(/holds files, but not the folder “mysql”.*Nothing was touched.*npm run restore/);
    expect(readFileSync(join(path, 'mariadb/ibdata1'), 'utf8')).toBe('years of other people’s work');
  });
  test('a folder that is in the way and is not ours stays', () => {
    const path = folder();
    mkdirSync(join(path, 'mariadb.unfinished'));
    writeFileSync(join(path, 'mariadb.unfinished/letter'), 'mine');
    expect(refusal(() => dataFolder(path, me))).toMatch(/was not made by Gambito/);
    expect(existsSync(join(path, 'mariadb.unfinished/letter'))).toBe(true);
  });
  test('one that is there is taken as it is', () => {
    const path = folder();
    mkdirSync(join(path, 'mariadb/mysql'), { recursive: true });
    expect(dataFolder(path, me)).toBe(join(path, 'mariadb'));
  });
});

describe('kept alive', () => {
  /** A clock whose pauses end when the test says so. */
  const turned = () => {
    const pauses = [];
    const wait = (milliseconds) => {
      let end;
      const over = new Promise((resolve) => (end = resolve));
      pauses.push({ milliseconds, end });
      return [over, end];
    };
    return { pauses, wait, now: () => 0 };
  };
  test('what ends is started again, after a pause that grows, until it is stopped', async () => {
    const clock = turned();
    let began = 0;
    const start = () => spawn(process.execPath, ['-e', ++began < 3 ? 'process.exit(3)' : 'setInterval(() => {}, 1000)']);
    const kept = keepAlive('A lamp', start, clock);
    for (const [at, milliseconds] of [500, 1000].entries()) {
      expect(await until(() => clock.pauses.length === at + 1)).toBe(true);
      expect([began, clock.pauses[at].milliseconds]).toEqual([at + 1, milliseconds]);
      clock.pauses[at].end();
    }
    expect(await until(() => began === 3)).toBe(true);
    const { pid } = kept.child();
    await kept.stop();
    expect(() => process.kill(pid, 0)).toThrow(/ESRCH/);
    expect([began, clock.pauses.length]).toEqual([3, 2]);
  });
  test('a start that fails counts as an end, and stopping does not wait for the pause', async () => {
    const clock = turned();
    const fails = () => {
      throw new Refusal('no oil');
    };
    const kept = keepAlive('A wick', fails, clock);
    expect(await until(() => clock.pauses.length === 1)).toBe(true);
    await kept.stop();
    expect(clock.pauses).toHaveLength(1);
  });
});

describe('a backup every night', () => {
  const at = (day, time) => new Date(`2026-11-${day}T${time}`);
  test('is due when its time came between two looks: on the day, over midnight, after a night that was slept through', () => {
    expect(cameBetween(197, at(27, '03:16:50'), at(27, '03:17:20'))).toBe(true);
    expect(cameBetween(197, at(27, '03:17:20'), at(27, '03:17:50'))).toBe(false);
    expect(cameBetween(5, at(26, '23:59:50'), at(27, '00:05:10'))).toBe(true);
    expect(cameBetween(1435, at(26, '23:00'), at(27, '08:00'))).toBe(true);
    expect(cameBetween(197, at(26, '04:00'), at(28, '09:00'))).toBe(true);
    expect(cameBetween(197, at(26, '04:00'), at(26, '23:00'))).toBe(false);
  });
  test('goes into one of seven files', () => {
    const files = Array.from({ length: 8 }, (_, day) => nightlyFile('/b', at(20 + day, '03:17')));
    expect(new Set(files).size).toBe(7);
    expect(files[0]).toBe('/b/gambito-friday.backup');
  });
  test.each(['3:17', '03:17', '23:59'])('%s is a time of day', (time) => expect(minutesOf(time)).toBeGreaterThan(0));
  test.each(['', '24:00', '03:60', 'noon', '3.17'])('“%s” is none', (time) => expect(minutesOf(time)).toBeNull());
});
