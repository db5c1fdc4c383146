/** Who works at a desk, as rows: its owner and its guests. */
import { QueryTypes, type Transaction } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';

interface PersonRow {
  readonly id: number;
  readonly name: string;
  readonly email: string;
  readonly owner: number;
}
export interface DeskPeopleStore {
  /** the owner first */
  list(deskId: number): Promise<PersonRow[]>;
  /** A guest has an empty desk of their own from now on, and is signed out. @throws {Problem} not_found where this is no guest of the desk */
  remove(deskId: number, personId: number): Promise<void>;
  /** The guest becomes the owner, and the owner a guest; both stay signed in. @throws {Problem} not_found */
  handOver(deskId: number, personId: number): Promise<void>;
}

/** What belongs to a person and not to the desk: it goes along. */
const ofPerson = ['sessions', 'resets', 'browsers'] as const;

async function swapPersons({ sequelize, models }: Database, deskId: number, personId: number, transaction: Transaction): Promise<void> {
  const found = { transaction, lock: transaction.LOCK.UPDATE };
  const [owner, guest] = [
    await models.coaches.findOne({ where: { id: deskId }, ...found }),
    await models.coaches.findOne({ where: { id: personId, deskId }, ...found }),
  ];
  if (!owner || !guest) throw new Problem('not_found');
  const persons = [owner, guest].map(({ name, email, passwordHash, founder }) => ({ name, email, passwordHash, founder }));
  // e-mail and founder are unique: they are free before they are given
  await owner.update({ email: `handed over ${deskId}`, founder: null }, { transaction });
  await guest.update(persons[0]!, { transaction });
  await owner.update(persons[1]!, { transaction });
  const replacements = { deskId, personId };
  for (const table of ofPerson)
    await sequelize.query(`UPDATE ${table} SET coach_id = IF(coach_id = :deskId, :personId, :deskId) WHERE coach_id IN (:deskId, :personId)`, {
      replacements,
      transaction,
    });
}

export function deskPeopleStore(database: Database): DeskPeopleStore {
  const { sequelize, models, read, transact } = database;
  return {
    list: (deskId) =>
      read(() =>
        sequelize.query<PersonRow>(
          'SELECT id, name, email, IF(id = :deskId, 1, 0) AS owner FROM coaches WHERE id = :deskId OR desk_id = :deskId ORDER BY owner DESC, name, id',
          {
            replacements: { deskId },
            type: QueryTypes.SELECT,
          },
        ),
      ),
    remove: (deskId, personId) =>
      transact(async (transaction) => {
        const [changed] = await models.coaches.update({ deskId: null }, { where: { id: personId, deskId }, transaction });
        if (changed === 0) throw new Problem('not_found');
        await models.sessions.destroy({ where: { coachId: personId }, transaction });
      }),
    handOver: (deskId, personId) => transact((transaction) => swapPersons(database, deskId, personId, transaction)),
  };
}
