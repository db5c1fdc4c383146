/** What a coach keeps about a workout beside its text: tags, whom it is for, what a library finds it by. */
import { z } from 'zod';
import { definedMovementSchema } from './workout-schema';

export const tagsSchema = z.array(z.string().trim().min(1).max(40)).max(20);
const athleteId = z.number().int().positive().max(4_294_967_295);
/** groups and people it is for; with neither it is for everybody */
export const audienceSchema = z.object({
  groups: z.array(z.string().trim().min(1).max(60)).max(50),
  athletes: z.array(athleteId).max(2000),
});
export const workoutKinds = ['forTime', 'amrap', 'every', 'intervals', 'windows', 'maxLoad', 'strength', 'quality', 'rest'] as const;
export const factsSchema = z.object({
  kinds: z.array(z.enum(workoutKinds)).readonly(),
  minutes: z.number().nullable(),
  movements: z.array(z.string()).readonly(),
  own: z.array(definedMovementSchema).readonly().optional(),
});

/** `day`: the latest one on which a workout has the movement */
export const movementUsedSchema = z.object({ movement: z.string(), day: z.string() });
export type MovementUsed = z.infer<typeof movementUsedSchema>;
export const movementsKnownSchema = z.object({ movements: z.array(movementUsedSchema), own: z.array(definedMovementSchema) });
export type MovementsKnown = z.infer<typeof movementsKnownSchema>;

/** A version of a text that was saved before. */
export const revisionSchema = z.object({ revision: z.number(), savedAt: z.string(), by: z.string().default(''), preview: z.string() });
export type Revision = z.infer<typeof revisionSchema>;

/** One of several workouts that come or go at once: file, paste, archive. */
export const portableWorkoutSchema = z.object({
  text: z.string().max(20_000, 'expected at most 20 000 characters'),
  day: z.string().nullable().default(null),
  tags: tagsSchema.default([]),
});
export type PortableWorkout = z.infer<typeof portableWorkoutSchema>;
/** What several workouts are exported as. */
export const libraryFileSchema = z.object({
  gambito: z.literal('library'),
  format: z.literal(1),
  workouts: z.array(portableWorkoutSchema).max(500, 'expected at most 500 workouts'),
});
export type LibraryFile = z.infer<typeof libraryFileSchema>;
