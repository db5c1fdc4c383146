/** The files of the command line: what goes in (athlete, rules, results) and what comes out (`--json`). `gambito schema NAME` prints them as JSON Schema. */
import { ruleSpecs } from '@gambito/core';
import { z } from 'zod';
import { windowSchema, workoutSchema } from './workout-schema';

const text = z.union([z.string(), z.number()]);
const placeFile = z
  .object({
    name: z.string().optional(),
    floor: z.string().describe('length × width in metres: 3 x 2 m').optional(),
    ceiling: text.optional(),
    to_street: text.optional(),
    noise: z.enum(['free', 'normal', 'quiet']).optional(),
    kit: z.array(z.string()).describe('one line an item, or several with commas: dumbbell 10 kg x 2').optional(),
    // what else stands in a place is kept, and read for what it says of harm
  })
  .loose();
export const athleteFileSchema = z.object({
  name: z.string().optional(),
  category: z.enum(['men', 'women']).describe('which column of a prescription is the start').optional(),
  body_mass: text.optional(),
  stature: text.optional(),
  born: text.optional(),
  level: z.enum(['new', 'newer', 'trained', 'competitive']).optional(),
  units: z.enum(['kg', 'lb']).optional(),
  maxes: z.record(z.string(), text).describe('movement id with underscores → load, or load x reps').optional(),
  best_sets: z.record(z.string(), text).optional(),
  times: z.record(z.string(), text).describe('run|row|bike_<n>_m|km → time').optional(),
  avoid: z.array(z.string()).optional(),
  limits: z.record(z.string(), z.string()).optional(),
  prefer: z.record(z.string(), z.string()).optional(),
  time_available: text.optional(),
  tier: z.string().describe('a tier whose kit, level and minutes stand in for the athlete’s own: one dumbbell, newer, 30 min').optional(),
  contact: z.string().describe('where messages reach the athlete: an e-mail address or a number').optional(),
  groups: z.array(z.string()).describe('classes and crews the athlete belongs to').optional(),
  place: placeFile.optional(),
  places: z.array(placeFile).optional(),
  results: z
    .array(z.object({ workout: z.string(), score: text }))
    .describe('scores of workouts already done: the text of the version, and its score')
    .optional(),
});
export const rulesFileSchema = z.object(
  Object.fromEntries(
    Object.entries(ruleSpecs).map(([key, spec]) => [
      key,
      z
        .enum(spec.options.map((each) => each.value) as [string, ...string[]])
        .describe(`${spec.question}. ${spec.why}`)
        .optional(),
    ]),
  ),
);

const band = { unit: z.enum(['seconds', 'rounds', 'reps', 'kg']), low: z.number(), median: z.number(), high: z.number() };
export const reachedSchema = z.object({ part: z.number(), slot: z.number(), rung: z.number() }).nullable();
export const predictedSchema = z.object({
  ...band,
  perPart: z.array(z.object({ part: z.number(), set: z.number().nullable(), ...band })),
  reached: reachedSchema,
});
export const driftSchema = z.object({
  total: z.number(),
  time: z.number(),
  load: z.number(),
  pattern: z.number(),
  muscles: z.number(),
  volume: z.number(),
  breathing: z.number(),
  grip: z.number(),
  skill: z.number(),
  rest: z.number(),
  comparability: z.number(),
  scoreType: z.number(),
});
const fallback = z.object({ movement: z.string(), reps: z.array(z.number()), when: z.string() }).nullable();
export const versionSlotSchema = z.object({
  original: z.object({ movement: z.string(), reps: z.array(z.number()).nullable(), loadKg: z.number().nullable() }).nullable(),
  movement: z.string(),
  unit: z.enum(['reps', 'm', 'cal', 's']),
  reps: z.array(z.number()),
  perSide: z.boolean(),
  load: z.object({ kg: z.number(), implement: z.string(), count: z.union([z.literal(1), z.literal(2)]), hold: z.string(), text: z.string() }).nullable(),
  style: z.object({ tempo: z.string().nullable(), pause: z.boolean(), surfaceCm: z.number().nullable() }),
  swapped: z.boolean(),
  mark: z.enum(['!', '!?', '?!', '?']),
  rule: z.string(),
  reason: z.string().describe('one sentence'),
  because: z.string().nullable().describe('why the written movement was left, for its athlete'),
  figures: z.array(z.string()).describe('what stands behind it: seconds a bout, shares of a max, house rules'),
  givesUp: z.array(z.string()),
  fallback,
  growth: z.number().nullable(),
  link: z.number().nullable(),
  written: z.number().describe('number of the written slot it stands for: what a lock names'),
  station: z.number().nullable(),
  window: z.number().nullable(),
  block: z.number().nullable(),
});
export const versionPartSchema = z.object({
  kind: z.string(),
  capSeconds: z.number().nullable(),
  seconds: z.number().nullable(),
  rounds: z.number().nullable(),
  sets: z.number().nullable(),
  setSeconds: z.number().nullable(),
  restSeconds: z.number().nullable(),
  from: z.array(z.number()),
  slots: z.array(versionSlotSchema),
  edits: z.array(
    z.object({
      kind: z.enum(['load', 'swap', 'count', 'rounds', 'scheme', 'clock', 'part']),
      slot: z.number().nullable(),
      text: z.string(),
      without: z.number().nullable().describe('score of the part without this edit'),
      undo: z
        .object({
          slot: z.number(),
          reps: z.number().optional(),
          loadKg: z.number().optional(),
          movement: z.string().optional(),
          scheme: z.literal(true).optional(),
        })
        .nullable(),
    }),
  ),
});
export const warningSchema = z.object({ code: z.string(), message: z.string() });
export const adaptSchema = z.object({
  version: z.object({ parts: z.array(versionPartSchema), text: z.string() }),
  intent: z.object({
    window: windowSchema.nullable(),
    parts: z.array(z.object({ window: windowSchema.nullable(), target: z.number().nullable() })),
    words: z.array(z.string()),
    shortened: z.number(),
  }),
  predicted: predictedSchema,
  drift: driftSchema,
  insideWindow: z.boolean().nullable(),
  insideBand: z.boolean().nullable(),
  comparability: z.object({ elasticity: z.number(), uncertainty: z.number() }),
  warnings: z.array(warningSchema),
  assumed: z.array(z.string()),
});
export const diagnosticSchema = z.object({
  code: z.string(),
  line: z.number(),
  column: z.number(),
  length: z.number(),
  level: z.enum(['error', 'warning', 'info']),
  message: z.string(),
  suggestion: z.string().optional(),
});
export const summarySchema = z.object({
  clockSeconds: z.number().nullable(),
  parts: z.array(
    z.object({
      kind: z.string(),
      seconds: z.number().nullable(),
      capSeconds: z.number().nullable(),
      setSeconds: z.number().nullable(),
      rounds: z.number().nullable(),
      sets: z.number().nullable(),
      reps: z.record(z.string(), z.number()),
      window: windowSchema.nullable(),
      score: z.string(),
    }),
  ),
});
export const parseSchema = z.object({
  workout: workoutSchema,
  summary: summarySchema,
  diagnostics: z.array(diagnosticSchema),
  /** plain notation, where the text was a message */
  readAs: z.string().optional(),
});
export const predictSchema = z.object({
  predicted: predictedSchema,
  pacing: z.object({
    sets: z.array(
      z.object({
        part: z.number(),
        slot: z.number(),
        movement: z.string(),
        first: z.array(z.number()),
        later: z.array(z.number()),
        seconds: z.number(),
        lostSeconds: z.number(),
        wonSeconds: z.number(),
      }),
    ),
    breaks: z.array(z.object({ part: z.number(), slot: z.number(), seconds: z.number(), planB: z.string().nullable() })),
    limiting: z.number().nullable().describe('number in `sets` of the slot that decides the score'),
    neverReached: z.array(z.object({ part: z.number(), slot: z.number() })),
    attempts: z.array(z.object({ part: z.number(), list: z.array(z.object({ atSeconds: z.number(), kg: z.number() })) })),
  }),
  warnings: z.array(z.object({ code: z.string(), message: z.string() })),
  assumed: z.array(z.string()),
});
export const boardRowSchema = z.object({
  athlete: z.string(),
  version: z.string(),
  score: z.string(),
  equivalent: z.object({ low: z.number(), median: z.number(), high: z.number(), unit: z.string() }).nullable(),
  index: z.number().nullable(),
  rank: z.number(),
  inWindow: z.boolean().nullable(),
  verdict: z.string(),
  elasticity: z.number().nullable(),
  evidence: z.string().nullable().describe('what logged results said about the swaps of this version'),
  unfair: z.string().nullable().default(null).describe('why there is no equivalent: no fair comparison'),
});
/** a row of the day's board: several scores in one workout, ranked over their boards by the house rule */
export const dayRowSchema = z.object({
  athlete: z.string(),
  rank: z.number(),
  places: z.array(z.number().nullable()).readonly().describe('place on each board, in their order; null where no score was logged'),
  points: z.number().nullable().describe('places added up or mean index, by the house rule'),
});
export const compareSchema = z.object({
  board: z.array(boardRowSchema).describe('the leading part'),
  boards: z.array(z.object({ label: z.string(), parts: z.array(z.number()), board: z.array(boardRowSchema) })).optional(),
  day: z.array(dayRowSchema).optional(),
});
export const loadSchema = z.object({
  implement: z.string(),
  count: z.union([z.literal(1), z.literal(2)]),
  kg: z.number(),
  text: z.string(),
  platesPerSideKg: z.array(z.number()).optional(),
  approximate: z.literal(true).optional(),
  lowKg: z.number().optional(),
  highKg: z.number().optional(),
});
export const loadsSchema = z.object({
  loads: z.array(loadSchema),
  /** what else of the kit was understood, in words */
  also: z.array(z.object({ text: z.string() })),
});
export const cueSchema = z.object({
  atSeconds: z.number(),
  kind: z.enum(['countIn', 'work', 'rest', 'interval', 'cap', 'open', 'end']),
  text: z.string(),
  part: z.number(),
  lengthSeconds: z.number().nullable(),
  lines: z.array(z.string()),
});
export const clockSchema = z.object({ cues: z.array(cueSchema), totalSeconds: z.number().nullable() });
export const movementSchema = z.object({
  id: z.string(),
  name: z.string(),
  aliases: z.array(z.string()),
  patterns: z.record(z.string(), z.number()),
  muscles: z.record(z.string(), z.number()),
  needs: z.string(),
  unit: z.string(),
  side: z.string(),
  skill: z.number(),
  standards: z.array(z.string()),
  noReps: z.array(z.string()),
  cautions: z.array(z.string()),
  easier: z.array(z.string()),
  harder: z.array(z.string()),
  avoid: z.array(z.string()),
  load: z.object({ implements: z.array(z.string()), count: z.union([z.literal(1), z.literal(2)]), position: z.string(), optional: z.boolean() }).nullable(),
  floorM: z.array(z.number()).describe('length and width it needs'),
  overhead: z.boolean(),
  jumps: z.boolean(),
  rise: z.object({ body: z.number(), load: z.number() }).describe('of body and load a rep, shares of stature'),
  joulesPerKg: z.number().describe('metabolic cost of a rep, metre or second without load'),
  cycleSeconds: z.number().describe('one rep, metre or second when fresh and light'),
  limitedBy: z.string(),
  warmUpOnly: z.boolean(),
});
export const resultsRowSchema = z.object({
  athlete: z.string(),
  version: z.string().describe('path of a workout text file, or "original"'),
  score: z.string().describe('7+12, 8:41, 182, CAP+14, 92.5 kg'),
});

export const fileSchemas = {
  workout: workoutSchema,
  parse: parseSchema,
  athlete: athleteFileSchema,
  rules: rulesFileSchema,
  results: z.array(resultsRowSchema),
  adapt: adaptSchema,
  predict: predictSchema,
  compare: compareSchema,
  loads: loadsSchema,
  clock: clockSchema,
  movements: z.object({ movements: z.array(movementSchema) }),
} as const;
export type FileSchemaName = keyof typeof fileSchemas;

export function jsonSchemaOf(name: FileSchemaName): unknown {
  return z.toJSONSchema(fileSchemas[name], { unrepresentable: 'any' });
}
