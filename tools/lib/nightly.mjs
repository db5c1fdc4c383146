/** A backup every night at a time of day, into one of seven files named after the days, beside everything else that goes on. */
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { say } from './say.mjs';

const days = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
/** ms between two looks at the time */
const lookEvery = 30_000;

/** `03:17` → minutes of the day; null where it is none */
export function minutesOf(time) {
  const found = /^(\d{1,2}):(\d{2})$/.exec(time);
  const [hours, minutes] = found ? [Number(found[1]), Number(found[2])] : [NaN, NaN];
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : null;
}

/** Whether the time of day came between two looks, also over midnight and over a night that was slept through. */
export function cameBetween(minutes, before, now) {
  const due = new Date(now);
  due.setHours(0, minutes, 0, 0);
  if (due > now) due.setDate(due.getDate() - 1);
  return due > before && due <= now;
}

export const nightlyFile = (directory, now) => join(directory, `gambito-${days[now.getDay()]}.backup`);

/** @returns what ends it */
export function takeNightly({ root, environment, directory, at }) {
  const minutes = minutesOf(at);
  mkdirSync(directory, { recursive: true, mode: 0o700 });
  let before = new Date();
  const look = () => {
    const now = new Date();
    const due = cameBetween(minutes, before, now);
    before = now;
    if (!due) return;
    const file = nightlyFile(directory, now);
    spawn(process.execPath, [join(root, 'apps/server/dist/keeper.mjs'), 'backup', file], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, ...environment },
    }).once('exit', (code) => say(code === 0 ? `Backup taken: ${file}` : `The backup of tonight failed; what it said stands above.`));
  };
  const timer = setInterval(look, lookEvery);
  return () => clearInterval(timer);
}
