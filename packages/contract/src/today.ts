/** What an athlete says of today: where and with what, how long, what is sore; and what hurt. Told to the coach. */
import { avoidNames } from '@gambito/core';
import { z } from 'zod';

export const todayAskedSchema = z.object({
  /** number of one of the athlete's places */
  place: z.number().int().min(0).max(19).default(0),
  /** kit lines of that place that are there today; null: all of them */
  kit: z.array(z.string().max(400)).max(300).nullable().default(null),
  minutes: z.number().int().min(5).max(240).nullable().default(null),
  /** what must be spared today, beside what always must */
  spare: z
    .array(z.enum(avoidNames as [(typeof avoidNames)[number], ...(typeof avoidNames)[number][]]))
    .max(12)
    .default([]),
});
export type TodayAsked = z.infer<typeof todayAskedSchema>;

export const reportSchema = z.object({
  where: z.string().trim().min(1, 'expected where, such as low back').max(80),
  /** 1 noticed, 2 had to change something, 3 had to stop */
  much: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  movement: z.string().trim().max(80).default(''),
  note: z.string().trim().max(500).default(''),
});
const keptReportSchema = reportSchema.extend({
  /** by the athlete, later: what asks for more than a remark stays before the coach all the same */
  takenBack: z.boolean().optional(),
});
/** What hurt; beside the gravest report the others that were told of the same session. */
export const feltSchema = keptReportSchema.extend({ also: z.array(keptReportSchema).max(20).optional() });
/** What an athlete tells at once. */
export type Report = z.infer<typeof reportSchema>;
export type KeptReport = z.infer<typeof keptReportSchema>;
export type Felt = z.infer<typeof feltSchema>;
