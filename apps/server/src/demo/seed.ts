/**
 * Loads the demo into an empty database: the coach, the people of the Lanterns, their workouts, and three weeks of scores.
 * Scores come from the simulation with seeded day forms, so the boards are plausible and the same on every machine.
 */
import { hash } from '@node-rs/argon2';
import { randomBytes } from 'node:crypto';
import {
  compile,
  defaultRules,
  estimateCapacity,
  factsOf,
  formAtFitness,
  formatClock,
  normalFrom,
  parseWorkout,
  readAthlete,
  repsPerRound,
  scoredParts,
  seededRandom,
  walkProgram,
  type Athlete,
  type WorkoutFacts,
  type Workout,
} from '@gambito/core';
import type { Transaction } from 'sequelize';
import { discomfortStore } from '../discomforts/store';
import type { Database } from '../platform/database';
import { todayIn } from '../platform/days';
import { alone } from '../platform/leases';
import { scoreStore } from '../scores/store';
import { makeBrief, type MadeBrief } from '../sends/brief';
import { sendStore } from '../sends/store';
import { demoEmail } from './demo-coach';
import { lanternPeople } from './lantern-people';
import { lanternDiscomforts, lanternFigures, lanternSilent } from './lantern-said';
import { lanternWorkouts } from './lantern-workouts';

const demoZone = 'Atlantic/Azores';
const dayMs = 24 * 3600 * 1000;
const indexOf = (name: string): number => lanternPeople.findIndex((file) => file['name'] === name);
/** how many of ten log a score */
const logged = 0.8;

/** What this athlete would write down after this version on a day of this fitness; null where the demo has no score to tell. */
function scoreOf(version: Workout, athlete: Athlete, fitness: number): string | null {
  const program = compile(version, estimateCapacity(athlete));
  const run = walkProgram(program, { form: formAtFitness(fitness) });
  const index = scoredParts(version)[0] ?? 0;
  const part = version.parts[index];
  const result = run.parts[index];
  if (!part || !result) return null;
  if (part.kind === 'amrap' && result.unit === 'rounds') {
    const whole = Math.floor(result.score);
    return `${whole}+${Math.floor((result.score - whole) * repsPerRound(program, index, whole))}`;
  }
  if (part.kind === 'forTime' && part.score === 'eachSet') return result.sets.map(formatClock).join(' ');
  if (part.kind === 'forTime')
    return result.reached && part.capSeconds !== null ? `CAP+${Math.max(1, Math.round(result.reached.repsLeft))}` : formatClock(result.score);
  return null;
}

interface SeededScore {
  readonly person: number;
  /** null: it was sent, and nothing came back */
  readonly score: string | null;
  /** how hard it was said to be; some never say */
  readonly rating: number | null;
  readonly made: MadeBrief;
}
interface SeededWorkout {
  readonly text: string;
  readonly title: string;
  readonly tags: string[];
  readonly facts: WorkoutFacts;
  readonly day: Date;
  readonly scores: readonly SeededScore[];
}

/** Everybody's scores in one workout, drawn by the same dice on every machine. */
function scoresFor(text: string, today: string, daysAgo: number, dice: Dice): SeededScore[] {
  return lanternPeople.flatMap((file, person): SeededScore[] => {
    const isLogged = dice.chance() <= logged;
    const { athlete } = readAthlete(file, today);
    const made = makeBrief(text, athlete, { rules: defaultRules });
    if (!isLogged) return [{ person, score: null, rating: null, made }];
    const score = scoreOf(parseWorkout(made.versionText).workout, athlete, dice.talents[person]! * Math.exp(0.035 * dice.normal()));
    const isSilent = file['name'] === lanternSilent.athlete && daysAgo <= lanternSilent.days;
    return score ? [{ person, score: isSilent ? null : score, rating: dice.rating(), made }] : [];
  });
}
interface Dice {
  readonly rating: () => number | null;
  readonly chance: () => number;
  readonly normal: () => number;
  readonly talents: readonly number[];
}
function throwDice(): Dice {
  const normal = normalFrom(seededRandom(20261125));
  const said = seededRandom(11);
  return {
    normal,
    chance: seededRandom(7),
    rating: () => (said() < 0.15 ? null : Math.min(10, Math.max(4, Math.round(7.5 + 3 * (said() - 0.5))))),
    talents: lanternPeople.map(() => Math.exp(0.06 * normal())),
  };
}

async function makeHistory(today: string, workouts: typeof lanternWorkouts, say: (text: string) => void): Promise<SeededWorkout[]> {
  const dice = throwDice();
  const history: SeededWorkout[] = [];
  for (const { daysAgo, text, tags = [] } of workouts) {
    const { workout } = parseWorkout(text);
    const title = workout.title ?? 'Untitled';
    if (daysAgo > 0) say(`  ${title}`);
    const day = new Date(Date.parse(`${today}T12:00:00Z`) - daysAgo * dayMs);
    history.push({ text, title, tags: [...tags], facts: factsOf(workout), day, scores: daysAgo > 0 ? scoresFor(text, today, daysAgo, dice) : [] });
    // signs of life go out between two workouts
    await new Promise((resolve) => setImmediate(resolve));
  }
  return history;
}

interface Seeded {
  readonly coachId: number;
  readonly workoutId: number;
  readonly athleteIds: readonly number[];
}
/** Sent the evening before and logged on the day, the way both always are. */
async function writeScores(
  database: Database,
  { coachId, workoutId, athleteIds }: Seeded,
  { text, day, scores }: SeededWorkout,
  transaction: Transaction,
): Promise<void> {
  const [sends, logged] = [sendStore(database), scoreStore(database)];
  for (const { person, score, rating, made } of scores) {
    const who = { workoutId, athleteId: athleteIds[person]!, originalText: text };
    await sends.send({ ...who, made }, new Date(day.getTime() - dayMs / 2), transaction);
    if (score !== null) await logged.save({ ...who, coachId, score, note: '', versionText: made.versionText, enteredBy: 'athlete', rating }, day, transaction);
  }
}

/** All of it or nothing: a start that is killed leaves an empty desk, and the next one begins again. @param workouts those of the Lanterns, or fewer */
export async function seedDemo(database: Database, now: Date, say: (text: string) => void, workouts = lanternWorkouts): Promise<void> {
  await alone(database, 'demo', 300, async () => {
    if ((await database.models.coaches.count()) === 0) await seed(database, now, workouts, say);
  });
}

async function seed(database: Database, now: Date, workouts: typeof lanternWorkouts, say: (text: string) => void): Promise<void> {
  const { models, transact } = database;
  say('Loading the demo: the Lanterns …');
  const history = await makeHistory(todayIn(demoZone, now), workouts, say);
  // nobody signs in to the demo with a password: the start page opens it
  const passwordHash = await hash(randomBytes(24).toString('base64'));
  const coach = { email: demoEmail, name: 'Maruvel', passwordHash, timeZone: demoZone, units: 'kg', rules: { ...defaultRules }, founder: 1 };
  await transact(async (transaction) => {
    const { id: coachId } = await models.coaches.create(coach, { transaction });
    const athleteIds: number[] = [];
    for (const file of lanternPeople)
      athleteIds.push((await models.athletes.create({ coachId, name: String(file['name']), file, revision: 1, deletedAt: null }, { transaction })).id);
    for (const workout of history) {
      const { text, title, tags, facts, day } = workout;
      const row = await models.workouts.create(
        { coachId, title, text, tags, facts, day: day.toISOString().slice(0, 10), revision: 1, deletedAt: null },
        { transaction },
      );
      await writeScores(database, { coachId, workoutId: row.id, athleteIds }, workout, transaction);
      for (const { athlete, title: of, felt } of lanternDiscomforts)
        if (of === title)
          await discomfortStore(database).tell({ coachId, workoutId: row.id, athleteId: athleteIds[indexOf(athlete)]! }, felt, day, transaction);
    }
    await models.figures.bulkCreate(
      lanternFigures.map(({ athlete, daysAgo, ...figure }) => ({
        ...figure,
        athleteId: athleteIds[indexOf(athlete)]!,
        createdAt: new Date(now.getTime() - daysAgo * dayMs),
      })),
      { transaction },
    );
  });
}
