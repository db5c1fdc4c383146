/** A score knows the one whose place it took, so that it is seen when one person's replaces another's. */
import type { QueryInterface } from 'sequelize';
import { dropColumn, ensureColumn } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await ensureColumn(queries, 'scores', 'replaces', 'INT UNSIGNED NULL');
}

export async function down(queries: QueryInterface): Promise<void> {
  await dropColumn(queries, 'scores', 'replaces');
}
