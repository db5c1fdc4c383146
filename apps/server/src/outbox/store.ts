/** What goes out to people. The stand-in that ships with Gambito keeps each message where the one who set the instance up can read it; a real messenger would take the place of `send`. */
import type { Database } from '../platform/database';

export interface Message {
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
}
export interface SentMessage extends Message {
  readonly id: number;
  readonly at: Date;
}
export interface Outbox {
  send(message: Message): Promise<void>;
  /** the newest first */
  list(): Promise<SentMessage[]>;
}
/** messages that are kept */
const mostKept = 100;

export const outboxOn = ({ models, read, write }: Database): Outbox => ({
  send: async (message) => {
    const founder = await read(() => models.coaches.findOne({ where: { founder: 1 }, attributes: ['id'] }));
    if (founder) await write(() => models.messages.create({ coachId: founder.id, ...message }));
  },
  list: async () => {
    const rows = await read(() => models.messages.findAll({ order: [['id', 'DESC']], limit: mostKept }));
    return rows.map(({ id, recipient, subject, body, createdAt }) => ({ id, recipient, subject, body, at: createdAt }));
  },
});
