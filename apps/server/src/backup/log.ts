/** What is known of backups: each one that was taken or failed, as the keeper noted it. */
import type { Database } from '../platform/database';

export interface NotedBackup {
  readonly file: string;
  readonly bytes: number;
  readonly rows: number;
  /** what went wrong; null where the file is whole */
  readonly failure: string | null;
}
export interface BackupLog {
  note(backup: NotedBackup): Promise<void>;
  /** the newest first */
  list(): Promise<(NotedBackup & { readonly at: Date })[]>;
}
/** that are remembered */
const mostKept = 30;

export const backupLog = ({ sequelize, models, read, write }: Database): BackupLog => ({
  note: async ({ file, bytes, rows, failure }) => {
    await write(() => models.backups.create({ file: file.slice(-300), bytes, rowCount: rows, failure: failure?.slice(0, 500) ?? null }));
    await write(() =>
      sequelize.query('DELETE FROM backups WHERE id <= (SELECT id FROM (SELECT id FROM backups ORDER BY id DESC LIMIT 1 OFFSET :mostKept) AS old)', {
        replacements: { mostKept },
      }),
    );
  },
  list: async () => {
    const rows = await read(() => models.backups.findAll({ order: [['id', 'DESC']], limit: mostKept }));
    return rows.map(({ file, bytes, rowCount, failure, createdAt }) => ({ file, bytes: Number(bytes), rows: rowCount, failure, at: createdAt }));
  },
});
