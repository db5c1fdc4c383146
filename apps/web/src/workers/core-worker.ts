/** The core, off the page's thread. Values cross as plain data. */
import {
  adapt,
  athleteWith,
  alternativesFor,
  rulesAtWork,
  barePlace,
  capacityOf,
  compile,
  dayLoadOf,
  describeStimulus,
  parseWorkout,
  pastResultsSentence,
  planPacing,
  predictWorkout,
  prepare,
  referenceCapacity,
  openSentences,
  readWorkoutText,
  ritualOf,
  runWarnings,
  tierAthlete,
  walkProgram,
  warmUpAsked,
  type Adapted,
  type Alternative,
  type Athlete,
  type Category,
  type DayLoad,
  type HouseRules,
  type Lock,
  type LoggedResult,
  type MassUnit,
  type PartDescription,
  type Pacing,
  type Place,
  type Preparation,
  type PrepareOptions,
  type ReadPast,
  type RuleAtWork,
  type Run,
  type RunWarning,
  type Workout,
  unansweredSentence,
  type HouseWord,
  type Question,
} from '@gambito/core';
import { expose } from 'comlink';
import { kindsOf } from './kinds';

/** What an answer is of: the text may have gone on meanwhile, and a run of one text must never be drawn over another. */
export interface LiveReference {
  readonly workout: Pick<Workout, 'parts'>;
  readonly run: Run;
  readonly stimulus: PartDescription[];
}
/** A message as it was read: plain notation with the line each line came from, what only the coach can say, and in sentences what else found no place. */
export interface MessageReading {
  readonly notation: string;
  readonly from: readonly (number | null)[];
  readonly questions: readonly Question[];
  readonly open: readonly string[];
}
/** What somebody scored before: what it says, or its text until it was read. */
export type Past = readonly (LoggedResult | ReadPast)[];
export type Who =
  { readonly kind: 'athlete'; readonly file: unknown; readonly past: Past } | { readonly kind: 'tier'; readonly name: string; readonly category: Category };

/** A text, and the unit that its loads are in where they say none: the room's. */
export interface Source {
  readonly text: string;
  readonly units: MassUnit;
}
export interface MadeBeside extends Pick<Preparation, 'warmUp' | 'coolDown'> {
  /** s the warm-up is expected to take */
  readonly seconds: number;
}
/** A version that is asked about: the workout's text, for whom, under which rules and locks. */
export interface VersionAsked {
  readonly text: string;
  readonly who: Who;
  readonly today: string;
  readonly rules: HouseRules;
  readonly locks: readonly Lock[];
}

/** Athletes as they were read, by their file: the core knows one again, and reads past results once. */
const read = new Map<string, Athlete>();
/** a class and a few edits of it */
const mostRead = 200;

function athleteFrom(file: unknown, past: Past, today: string): Athlete {
  const key = JSON.stringify([file, past, today]);
  const before = read.get(key);
  if (before) return before;
  if (read.size >= mostRead) read.clear();
  const athlete = athleteWith(file, past, today);
  read.set(key, athlete);
  return athlete;
}

function person(who: Who, today: string): { athlete: Athlete; place: Place } {
  if (who.kind === 'tier') return tierAthlete(who.name, who.category);
  const athlete = athleteFrom(who.file, who.past, today);
  return { athlete, place: athlete.places[0] ?? barePlace };
}

const worker = {
  adapt({ text, units }: Source, who: Who, today: string, rules: HouseRules, locks: readonly Lock[]): Adapted {
    const { athlete, place } = person(who, today);
    if (athlete.unanswered.length > 0) throw new Error(unansweredSentence(athlete));
    return adapt(parseWorkout(text, { units }).workout, athlete, { place, rules, locks, units, runs: 80 });
  },
  alternatives(
    { text, units }: Source,
    who: Who,
    today: string,
    rules: HouseRules,
    locks: readonly Lock[],
    at: { part: number; slot: number },
    asked: string | null,
  ): Alternative[] {
    const { athlete, place } = person(who, today);
    return alternativesFor(parseWorkout(text, { units }).workout, athlete, at, { place, rules, locks }, asked);
  },
  rulesAtWork({ text, units }: Source, who: Who, today: string, rules: HouseRules, locks: readonly Lock[]): RuleAtWork[] {
    const { athlete, place } = person(who, today);
    return rulesAtWork(parseWorkout(text, { units }).workout, athlete, { place, rules, locks });
  },
  /** What stands before and after a version, as it is made. */
  beside(version: Pick<Workout, 'parts'>, who: Who, today: string, rules: HouseRules, options: Pick<PrepareOptions, 'ritual' | 'workoutSeconds'>): MadeBeside {
    const { athlete, place } = person(who, today);
    const { warmUp, warmUpSeconds: seconds, coolDown } = prepare(version, athlete, rules, { ...options, place });
    return { warmUp, seconds, coolDown };
  },
  /** Of a warm-up that was written for a version, what may be kept as the coach's own. */
  ritualOf(written: string, version: Pick<Workout, 'parts'>, who: Who, today: string, rules: HouseRules): string {
    const { athlete, place } = person(who, today);
    return ritualOf(written, version, warmUpAsked(athlete, rules, { place }));
  },
  /** What workouts ask of the reference athlete, for a week's balance. */
  dayLoads: (texts: readonly string[]): DayLoad[] => texts.map((text) => dayLoadOf(parseWorkout(text).workout)),
  /** What past scores say beside the figures of the file; null without any. */
  pastResults(file: unknown, past: Past, today: string): { sentence: string; openShare: number } | null {
    const { fitness, fitnessSpread, pastResults } = capacityOf(athleteFrom(file, past, today));
    return pastResults === 0 ? null : { sentence: pastResultsSentence({ fitness, used: pastResults }), openShare: fitnessSpread };
  },
  /** The figures of a file alone: how unsure they leave one, and each max as it is reckoned with. */
  figuresOf(file: unknown, today: string): { fitnessSpread: number; lifts: { lift: string; kg: number; percent: number; told: boolean }[] } {
    const { fitnessSpread, lifts } = capacityOf(athleteFrom(file, [], today));
    return {
      fitnessSpread,
      lifts: Object.entries(lifts).map(([lift, { value, spread, known }]) => ({
        lift: lift.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`),
        kg: value,
        percent: 100 * (Math.exp(spread) - 1),
        told: known,
      })),
    };
  },
  /** A text that is a message, as plain notation. `of`: the text that was read @param words what the coach answered before */
  readAs({ text, units }: Source, words: readonly HouseWord[]): { of: string; reading: MessageReading | null } {
    const read = readWorkoutText(text, { units, words });
    const { readAs: notation, from, questions } = read;
    return { of: text, reading: notation === null ? null : { notation, from, questions, open: openSentences(read) } };
  },
  /** The workout as written, once, for the reference athlete of a column: what is redrawn while a figure is dragged. */
  live({ text, units }: Source, category: Category): LiveReference | null {
    const { workout } = parseWorkout(text, { units });
    if (workout.parts.length === 0) return null;
    return {
      workout: { parts: workout.parts },
      run: walkProgram(compile(workout, referenceCapacity(category)), { trace: true }),
      stimulus: describeStimulus(workout, category),
    };
  },
  /** The band, the pacing and what a coach must hear of it: the slower half of the Write screen. */
  reference(
    { text, units }: Source,
    category: Category,
  ): { kinds: string; pacing: Pacing; warnings: RunWarning[]; predicted: { unit: string; low: number; median: number; high: number } } | null {
    const { workout } = parseWorkout(text, { units });
    if (workout.parts.length === 0) return null;
    const capacity = referenceCapacity(category);
    const { run, unit, low, median, high } = predictWorkout(workout, capacity, { seed: 1, runs: 60 });
    return {
      kinds: kindsOf(workout),
      pacing: planPacing(workout, capacity),
      warnings: runWarnings(workout.parts, run),
      predicted: { unit, low, median, high },
    };
  },
};
export type CoreWorker = typeof worker;
expose(worker);
