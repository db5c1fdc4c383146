/** A workout and an athlete, the version a coach wrote by hand before any was computed, and what of it another good coach would also hold. */
export interface SlotExpectation {
  /** id of the written movement */
  readonly of: string;
  /** which of several written alike, from 0 */
  readonly nth?: number;
  /** pattern the ids of what stands for it fit */
  readonly is?: RegExp;
  /** `written`: movement's count stays; a span in all, both sides counted; or the ladders that will do */
  readonly reps?: 'written' | readonly [least: number, most: number] | readonly (readonly number[])[];
  /** kg of one implement */
  readonly kg?: readonly [least: number, most: number];
  readonly implement?: RegExp;
}
export interface Pair {
  readonly name: string;
  readonly workout: string;
  readonly athlete: Readonly<Record<string, unknown>>;
  readonly byHand: string;
  /** what the coach would say with it */
  readonly why: string;
  /** every slot keeps movement and count, every part its clock and rounds */
  readonly untouched?: true;
  readonly slots?: readonly SlotExpectation[];
  /** pattern of ids that are nowhere in the version */
  readonly never?: RegExp;
  /** minutes of the clock of the first part that has one */
  readonly minutes?: readonly [least: number, most: number];
  readonly says?: RegExp;
  readonly neverSays?: RegExp;
}
