/** What a coach fixed in one person's version. Slots are numbered as they are written. */
import type { SlotLock } from './part/space';

export interface Lock extends SlotLock {
  /** number of the part as the coach wrote it */
  readonly part: number;
}
