/** A person's record: what they did, what it taught, what was kept and missed. */
import { patterns } from '@gambito/core';
import { z } from 'zod';
import { measuredSchema, ratingSchema } from './answers';

/** a session that was scored */
export const recordedSchema = z.object({
  scoreId: z.number(),
  workoutId: z.number(),
  title: z.string(),
  /** of the workout, or on which it was logged */
  day: z.string(),
  score: z.string(),
  note: z.string(),
  rating: ratingSchema.nullable(),
  measured: measuredSchema.nullable(),
  /** s it took, or would take somebody as fit as the score shows */
  seconds: z.number(),
  reps: z.partialRecord(z.enum(patterns), z.number()),
  movements: z.array(z.string()),
  /** ln of the fitness the score shows beside the file, and its standard deviation; null where it tells nothing */
  fitness: z.object({ log: z.number(), spread: z.number() }).nullable(),
  verdict: z.string().nullable(),
  /** a score that nobody has read yet says nothing of all this */
  read: z.boolean(),
  /** whether later versions count with it */
  counts: z.boolean(),
});
export type Recorded = z.infer<typeof recordedSchema>;
export const recordSchema = z.object({
  sessions: z.array(recordedSchema),
  /** what was sent and not scored, by its day */
  missed: z.array(z.object({ workoutId: z.number(), title: z.string(), day: z.string() })),
});
export type PersonRecord = z.infer<typeof recordSchema>;
