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
  formAtFitness,
  formatClock,
  normalFrom,
  parseWorkout,
  repsPerRound,
  scoredParts,
  seededRandom,
  walkProgram,
  type Athlete,
  type Workout,
} from '@gambito/core';
import { athleteOf } from '../athletes/store';
import { todayIn } from '../platform/days';
import { AthleteRow, CoachRow, ScoreRow, WorkoutRow } from '../platform/models';
import { makeBrief } from '../sends/brief';
import { send } from '../sends/store';
import { demoEmail } from './demo-coach';
import { lanternPeople } from './lantern-people';
import { lanternWorkouts } from './lantern-workouts';

const demoZone = 'Atlantic/Azores';
const dayMs = 24 * 3600 * 1000;
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

export async function seedDemo(now: Date, say: (text: string) => void): Promise<void> {
  if ((await CoachRow.count()) > 0) return;
  say('Loading the demo: the Lanterns …');
  // nobody signs in to the demo with a password: the start page opens it
  const coach = await CoachRow.create({
    email: demoEmail,
    name: 'Maruvel',
    passwordHash: await hash(randomBytes(24).toString('base64')),
    timeZone: demoZone,
    units: 'kg',
    rules: { ...defaultRules },
  });
  const athletes = await AthleteRow.bulkCreate(
    lanternPeople.map((file) => ({ coachId: coach.id, name: String(file['name']), file, revision: 1, deletedAt: null })),
  );
  const rows = await AthleteRow.findAll({ where: { coachId: coach.id }, order: [['id', 'ASC']] });
  const normal = normalFrom(seededRandom(20261125));
  const chance = seededRandom(7);
  const talents = athletes.map(() => Math.exp(0.06 * normal()));
  const today = todayIn(demoZone, now);
  for (const { daysAgo, text } of lanternWorkouts) {
    const day = new Date(Date.parse(`${today}T12:00:00Z`) - daysAgo * dayMs);
    const workout = await WorkoutRow.create({
      coachId: coach.id,
      title: parseWorkout(text).workout.title ?? 'Untitled',
      text,
      day: day.toISOString().slice(0, 10),
      revision: 1,
      deletedAt: null,
    });
    if (daysAgo <= 0) continue;
    for (const [index, row] of rows.entries()) {
      if (chance() > logged) continue;
      const athlete = athleteOf({ file: row.file, results: [] }, today, null);
      const made = makeBrief(text, athlete, defaultRules, []);
      const score = scoreOf(parseWorkout(made.versionText).workout, athlete, talents[index]! * Math.exp(0.035 * normal()));
      if (!score) continue;
      await send(workout.id, row.id, text, made, new Date(day.getTime() - dayMs / 2));
      await ScoreRow.create({
        workoutId: workout.id,
        athleteId: row.id,
        score,
        note: '',
        versionText: made.versionText,
        originalText: text,
        enteredBy: 'athlete',
        deletedAt: null,
        createdAt: day,
      });
    }
    say(`  ${workout.title}`);
  }
}
