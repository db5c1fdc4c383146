/** One machine under load: a server with one worker on a database of its own, and coaches who can sign in. */
import { hash } from '@node-rs/argon2';
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import mariadb from 'mariadb';
import { root } from '../../tools/lib/root.mjs';
import { freePort } from '../../tools/lib/ports.mjs';

export const kits = [
  ['dumbbell 12.5 kg x 2', 'pull-up bar'],
  ['kettlebell 16 kg', 'chair 45 cm'],
  ['barbell 20 kg, plates 2x10 2x5 kg', 'pull-up bar', 'box 50 cm'],
  [],
];
export const password = 'a long lantern';
/** An athlete who can be told apart. */
export const keeper = (name, at) => ({
  name,
  category: at % 2 ? 'women' : 'men',
  level: 'trained',
  body_mass: `${58 + (at % 30)} kg`,
  place: { kit: kits[at % kits.length] },
});
export const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

export async function server(database) {
  const port = await freePort();
  const env = {
    ...process.env,
    ...database.environment('gambito_load'),
    NODE_ENV: 'production',
    GAMBITO_PORT: String(port),
    GAMBITO_WEB: join(root, 'apps/web/dist'),
    GAMBITO_WATCH: '1',
    GAMBITO_THREADS: '1',
  };
  const child = spawn(process.execPath, [join(root, 'apps/server/dist/server.mjs')], { cwd: root, env, stdio: ['ignore', 'pipe', 'inherit'] });
  const seen = [];
  child.stdout.on('data', (chunk) => {
    for (const line of String(chunk).split('\n')) if (line.startsWith('{')) seen.push(JSON.parse(line));
  });
  const base = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 300 && !(await fetch(`${base}/api/health`).catch(() => null))?.ok; tries++) await pause(100);
  return { base, seen, child, stop: () => new Promise((done) => (child.once('exit', done), child.kill('SIGTERM'))) };
}

/** Coaches beyond the first have no way in yet but the database. */
export async function makeCoaches(database, coaches) {
  const secret = readFileSync(database.passwordFile, 'utf8').trim();
  const connection = await mariadb.createConnection({ host: '127.0.0.1', port: database.port, user: 'gambito', password: secret, database: 'gambito_load' });
  const passwordHash = await hash(password);
  for (let at = 0; at < coaches; at++)
    await connection.query(
      "INSERT INTO coaches (email, name, password_hash, time_zone, units, rules, created_at, updated_at) VALUES (?, ?, ?, 'UTC', 'kg', '{}', NOW(), NOW())",
      [`c${at}@lanterns.example`, `Coach ${at}`, passwordHash],
    );
  await connection.end();
}
