/** The workout as it crosses a boundary. Mirrors core's types; the last lines make the compiler hold the two together. */
import type { Item, Workout } from '@gambito/core';
import { z } from 'zod';

const figure = z.number();
const columns = z.object({ men: figure, women: figure });
const range = z.object({ low: figure, high: figure });
const rest = z
  .object({ low: figure, high: figure, open: z.enum(['recovered', 'asNeeded', 'ratio', 'left']).optional(), ratio: figure.optional() })
  .describe('seconds; with `open` the athlete ends it and the figures are what is reckoned with');
const unit = z.enum(['reps', 'm', 'cal', 's']);

const count = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fixed'), men: figure, women: figure, low: figure.nullable() }),
  z.object({ kind: z.literal('rung') }),
  z.object({ kind: z.literal('ladder'), rungs: z.array(figure) }),
  z.object({ kind: z.literal('growing'), start: figure, step: figure }),
  z.object({ kind: z.literal('max'), seconds: figure.optional() }),
  z.object({ kind: z.literal('matchTime') }),
]);
const load = z.discriminatedUnion('kind', [
  z
    .object({
      kind: z.literal('mass'),
      men: figure,
      women: figure,
      count: z.union([z.literal(1), z.literal(2)]),
      unit: z.enum(['kg', 'lb']),
      sets: z.array(figure).optional(),
    })
    .describe('kilograms of one implement'),
  z.object({ kind: z.literal('share'), men: figure, women: figure, sets: z.array(figure).optional(), low: figure.optional() }).describe('share of the max'),
  z.object({ kind: z.literal('bodyShare'), men: figure, women: figure }).describe('share of the body mass'),
  z.object({ kind: z.literal('heavy') }),
  z.object({ kind: z.literal('any') }),
]);
const ownMovement = z.object({ name: z.string(), share: figure, link: z.string().nullable(), standard: z.string().nullable() });
export const definedMovementSchema = z.object({ own: ownMovement, as: z.string() });
const slot = z.object({
  kind: z.literal('slot'),
  movement: z.string(),
  own: ownMovement.nullable().describe('a movement of the coach’s own that `movement` stands for'),
  said: z.string().nullable().describe('the coach’s own words for the movement'),
  implement: z.enum(['barbell', 'dumbbell', 'kettlebell', 'sandbag', 'backpack', 'can', 'plate', 'stick', 'vest', 'band']).nullable(),
  unit,
  unitSaid: z.enum(['km', 'mile', 'ft', 'yd', 'min', 'clock']).nullable(),
  count,
  perSide: z.boolean(),
  load: load.nullable(),
  heightCm: columns.extend({ unit: z.enum(['in', 'ft']).optional().describe('as it was written, where not in cm') }).nullable(),
  hold: z.enum(['unbroken', 'mayBreak']).nullable(),
  tempo: z.string().nullable(),
  effort: z.object({ kind: z.enum(['rpe', 'rir']), value: figure }).nullable(),
  build: z.boolean(),
  side: z.enum(['left', 'right']).nullable(),
  link: z.number().nullable(),
  bracket: z.object({ id: z.number(), times: z.number() }).nullable(),
  note: z.string().nullable(),
  get alternatives() {
    return z.array(z.array(slot));
  },
});
const pause = z.object({ kind: z.literal('pause'), seconds: rest });
const block = z.object({
  kind: z.literal('block'),
  rounds: range,
  ladder: z.array(figure).nullable(),
  restBetween: rest.nullable(),
  get items(): z.ZodArray<z.ZodType<Item>> {
    return z.array(item);
  },
});
const item: z.ZodType<Item> = z.lazy(() => z.union([slot as unknown as z.ZodType<Item>, pause, block]));
const items = z.array(item);

export const scoreKindSchema = z.enum(['time', 'rounds', 'reps', 'load', 'distance', 'calories', 'eachSet', 'sum', 'done']);
export const windowSchema = z.object({
  low: figure.nullable(),
  high: figure.nullable(),
  usual: figure.optional(),
  unit: z.enum(['seconds', 'rounds', 'reps', 'kg']),
  per: z.enum(['round', 'set', 'part', 'workout']),
});
const base = {
  name: z.string().nullable(),
  score: scoreKindSchema,
  scoreSaid: z.boolean(),
  window: windowSchema.nullable(),
  intent: z.string().nullable(),
  optional: z.boolean(),
  noPartition: z.boolean(),
  vest: z.object({ men: figure, women: figure, unit: z.enum(['kg', 'lb']) }).nullable(),
  startsAtFinishOrCap: z.boolean(),
  team: z.object({ size: figure, how: z.enum(['youGoIGo', 'synchro', 'splitAsNeeded']).nullable() }).nullable(),
  interruption: z.object({ everySeconds: figure, items }).nullable(),
  notes: z.array(z.string()),
};
const seconds = figure.describe('seconds');
const part = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('amrap'), ...base, seconds: range, sets: figure, restBetween: rest.nullable(), items }),
  z.object({ kind: z.literal('forTime'), ...base, capSeconds: seconds.nullable(), capPerSet: z.boolean(), sets: figure, restBetween: rest.nullable(), items }),
  z.object({
    kind: z.literal('every'),
    ...base,
    intervalSeconds: seconds,
    count: figure,
    capSeconds: seconds.nullable(),
    untilFailure: z.boolean(),
    stations: z.array(items),
  }),
  z.object({
    kind: z.literal('intervals'),
    ...base,
    segments: z.array(z.object({ workSeconds: seconds, restSeconds: seconds })),
    circuitRounds: figure.nullable(),
    stations: z.array(items),
  }),
  z.object({ kind: z.literal('windows'), ...base, intervalSeconds: seconds, count: figure, capSeconds: seconds.nullable(), windows: z.array(items) }),
  z.object({ kind: z.literal('maxLoad'), ...base, seconds, items }),
  z.object({ kind: z.literal('strength'), ...base, everySeconds: seconds.nullable(), sets: figure, restBetween: rest.nullable(), items }),
  z.object({
    kind: z.literal('rest'),
    ...base,
    seconds: seconds.nullable(),
    untilSeconds: seconds.nullable(),
    open: z.enum(['recovered', 'asNeeded', 'ratio', 'left']).nullable(),
  }),
  z.object({ kind: z.literal('quality'), ...base, seconds: seconds.nullable(), items }),
]);

export const workoutSchema = z.object({
  title: z.string().nullable(),
  intent: z.string().nullable(),
  notes: z.array(z.string()),
  parts: z.array(part),
  tiers: z.array(z.object({ name: z.string(), parts: z.array(part) })),
  own: z.array(definedMovementSchema).optional().describe('movements of the coach’s own that the text defines'),
});

/** Fails to compile when the schema and core's type drift apart. */
type Held = z.infer<typeof workoutSchema> extends Workout ? true : never;
export const workoutSchemaHolds: Held = true;
