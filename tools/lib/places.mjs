/** The folders this clone laid a database in: where one is gone altogether (a disk that is not there, a folder that was moved), it is known that something was there. */
import { existsSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './root.mjs';
import { writeWhole } from './write-whole.mjs';

export const placesFile = join(root, '.gambito-places.json');
/** what is laid there is thrown away by those who laid it */
const passing = [tmpdir(), '/dev/shm'];
/** The file that remembers a folder; null where it is one of a moment. */
export const placesOf = (folder) => (passing.some((each) => folder.startsWith(`${each}/`)) ? null : placesFile);

const read = (file) => {
  try {
    return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : [];
  } catch {
    return [];
  }
};

/** @param file null: nothing is remembered */
export const isKnownPlace = (folder, file) => file !== null && read(file).includes(folder);

export function rememberPlace(folder, file) {
  if (file !== null && !isKnownPlace(folder, file)) writeWhole(file, JSON.stringify([...read(file), folder]));
}
