/**
 * Study 2b: is a text left alone where it can be? Full garages, people who are not in the demo and not newer, workouts of all kinds. Whether the untouched text, with a
 * load that is owned, lands in its band is judged here, apart from the search: by the prediction of the text as written and the words of the window.
 */
import {
  adapt,
  compile,
  estimateCapacity,
  parseWorkout,
  readAthlete,
  referenceCapacity,
  seededRandom,
  walkProgram,
  type Athlete,
  type Part,
} from '../../src/index';
import { windowed } from './grid';

const garage = [
  'barbell 20 kg, plates 4x20 2x15 4x10 2x5 2x2.5 2x1.25 kg',
  'adjustable dumbbell 5-40 kg step 2.5 x 2',
  'kettlebell 12 kg',
  'kettlebell 16 kg',
  'kettlebell 24 kg',
  'pull-up bar',
  'rings',
  'dip bars',
  'rope',
  'box 50 cm',
  'box 60 cm',
  'rowing machine',
  'air bike',
  'run route 200 m, 400 m',
  'bench',
  'wall',
];

/** Somebody trained or competitive with a told skill set, drawn from a seed. */
function owner(seed: number): Athlete {
  const random = seededRandom(seed * 13 + 5);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const men = random() < 0.5;
  const fit = random() < 0.3;
  const scale = between(0.9, 1.12) * (fit ? 1.15 : 1);
  return readAthlete(
    {
      name: `Owner ${seed}`,
      category: men ? 'men' : 'women',
      level: fit ? 'competitive' : 'trained',
      body_mass: `${Math.round(between(0.92, 1.1) * (men ? 80 : 64))} kg`,
      born: Math.round(between(1966, 2003)),
      maxes: {
        back_squat: `${Math.round((men ? 128 : 90) * scale)} kg`,
        deadlift: `${Math.round((men ? 156 : 112) * scale)} kg`,
        strict_press: `${Math.round((men ? 56 : 38) * scale)} kg`,
        clean: `${Math.round((men ? 94 : 63) * scale)} kg`,
        snatch: `${Math.round((men ? 72 : 49) * scale)} kg`,
      },
      best_sets: {
        push_up: Math.round((men ? 45 : 26) * scale),
        strict_pull_up: Math.round((men ? 12 : 6) * scale),
        toes_to_bar: Math.round(18 * scale),
        double_under: Math.round(80 * scale),
        strict_handstand_push_up: Math.round((men ? 9 : 4) * scale),
        ring_dip: Math.round((men ? 14 : 6) * scale),
      },
      times: { run_400_m: `1:${Math.round(between(14, 36)).toString().padStart(2, '0')}` },
      place: { floor: '8 x 5 m', ceiling: '3.5 m', noise: 'free', kit: garage },
    },
    '2026-11-27',
  ).athlete;
}

export interface LeftAlone {
  readonly text: string;
  readonly slots: number;
  /** movements, counts, rounds and clocks that are not as written */
  readonly edits: number;
  readonly what: string;
}

/** Whether a score lies in the window of a part with five per cent to spare, or without one within a quarter of the reference's. */
function lands(part: Part, score: number, reference: number): boolean {
  const unit = part.kind === 'amrap' ? 'rounds' : 'seconds';
  if (part.window && part.window.unit === unit && part.window.per !== 'round')
    return (part.window.low === null || score >= part.window.low * 0.95) && (part.window.high === null || score <= part.window.high * 1.05);
  return score >= 0.75 * reference && score <= 1.25 * reference;
}

/** No slot takes more than twice what it takes the reference, and none falls to singles. */
function hasWall(text: string, athlete: Athlete): boolean {
  const trace = (capacity: ReturnType<typeof estimateCapacity>) => walkProgram(compile(parseWorkout(text).workout, capacity), { trace: true }).trace;
  const seconds = (blocks: ReturnType<typeof trace>): Map<number, number> => {
    const sums = new Map<number, [number, number]>();
    for (const { slot, start, end } of blocks) sums.set(slot, [(sums.get(slot)?.[0] ?? 0) + end - start, (sums.get(slot)?.[1] ?? 0) + 1]);
    return new Map([...sums].map(([slot, [all, bouts]]) => [slot, all / bouts]));
  };
  const blocks = trace(estimateCapacity(athlete));
  const meant = seconds(trace(referenceCapacity(athlete.category)));
  const slow = [...seconds(blocks)].some(([slot, mean]) => mean > 18 && mean > 1.9 * (meant.get(slot) ?? Infinity));
  return slow || blocks.some(({ count, sets }) => count >= 4 && sets.length >= 3 && count / sets.length < 1.8);
}

/** Pairs whose untouched text lands in the band. @param tries pairs drawn */
export function leaveAlonePairs(tries: number, from = 0): LeftAlone[] {
  return Array.from({ length: tries }, (_, index) => index + 1 + from).flatMap((seed): LeftAlone[] => {
    const text = windowed(seed + 900);
    const { workout } = parseWorkout(text);
    const part = workout.parts[0]!;
    const athlete = owner(seed);
    if (workout.parts.length !== 1 || (part.kind !== 'amrap' && part.kind !== 'forTime')) return [];
    const score = walkProgram(compile(workout, estimateCapacity(athlete))).parts[0]!.score;
    const reference = walkProgram(compile(workout, referenceCapacity(athlete.category))).parts[0]!.score;
    if (!lands(part, score, reference) || hasWall(text, athlete)) return [];
    const { version } = adapt(workout, athlete, { runs: 1 });
    const slots = version.parts.flatMap((each) => each.slots);
    const moved = slots.filter((slot) => slot.movement !== slot.original?.movement || JSON.stringify(slot.reps) !== JSON.stringify(slot.original.reps));
    const whole = version.parts
      .flatMap((each) => each.edits)
      .filter(({ kind }) => kind === 'rounds' || kind === 'scheme' || kind === 'clock' || kind === 'part');
    const what = [
      ...moved.map((slot) => `${slot.reps.join('-')} ${slot.movement} for ${slot.original?.reps?.join('-')} ${slot.original?.movement}`),
      ...whole.map((edit) => edit.text),
    ].join('; ');
    return [{ text, slots: slots.length, edits: moved.length + whole.length, what }];
  });
}
