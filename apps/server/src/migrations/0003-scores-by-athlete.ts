/** Past results are asked for by athlete, newest first. */
import type { QueryInterface } from 'sequelize';
import { dropIndex, ensureIndex } from './reentrant';

const columns = ['athlete_id', 'created_at'];

export async function up(queries: QueryInterface): Promise<void> {
  await ensureIndex(queries, 'scores', columns);
}

export async function down(queries: QueryInterface): Promise<void> {
  await dropIndex(queries, 'scores', columns);
}
