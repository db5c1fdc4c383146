/**
 * A database whose disk is full does not refuse: it ends. So it never comes to that: a ballast is kept beside it, and when the disk is nearly full the ballast is let go, which gives the database
 * room to finish what it does, and it takes no more writing until there is room again.
 * A folder that is moved away while its database runs is seen here too.
 */
import { closeSync, existsSync, fsyncSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { query } from './database.mjs';
import { say } from './say.mjs';

const megabyte = 1 << 20;
const ballastMegabytes = 32;
/** MB free below which writing stops, and above which it goes on and the ballast is taken in again */
const [least, enough] = [40, 110];
const everyMilliseconds = 300;
const tellAgain = 3_000;

const freeAt = (directory) => {
  const { bavail, bsize } = statfsSync(directory);
  return (bavail * bsize) / megabyte;
};

/** Really written: a file of holes keeps no room. */
function takeIn(path) {
  const file = openSync(path, 'w', 0o600);
  try {
    const block = Buffer.alloc(megabyte);
    for (let at = 0; at < ballastMegabytes; at++) writeSync(file, block);
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/**
 * @param onGone called once when the files are no longer where they were
 * @returns a function that ends the watch
 */
export function watchDisk({ directory, data, socket, account }, onGone) {
  const ballast = join(directory, 'ballast');
  let stopped = null;
  let toldAt = 0;
  const setReadOnly = (on) => {
    toldAt = Date.now();
    return query(socket, account.admin, `SET GLOBAL read_only = ${on ? 1 : 0}`).status === 0;
  };
  const look = () => {
    const free = freeAt(directory);
    if (free < least && stopped !== true) {
      rmSync(ballast, { force: true });
      stopped = setReadOnly(true);
      if (stopped) say(`The disk at ${directory} is nearly full (${free.toFixed(0)} MB were left): nothing is written until there is room. Reading goes on.`);
    } else if (stopped !== false && free > (stopped === null ? least : enough)) {
      if (stopped !== null) say(`There is room again at ${directory}: writing goes on.`);
      stopped = setReadOnly(false) ? false : stopped;
    }
    // a database that was started again meanwhile is told again
    if (stopped === true && Date.now() - toldAt > tellAgain) setReadOnly(true);
    if (stopped === false && free > enough && !existsSync(ballast)) takeIn(ballast);
  };
  const timer = setInterval(() => {
    if (existsSync(data)) return look();
    clearInterval(timer);
    onGone();
  }, everyMilliseconds);
  return () => clearInterval(timer);
}
