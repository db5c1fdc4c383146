/** Past results are asked for by athlete, newest first. */
import type { QueryInterface } from 'sequelize';

const columns = ['athlete_id', 'created_at'];

export async function up(queries: QueryInterface): Promise<void> {
  await queries.addIndex('scores', columns);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.removeIndex('scores', columns);
}
