/** Whether what is built is of the sources there are: one stamp, written by `tools/build.mjs` and read by who wants to serve it. */
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './root.mjs';
import { writeWhole } from './write-whole.mjs';

const stamp = join(root, 'apps/server/dist/.built');
const outputs = ['apps/server/dist/server.mjs', 'apps/web/dist/index.html', 'apps/cli/dist/gambito.mjs'].map((output) => join(root, output));

/** @returns when the newest source was changed, in milliseconds */
export function newestSource() {
  let newest = 0;
  const visit = (directory) => {
    for (const entry of readdirSync(directory, { withFileTypes: true })) {
      if (['node_modules', 'dist', '.units', '.data', 'test-results'].includes(entry.name)) continue;
      const path = join(directory, entry.name);
      if (entry.isDirectory()) visit(path);
      else newest = Math.max(newest, statSync(path).mtimeMs);
    }
  };
  for (const folder of ['packages', 'apps']) visit(join(root, folder));
  return newest;
}

/** Building again would empty the folder that another server serves from, so nobody builds what is built. */
export const isBuilt = () => outputs.every(existsSync) && existsSync(stamp) && Number(readFileSync(stamp, 'utf8')) >= newestSource();

/** @param newest the newest source as it was when the build began */
export function markBuilt(newest) {
  mkdirSync(dirname(stamp), { recursive: true });
  writeWhole(stamp, String(newest));
}

/** A build begins: whoever is killed in it leaves nothing that counts as built. */
export const unmarkBuilt = () => rmSync(stamp, { force: true });
