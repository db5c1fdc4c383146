/** What `npm start` is made of: one lock with a living owner, files that are never wiped, processes that are kept alive. */
import { afterAll, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { passwordOf } from '../lib/database.mjs';
import { dataFolder } from '../lib/database-files.mjs';
import { watchDisk } from '../lib/disk-watch.mjs';
import { ownerOf, takeLock } from '../lib/lock.mjs';
import { cameBetween, minutesOf, nightlyFile } from '../lib/nightly.mjs';
import { keepAlive } from '../lib/supervise.mjs';
import { Refusal, orRefuse } from '../lib/say.mjs';
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

describe('a build that a starter began', () => {
  const build = () => spawn(process.execPath, [join(root, 'tools/build.mjs'), 'nothing'], { cwd: root, stdio: ['ignore', 'ignore', 'ignore', 'ipc'] });
  const ended = (child) => new Promise((resolve) => child.once('exit', (code, signal) => resolve(code ?? signal)));
  test('ends when it is done, while the starter lives', async () => expect(await ended(build())).toBe(0));
});

describe('the files of the database', () => {
  const refused = async (...asked) => {
    try {
      await dataFolder(...asked);
    } catch (error) {
      return error instanceof Refusal ? error.message : `no refusal: ${error}`;
    }
    return null;
  };
  const noted = () => join(folder(), 'places.json');
  test('files without the folder every database has are left alone, and it is said what to do', async () => {
    const path = folder();
    mkdirSync(join(path, 'mariadb/gambito_own'), { recursive: true });
    writeFileSync(join(path, 'mariadb/ibdata1'), 'years of other people’s work');
    expect(await refused(path, me)).toMatch(/holds files, but not the folder “mysql”.*Nothing was touched.*npm run restore/);
    expect(await refused(path, me, { isAnew: true })).toMatch(/holds files/);
    expect(readFileSync(join(path, 'mariadb/ibdata1'), 'utf8')).toBe('years of other people’s work');
  });
  test('what a killed start was laying goes, with whoever still works on it; nothing else does', async () => {
    const path = folder();
    const half = join(path, 'mariadb.laying-77');
    mkdirSync(join(half, 'mysql'), { recursive: true });
    mkdirSync(join(path, 'mariadb/mysql'), { recursive: true });
    mkdirSync(join(path, 'mariadb.laying-of-the-keel'));
    const still = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)', '--', `--datadir=${half}`]);
    const ended = new Promise((resolve) => still.once('exit', (code, signal) => resolve(signal)));
    await dataFolder(path, me, { places: noted() });
    expect(await ended).toBe('SIGKILL');
    expect(readdirSync(path).sort()).toEqual(['mariadb', 'mariadb.laying-of-the-keel']);
  });
  test('a database that was there once is not replaced without a word', async () => {
    const path = folder();
    mkdirSync(join(path, 'mariadb/mysql'), { recursive: true });
    const places = noted();
    expect(await dataFolder(path, me, { places })).toEqual({ data: join(path, 'mariadb'), isNew: false });
    rmSync(path, { recursive: true });
    mkdirSync(path);
    expect(await refused(path, me, { places })).toMatch(/files are gone: .*Nothing was made in its place.*--anew/);
    expect(readdirSync(path)).toEqual([]);
  });
  test('nor where only its folder is gone; a password cut short is made anew', async () => {
    const path = folder();
    writeFileSync(join(path, 'password'), '');
    expect(await refused(path, me, { places: noted() })).toMatch(/files are gone/);
    const { password } = passwordOf(path);
    expect(password).toHaveLength(32);
    expect(passwordOf(path).password).toBe(password);
  });
});

describe('a data folder that cannot be used', () => {
  const start = (data) => spawnSync(process.execPath, [join(root, 'tools/start.mjs'), '--data', data], { encoding: 'utf8' });
  test('a file where a folder was expected is a sentence', () => {
    const path = join(folder(), 'letter');
    writeFileSync(path, 'mine');
    expect(start(path)).toMatchObject({
      status: 1,
      stderr: expect.stringMatching(/is a file, or lies below one, where a folder was expected.*--data DIRECTORY\.\n$/),
    });
    expect(readFileSync(path, 'utf8')).toBe('mine');
  });
  test('a disk that takes no writing is one too', async () => {
    const said = [];
    const write = process.stderr.write;
    process.stderr.write = (text) => said.push(text);
    try {
      await orRefuse(() => Promise.reject(Object.assign(new Error('EROFS: read-only file system'), { code: 'EROFS', path: '/mnt/lamp' })));
    } finally {
      process.stderr.write = write;
      process.exitCode = 0;
    }
    expect(said).toEqual(['/mnt/lamp lies on a disk that takes no writing. Make it writable, or choose another folder: --data DIRECTORY.\n']);
  });
  test('files that are moved away while the database runs are seen', async () => {
    const path = folder();
    const data = join(path, 'mariadb');
    mkdirSync(data);
    let gone = 0;
    const end = watchDisk({ directory: path, data, socket: join(path, 'none.sock'), account: me }, () => gone++);
    try {
      rmSync(data, { recursive: true });
      expect(await until(() => gone > 0)).toBe(true);
    } finally {
      end();
    }
    expect(gone).toBe(1);
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
