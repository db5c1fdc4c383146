/** Sequelize on MariaDB, with the settings that keep numbers numbers. */
import mariadb from 'mariadb';
import { Sequelize } from 'sequelize';
import type { Config } from './config';

export function connect(config: Config['database']): Sequelize {
  return new Sequelize(config.name, config.user, config.password, {
    dialect: 'mariadb',
    dialectModule: mariadb,
    host: config.host,
    port: config.port,
    logging: false,
    timezone: '+00:00',
    pool: { max: 8, min: 0, idle: 10_000 },
    define: { underscored: true, freezeTableName: true, charset: 'utf8mb4' },
    dialectOptions: { supportBigNumbers: false, bigNumberStrings: false, bigIntAsNumber: true, decimalAsNumber: false, insertIdAsNumber: true },
  });
}
