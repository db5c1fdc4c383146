/** A coach's whole desk as lines of JSON: a head, the people, the workouts with what was decided of them, what was sent, what was scored, and an end that says how many. */
import { z } from 'zod';
import { logBySchema, usualLogBy } from './account';
import { briefSchema, linesBesideSchema, lockSchema, measuredSchema, ratingSchema } from './answers';
import { athleteFileSchema } from './file-schemas';
import { houseWordsSchema } from './house-words';
import { audienceSchema, portableWorkoutSchema } from './library';
import { feltSchema, reportSchema } from './today';

const id = z.number().int().positive();
const text = z.string().max(40_000);
const of = { workoutId: id, athleteId: id };
/** who did it; absent in archives from before it was noted */
const by = z.string().max(120).default('');
/** what hurt, in archives from before each report had a line of its own */
const hurtSchema = z.object({ felt: feltSchema, at: z.iso.datetime(), open: z.boolean() }).nullable().default(null);
export const archiveHeadSchema = z.object({
  gambito: z.literal('desk'),
  format: z.literal(1),
  at: z.string(),
  coach: z.object({
    name: z.string(),
    timeZone: z.string().max(64),
    units: z.enum(['kg', 'lb']),
    firstDay: z.union([z.literal(0), z.literal(1)]),
    rules: z.record(z.string(), z.string()),
    tiers: z.array(z.string().max(80)).max(12).default([]),
    words: houseWordsSchema.default([]),
    ritual: linesBesideSchema.nullable().default(null),
    logByHours: logBySchema.default(usualLogBy),
  }),
});
export type ArchiveHead = z.infer<typeof archiveHeadSchema>;
/** numbers are the archive's own: they only tie its lines together */
export const archiveLineSchema = z.union([
  z.object({ athlete: z.object({ id, file: athleteFileSchema.loose() }) }),
  z.object({
    workout: portableWorkoutSchema.extend({
      id,
      title: z.string().max(200),
      audience: audienceSchema,
      by,
      decisions: z.array(z.object({ athleteId: id, by, locks: z.array(lockSchema).max(60) })),
    }),
  }),
  z.object({ send: z.object({ ...of, by, originalText: text, versionText: text, brief: briefSchema, sentAt: z.iso.datetime(), hurt: hurtSchema }) }),
  z.object({
    report: reportSchema.extend({
      athleteId: id,
      workoutId: id.nullable(),
      title: z.string().max(200),
      day: z.iso.date(),
      at: z.iso.datetime(),
      takenBackAt: z.iso.datetime().nullable(),
      settledAt: z.iso.datetime().nullable(),
    }),
  }),
  z.object({ figure: z.object({ athleteId: id, name: z.string().max(120), told: z.string().max(190), at: z.iso.datetime() }) }),
  z.object({
    score: z.object({
      ...of,
      by,
      score: z.string().max(400),
      note: z.string().max(1000),
      versionText: text,
      originalText: text,
      enteredBy: z.enum(['coach', 'athlete']),
      at: z.iso.datetime(),
      rating: ratingSchema.nullable().default(null),
      measured: measuredSchema.nullable().default(null),
      counts: z.boolean().default(true),
    }),
  }),
  z.object({ end: z.literal(true), lines: z.number() }),
]);
export type ArchiveLine = z.infer<typeof archiveLineSchema>;
