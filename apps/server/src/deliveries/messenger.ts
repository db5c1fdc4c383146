/**
 * What takes a message to a person. A real one (mail, chat) takes the place of the stand-in behind the same interface. It is given a key: a message that comes with one
 * it has had before is the same message, tried again because nobody heard the answer, and must not arrive twice.
 */
import type { MessengerMode } from '@gambito/contract';

export interface Letter {
  /** the same for every try of one message */
  readonly key: string;
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
}
export class DeliveryFailure extends Error {
  constructor(
    message: string,
    /** trying again may help */
    readonly passing: boolean,
  ) {
    super(message);
  }
}
export interface Messenger {
  /** @throws {DeliveryFailure} */
  deliver(letter: Letter): Promise<void>;
}

/** Sends nothing anywhere; fails the way it is told to, so that what then happens can be seen. @param tries made before this one */
export const standIn = (mode: MessengerMode, tries: number): Messenger => ({
  deliver: async ({ recipient }) => {
    if (mode === 'refuses') throw new DeliveryFailure(`“${recipient}” is refused by the stand-in, as it was told to.`, false);
    if (mode === 'stumbles' && tries === 0) throw new DeliveryFailure('No answer from the stand-in, as it was told to at each first try.', true);
  },
});
