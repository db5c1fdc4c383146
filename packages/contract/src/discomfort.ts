/** What hurt, as it waits for the coach, and what could be spared. */
import { avoidNames } from '@gambito/core';
import { z } from 'zod';
import { feltSchema } from './today';

export const discomfortSchema = z.object({
  /** number of the first report of its session */
  id: z.number(),
  /** null: the workout is gone for good */
  workoutId: z.number().nullable(),
  title: z.string(),
  day: z.string(),
  athleteId: z.number(),
  name: z.string(),
  felt: feltSchema,
  at: z.string(),
});
export type Discomfort = z.infer<typeof discomfortSchema>;

export const sparedSchema = z.object({
  /** entries of the avoid-list; none: nothing stands for it, or it is spared already */
  spare: z.array(z.enum(avoidNames as [(typeof avoidNames)[number], ...(typeof avoidNames)[number][]])).readonly(),
  /** lines of the version that would be others then */
  swaps: z.array(z.object({ was: z.string(), now: z.string() })).readonly(),
  ask: z.string(),
  /** it asks for a doctor now: no advice for training stands beside it */
  urgent: z.boolean(),
});
export type SparedAnswer = z.infer<typeof sparedSchema>;
