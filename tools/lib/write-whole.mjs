/** A small file that is there whole or not at all: written beside, then renamed, so that whoever is killed in between leaves what was there before. */
import { renameSync, writeFileSync } from 'node:fs';

/** @param mode of the file, such as 0o600 */
export function writeWhole(path, text, mode = 0o644) {
  const beside = `${path}.${process.pid}`;
  writeFileSync(beside, text, { mode });
  renameSync(beside, path);
}
