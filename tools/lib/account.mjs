/** Whose process the database is: the ordinary user's who starts it; never root's, for whom a system account is made. */
import { spawnSync } from 'node:child_process';
import { chmodSync, chownSync, lstatSync, mkdirSync, readdirSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { userInfo } from 'node:os';
import { Refusal, say } from './say.mjs';

export const systemAccount = 'gambito-db';
const idOf = (flag, name) => {
  const found = spawnSync('id', [flag, name], { encoding: 'utf8' });
  return found.status === 0 ? Number(found.stdout.trim()) : null;
};

/** @returns {{name: string, uid: number, gid: number, admin: string, isSystem: boolean}} who runs the database, and as whom it is administered over its socket */
export function databaseAccount() {
  if (process.getuid() !== 0) {
    const { username, uid, gid } = userInfo();
    return { name: username, uid, gid, admin: username, isSystem: false };
  }
  if (idOf('-u', systemAccount) === null) {
    const made = spawnSync('useradd', ['--system', '--user-group', '--no-create-home', '--shell', '/usr/sbin/nologin', systemAccount], { encoding: 'utf8' });
    if (made.status !== 0)
      throw new Refusal(
        `Started as root, the database wants an account of its own; useradd could not make ${systemAccount}: ${(made.stderr || String(made.error)).trim()}. Start as an ordinary user instead.`,
      );
  }
  return { name: systemAccount, uid: idOf('-u', systemAccount), gid: idOf('-g', systemAccount), admin: 'root', isSystem: true };
}

/** Whether others may go through every folder above. */
function isReachable(directory) {
  for (let at = dirname(directory); ; at = dirname(at)) {
    if ((lstatSync(at).mode & 0o001) === 0) return false;
    if (at === dirname(at)) return true;
  }
}

/** Where the files of the database lie: below the clone, or, where the system account may not go there, in /var/lib. */
export function reachable(directory, account) {
  if (!account.isSystem) return directory;
  // the folder itself is ours: its account may go through it, and read no more
  chmodSync(directory, 0o711);
  if (isReachable(directory)) return directory;
  const elsewhere = join('/var/lib/gambito', createHash('sha256').update(directory).digest('hex').slice(0, 12));
  mkdirSync(elsewhere, { recursive: true, mode: 0o755 });
  say(`The database's account may not go below ${dirname(directory)}; its files are in ${elsewhere}.`);
  return elsewhere;
}

/** Gives a folder and what is in it to the account, where it is not its own yet; what a database takes away meanwhile is nobody's. */
export function giveTo(path, { uid, gid, isSystem }) {
  if (!isSystem) return;
  const give = (at) => {
    const owner = lstatSync(at, { throwIfNoEntry: false })?.uid;
    if (owner !== undefined && owner !== uid) chownSync(at, uid, gid);
  };
  give(path);
  for (const entry of readdirSync(path, { withFileTypes: true, recursive: true })) give(join(entry.parentPath ?? entry.path, entry.name));
}
