/** Browsers a person has signed in with: they have tries of their own at the password. */
import type { QueryInterface } from 'sequelize';
import { ensureIndex, moment, reference, times } from './reentrant';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('browsers', {
    token_hash: { type: 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin', primaryKey: true },
    coach_id: reference('coaches'),
    expires_at: moment(),
    ...times,
  });
  await ensureIndex(queries, 'browsers', ['expires_at']);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable('browsers');
}
