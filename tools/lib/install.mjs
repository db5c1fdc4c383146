/** Installs what is missing, and only that: Debian packages through apt-get, dependencies through npm ci. Offline is fine when all is there. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { Refusal, say } from './say.mjs';

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0 || existsSync(`/usr/sbin/${command}`);

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) throw new Refusal(`Gambito needs Node 20.19 or later; this is ${process.versions.node}.`);
}

/** MB free where a folder is, or will be. */
function freeAt(folder) {
  let there = folder;
  while (!existsSync(there)) there = dirname(there);
  const { bavail, bsize } = statfsSync(there);
  return (bavail * bsize) / 1e6;
}

/** MB that are wanted: for dependencies and build; for a database that is to be made; for one that is there. */
const room = { install: 1000, make: 250, run: 60 };

/** Said before anything is written. */
export function checkDisk(root, data = null) {
  const refuse = (folder, wanted, free) => {
    throw new Refusal(`Gambito needs about ${wanted} MB of free disk at ${folder}; ${free.toFixed(0)} MB are left. Nothing was written.`);
  };
  const here = freeAt(root);
  if (!existsSync(join(root, 'node_modules/.gambito-lock')) && here < room.install) refuse(root, room.install, here);
  if (data === null) return;
  const there = freeAt(data);
  const wanted = existsSync(join(data, 'mariadb/mysql')) ? room.run : room.make;
  if (there < wanted) refuse(data, wanted, there);
}

/** @param packages command → Debian package */
export function installDebian(packages) {
  const missing = Object.entries(packages)
    .filter(([command]) => !has(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  if (!has('apt-get'))
    throw new Refusal(`Missing: ${missing.join(', ')}. This machine has no apt-get; install ${missing.join(' and ')} by hand and start again.`);
  if (process.getuid?.() !== 0)
    throw new Refusal(`Missing: ${missing.join(', ')}. Installing needs root; run as root once, or: sudo apt-get install ${missing.join(' ')}`);
  say(`Installing ${missing.join(', ')} …`);
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env: environment });
  const done = spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], { encoding: 'utf8', env: environment });
  if (done.status !== 0)
    throw new Refusal(`apt-get could not install ${missing.join(', ')}: ${(done.stderr || done.stdout).trim().split('\n').slice(-3).join(' ')}`);
}

/** `npm ci` when the lock file has changed since the last one, or nothing is installed. */
export function installDependencies(root) {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules/.gambito-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing dependencies (npm ci) …');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, encoding: 'utf8', env: { ...process.env, NODE_ENV: 'development' } });
  if (done.status !== 0) throw new Refusal(`npm ci failed: ${(done.stderr || done.stdout).trim().split('\n').slice(-5).join('\n')}`);
  writeFileSync(stamp, lock);
}
