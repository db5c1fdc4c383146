/** Long work with its progress, so that any server process can tell how far it is. */
import { DataTypes, type QueryInterface } from 'sequelize';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('jobs', {
    id: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true, autoIncrement: true },
    coach_id: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, references: { model: 'coaches', key: 'id' }, onDelete: 'CASCADE' },
    total: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    done: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
    failed: { type: DataTypes.JSON, allowNull: false },
    finished_at: { type: DataTypes.DATE(3), allowNull: true },
    created_at: { type: DataTypes.DATE(3), allowNull: false },
    updated_at: { type: DataTypes.DATE(3), allowNull: false },
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.dropTable('jobs');
}
