/** One line of a version as the coach wrote it: read as work, and held as a lock on its slot. */
import { isMovementId } from '../movements/catalogue';
import { parseWorkout } from '../notation/parse-workout';
import { ownLine } from '../notation/read-own';
import type { MassUnit } from '../units/mass';
import { slotsOfPart } from '../workout/walk';
import type { Category, Slot, Workout } from '../workout/workout';
import type { LineTerms } from './line-terms';
import type { LineWords } from './line-words';
import { inFrame } from './frame';
import { isPartLock, partLocks, type Lock, type PartLock } from './lock';

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

/** The parts of a workout in the frames the coach gave them, and their numbers; a frame that is none stands aside, and is told among the warnings. */
export function inFrames(
  workout: Workout,
  locks: readonly Lock[],
  units: MassUnit,
): { workout: Workout; framed: ReadonlySet<number>; unread: readonly string[] } {
  const terms = { units, own: workout.own ?? [] };
  const framed = new Set<number>();
  const unread: string[] = [];
  const parts = workout.parts.map((part, at) => {
    const frame = partLocks(locks).find((lock) => lock.part === at && lock.frame !== undefined)?.frame;
    if (frame === undefined) return part;
    const read = inFrame(part, frame, terms);
    if (read) framed.add(at);
    else unread.push(frame);
    return read ?? part;
  });
  return { workout: framed.size > 0 ? { ...workout, parts } : workout, framed, unread };
}

/** The lines that are no work. @param locks read */
export const unreadLines = (locks: readonly Lock[]): string[] =>
  locks.flatMap((lock) => (isPartLock(lock) && lock.line !== undefined && lock.words === undefined ? [lock.line] : []));
