/** Messages to athletes as rows: one for each sending of a version, however often somebody presses; leased by the server that tries it. */
import type { Delivery, MessengerMode } from '@gambito/contract';
import { Op, QueryTypes } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';

export interface NewDelivery {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly sentAt: Date;
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
}
/** One that this server tries now. */
export interface DueDelivery {
  readonly id: number;
  readonly coachId: number;
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
  /** made before this one */
  readonly tries: number;
  readonly mode: MessengerMode;
}
export interface DeliveryStore {
  /** Those that are there already are left alone. @returns how many are new */
  queue(coachId: number, deliveries: readonly NewDelivery[], now: Date): Promise<number>;
  /** the newest first */
  list(coachId: number, workoutId: number | null): Promise<Delivery[]>;
  /** sendings somebody was told of already: athlete and time */
  told(workoutId: number): Promise<ReadonlyMap<number, number>>;
  lease(most: number, now: Date): Promise<DueDelivery[]>;
  noteSent(id: number): Promise<void>;
  /** @param nextTryAt null: for good */
  noteFailure(id: number, failure: string, nextTryAt: Date | null): Promise<void>;
  /** @throws {Problem} not_found where it is none of this coach's that failed */
  again(coachId: number, id: number, now: Date): Promise<void>;
  mode(coachId: number): Promise<MessengerMode>;
  setMode(coachId: number, mode: MessengerMode): Promise<void>;
}
/** ms after which another server tries what one has begun and not ended */
const lease = 60_000;
/** messages that are listed */
const most = 200;

const listQuery = `SELECT d.id, d.workout_id AS workoutId, d.athlete_id AS athleteId, a.name, d.recipient, d.subject, d.body, d.state, d.tries, d.failure,
    d.created_at AS at, IF(d.state = 'waiting', d.next_try_at, NULL) AS nextTryAt
  FROM deliveries d JOIN athletes a ON a.id = d.athlete_id WHERE d.coach_id = :coachId AND (:workoutId IS NULL OR d.workout_id = :workoutId) ORDER BY d.id DESC LIMIT ${most}`;
const dueQuery = `SELECT d.id, d.coach_id AS coachId, d.recipient, d.subject, d.body, d.tries, c.messenger AS mode FROM deliveries d JOIN coaches c ON c.id = d.coach_id
  WHERE d.state = 'waiting' AND d.next_try_at <= :now ORDER BY d.next_try_at, d.id LIMIT :most FOR UPDATE`;

type Due = Pick<DeliveryStore, 'queue' | 'lease' | 'noteSent' | 'noteFailure'>;
/** What goes in, and what is tried. */
function dueDeliveries({ sequelize, models, read, write, transact }: Database): Due {
  return {
    queue: (coachId, deliveries, now) =>
      transact(async (transaction) => {
        let fresh = 0;
        for (const delivery of deliveries) {
          // the unique key decides: pressed twice, or on two screens, it is one message
          const [, written] = await sequelize.query(
            `INSERT IGNORE INTO deliveries (coach_id, workout_id, athlete_id, sent_at, recipient, subject, body, state, tries, next_try_at, created_at, updated_at)
             VALUES (:coachId, :workoutId, :athleteId, :sentAt, :recipient, :subject, :body, 'waiting', 0, :now, :now, :now)`,
            { replacements: { coachId, ...delivery, now }, type: QueryTypes.INSERT, transaction },
          );
          fresh += Number(written > 0);
        }
        return fresh;
      }),
    lease: async (count, now) => {
      // nearly always there is nothing, and no transaction is begun for it
      const waiting = await read(() => models.deliveries.findOne({ where: { state: 'waiting', nextTryAt: { [Op.lte]: now } }, attributes: ['id'] }));
      if (!waiting) return [];
      return transact(async (transaction) => {
        const due = await sequelize.query<DueDelivery>(dueQuery, { replacements: { now, most: count }, type: QueryTypes.SELECT, transaction });
        const id = due.map((each) => each.id);
        if (id.length > 0)
          await sequelize.query('UPDATE deliveries SET tries = tries + 1, next_try_at = :until WHERE id IN (:id)', {
            replacements: { id, until: new Date(now.getTime() + lease) },
            type: QueryTypes.UPDATE,
            transaction,
          });
        return due;
      });
    },
    noteSent: async (id) => {
      await write(() => models.deliveries.update({ state: 'sent', failure: null, nextTryAt: null }, { where: { id } }));
    },
    noteFailure: async (id, failure, nextTryAt) => {
      await write(() => models.deliveries.update({ failure, nextTryAt, state: nextTryAt === null ? 'failed' : 'waiting' }, { where: { id } }));
    },
  };
}

/** What a coach sees and says of them. */
function seenDeliveries({ sequelize, models, read, write }: Database): Omit<DeliveryStore, keyof Due> {
  return {
    list: async (coachId, workoutId) => {
      const rows = await read(() =>
        sequelize.query<Omit<Delivery, 'at' | 'nextTryAt'> & { at: Date; nextTryAt: Date | null }>(listQuery, {
          replacements: { coachId, workoutId },
          type: QueryTypes.SELECT,
        }),
      );
      return rows.map(({ at, nextTryAt, ...row }) => ({ ...row, at: at.toISOString(), nextTryAt: nextTryAt && nextTryAt.toISOString() }));
    },
    told: async (workoutId) => {
      const rows = await read(() => models.deliveries.findAll({ where: { workoutId }, attributes: ['athleteId', 'sentAt'], order: ['id'] }));
      return new Map(rows.map(({ athleteId, sentAt }) => [athleteId, sentAt.getTime()]));
    },
    again: async (coachId, id, now) => {
      const [count] = await write(() => models.deliveries.update({ state: 'waiting', tries: 0, nextTryAt: now }, { where: { id, coachId, state: 'failed' } }));
      if (count === 0 && !(await read(() => models.deliveries.findOne({ where: { id, coachId }, attributes: ['id'] })))) throw new Problem('not_found');
    },
    mode: async (coachId) => (await read(() => models.coaches.findByPk(coachId, { attributes: ['messenger'] })))?.messenger as MessengerMode,
    setMode: async (coachId, messenger) => {
      await write(() => models.coaches.update({ messenger }, { where: { id: coachId } }));
    },
  };
}

export const deliveryStore = (database: Database): DeliveryStore => ({ ...dueDeliveries(database), ...seenDeliveries(database) });
