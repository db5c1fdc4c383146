/** What whoever keeps the machine does to an instance, for tools/keeper.mjs: `backup FILE`, `restore FILE`, `password E-MAIL`. */
import { newPassword } from './auth/new-password';
import { BackupRefusal, restoreBackup, writeBackup } from './backup/backup';
import { migrate } from './migrations';
import { readConfig } from './platform/config';
import { connect, type Database } from './platform/database';

const { database: config } = readConfig(process.env);

async function withDatabase<T>(work: (database: Database) => Promise<T>): Promise<T> {
  const database = connect(config);
  try {
    await migrate(database);
    return await work(database);
  } finally {
    await database.close();
  }
}

/** @returns what is told */
const commands: Readonly<Record<string, (what: string) => Promise<string>>> = {
  backup: async (file) => {
    await writeBackup(config, file, new Date());
    return `The backup is in ${file}.`;
  },
  restore: async (file) => {
    await withDatabase(async () => undefined);
    return `Restored ${await restoreBackup(config, file)} rows from ${file}.`;
  },
  password: async (email) => {
    const password = await withDatabase((database) => newPassword(database, email));
    if (password === null) throw new BackupRefusal(`Nobody signs in here as ${email}.`);
    return `The new password of ${email} is ${password}. Whoever was signed in with the old one no longer is. It is not kept anywhere: change it after signing in.`;
  },
};

try {
  const [command = '', what] = process.argv.slice(2);
  const run = Object.hasOwn(commands, command) ? commands[command] : undefined;
  if (!run || !what) throw new BackupRefusal('Expected: backup FILE, restore FILE, or password E-MAIL.');
  process.stdout.write(`${await run(what)}\n`);
} catch (error) {
  process.stderr.write(`${error instanceof BackupRefusal ? error.message : `Failed: ${error instanceof Error ? error.message : String(error)}`}\n`);
  process.exitCode = error instanceof BackupRefusal ? 2 : 1;
}
