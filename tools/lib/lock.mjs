/** One clone, one lock with a living owner: a second start says where the first one serves. */
import { existsSync, linkSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Refusal } from './say.mjs';

/** When a process began, in ticks since the machine did: a number that came back to another process does not fool us. */
function beganAt(pid) {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')[19];
  } catch {
    return null;
  }
}
const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
};
const isAlive = (owner) => owner !== null && beganAt(owner.pid) === owner.began;

/** Who holds the lock of a folder and lives; null where nobody does. */
export function ownerOf(directory) {
  const owner = read(join(directory, 'lock'));
  return isAlive(owner) ? owner : null;
}

/**
 * @param url where this start will serve
 * @returns a function that gives the lock back
 * @throws {Refusal} where another start holds it
 */
export function takeLock(directory, url) {
  mkdirSync(directory, { recursive: true });
  const path = join(directory, 'lock');
  const mine = { pid: process.pid, began: beganAt(process.pid), url };
  const draft = join(directory, `lock.${process.pid}`);
  writeFileSync(draft, JSON.stringify(mine));
  try {
    for (let tries = 0; tries < 3; tries++) {
      const owner = read(path);
      if (isAlive(owner))
        throw new Refusal(
          `Gambito already runs from this folder, at ${owner.url} (process ${owner.pid}). Use that one, stop it, or clone into another folder.`,
        );
      // a dead owner's lock goes; the link is made by one of us only
      if (existsSync(path)) rmSync(path, { force: true });
      try {
        linkSync(draft, path);
        return () => {
          if (read(path)?.pid === process.pid) rmSync(path, { force: true });
        };
      } catch (error) {
        if (error.code !== 'EEXIST') throw error;
      }
    }
    throw new Refusal('Another start of Gambito from this folder was quicker; try again.');
  } finally {
    rmSync(draft, { force: true });
  }
}
