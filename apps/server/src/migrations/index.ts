/** Migrations, oldest first. Each is applied once and never edited afterwards. */
import { Umzug, SequelizeStorage } from 'umzug';
import type { QueryInterface } from 'sequelize';
import { type Sequelize } from 'sequelize';
import * as first from './0001-first';
import * as jobs from './0002-jobs';
import * as scoresByAthlete from './0003-scores-by-athlete';
import * as longerScores from './0004-longer-scores';

const migrations = [
  { name: '0001-first', up: first.up, down: first.down },
  { name: '0002-jobs', up: jobs.up, down: jobs.down },
  { name: '0003-scores-by-athlete', up: scoresByAthlete.up, down: scoresByAthlete.down },
  { name: '0004-longer-scores', up: longerScores.up, down: longerScores.down },
];

export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug<QueryInterface>({
    migrations: migrations.map((each) => ({ name: each.name, up: ({ context }) => each.up(context), down: ({ context }) => each.down(context) })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  return (await umzug.up()).map((each) => each.name);
}
