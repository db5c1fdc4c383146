/** A line of an archive by what it holds, and what its numbers became here. */
import type { ArchiveLine } from '@gambito/contract';

export type LineOf<Key extends string> = Extract<ArchiveLine, Record<Key, unknown>>;
export interface Numbers {
  readonly athletes: Map<number, number>;
  readonly workouts: Map<number, number>;
}
