/**
 * The files of the database, in three states on disk, each left only when the next is complete:
 * nothing yet → laid beside (`mariadb.laying-N`: no database was ever started on it, so that it holds nothing of anybody's) → laid (`mariadb`, renamed in one step).
 * From then on only the database writes them. Nothing is ever deleted but what was being laid.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { giveTo } from './account.mjs';
import { isKnownPlace, rememberPlace } from './places.mjs';
import { endThoseOn } from './processes.mjs';
import { Refusal } from './say.mjs';

const beingLaid = /^mariadb\.laying-\d+$/;

function make(unfinished, account) {
  const made = spawnSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      ...(account.isSystem ? [`--user=${account.name}`] : []),
      `--datadir=${unfinished}`,
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

/** What a start that was killed was still laying: whoever works on it is ended, and it goes. */
async function clearHalfLaid(directory) {
  for (const name of readdirSync(directory).filter((each) => beingLaid.test(each))) {
    const path = join(directory, name);
    await endThoseOn(path, 'SIGKILL', 10_000);
    rmSync(path, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** @throws {Refusal} where there is something that is no database, or was one, and what to do */
function refuseWhatIsThere(directory, data, { isAnew, places }) {
  if (existsSync(data) && readdirSync(data).length > 0)
    throw new Refusal(
      `${data} holds files, but not the folder “mysql” every database has: something removed it, or a copy was not finished. Nothing was touched. Put the whole folder back from a backup (npm run restore), or move it away to begin anew.`,
    );
  // the password of a database is made after its files, and stays
  const wasLaid = existsSync(join(directory, 'password')) || isKnownPlace(directory, places);
  if (wasLaid && !isAnew)
    throw new Refusal(
      `The database’s files are gone: ${data} was there at an earlier start. Nothing was made in its place. Put the folder back where it was, or begin with an empty database: npm start -- --anew`,
    );
}

/**
 * The data folder, made where there is none.
 * @param isAnew a folder that is gone is replaced by an empty one
 * @param places the file that knows where databases were laid; null: nobody asks
 * @returns its path, and whether it was made just now
 * @throws {Refusal} where there is something else, and what to do
 */
export async function dataFolder(directory, account, { isAnew = false, places = null } = {}) {
  const data = join(directory, 'mariadb');
  await clearHalfLaid(directory);
  const isNew = !existsSync(join(data, 'mysql'));
  if (isNew) {
    refuseWhatIsThere(directory, data, { isAnew, places });
    const unfinished = `${data}.laying-${process.pid}`;
    mkdirSync(unfinished, { mode: 0o700 });
    giveTo(unfinished, account);
    make(unfinished, account);
    renameSync(unfinished, data);
  } else giveTo(data, account);
  rememberPlace(directory, places);
  return { data, isNew };
}
