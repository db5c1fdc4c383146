/**
 * DDL that may be done twice: MariaDB commits every statement by itself, so that a server killed in the middle leaves half a migration, and the next start does it from its beginning.
 */
import { DataTypes, type QueryInterface } from 'sequelize';

const nameOf = (table: string, columns: readonly string[]): string => `${table}_${columns.join('_')}`;
const quoted = (names: readonly string[]): string => names.map((name) => `\`${name}\``).join(', ');

export async function ensureIndex(queries: QueryInterface, table: string, columns: readonly string[], { unique = false } = {}): Promise<void> {
  await queries.sequelize.query(`CREATE ${unique ? 'UNIQUE ' : ''}INDEX IF NOT EXISTS \`${nameOf(table, columns)}\` ON \`${table}\` (${quoted(columns)})`);
}
export async function dropIndex(queries: QueryInterface, table: string, columns: readonly string[]): Promise<void> {
  await queries.sequelize.query(`DROP INDEX IF EXISTS \`${nameOf(table, columns)}\` ON \`${table}\``);
}
/** @param definition as in SQL: `TINYINT UNSIGNED NULL` */
export async function ensureColumn(queries: QueryInterface, table: string, column: string, definition: string): Promise<void> {
  await queries.sequelize.query(`ALTER TABLE \`${table}\` ADD COLUMN IF NOT EXISTS \`${column}\` ${definition}`);
}
export async function dropColumn(queries: QueryInterface, table: string, column: string): Promise<void> {
  await queries.sequelize.query(`ALTER TABLE \`${table}\` DROP COLUMN IF EXISTS \`${column}\``);
}

// Columns as every migration writes them.
export const moment = (allowNull = false) => ({ type: DataTypes.DATE(3), allowNull });
export const times = { created_at: moment(), updated_at: moment() };
export const number = (allowNull = false) => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull });
export const reference = (model: string, key: 'id' | 'score_id' = 'id') => ({ ...number(), references: { model, key }, onDelete: 'CASCADE' });
