/** What a coach keeps about a workout beside its text: tags, whom it is for, what a library finds it by. */
import { z } from 'zod';

export const tagsSchema = z.array(z.string().trim().min(1).max(40)).max(20);
const athleteId = z.number().int().positive().max(4_294_967_295);
/** groups and people it is for; with neither it is for everybody */
export const audienceSchema = z.object({
  groups: z.array(z.string().trim().min(1).max(60)).max(50),
  athletes: z.array(athleteId).max(2000),
});
export type Audience = z.infer<typeof audienceSchema>;
export const everybody: Audience = { groups: [], athletes: [] };
export const isForEverybody = ({ groups, athletes }: Audience): boolean => groups.length === 0 && athletes.length === 0;

/** The groups an athlete file names: a list, or words between commas. */
export function groupsOf(groups: unknown): string[] {
  const named = Array.isArray(groups)
    ? groups.filter((group): group is string => typeof group === 'string')
    : typeof groups === 'string'
      ? groups.split(',')
      : [];
  return [...new Set(named.map((group) => group.trim()).filter((group) => group !== ''))];
}
const same = (a: string, b: string): boolean => a.toLocaleLowerCase('en') === b.toLocaleLowerCase('en');

/** Whether a workout is meant for somebody. */
export const isMeant = (audience: Audience, { id, groups }: { readonly id: number; readonly groups: readonly string[] }): boolean =>
  isForEverybody(audience) || audience.athletes.includes(id) || audience.groups.some((group) => groups.some((other) => same(group, other)));

export const workoutKinds = ['forTime', 'amrap', 'every', 'intervals', 'windows', 'maxLoad', 'strength', 'quality', 'rest'] as const;
export const factsSchema = z.object({
  kinds: z.array(z.enum(workoutKinds)).readonly(),
  minutes: z.number().nullable(),
  movements: z.array(z.string()).readonly(),
});

/** A version of a text that was saved before. */
export const revisionSchema = z.object({ revision: z.number(), savedAt: z.string(), preview: z.string() });
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
