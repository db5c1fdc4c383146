/** What whoever keeps the machine does to an instance, for tools/keeper.mjs: `backup FILE`, `restore FILE`, `password E-MAIL`. */
import { statSync } from 'node:fs';
import { resetLink } from './auth/resets';
import { BackupRefusal, restoreBackup, writeBackup } from './backup/backup';
import { backupLog, type NotedBackup } from './backup/log';
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
    const noted = (backup: Omit<NotedBackup, 'file'>): Promise<void> => withDatabase((database) => backupLog(database).note({ file, ...backup }));
    try {
      const rows = await writeBackup(config, file, new Date());
      await noted({ bytes: statSync(file).size, rows, failure: null });
    } catch (error) {
      await noted({ bytes: 0, rows: 0, failure: error instanceof Error ? error.message : String(error) }).catch(() => undefined);
      throw error;
    }
    return `The backup is in ${file}.`;
  },
  restore: async (file) => {
    await withDatabase(async () => undefined);
    return `Restored ${await restoreBackup(config, file)} rows from ${file}.`;
  },
  password: async (email) => {
    const token = await withDatabase((database) => resetLink(database, email));
    if (token === null) throw new BackupRefusal(`Nobody signs in here as ${email}.`);
    return `Within an hour, ${email} sets a new password at ${process.env['GAMBITO_ADDRESS'] ?? ''}/reset/${token}. It works once; every session of that coach ends with it.`;
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
