/** What the server answers over HTTP: it checks its answers against these, and the web takes its types from them. */
import { patterns } from '@gambito/core';
import { z } from 'zod';
import { audienceSchema, factsSchema, tagsSchema } from './library';
import { logBySchema, usualLogBy } from './account';
import { feltSchema } from './today';
import { boardRowSchema, dayRowSchema } from './file-schemas';
import { scoreKindSchema } from './workout-schema';

/** how hard a session was, 0 nothing at all to 10 all there is (Foster et al. 2001) */
export const ratingSchema = z.number().int().min(0).max(10);

const count = z.number().min(0).max(1_000_000);
/** what devices and a watch told of a session: beats a minute, metres, seconds */
export const measuredSchema = z.object({
  heart: z.object({ mean: count, most: count }).optional(),
  row: z.object({ metres: count, seconds: count }).optional(),
  run: z.object({ metres: count, seconds: count.nullable() }).optional(),
});
export type Measured = z.infer<typeof measuredSchema>;

export const meSchema = z.object({
  signedIn: z.boolean(),
  demo: z.boolean(),
  /** whether there is a coach at all */
  setUp: z.boolean(),
  coach: z
    .object({
      name: z.string(),
      email: z.string(),
      timeZone: z.string(),
      units: z.enum(['kg', 'lb']),
      firstDay: z.number(),
      logByHours: logBySchema.default(usualLogBy),
      founder: z.boolean(),
      guestOf: z.string().nullable().default(null),
    })
    .nullable(),
});
export type Me = z.infer<typeof meSchema>;

/** a browser somebody is signed in with */
export const sessionSchema = z.object({ id: z.string(), device: z.string(), since: z.string(), here: z.boolean() });
export type SignedInDevice = z.infer<typeof sessionSchema>;

/** somebody who works at a desk */
export const deskPersonSchema = z.object({ id: z.number(), name: z.string(), email: z.string(), owner: z.boolean(), you: z.boolean() });
export type DeskPerson = z.infer<typeof deskPersonSchema>;

/** what a past result says for the next version of its athlete */
export const readPastSchema = z.object({
  fitness: z.object({ log: z.number(), spread: z.number() }).nullable(),
  movements: z.array(z.string()).readonly(),
  reps: z.partialRecord(z.enum(patterns), z.number()),
  seconds: z.number().optional(),
});
/** as past results travel: what one says; or, until it was read, the text of the version done with its score */
export const storedResultSchema = z.object({ workoutId: z.number(), result: z.union([readPastSchema, z.object({ workout: z.string(), score: z.string() })]) });
/** a past result as a person's screen lists it */
export const listedResultSchema = z.object({
  workoutId: z.number(),
  title: z.string(),
  score: z.string(),
  loggedAt: z.string(),
  /** beside what was expected of the athlete, in logarithms of fitness; null where nothing can be told */
  beyond: z.number().nullable(),
  verdict: z.string().nullable(),
});
export type ListedResult = z.infer<typeof listedResultSchema>;
export const storedAthleteSchema = z.object({
  id: z.number(),
  name: z.string(),
  /** the athlete file as it was typed, whatever else stands in it */
  file: z.record(z.string(), z.unknown()),
  revision: z.number(),
  /** the newest scores first */
  results: z.array(storedResultSchema).readonly(),
});
export type StoredAthlete = z.infer<typeof storedAthleteSchema>;
export const deletedAthleteSchema = z.object({ id: z.number(), name: z.string(), deletedAt: z.string() });
export type DeletedAthlete = z.infer<typeof deletedAthleteSchema>;

export const storedWorkoutSchema = z.object({
  id: z.number(),
  title: z.string(),
  text: z.string(),
  day: z.string().nullable(),
  tags: tagsSchema,
  audience: audienceSchema,
  revision: z.number(),
  /** who changed it last; blank where nobody was noted */
  changedBy: z.string().default(''),
  updatedAt: z.string(),
});
export type StoredWorkout = z.infer<typeof storedWorkoutSchema>;
/** A workout in a list: what it begins with, not its text. */
export const listedWorkoutSchema = storedWorkoutSchema.pick({ id: true, title: true, day: true, tags: true, audience: true, revision: true }).extend({
  preview: z.string(),
  facts: factsSchema.nullable(),
  /** how it went when it was done; null where nobody logged */
  done: z.object({ scores: z.number(), last: z.string(), inWindow: z.number(), judged: z.number() }).nullable(),
  /** living links that were sent */
  sent: z.number(),
  /** in the bin since */
  deletedAt: z.string().nullable(),
});
export type ListedWorkout = z.infer<typeof listedWorkoutSchema>;

const partLockSchema = z.object({
  part: z.number().int().min(0),
  slot: z.number().int().min(0),
  movement: z.string().max(80).optional(),
  reps: z.number().min(1).max(10_000).optional(),
  loadKg: z.number().min(0).max(600).optional(),
  scheme: z.literal(true).optional(),
  line: z.string().max(300, 'expected at most 300 characters').optional(),
  frame: z.string().max(120, 'expected at most 120 characters').optional(),
});
/** what stands before or after a version, in the coach's own lines */
export const linesBesideSchema = z.string().max(2000, 'expected at most 2 000 characters');
/** what a coach fixed in one person's version: of a slot, all of its text, a word to its athlete, what stands before and after */
export const lockSchema = z.union([
  partLockSchema,
  z.object({ byHand: z.string().max(20_000, 'expected at most 20 000 characters') }),
  z.object({ note: z.string().max(1000, 'expected at most 1 000 characters') }),
  z.object({ warmUp: linesBesideSchema }),
  z.object({ coolDown: linesBesideSchema }),
]);
export const storedLocksSchema = z.object({ athleteId: z.number(), locks: z.array(lockSchema), by: z.string().default('') });

export const storedSendSchema = z.object({
  id: z.number(),
  athleteId: z.number(),
  token: z.string(),
  sentAt: z.string(),
  sentBy: z.string().default(''),
  revoked: z.boolean(),
  /** the link was opened since it was sent */
  opened: z.boolean(),
  /** what the athlete asked for on the day, in words */
  today: z.string().nullable(),
  /** whether the workout reads otherwise since */
  changed: z.boolean(),
  /** lines that go against what the athlete is to be spared by now */
  against: z.array(z.string()).default([]),
});
export type StoredSend = z.infer<typeof storedSendSchema>;

export const sendJobSchema = z.object({
  id: z.number(),
  total: z.number(),
  done: z.number(),
  finished: z.boolean(),
  failed: z.array(z.object({ athleteId: z.number(), message: z.string() })),
});
export type SendJob = z.infer<typeof sendJobSchema>;

export const scoreFieldSchema = z.object({
  part: z.number(),
  label: z.string(),
  kind: scoreKindSchema,
  placeholder: z.string(),
});

const expectation = z.object({ unit: z.string(), low: z.number(), median: z.number(), high: z.number() });
/** what stands behind a row of a board, to correct or delete it */
const loggedSchema = z.object({
  scoreId: z.number(),
  athleteId: z.number(),
  /** every part's score, as it is kept */
  entry: z.string(),
  note: z.string(),
  /** the coach who entered it; blank where the athlete did */
  by: z.string().default(''),
  /** somebody else’s score, which this one replaced; `by` is blank where it was the athlete’s */
  replaced: z.object({ scoreId: z.number(), entry: z.string(), by: z.string() }).nullable().default(null),
  versionText: z.string(),
  category: z.enum(['men', 'women']),
});
export const boardSchema = z.object({
  /** one a score of the workout; the first is the leading part's */
  boards: z.array(z.object({ label: z.string(), rows: z.array(boardRowSchema.merge(loggedSchema)) })),
  /** ranks over the boards by the house rule; null where the workout has one score */
  day: z.array(dayRowSchema.merge(loggedSchema)).nullable(),
  missing: z.array(
    z.object({
      athleteId: z.number(),
      name: z.string(),
      sent: z.boolean(),
      category: z.enum(['men', 'women']),
      versionText: z.string(),
      expected: z.array(expectation.nullable()),
    }),
  ),
  /** of the workout as written: one a scored part */
  fields: z.array(scoreFieldSchema),
  /** the house rule for boards */
  school: z.string(),
  /** the house rule for several scores in a day */
  dayRule: z.enum(['places', 'index', 'lead']),
});
/** what to change for somebody when the same workout comes again: a sentence, and the decisions it would take */
export const nextTimeSchema = z.object({ athleteId: z.number(), name: z.string(), verdict: z.string(), words: z.string(), locks: z.array(lockSchema) });
export type NextTimeFor = z.infer<typeof nextTimeSchema>;
export type Board = z.infer<typeof boardSchema>;
export type BoardEntry = Board['boards'][number]['rows'][number];
export type DayEntry = NonNullable<Board['day']>[number];
export type LoggedScore = z.infer<typeof loggedSchema>;

const briefLine = z.object({
  text: z.string(),
  load: z.string().nullable(),
  plates: z.string().nullable(),
  reason: z.string().nullable(),
  original: z.string().nullable(),
  fallback: z.string().nullable(),
});
/** a row of a part as it stands on the page: something over deeper rows, a line of work (by its number), or a rest */
const briefRow = z.object({ kind: z.enum(['head', 'line', 'rest']), depth: z.number(), text: z.string(), slot: z.number().optional() });
const briefPart = z.object({
  name: z.string().nullable().default(null),
  header: z.string(),
  sentence: z.string().nullable().default(null),
  rows: z.array(briefRow).default([]),
  /** boxes to tick */
  grid: z.array(z.object({ label: z.string(), boxes: z.array(z.string()) })).default([]),
  notes: z.array(z.string()).default([]),
  window: z.string().nullable().default(null),
  /** `each`: of one set */
  predicted: expectation
    .extend({ each: z.boolean().default(false) })
    .nullable()
    .default(null),
  lines: z.array(briefLine),
});
const clockCue = z.object({
  atSeconds: z.number(),
  kind: z.string(),
  text: z.string(),
  part: z.number(),
  lengthSeconds: z.number().nullable(),
  lines: z.array(z.string()).readonly(),
  ticks: z
    .array(z.object({ text: z.string(), lines: z.array(z.string()).readonly() }))
    .readonly()
    .default([]),
  repeats: z.boolean().default(false),
  ticksARound: z.number().default(1),
  /** said in the course of it, s after it began */
  prompts: z
    .array(z.object({ atSeconds: z.number(), text: z.string() }))
    .readonly()
    .default([]),
});
export type ClockCue = z.infer<typeof clockCue>;

const clockPlan = z.object({ cues: z.array(clockCue).readonly(), totalSeconds: z.number().nullable() });

const implementUseSchema = z.object({ implement: z.string(), spans: z.array(z.tuple([z.number(), z.number()])), kg: z.number().nullable().default(null) });

export const briefSchema = z.object({
  title: z.string(),
  athlete: z.string(),
  /** said by the coach to this athlete */
  note: z.string().nullable().default(null),
  place: z.string(),
  category: z.enum(['men', 'women']).default('men'),
  units: z.enum(['kg', 'lb']).default('kg'),
  parts: z.array(briefPart),
  predicted: expectation,
  window: z.string().nullable(),
  warmUp: z.array(z.string()),
  /** the warm-up as the clock plays it; absent in what was sent before there was one */
  warmUpClock: clockPlan.optional(),
  /** s it is expected to take, what is rested after it left out; 0 in what was sent before it was told */
  warmUpSeconds: z.number().default(0),
  coolDown: z.array(z.string()),
  pacing: z.array(z.string()),
  standards: z.array(z.object({ movement: z.string(), points: z.array(z.string()), noReps: z.array(z.string()), link: z.string().nullable().default(null) })),
  cautions: z.array(z.string()),
  warnings: z.array(z.string()),
  /** what the athlete was to be spared when it was made; absent in what was sent before it was kept */
  madeFor: z
    .object({
      avoid: z.array(z.string()),
      squatDepth: z.string().nullable(),
      place: z.string().optional(),
      // of limits, kit and place
      stamp: z.string().optional(),
      // of what the coach had fixed in it
      locks: z.string().optional(),
      // lines that went against them already then, with the reason
      kept: z.array(z.string()).optional(),
    })
    .optional(),
  clock: clockPlan,
  /** s the athlete is expected to take for all of it */
  wholeSeconds: z.number().default(0),
  /** when which implement is in use, s from the start: what can be shared with somebody */
  uses: z.array(implementUseSchema).default([]),
  /** the same begun with each of its other movements, where it goes round: for whoever shares an implement */
  orders: z.array(z.object({ begin: z.string(), wholeSeconds: z.number(), uses: z.array(implementUseSchema), clock: clockPlan })).default([]),
  /** one a scored part, in order */
  fields: z.array(scoreFieldSchema).default([]),
});
export type Brief = z.infer<typeof briefSchema>;

export const athletePageSchema = z.object({
  brief: briefSchema,
  originalText: z.string(),
  versionText: z.string(),
  sentAt: z.string(),
  changed: z.boolean(),
  score: z
    .object({ score: z.string(), note: z.string(), rating: ratingSchema.nullable().default(null), measured: measuredSchema.nullable().default(null) })
    .nullable(),
  /** where this athlete trains, each with its kit as typed: what can be ticked off for today */
  places: z.array(z.object({ name: z.string(), kit: z.array(z.string()) })),
  /** what was asked for today, in words; null: this is the version the coach sent */
  today: z.string().nullable(),
  felt: feltSchema.nullable(),
  /** what was told asks for a doctor now */
  doctorNow: z.boolean(),
  /** something it asks for is to be spared since it was sent, or an answer of the coach is waited for: it is not offered as it was */
  held: z.boolean().default(false),
  /** the coach runs it for all on one clock now */
  together: z.boolean().default(false),
  /** wall-clock time where the coach is by which a score is due; null: the workout has no day */
  logBy: z.string().nullable().default(null),
});
export type AthletePage = z.infer<typeof athletePageSchema>;
