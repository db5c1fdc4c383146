/** Totals of a workout: how long the clock runs where it fixes the time, and the reps by movement. */
import { countOn, itemLists, passesOf } from './walk';
import type { Category, Item, Part, PartKind, ScoreKind, Window, Workout } from './workout';

export interface PartSummary {
  readonly kind: PartKind;
  /** the whole part with its rests; null where the athlete decides */
  readonly seconds: number | null;
  readonly capSeconds: number | null;
  readonly setSeconds: number | null;
  readonly rounds: number | null;
  readonly sets: number | null;
  /** one pass for an AMRAP, the whole for the rest; in the slot's own unit, first option, both sides counted; `max` slots are absent */
  readonly reps: Readonly<Record<string, number>>;
  readonly window: Window | null;
  readonly score: ScoreKind;
}
export interface WorkoutSummary {
  readonly clockSeconds: number | null;
  readonly parts: readonly PartSummary[];
}

/** Adds the reps of one list of items, `times` over, to `into`. */
function addReps(
  items: readonly Item[],
  times: number,
  pass: number,
  ladder: readonly number[] | null,
  category: Category,
  into: Record<string, number>,
): void {
  for (const item of items) {
    if (item.kind === 'block') for (let each = 0; each < passesOf(item); each++) addReps(item.items, times, each, item.ladder, category, into);
    else if (item.kind === 'slot') {
      const count = countOn(item.count, pass, ladder, category);
      if (count !== null) into[item.movement] = (into[item.movement] ?? 0) + count * (item.perSide ? 2 : 1) * (item.bracket?.times ?? 1) * times;
    }
  }
}

export function repsOfItems(items: readonly Item[], category: Category = 'men', times = 1, pass = 0): Record<string, number> {
  const reps: Record<string, number> = {};
  addReps(items, times, pass, null, category, reps);
  return reps;
}

function repsOfPart(part: Part): Record<string, number> {
  const reps: Record<string, number> = {};
  switch (part.kind) {
    case 'rest':
      break;
    case 'every':
      part.stations.forEach((items, station) => {
        for (let at = station, pass = 0; at < part.count; at += part.stations.length, pass++) addReps(items, 1, pass, null, 'men', reps);
      });
      break;
    case 'intervals':
      part.stations.forEach((items, station) => {
        for (let at = station, pass = 0; at < part.segments.length; at += part.stations.length, pass++) addReps(items, 1, pass, null, 'men', reps);
      });
      break;
    case 'windows':
      for (let at = 0; at < part.count; at++) addReps(part.windows[at % part.windows.length] ?? [], 1, at, null, 'men', reps);
      break;
    case 'forTime':
    case 'strength':
      addReps(part.items, part.sets, 0, null, 'men', reps);
      break;
    case 'amrap':
    case 'maxLoad':
    case 'quality':
      for (const list of itemLists(part)) addReps(list, 1, 0, null, 'men', reps);
  }
  return reps;
}

/** Rests between `sets` sets; none after the last. */
const between = (sets: number, rest: { high: number } | null): number => (sets - 1) * (rest?.high ?? 0);

function secondsOf(part: Part): Pick<PartSummary, 'seconds' | 'capSeconds' | 'setSeconds' | 'rounds' | 'sets'> {
  switch (part.kind) {
    case 'amrap':
      return {
        seconds: part.sets * part.seconds.high + between(part.sets, part.restBetween),
        capSeconds: null,
        setSeconds: part.seconds.high,
        rounds: null,
        sets: part.sets,
      };
    case 'forTime': {
      const lone = part.items.length === 1 && part.items[0]!.kind === 'block' ? part.items[0] : null;
      const cap = part.capSeconds === null ? null : part.capPerSet ? part.sets * part.capSeconds + between(part.sets, part.restBetween) : part.capSeconds;
      return { seconds: null, capSeconds: cap, setSeconds: part.capPerSet ? part.capSeconds : null, rounds: lone ? passesOf(lone) : null, sets: part.sets };
    }
    case 'every':
      return {
        seconds: part.count * part.intervalSeconds,
        capSeconds: null,
        setSeconds: part.capSeconds ?? part.intervalSeconds,
        rounds: Math.floor(part.count / Math.max(1, part.stations.length)),
        sets: part.count,
      };
    case 'intervals':
      return {
        seconds: part.segments.reduce((sum, each) => sum + each.workSeconds + each.restSeconds, 0),
        capSeconds: null,
        setSeconds: part.segments[0]?.workSeconds ?? null,
        rounds: part.circuitRounds ?? part.segments.length,
        sets: part.segments.length,
      };
    case 'windows':
      return {
        seconds: part.count * part.intervalSeconds,
        capSeconds: null,
        setSeconds: part.capSeconds ?? part.intervalSeconds,
        rounds: part.count,
        sets: part.count,
      };
    case 'maxLoad':
      return { seconds: part.seconds, capSeconds: null, setSeconds: null, rounds: null, sets: null };
    case 'strength':
      return {
        seconds: part.everySeconds === null ? null : part.everySeconds * part.sets,
        capSeconds: null,
        setSeconds: part.everySeconds,
        rounds: part.sets,
        sets: part.sets,
      };
    case 'rest':
      return { seconds: part.seconds, capSeconds: null, setSeconds: null, rounds: null, sets: null };
    case 'quality': {
      const lone = part.items.length === 1 && part.items[0]!.kind === 'block' ? part.items[0] : null;
      return { seconds: part.seconds, capSeconds: null, setSeconds: null, rounds: lone ? passesOf(lone) : null, sets: null };
    }
  }
}

/** Totals of the workout above its tiers. A cap counts as time; an optional part is left out of the running clock. */
export function summarize(workout: Pick<Workout, 'parts'>): WorkoutSummary {
  let clock: number | null = 0;
  const parts = workout.parts.map((part): PartSummary => {
    let fixed = secondsOf(part);
    if (part.kind === 'rest' && part.untilSeconds !== null && clock !== null) fixed = { ...fixed, seconds: Math.max(0, part.untilSeconds - clock) };
    if (part.kind === 'rest' && part.untilSeconds !== null) clock = part.untilSeconds;
    else if (!part.optional) {
      const length = fixed.seconds ?? fixed.capSeconds;
      clock = clock === null || length === null ? null : clock + length;
    }
    return { kind: part.kind, ...fixed, reps: repsOfPart(part), window: part.window, score: part.score };
  });
  return { clockSeconds: parts.length === 0 ? null : clock, parts };
}
