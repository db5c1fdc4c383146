/** What the workers compute: plain data in, plain data out. Everything that parses a text, adapts it or reads a score is one of these. */
import {
  athleteWith,
  barePlace,
  boardLabels,
  checkScores,
  factsOf,
  learnConversions,
  lessonOf,
  leadingScore,
  nextTime,
  pageText,
  parseWorkout,
  readEntry,
  readPastResult,
  scoreFields,
  scoresProblem,
  spareIn,
  type BoardLabel,
  type Category,
  type FitnessResult,
  type HouseRules,
  type Hurt,
  type LearnedSwap,
  type Lock,
  type LoggedResult,
  type MassUnit,
  type NextTime,
  type ReadPast,
  type ReadResult,
  type ScoreField,
  type ScoreRules,
  type Spared,
  type WorkoutFacts,
} from '@gambito/core';
import { rounded, type Brief } from '@gambito/contract';
import { Problem } from '../errors';
import { makeBrief, type MadeBrief } from '../../sends/brief';
import { sheetOf, sheetPdf } from '../../sends/sheet';

/** An athlete as stored: the file as typed, and what was scored before. */
export interface AthleteInput {
  readonly file: Readonly<Record<string, unknown>>;
  readonly results: readonly (LoggedResult | ReadPast)[];
  /** ISO date the age is reckoned at */
  readonly today: string;
}
const athleteOf = ({ file, results, today }: AthleteInput) => athleteWith(file, results, today);

/** The title of a text stands at its top: no more is read for it, whatever else was sent, so that saving never waits. */
function title({ text }: { text: string }): string {
  const top = parseWorkout(text.split('\n').slice(0, 12).join('\n')).workout.title;
  return (top ?? text.split('\n').find((line) => line.trim() !== '') ?? 'Untitled').slice(0, 200);
}
/** What a library finds a text by. */
const facts = ({ text }: { text: string }): WorkoutFacts => factsOf(parseWorkout(text).workout);

interface BriefInput extends AthleteInput {
  readonly text: string;
  readonly rules: HouseRules;
  readonly locks: readonly Lock[];
  readonly units: MassUnit;
  /** lines of the coach's own warm-up */
  readonly ritual?: string | null;
}
const brief = (input: BriefInput): MadeBrief => makeBrief(input.text, athleteOf(input), input);

interface ScoreInput {
  readonly typed: string;
  readonly versionText: string;
  readonly category: Category;
  readonly units: MassUnit;
}
/** A score as typed → as it is kept. @throws {Problem} bad_score */
function score({ typed, versionText, category, units }: ScoreInput): string {
  const checked = checkScores(typed, parseWorkout(versionText).workout, { category, units });
  if (checked.text === null) throw new Problem('bad_score', scoresProblem(checked) ?? undefined);
  return checked.text;
}

export interface ReadingInput extends AthleteInput {
  readonly score: string;
  readonly versionText: string;
  /** the workout as it stood when the score was logged, and as it stands now */
  readonly originalText: string;
  readonly workoutText: string;
  readonly rules: ScoreRules;
  readonly units: MassUnit;
  readonly who: string;
  readonly workout: string;
}
export interface MadeReading {
  readonly read: readonly (ReadResult | null)[];
  readonly lesson: FitnessResult | null;
  /** of the athlete’s file alone, so that it holds whatever was scored before */
  readonly past: ReadPast;
}
/** What a score says for each board of its workout, and what it teaches about the swaps in it. */
function reading(input: ReadingInput): MadeReading {
  const { units, rules, score: scoreText } = input;
  const version = parseWorkout(input.versionText).workout;
  const versionName = input.versionText === input.workoutText ? 'original' : 'own version';
  const read = readEntry(parseWorkout(input.workoutText, { units }).workout, { athlete: athleteOf(input), version, versionName, scoreText }, rules);
  const led = leadingScore(scoreText, version);
  const byFile = athleteOf({ ...input, results: [] });
  const lesson = led && lessonOf(parseWorkout(input.originalText, { units }).workout, { athlete: byFile, version, score: led }, input.who, input.workout);
  // not rounded: a version made from it is the same as one made from the text
  const past = readPastResult(byFile, { workout: input.versionText, score: scoreText });
  return { ...rounded({ read, lesson }), past };
}

interface NextInput extends Omit<BriefInput, 'locks'> {
  readonly versionText: string;
  readonly score: string;
  readonly verdict: string;
}
/** What to change when the same workout comes again. */
function next(input: NextInput): NextTime {
  const athlete = athleteOf(input);
  const done = { version: parseWorkout(input.versionText).workout, score: input.score, verdict: input.verdict };
  return nextTime(parseWorkout(input.text, { units: input.units }).workout, athlete, done, athlete.places[0] ?? barePlace, input.rules);
}

interface SparedInput extends BriefInput {
  readonly felt: Hurt;
}
/** What could be spared where something hurt, and what would stand in its place. */
function spared(input: SparedInput): Spared {
  const athlete = athleteOf(input);
  const { rules, locks, units } = input;
  return spareIn(parseWorkout(input.text, { units }).workout, athlete, input.felt, { place: athlete.places[0] ?? barePlace, rules, locks, units });
}

interface LabelsInput {
  readonly text: string;
  readonly units: MassUnit;
}
/** The boards of a workout and the fields of its score. */
function labels({ text, units }: LabelsInput): { boards: BoardLabel[]; fields: ScoreField[] } {
  const { workout } = parseWorkout(text, { units });
  return { boards: boardLabels(workout), fields: scoreFields(workout) };
}

/** Conversions from all lessons of a coach. */
const learn = ({ lessons }: { lessons: readonly FitnessResult[] }): LearnedSwap[] => [...learnConversions(lessons).swaps.values()];

const plainText = ({ text }: { text: string }): string => pageText(parseWorkout(text).workout.parts);

/** A sent version as pages. */
const pages = ({ brief: sent, day }: { brief: Brief; day: string }): Promise<Uint8Array> => sheetPdf(sheetOf(sent, day));

export const tasks = { title, facts, brief, score, reading, next, spared, labels, learn, plainText, pages };
export type TaskName = keyof typeof tasks;
export type TaskInput<Name extends TaskName> = Parameters<(typeof tasks)[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<(typeof tasks)[Name]>>;

export interface Task {
  readonly name: TaskName;
  readonly input: unknown;
}
export type Answer = { readonly value: unknown } | { readonly problem: { readonly code: string; readonly detail: string | null } };

/** Runs one; a refusal travels as data, since errors lose their kind between threads. */
export async function runTask({ name, input }: Task): Promise<Answer> {
  try {
    return { value: await (tasks[name] as (input: unknown) => unknown)(input) };
  } catch (error) {
    if (error instanceof Problem) return { problem: { code: error.code, detail: error.detail } };
    throw error;
  }
}
