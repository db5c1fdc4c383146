/** A week as a coach balances it: what each day works on, and what one day does to the next. Common practice, with round figures. */
import { referenceCapacity } from '../capacity/reference-athlete';
import { movementOf } from '../movements/catalogue';
import { patterns, type Pattern } from '../movements/movement';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { slotsOfWorkout } from '../workout/walk';
import type { Part, Workout } from '../workout/workout';
import { stimulusOf } from './stimulus';

/** What a workout asks of the reference athlete. */
export interface DayLoad {
  /** s of work by pattern, those without left out */
  readonly seconds: Readonly<Partial<Record<Pattern, number>>>;
  /** movement ids that tire the grip, and the low back */
  readonly grip: readonly string[];
  readonly lowBack: readonly string[];
  /** movement ids of the whole workout */
  readonly movements: readonly string[];
}
/** tiring of the grip from which a movement counts as gripping */
const gripping = 0.6;
const hinging = 0.4;
/** share of a day's work from which a pattern is what the day is about */
const mostOfIt = 0.4;

/** attempts at a max load that are work (round figure) */
const attempts = 6;
/** How often a part without a clock of its work goes through its lines. */
const setsOf = (part: Part): number => (part.kind === 'strength' ? part.sets : part.kind === 'maxLoad' ? attempts : 1);

export function dayLoadOf(workout: Workout): DayLoad {
  const program = compile(workout, referenceCapacity('men'));
  const run = walkProgram(program);
  const seconds: Partial<Record<Pattern, number>> = {};
  workout.parts.forEach((part, index) => {
    if (part.kind === 'rest') return;
    const { shares, slots } = stimulusOf(program, index, run.parts[index]!);
    const bouts = slots.reduce((sum, slot) => sum + slot.bout.seconds * slot.bouts, 0);
    const worked = run.parts[index]!.workSeconds || bouts * setsOf(part);
    patterns.forEach((pattern, at) => {
      if (shares[at]! > 0) seconds[pattern] = (seconds[pattern] ?? 0) + shares[at]! * worked;
    });
  });
  const movements = [...new Set(slotsOfWorkout(workout).map(({ value }) => value.movement))];
  const those = (holds: (id: string) => boolean): string[] => movements.filter(holds);
  return {
    seconds,
    grip: those((id) => (movementOf(id).muscles.grip ?? 0) >= gripping),
    lowBack: those((id) => movementOf(id).avoid.includes('spinal_loading') && (movementOf(id).patterns.hinge ?? 0) >= hinging),
    movements,
  };
}

/** What a day is about: the pattern of most of its work; null where it is of everything. */
export function mainOf({ seconds }: DayLoad): Pattern | null {
  const entries = Object.entries(seconds) as [Pattern, number][];
  const whole = entries.reduce((sum, [, each]) => sum + each, 0);
  return entries.find(([, each]) => whole > 0 && each / whole >= mostOfIt)?.[0] ?? null;
}

export type CollisionKind = 'grip' | 'lowBack' | 'pattern';
export interface Collision {
  readonly kind: CollisionKind;
  /** of both workouts, or the pattern */
  readonly names: readonly string[];
}
/** What two workouts of one day or of days beside each other have against each other. */
export function collisionsBetween(a: DayLoad, b: DayLoad): Collision[] {
  const both = (kind: CollisionKind, first: readonly string[], second: readonly string[]): Collision[] =>
    first.length > 0 && second.length > 0 ? [{ kind, names: [...new Set([...first, ...second])] }] : [];
  const [main, other] = [mainOf(a), mainOf(b)];
  return [
    ...both('grip', a.grip, b.grip),
    ...both('lowBack', a.lowBack, b.lowBack),
    ...(main !== null && main === other ? [{ kind: 'pattern' as const, names: [main] }] : []),
  ];
}
