/** Workouts that ask for alike work: about as long, about as dense, of the same patterns. A person's scores in them tell how it goes, whatever their names. */
import { patterns, type Pattern } from '../movements/movement';

export interface Work {
  /** s that it took */
  readonly seconds: number;
  /** counted reps by pattern */
  readonly reps: Readonly<Partial<Record<Pattern, number>>>;
}

/** longest ÷ shortest, most ÷ fewest reps a minute, and how nearly the patterns' shares point one way (round figures) */
export const alikeLimits = { length: 1.3, density: 1.6, direction: 0.9 } as const;

const sizeOf = ({ reps }: Work): number => Math.hypot(...patterns.map((pattern) => reps[pattern] ?? 0));
/** 1: the same shares of each pattern; 0: none in common. */
function directionOf(a: Work, b: Work): number {
  const sizes = sizeOf(a) * sizeOf(b);
  return sizes === 0 ? 0 : patterns.reduce((sum, pattern) => sum + (a.reps[pattern] ?? 0) * (b.reps[pattern] ?? 0), 0) / sizes;
}
const ratio = (a: number, b: number): number => Math.max(a, b) / Math.min(a, b);
const densityOf = ({ seconds, reps }: Work): number => patterns.reduce((sum, pattern) => sum + (reps[pattern] ?? 0), 0) / seconds;

/** Work without a length or without a counted rep is like no other. */
export function isAlike(a: Work, b: Work): boolean {
  if (a.seconds <= 0 || b.seconds <= 0 || sizeOf(a) === 0 || sizeOf(b) === 0) return false;
  return (
    ratio(a.seconds, b.seconds) <= alikeLimits.length && ratio(densityOf(a), densityOf(b)) <= alikeLimits.density && directionOf(a, b) >= alikeLimits.direction
  );
}

/** Each session beside those alike to the first of its group, in the order they come; groups of one are left out. */
export function alikeGroups<Session extends Work>(sessions: readonly Session[]): Session[][] {
  const groups: Session[][] = [];
  for (const session of sessions) {
    const group = groups.find(([first]) => isAlike(first!, session));
    if (group) group.push(session);
    else groups.push([session]);
  }
  return groups.filter((group) => group.length > 1);
}
