/** A score holds one text a part: several parts want more room. */
import { DataTypes, type QueryInterface } from 'sequelize';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.changeColumn('scores', 'score', { type: DataTypes.STRING(400), allowNull: false });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.changeColumn('scores', 'score', { type: DataTypes.STRING(120), allowNull: false });
}
