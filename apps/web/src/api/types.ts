/** Shapes the server answers with: the contract's, and the locks as core has them. */
import type { Lock } from '@gambito/core';

export type {
  AthletePage,
  Board,
  BoardEntry,
  ClockCue,
  DayEntry,
  ListedResult,
  ListedWorkout,
  LoggedScore,
  Me,
  SendJob,
  StoredAthlete,
  StoredSend,
  StoredWorkout,
} from '@gambito/contract';

export interface StoredLocks {
  readonly athleteId: number;
  readonly locks: readonly Lock[];
  /** who decided last */
  readonly by: string;
}
