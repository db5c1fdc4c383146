/** The files of the database: made once, and from then on only the database writes them. Nothing is ever deleted that was not made, unfinished, by us. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveTo } from './account.mjs';
import { Refusal } from './say.mjs';

/** lies in a folder that is still being made: no database was ever started on it, so that it holds nothing of anybody's */
const unfinishedMark = 'gambito-unfinished';

function make(unfinished, account) {
  const made = spawnSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      ...(account.isSystem ? [`--user=${account.name}`] : []),
      `--datadir=${join(unfinished, 'mariadb')}`,
      '--auth-root-authentication-method=socket',
      `--auth-root-socket-user=${account.admin}`,
      '--skip-test-db',
      '--skip-name-resolve',
      '--innodb-log-file-size=8M',
      '--aria-log-file-size=8M',
    ],
    { encoding: 'utf8' },
  );
  if (made.status !== 0) {
    const said = (made.stderr || made.stdout || String(made.error)).trim().split('\n');
    const full = /No space left|Disk (?:is )?full|errno: 28/i.test(made.stderr + made.stdout);
    throw new Refusal(
      full
        ? `The disk is full: the database could not be made in ${unfinished}. Make room, about 200 MB, and start again.`
        : `The database could not be made in ${unfinished}: ${said.slice(-3).join(' ')}`,
    );
  }
}

/**
 * The data folder, made where there is none.
 * @throws {Refusal} where there is something else, and what to do
 */
export function dataFolder(directory, account) {
  const data = join(directory, 'mariadb');
  if (existsSync(join(data, 'mysql'))) {
    giveTo(data, account);
    return data;
  }
  if (existsSync(data) && readdirSync(data).length > 0)
    throw new Refusal(
      `${data} holds files, but not the folder “mysql” every database has: something removed it, or a copy was not finished. Nothing was touched. Put the whole folder back from a backup (npm run restore), or move it away to begin anew.`,
    );
  const unfinished = join(directory, 'mariadb.unfinished');
  if (existsSync(join(unfinished, unfinishedMark))) rmSync(unfinished, { recursive: true });
  if (existsSync(unfinished)) throw new Refusal(`${unfinished} is in the way and was not made by Gambito; move it away and start again.`);
  mkdirSync(unfinished);
  writeFileSync(join(unfinished, unfinishedMark), '');
  mkdirSync(join(unfinished, 'mariadb'), { mode: 0o700 });
  giveTo(unfinished, account);
  make(unfinished, account);
  renameSync(join(unfinished, 'mariadb'), data);
  rmSync(unfinished, { recursive: true });
  return data;
}
