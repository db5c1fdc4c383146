/** One line of a version as the coach wrote it: read as work, and held as a lock on its slot. */
import { isMovementId } from '../movements/catalogue';
import { parseWorkout } from '../notation/parse-workout';
import { ownLine } from '../notation/read-own';
import type { MassUnit } from '../units/mass';
import { slotsOfPart } from '../workout/walk';
import type { Category, DefinedMovement, Slot } from '../workout/workout';
import type { LineWords } from './line-words';
import { isPartLock, type Lock, type PartLock } from './lock';

/** How a coach's line is read: masses without a unit, and the movements that the workout defines. */
export interface LineTerms {
  readonly units: MassUnit;
  readonly own: readonly DefinedMovement[];
}
/** @returns null where the text is not one movement that Gambito or the workout knows */
export function slotInLine(line: string, { units, own }: LineTerms): Slot | null {
  if (/[\r\n]/.test(line.trim())) return null;
  const { parts } = parseWorkout([...own.map((each) => ownLine(each.own, each.as)), 'for quality', line.trim()].join('\n'), { units }).workout;
  const slots = parts.flatMap((part) => slotsOfPart(part));
  const [slot] = slots;
  return parts.length === 1 && slot !== undefined && slots.length === 1 && isMovementId(slot.movement) ? slot : null;
}

function wordsIn({ own, said, implement, unit, unitSaid, perSide, heightCm, hold, tempo, effort, side, note, count }: Slot): LineWords {
  const counted = count.kind === 'fixed' ? { unit, unitSaid, perSide } : {};
  const told = Object.entries({ said, implement, heightCm, hold, tempo, effort, side }).filter(([, value]) => value !== null);
  return { ...counted, ...(Object.fromEntries(told) as Partial<LineWords>), own, note };
}

function readLine(lock: PartLock & { readonly line: string }, category: Category, terms: LineTerms): PartLock {
  const slot = slotInLine(lock.line, terms);
  if (!slot) return lock;
  const { movement, count, load } = slot;
  return {
    ...lock,
    movement,
    ...(count.kind === 'fixed' ? { reps: count[category] } : {}),
    ...(load?.kind === 'mass' ? { loadKg: load[category] } : {}),
    words: wordsIn(slot),
  };
}

/** Lines read as work; one that is none holds nothing, and says so among the warnings. */
export const readLocks = (locks: readonly Lock[], category: Category, terms: LineTerms): Lock[] =>
  locks.map((lock) => (isPartLock(lock) && lock.line !== undefined ? readLine({ ...lock, line: lock.line }, category, terms) : lock));

/** The lines that are no work. @param locks read */
export const unreadLines = (locks: readonly Lock[]): string[] =>
  locks.flatMap((lock) => (isPartLock(lock) && lock.line !== undefined && lock.words === undefined ? [lock.line] : []));
