/** `backup FILE` and `restore FILE`, for tools/backup.mjs. */
import { migrate } from '../migrations';
import { readConfig } from '../platform/config';
import { connect } from '../platform/database';
import { BackupRefusal, restoreBackup, writeBackup } from './backup';

const [command, file] = process.argv.slice(2);
const { database: config } = readConfig(process.env);

async function restore(from: string): Promise<void> {
  const database = connect(config);
  try {
    await migrate(database);
  } finally {
    await database.close();
  }
  process.stdout.write(`Restored ${await restoreBackup(config, from)} rows from ${from}.\n`);
}

try {
  if (command === 'backup' && file) {
    await writeBackup(config, file, new Date());
    process.stdout.write(`The backup is in ${file}.\n`);
  } else if (command === 'restore' && file) await restore(file);
  else throw new BackupRefusal('Expected: backup FILE, or restore FILE.');
} catch (error) {
  process.stderr.write(`${error instanceof BackupRefusal ? error.message : `Failed: ${error instanceof Error ? error.message : String(error)}`}\n`);
  process.exitCode = error instanceof BackupRefusal ? 2 : 1;
}
