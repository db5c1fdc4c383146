/**
 * House rules: the coach's choices where good coaches differ. Each is a typed setting with a default and a sentence that says why.
 * The sentences are shown beside the setting and quoted by a version's explanation.
 */
export interface RuleOption {
  readonly value: string;
  readonly label: string;
}
interface RuleSpec {
  readonly question: string;
  readonly why: string;
  readonly options: readonly RuleOption[];
}
const option = <Value extends string>(value: Value, label: string) => ({ value, label });

export const ruleSpecs = {
  easierPushUp: {
    question: 'Easier push-up',
    why: 'Raised hands keep the plank, and the height can be set to the set size.',
    options: [
      option('raised', 'hands raised, lowest surface that stays unbroken'),
      option('knees', 'from the knees'),
      option('kneesThenRaised', 'knees first, then raised'),
      option('coach', 'coach chooses each time'),
    ],
  },
  noDoubleUnders: {
    question: 'No double-unders',
    why: 'Two singles for one double is the count most athletes know.',
    options: [option('twiceSingles', 'twice the singles'), option('sameTime', 'same time of singles'), option('hops', 'same count of two-tap hops or jacks')],
  },
  otherImplement: {
    question: 'Other implement',
    why: 'A lighter pair with more reps keeps the work; the same reps would end too soon.',
    options: [option('tradeReps', 'trade reps against load'), option('sameReps', 'same reps, load chosen to feel the same')],
  },
  strictMissing: {
    question: 'Strict movement missing',
    why: 'The word strict was written for a reason.',
    options: [option('staysStrict', 'an easier strict movement'), option('kipping', 'kipping allowed')],
  },
  restBetween: {
    question: 'Rest between pieces',
    why: 'A fixed window keeps everybody on one clock.',
    options: [
      option('fixedWindow', 'fixed window, rest what is left'),
      option('shorterCap', 'shorter cap inside the window'),
      option('recovered', 'until recovered, 2–4 min'),
    ],
  },
  breaks: {
    question: 'Breaks',
    why: 'A break before failure costs seconds, a failed rep costs a minute.',
    options: [option('planned', 'planned before failure'), option('unbroken', 'unbroken while fresh'), option('singles', 'quick singles for heavy lifts')],
  },
  newerAthlete: {
    question: 'Newer athlete',
    why: 'Less time keeps the movement and the pace honest, and soreness small.',
    options: [option('shortenTime', 'shorten the time first'), option('cutReps', 'cut the reps first'), option('lighter', 'lighter first')],
  },
  homeVersion: {
    question: 'Home version',
    why: 'Slot by slot, the athlete still does the workout the others do.',
    options: [option('slotBySlot', 'swap slot by slot'), option('another', 'another workout with the same stimulus')],
  },
  clock: {
    question: 'Clock',
    why: 'One clock lets a class start and stop together.',
    options: [option('one', 'one clock for all'), option('own', 'own caps')],
  },
  board: {
    question: 'Board',
    why: 'Scores carried over to the workout as written can be compared.',
    options: [
      option('adjusted', 'adjusted to the workout as written'),
      option('perVersion', 'one board a version'),
      option('window', 'inside the window or not'),
      option('turnedUp', 'turned up or not'),
    ],
  },
  unfinished: {
    question: 'Unfinished at the cap',
    why: 'One second a rep keeps the order without pretending to know more.',
    options: [option('capPlusReps', 'cap + one second a rep left'), option('reps', 'reps done'), option('equivalentTime', 'equivalent time')],
  },
  halfSkill: {
    question: 'A skill half owned',
    why: 'Failed attempts eat the clock; practise skills in their own time.',
    options: [option('swapUnlessNear', 'swap unless nearly unbroken'), option('smallSets', 'practise in small sets'), option('attempts', 'attempts count')],
  },
  loadGone: {
    question: 'Load gone altogether',
    why: 'A strong athlete needs about twice the reps; a newer one has enough with the same.',
    options: [option('moreForStrong', 'more reps for the strong, same for the newer'), option('sameReps', 'same reps'), option('tempo', 'tempo, pause, jump')],
  },
  pullUpsToRows: {
    question: 'Pull-ups to rows',
    why: 'A row is easier than a pull-up, so each side gets the whole count.',
    options: [option('eachSide', 'same count each side'), option('sameTotal', 'same total')],
  },
  runToMachine: {
    question: 'Run to machine',
    why: 'The breath does not know metres, it knows minutes.',
    options: [option('matchTime', 'match the time'), option('fixedMetres', 'fixed metres'), option('shorter', 'shorter, harder elsewhere')],
  },
  tooFit: {
    question: 'Too fit for it',
    why: 'More load keeps the scheme readable on the board.',
    options: [option('load', 'more load'), option('reps', 'more reps or skill')],
  },
  loadChoice: {
    question: 'Choice of load',
    why: 'Unbroken while fresh is what most timed workouts are written for.',
    options: [option('unbroken', 'unbroken while fresh'), option('heaviest', 'heaviest owned'), option('light', 'light and fast')],
  },
  squatDepth: {
    question: 'Squat depth limited',
    why: 'A shorter squat is still a squat.',
    options: [option('shorten', 'shorten'), option('chair', 'sit to a chair')],
  },
  sides: {
    question: 'Sides',
    why: 'Alternating spares the grip and keeps the breath even.',
    options: [option('alternate', 'alternate'), option('blocks', 'blocks allowed')],
  },
  styleNotSaid: { question: 'Style not said', why: 'What is not written is free.', options: [option('any', 'any'), option('strict', 'strict')] },
  compositeCount: {
    question: 'Count of a composite',
    why: 'The bracket is what the athlete counts aloud.',
    options: [option('cycle', 'the whole cycle is one'), option('eachSide', 'each side is one')],
  },
  setsOneScore: {
    question: 'Several sets, one score',
    why: 'Each set tells how the pace held.',
    options: [
      option('each', 'each set'),
      option('slowest', 'slowest'),
      option('fastestSlowest', 'fastest and slowest'),
      option('sum', 'sum'),
      option('separate', 'separate scores'),
    ],
  },
  severalScores: {
    question: 'Several scores in a day',
    why: 'Places added up need no common unit, and one bad part does not sink the day.',
    options: [option('places', 'places added up, fewest first'), option('index', 'mean index, highest first'), option('lead', 'the first part decides')],
  },
  warmUp: {
    question: 'Warm-up',
    why: 'Short rounds wake every joint in five minutes.',
    options: [
      option('rounds', 'short rounds'),
      option('miniature', 'the workout in miniature, then 5:00 off'),
      option('pump', 'pump and few drills, then 8–10 min off'),
      option('own', 'own ritual'),
    ],
  },
} as const satisfies Record<string, RuleSpec>;

export type RuleKey = keyof typeof ruleSpecs;
export type HouseRules = { readonly [Key in RuleKey]: (typeof ruleSpecs)[Key]['options'][number]['value'] };

/** The first option of each rule is its default. */
export const defaultRules = Object.fromEntries(Object.entries(ruleSpecs).map(([key, spec]) => [key, spec.options[0].value])) as HouseRules;

export interface RuleProblem {
  readonly key: string;
  readonly message: string;
}

/** Plain values → rules; what is missing keeps its default, what is unknown is said and left out. */
export function readRules(raw: unknown): { rules: HouseRules; problems: RuleProblem[] } {
  const problems: RuleProblem[] = [];
  const chosen: Record<string, string> = {};
  for (const [key, value] of Object.entries(typeof raw === 'object' && raw !== null ? raw : {})) {
    const spec = (ruleSpecs as Record<string, RuleSpec>)[key];
    if (key === 'tiers') continue;
    if (!spec) problems.push({ key, message: `“${key}” is no house rule; expected ${Object.keys(ruleSpecs).join(', ')}.` });
    else if (!spec.options.some((each) => each.value === value))
      problems.push({ key, message: `“${String(value)}” is no school of “${spec.question}”; expected ${spec.options.map((each) => each.value).join(', ')}.` });
    else chosen[key] = value as string;
  }
  return { rules: { ...defaultRules, ...chosen } as HouseRules, problems };
}

export function ruleLabel(key: RuleKey, value: string): string {
  const spec: RuleSpec = ruleSpecs[key];
  return `${spec.question.toLowerCase()}: ${spec.options.find((each) => each.value === value)?.label ?? value}`;
}
