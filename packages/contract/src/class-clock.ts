/** One clock for a class: what the coach's screen, the phones and the big screen say to each other. Times are ms since the epoch, by the server's clock. */
import { z } from 'zod';
import { briefSchema } from './answers';

const moment = z.number().nullable();
export const classClockSchema = z.object({ startedAt: moment, pausedAt: moment, pausedMs: z.number(), endedAt: moment });
export const classMoveSchema = z.enum(['start', 'pause', 'goOn', 'end']);

const seconds = z.number().min(-60).max(200_000);
/** what one phone has tapped in one run of the clock */
export const classRunSchema = z.object({
  /** which start it belongs to */
  startedAt: z.number(),
  taps: z.array(z.object({ at: seconds, cue: z.number().int().min(0).max(2000) })).max(2000, 'expected at most 2 000 taps'),
  ended: z.record(z.string().regex(/^\d{1,4}$/), seconds),
  finishedAt: seconds.nullable(),
});
export type ClassRun = z.infer<typeof classRunSchema>;

const laterSchema = z.record(z.string(), z.number());
/** the movement somebody begins with instead of the first, by athlete */
export const beginsSchema = z.record(z.string().regex(/^\d{1,10}$/), z.string().max(120)).default({});
/** the clock as it stands; `later`: s by which somebody begins after the others, by athlete: shared equipment */
export const classStateSchema = z.object({ clock: classClockSchema.nullable(), later: laterSchema, begins: beginsSchema, now: z.number() });
export type ClassState = z.infer<typeof classStateSchema>;

export const classLaneSchema = z.object({
  athleteId: z.number(),
  name: z.string(),
  clock: briefSchema.shape.clock,
  fields: briefSchema.shape.fields,
  predicted: briefSchema.shape.predicted,
  wholeSeconds: briefSchema.shape.wholeSeconds,
  uses: briefSchema.shape.uses,
  orders: briefSchema.shape.orders,
  /** the score that is logged already */
  score: z.string().nullable(),
});
export type ClassLane = z.infer<typeof classLaneSchema>;

/** what the coach opened; null where there is none */
export const classSchema = classStateSchema.extend({ title: z.string(), lanes: z.array(classLaneSchema) });
export type ClassRoom = z.infer<typeof classSchema>;

/** of the stream to a phone */
export interface ClassNews {
  readonly clock: z.infer<typeof classClockSchema> | null;
  readonly later: number;
  /** the movement to begin with; null: the first */
  readonly begin: string | null;
}
/** of the stream to the coach: only the runs that changed */
export interface ClassRoomNews {
  readonly clock: z.infer<typeof classClockSchema> | null;
  readonly later: Readonly<Record<string, number>>;
  readonly begins: Readonly<Record<string, string>>;
  readonly runs: readonly { readonly athleteId: number; readonly run: ClassRun; readonly seenAt: number }[];
}
