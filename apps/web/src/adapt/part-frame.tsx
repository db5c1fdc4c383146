/** Rounds, ladder, clock and cap of a part, as the coach wants them for this person; the rest re-balances. */
import { frameOf, inFrame, isPartLock, type Adapted, type Lock, type Workout } from '@gambito/core';
import { LineField } from './line-field';

interface Props {
  /** number of the part in the version, and as it is written */
  readonly index: number;
  readonly written: number;
  readonly adapted: Adapted;
  readonly original: Workout;
  readonly locks: readonly Lock[];
  readonly setLocks: (locks: readonly Lock[]) => void;
}

export function PartFrame({ index, written, adapted, original, locks, setLocks }: Props) {
  const part = original.parts[written];
  const lock = locks.filter(isPartLock).find((each) => each.part === written && each.frame !== undefined);
  const frame = lock?.frame ?? frameOf(adapted.workout.parts[index]!);
  if (!part || frame === null) return null;
  const others = locks.filter((each) => each !== lock);
  return (
    <LineField
      label="Rounds, clock and cap"
      line={frame}
      byHand={lock !== undefined}
      canBeRead={(typed) => inFrame(part, typed, original.own ?? []) !== null}
      expected="a frame for the same work, such as “4 rounds for time, cap 12:00” or “AMRAP 9:00”"
      set={(typed) => setLocks([...others, { part: written, slot: 0, scheme: true, frame: typed }])}
      lift={() => setLocks(others)}
    />
  );
}
