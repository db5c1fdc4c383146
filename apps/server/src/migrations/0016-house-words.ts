/** What a coach answered about words of their messages. */
import type { QueryInterface } from 'sequelize';
import { dropColumn, ensureColumn } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await ensureColumn(queries, 'coaches', 'words', "JSON NOT NULL DEFAULT '[]'");
}

export async function down(queries: QueryInterface): Promise<void> {
  await dropColumn(queries, 'coaches', 'words');
}
