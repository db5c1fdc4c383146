/** A person's record: what they did, what it taught, what was kept and missed. */
import { patterns } from '@gambito/core';
import { z } from 'zod';
import { measuredSchema, ratingSchema } from './answers';
import { feltSchema } from './today';

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
const unscoredSchema = z.object({ workoutId: z.number(), title: z.string(), day: z.string() });
export type Unscored = z.infer<typeof unscoredSchema>;
export const recordSchema = z.object({
  sessions: z.array(recordedSchema),
  /** what was sent and not scored, by its day: when it was due, and what is not due yet */
  missed: z.array(unscoredSchema),
  open: z.array(unscoredSchema),
  /** what hurt, the newest first; `open`: it waits for the coach */
  hurt: z.array(z.object({ title: z.string(), day: z.string(), felt: feltSchema, open: z.boolean() })),
  /** figures that the file said otherwise before, each from the first told to what stands now; blank: it was taken out */
  figures: z.array(z.object({ name: z.string(), told: z.array(z.object({ text: z.string(), at: z.string() })) })),
});
/** who has logged nothing of several sendings in a row that were due */
export const silentSchema = z.object({ athleteId: z.number(), name: z.string(), missed: z.number(), since: z.string() });
export type Silent = z.infer<typeof silentSchema>;
export type PersonRecord = z.infer<typeof recordSchema>;
