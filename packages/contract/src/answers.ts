/** What the server answers over HTTP: it checks its answers against these, and the web takes its types from them. */
import { z } from 'zod';
import { boardRowSchema } from './file-schemas';

export const meSchema = z.object({
  signedIn: z.boolean(),
  demo: z.boolean(),
  /** whether there is a coach at all */
  setUp: z.boolean(),
  coach: z.object({ name: z.string(), email: z.string(), timeZone: z.string(), units: z.enum(['kg', 'lb']) }).nullable(),
});
export type Me = z.infer<typeof meSchema>;

/** a score in the version done, as past results travel */
export const storedResultSchema = z.object({ workoutId: z.number(), workout: z.string(), score: z.string() });
export const storedAthleteSchema = z.object({
  id: z.number(),
  name: z.string(),
  /** the athlete file as it was typed, whatever else stands in it */
  file: z.record(z.string(), z.unknown()),
  revision: z.number(),
  /** the newest scores first */
  results: z.array(storedResultSchema).readonly(),
});
export type StoredAthlete = z.infer<typeof storedAthleteSchema>;

export const storedWorkoutSchema = z.object({
  id: z.number(),
  title: z.string(),
  text: z.string(),
  day: z.string().nullable(),
  revision: z.number(),
  updatedAt: z.string(),
});
export type StoredWorkout = z.infer<typeof storedWorkoutSchema>;

export const lockSchema = z.object({
  part: z.number().int().min(0),
  slot: z.number().int().min(0),
  movement: z.string().max(80).optional(),
  reps: z.number().min(1).max(10_000).optional(),
  loadKg: z.number().min(0).max(600).optional(),
});
export const storedLocksSchema = z.object({ athleteId: z.number(), locks: z.array(lockSchema) });

export const storedSendSchema = z.object({
  id: z.number(),
  athleteId: z.number(),
  token: z.string(),
  sentAt: z.string(),
  revoked: z.boolean(),
  /** whether the workout reads otherwise since */
  changed: z.boolean(),
});
export type StoredSend = z.infer<typeof storedSendSchema>;

export const sendJobSchema = z.object({
  id: z.number(),
  total: z.number(),
  done: z.number(),
  finished: z.boolean(),
  failed: z.array(z.object({ athleteId: z.number(), message: z.string() })),
});
export type SendJob = z.infer<typeof sendJobSchema>;

export const boardSchema = z.object({
  board: z.array(boardRowSchema.extend({ scoreId: z.number(), athleteId: z.number(), note: z.string(), versionText: z.string() })),
  missing: z.array(z.object({ athleteId: z.number(), name: z.string(), sent: z.boolean() })),
  scoreKind: z.string(),
  /** the house rule for boards */
  school: z.string(),
});
export type Board = z.infer<typeof boardSchema>;
export type BoardEntry = Board['board'][number];

const briefLine = z.object({
  text: z.string(),
  load: z.string().nullable(),
  plates: z.string().nullable(),
  mark: z.string().nullable(),
  reason: z.string().nullable(),
  original: z.string().nullable(),
  fallback: z.string().nullable(),
});
const clockCue = z.object({
  atSeconds: z.number(),
  kind: z.string(),
  text: z.string(),
  part: z.number(),
  lengthSeconds: z.number().nullable(),
  lines: z.array(z.string()).readonly(),
});
export type ClockCue = z.infer<typeof clockCue>;

export const briefSchema = z.object({
  title: z.string(),
  athlete: z.string(),
  place: z.string(),
  parts: z.array(z.object({ header: z.string(), lines: z.array(briefLine) })),
  predicted: z.object({ unit: z.string(), low: z.number(), median: z.number(), high: z.number() }),
  window: z.string().nullable(),
  warmUp: z.array(z.string()),
  coolDown: z.array(z.string()),
  pacing: z.array(z.string()),
  standards: z.array(z.object({ movement: z.string(), points: z.array(z.string()), noReps: z.array(z.string()) })),
  cautions: z.array(z.string()),
  warnings: z.array(z.string()),
  clock: z.object({ cues: z.array(clockCue).readonly(), totalSeconds: z.number().nullable() }),
  scoreKind: z.string(),
});
export type Brief = z.infer<typeof briefSchema>;

export const athletePageSchema = z.object({
  brief: briefSchema,
  originalText: z.string(),
  versionText: z.string(),
  sentAt: z.string(),
  changed: z.boolean(),
  score: z.object({ score: z.string(), note: z.string() }).nullable(),
});
export type AthletePage = z.infer<typeof athletePageSchema>;
