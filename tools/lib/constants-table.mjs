/** The named constants of the model, read out of the code with the comment that stands over each, so that the page cannot say another figure. */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const rooms = ['adapt', 'simulate', 'stimulus', 'capacity', 'limits/headroom.ts', 'pacing', 'clock', 'prepare', 'record'];
const core = join(root, 'packages/core/src');

function filesOf(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesOf(join(path, name)));
}

/** One-line comments stand for the constants under them until another line breaks the run. */
function constantsOf(path) {
  let comment = '';
  return readFileSync(path, 'utf8')
    .split('\n')
    .flatMap((line) => {
      const said = /^\/\*\*\s*(.+?)\s*\*\/$/.exec(line);
      if (said) {
        comment = said[1];
        return [];
      }
      const found = /^(?:export )?const (\w+)(?::[^=]+)? = (-?[\d.]+|\{ .*\d.* \});$/.exec(line);
      if (!found) comment = '';
      return found && comment ? [`| \`${found[1]}\` | ${found[2].replaceAll('|', '/')} | ${comment.replaceAll('|', '/')} |`] : [];
    });
}

export function constantsTable() {
  return rooms
    .flatMap((room) => filesOf(join(core, room)))
    .map((path) => [path.slice(core.length + 1), constantsOf(path)])
    .filter(([, rows]) => rows.length > 0)
    .map(([file, rows]) => `\n**${file}**\n\n| constant | value | what |\n|---|---|---|\n${rows.join('\n')}`)
    .join('\n');
}
