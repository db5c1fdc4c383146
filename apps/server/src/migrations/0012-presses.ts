/** A job knows the press of the button that began it, so that the same press again is the same job. */
import type { QueryInterface } from 'sequelize';
import { dropColumn, dropIndex, ensureColumn, ensureIndex } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await ensureColumn(queries, 'jobs', 'press', 'VARCHAR(60) NULL');
  await ensureIndex(queries, 'jobs', ['coach_id', 'press'], { unique: true });
}

export async function down(queries: QueryInterface): Promise<void> {
  await dropIndex(queries, 'jobs', ['coach_id', 'press']);
  await dropColumn(queries, 'jobs', 'press');
}
