/** Migrations, oldest first. Each is applied once and never changed afterwards in what it does; a lease keeps two servers that start at once from doing it together. */
import { SequelizeStorage, Umzug } from 'umzug';
import type { QueryInterface } from 'sequelize';
import type { Database } from '../platform/database';
import { alone } from '../platform/leases';
import * as first from './0001-first';
import * as jobs from './0002-jobs';
import * as scoresByAthlete from './0003-scores-by-athlete';
import * as longerScores from './0004-longer-scores';
import * as readingsAndLeases from './0005-readings-and-leases';
import * as theDesk from './0006-the-desk';
import * as trust from './0007-trust';
import * as doors from './0008-doors';
import * as classClocks from './0009-class-clocks';
import * as theRecord from './0010-the-record';
import * as saidAndDue from './0011-said-and-due';
import * as presses from './0012-presses';
import * as browsers from './0013-browsers';
import * as whoseScore from './0014-whose-score';
import * as painReports from './0015-pain-reports';
import * as houseWords from './0016-house-words';

const migrations = [
  { name: '0001-first', ...first },
  { name: '0002-jobs', ...jobs },
  { name: '0003-scores-by-athlete', ...scoresByAthlete },
  { name: '0004-longer-scores', ...longerScores },
  { name: '0005-readings-and-leases', ...readingsAndLeases },
  { name: '0006-the-desk', ...theDesk },
  { name: '0007-trust', ...trust },
  { name: '0008-doors', ...doors },
  { name: '0009-class-clocks', ...classClocks },
  { name: '0010-the-record', ...theRecord },
  { name: '0011-said-and-due', ...saidAndDue },
  { name: '0012-presses', ...presses },
  { name: '0013-browsers', ...browsers },
  { name: '0014-whose-score', ...whoseScore },
  { name: '0015-pain-reports', ...painReports },
  { name: '0016-house-words', ...houseWords },
];

/** What migrating itself needs first. */
const leaseTable = `CREATE TABLE IF NOT EXISTS leases (name VARCHAR(60) NOT NULL PRIMARY KEY, owner VARCHAR(60) NOT NULL, held_until DATETIME(3) NOT NULL,
  created_at DATETIME(3) NOT NULL, updated_at DATETIME(3) NOT NULL)`;
/** s another server waits for migrations */
const patience = 600;

function umzugOn({ sequelize }: Database): Umzug<QueryInterface> {
  return new Umzug<QueryInterface>({
    migrations: migrations.map(({ name, up, down }) => ({ name, up: ({ context }) => up(context), down: ({ context }) => down(context) })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
}

/** @returns the names of what was applied */
export async function migrate(database: Database): Promise<string[]> {
  await database.sequelize.query(leaseTable);
  const umzug = umzugOn(database);
  if ((await umzug.pending()).length === 0) return [];
  return alone(database, 'migrate', patience, async () => (await umzug.up()).map(({ name }) => name));
}
