/** What a kit may hold, by the words for it, and what each makes of the figures beside it. Usual figures are the trade's (common practice). */
import type { Category } from '../workout/workout';
import type { Amounts, AmountKind } from './amounts';
import type { FurnitureItem, KitItem, PlainItem } from './kit';

export interface Made {
  readonly items: readonly KitItem[];
  /** what was taken for granted, in words */
  readonly assumed: readonly string[];
  /** no figure where one is needed */
  readonly missing: boolean;
}
interface Around {
  /** the whole piece, lower case */
  readonly text: string;
  readonly category: Category | null;
}
export interface Family {
  readonly id: string;
  readonly words: readonly (readonly string[])[];
  /** what is quoted when the figures do not do */
  readonly expected: string;
  /** the kinds of figures it makes something of */
  readonly takes: readonly AmountKind[];
  /** goes on with the bar or handles before it rather than being an item of its own */
  readonly joins: boolean;
  readonly takesPlates: boolean;
  make(amounts: Amounts, around: Around): Made;
}

const made = (items: readonly KitItem[], assumed: readonly string[] = []): Made => ({ items, assumed, missing: false });
const missing: Made = { items: [], assumed: [], missing: true };
const kilograms = (grams: number): string => `${Math.round(grams / 10) / 100} kg`;

type Weighted = 'dumbbell' | 'kettlebell' | 'sandbag' | 'can';
const isPlural = (text: string): boolean => /\b(?:dumbbells|dumbells|dbs|kettlebells|kbs|bags|sandbags|cans|jugs|bottles|canisters|balls)\b/.test(text);

/** Each mass and how many: what was said, a pair for the plural, else one. */
function weights(kind: Weighted, amounts: Amounts, { text }: Around): Made {
  if (amounts.range) return setOf(kind, amounts);
  if (amounts.masses.length === 0) return missing;
  const listed = amounts.masses.length > 1;
  const usual = amounts.pairs ? 2 : (amounts.count ?? (isPlural(text) && !listed ? 2 : 1));
  const items = amounts.masses.filter(({ grams }) => grams > 0).map(({ grams, count }): KitItem => ({ kind, grams, count: count ?? usual }));
  if (items.length === 0) return missing;
  const unsaid = listed && isPlural(text) && usual === 1 && amounts.masses.every(({ count }) => count === null);
  return made(items, unsaid ? ['one of each is taken; write “pairs of” where there are two'] : []);
}

/** `5-25 kg`: a rack of pairs in steps. */
function setOf(kind: Weighted, { range, stepGrams, count }: Amounts): Made {
  const { fromGrams, toGrams } = range!;
  const step = stepGrams ?? 2500;
  if (step < 100 || fromGrams <= 0 || toGrams < fromGrams) return missing;
  const masses = Array.from({ length: Math.floor((toGrams - fromGrams) / step + 1e-9) + 1 }, (_, at) => fromGrams + at * step);
  if (masses.length > 100) return missing;
  const each = count ?? 2;
  const items = masses.map((grams): KitItem => ({ kind, grams, count: each }));
  return made(items, stepGrams === null ? [`a set is taken as ${each === 2 ? 'pairs' : 'single ones'} in steps of ${kilograms(step)}`] : []);
}

function adjustable(amounts: Amounts, { text }: Around): Made {
  const [lone] = amounts.masses;
  const range = amounts.range ?? (lone ? { fromGrams: Math.min(2000, lone.grams), toGrams: lone.grams } : null);
  const step = amounts.stepGrams ?? 2000;
  if (!range || step < 100 || range.fromGrams <= 0 || range.toGrams < range.fromGrams || (range.toGrams - range.fromGrams) / step > 100) return missing;
  const count = amounts.count ?? lone?.count ?? (amounts.pairs || isPlural(text) ? 2 : 1);
  const assumed = [
    ...(amounts.range ? [] : [`taken as ${kilograms(range.fromGrams)} up to ${kilograms(range.toGrams)}`]),
    ...(amounts.stepGrams === null ? [`in steps of ${kilograms(step)}`] : []),
  ];
  return made([{ kind: 'adjustable', ...range, stepGrams: step, count }], assumed);
}

type Plates = { grams: number; pieces: number }[];
/** Heavier than any plate: a total. */
const heaviestPlate = 26000;
const usualPlates: Plates = [20000, 10000, 5000, 2500, 1250].map((grams) => ({ grams, pieces: 2 }));

/** Plates up to a total, pairs of the usual ones from the heaviest down. */
function platesUpTo(totalGrams: number): Plates {
  let left = totalGrams;
  return [20000, 15000, 10000, 5000, 2500, 1250].flatMap((grams) => {
    if (2 * grams > left) return [];
    left -= 2 * grams;
    return [{ grams, pieces: 2 }];
  });
}
function platesOf(masses: Amounts['masses'], pairs: boolean): Plates {
  const byMass = new Map<number, number>();
  for (const { grams, count } of masses) if (grams > 0) byMass.set(grams, (byMass.get(grams) ?? 0) + (count ?? 1) * (pairs ? 2 : 1));
  return [...byMass].map(([grams, pieces]) => ({ grams, pieces })).sort((a, b) => b.grams - a.grams);
}

const barWord = /\b(?:barbell|bar)\b/;
/** The bar's own mass is the first one before the word "plates" that carries no count; the rest are plates. */
function barbell(amounts: Amounts, { text, category }: Around): Made {
  const assumed: string[] = [];
  const platesAt = text.search(/\b(?:plates?|bumpers?|discs?)\b/);
  const ofBar = barMass(amounts, text, platesAt);
  const usual = category === 'women' ? 15000 : 20000;
  if (ofBar === null) assumed.push(`the bar is taken as ${kilograms(usual)}`);
  const rest = amounts.masses.filter((mass) => mass !== ofBar);
  const collar = /\bcollars?\b/.test(text) ? (rest.pop() ?? null) : null;
  const total = rest.length === 1 && rest[0]!.grams > heaviestPlate && rest[0]!.count === null ? rest[0]!.grams : null;
  const plates = total !== null ? platesUpTo(total) : rest.length > 0 ? platesOf(rest, amounts.pairs) : platesAt >= 0 ? usualPlates : [];
  if (total !== null) assumed.push(`${kilograms(total)} of plates are taken as usual pairs: ${plates.map(({ grams }) => `2x${grams / 1000}`).join(' ')} kg`);
  else if (platesAt >= 0 && rest.length === 0) assumed.push('plates without a list are taken as the usual set: 2x20 2x10 2x5 2x2.5 2x1.25 kg');
  return made([{ kind: 'barbell', barGrams: ofBar?.grams ?? usual, collarGrams: collar?.grams ?? 0, plates }], assumed);
}
function barMass(amounts: Amounts, text: string, platesAt: number): Amounts['masses'][number] | null {
  const [first] = amounts.masses;
  if (!first || first.count !== null || first.grams > heaviestPlate) return null;
  if (platesAt < 0) return first;
  // a mass said before the bar's word or between it and "plates" is the bar's, unless "plates" stands right behind it
  const before = text.slice(0, platesAt);
  const figure =
    /\d[\d.,]*\s*(?:kg|kilos?|lbs?|pounds?)?\s*(?:bumper|olympic|steel|rubber|cast|iron)?\s*$/.test(before) &&
    (before.match(/\d[\d.,]*\s*(?:x\s*\d)?/g) ?? []).length === 1;
  return barWord.test(before) && !figure && /\d/.test(before) ? first : null;
}

function handles(amounts: Amounts): Made {
  const [handle, ...rest] = amounts.masses;
  const plates = platesOf(rest, amounts.pairs);
  if (!handle || plates.length === 0) return missing;
  return made([{ kind: 'handles', handleGrams: handle.grams, count: handle.count ?? amounts.count ?? 1, plates }]);
}

function loosePlates(amounts: Amounts): Made {
  if (amounts.masses.length === 0)
    return made(
      usualPlates.map(({ grams, pieces }): KitItem => ({ kind: 'plate', grams, count: pieces })),
      ['plates without a list are taken as the usual set: 2x20 2x10 2x5 2x2.5 2x1.25 kg'],
    );
  return made(
    platesOf(
      amounts.masses.map((mass) => ({ ...mass, count: mass.count ?? amounts.count })),
      amounts.pairs,
    ).map(({ grams, pieces }): KitItem => ({ kind: 'plate', grams, count: pieces })),
  );
}

const bandRanges: readonly [RegExp, number, number][] = [
  [/light|thin|small/, 5000, 15000],
  [/heavy|thick|strong|large/, 25000, 50000],
  [/./, 15000, 30000],
];
function band(amounts: Amounts, { text }: Around): Made {
  const told = bandRanges.slice(0, 2).filter(([pattern]) => pattern.test(text));
  const middle = /medium|middle/.test(text) || told.length === 0 ? [bandRanges[2]!] : [];
  const one = told.length + middle.length === 1;
  return made(
    [...told, ...middle].map(([pattern, low, high]): KitItem => {
      const word = pattern.exec(text)?.[0] ?? '';
      return {
        kind: 'band',
        name: one ? text.trim() : `band ${word.length > 1 ? word : 'medium'}`,
        lowGrams: amounts.range?.fromGrams ?? low,
        highGrams: amounts.range?.toGrams ?? high,
      };
    }),
  );
}

/** A box of three sides stands three ways up. */
function furniture(kind: FurnitureItem['kind'], usualCm: number): Family['make'] {
  return (amounts, { text }) => {
    const heights = [...amounts.lengthsCm, ...(/\bm\b/.test(text) ? amounts.metres.map((metres) => Math.round(metres * 100)) : [])];
    const bare = heights.length === 0 && amounts.count !== null && amounts.count >= 20 ? [amounts.count] : [];
    const count = amounts.count !== null && amounts.count < 20 ? amounts.count : 1;
    const each = heights.length > 0 ? heights : bare.length > 0 ? bare : [usualCm];
    const items = each.filter((heightCm) => heightCm > 0).map((heightCm): KitItem => ({ kind, heightCm, count }));
    return items.length > 0 ? made(items, heights.length > 0 ? [] : bare.length > 0 ? [`${bare[0]} is taken as centimetres`] : []) : missing;
  };
}
function route(amounts: Amounts): Made {
  const metres = [...amounts.metres];
  return made([{ kind: 'route', metres }]);
}
/** m; nobody skips with a longer one */
const longestSkippingRope = 3.5;
const ropeOf: Family['make'] = ({ metres }) =>
  metres.some((length) => length > longestSkippingRope)
    ? made([{ kind: 'climbingRope' }], ['a rope of that length is taken as one to climb'])
    : made([{ kind: 'rope' }]);
const plain =
  (kind: PlainItem['kind']): Family['make'] =>
  () =>
    made([{ kind }]);

type Spec = [
  id: string,
  words: readonly (readonly string[])[],
  expected: string,
  takes: readonly AmountKind[],
  make: Family['make'],
  more?: Partial<Pick<Family, 'joins' | 'takesPlates'>>,
];
const masses: readonly AmountKind[] = ['mass', 'count', 'step'];
const heights: readonly AmountKind[] = ['length', 'count', 'distance'];
const any: readonly AmountKind[] = ['mass', 'length', 'distance', 'count', 'seconds', 'step'];
const none: readonly AmountKind[] = ['count', 'length', 'mass', 'distance'];

const specs: readonly Spec[] = [
  [
    'handles',
    [
      ['dumbbell', 'handle|handles'],
      ['dumbbell|dumbbells', 'with?', 'plates'],
    ],
    '“dumbbell handle 2 kg x 2, plates 8x1.25 4x2.5 kg”',
    masses,
    handles,
    { takesPlates: true },
  ],
  [
    'adjustable',
    [
      ['adjustable', 'dumbbell|dumbbells|db|dbs'],
      ['dumbbell|dumbbells|db|dbs', 'adjustable'],
    ],
    'a range and a step, such as “adjustable dumbbell 4-20 kg step 2 x 2”',
    masses,
    adjustable,
    { takesPlates: true },
  ],
  [
    'dumbbell',
    [['dumbbell|dumbbells|dumbell|dumbells|db|dbs'], ['dumbbell|dumbbells|db|dbs', 'set|rack']],
    'a mass, such as “dumbbell 15 kg” or “2x15 kg dumbbells”',
    masses,
    (amounts, around) => weights('dumbbell', amounts, around),
  ],
  [
    'barbell',
    [
      ['barbell|barbells'],
      ['olympic|long|straight|training|technique|weightlifting', 'bar|barbell'],
      ['bar', 'with|and', 'plates|bumpers|bumper'],
      ['empty', 'bar'],
    ],
    'a bar and its plates, such as “barbell 20 kg, plates 4x10 2x5 kg”',
    masses,
    barbell,
    { takesPlates: true },
  ],
  [
    'kettlebell',
    [['kettlebell|kettlebells|kb|kbs']],
    'a mass, such as “kettlebell 16 kg”',
    masses,
    (amounts, around) => weights('kettlebell', amounts, around),
  ],
  [
    'sandbag',
    [['sandbag|sandbags|bag|bags'], ['sand', 'bag|bags'], ['duffel', 'bag|bags']],
    'a mass, such as “sandbag 20 kg”',
    masses,
    (amounts, around) => weights('sandbag', amounts, around),
  ],
  [
    'ball',
    [['medicine|med|wall|slam', 'ball|balls'], ['wallball|wallballs']],
    'a mass, such as “medicine ball 6 kg”',
    masses,
    (amounts, around) => {
      const balls = weights('sandbag', amounts, around);
      return balls.missing ? balls : { ...balls, assumed: [...balls.assumed, 'used as a small bag'] };
    },
  ],
  [
    'backpack',
    [['backpack|rucksack|pack']],
    'a mass it can hold, such as “backpack up to 15 kg”',
    masses,
    (amounts) => {
      const [mass] = amounts.masses;
      return made([{ kind: 'backpack', toGrams: mass?.grams ?? amounts.range?.toGrams ?? 15000 }], mass || amounts.range ? [] : ['it is taken to hold 15 kg']);
    },
  ],
  [
    'can',
    [['water|jerry', 'can|cans|jug|jugs|bottle|bottles'], ['canister|canisters|jug|jugs|can|cans']],
    'what it holds, such as “water can 10 l x 2”',
    masses,
    (amounts, around) => weights('can', amounts, around),
  ],
  [
    'vest',
    [['vest'], ['weight|weighted', 'vest']],
    'a mass, such as “vest 9 kg”',
    masses,
    ({ masses: [mass] }) => (mass ? made([{ kind: 'vest', grams: mass.grams }]) : missing),
  ],
  ['band', [['band|bands'], ['resistance', 'band|bands']], 'light, medium or heavy, or a range such as “band 10-25 kg”', any, band],
  [
    'plates',
    [['plate|plates'], ['bumper|bumpers', 'plate|plates?'], ['weight', 'plate|plates'], ['disc|discs']],
    'plates and how many, such as “plates 2x10 2x5 kg”',
    masses,
    loosePlates,
    { joins: true },
  ],
  ['collars', [['collar|collars|clip|clips']], 'collars, such as “collars 0.5 kg”', masses, () => made([]), { joins: true }],
  [
    'route',
    [['run|running', 'route|loop|track|path'], ['route|road|path|track|loop|street|trail'], ['park'], ['outdoor|outside', 'run|running|space?']],
    'a route and its points, such as “run route 200 m, 800 m”',
    ['distance', 'count'],
    route,
  ],
  ['treadmill', [['treadmill']], '“treadmill”', none, () => made([{ kind: 'route', metres: [] }], ['a treadmill is taken as a run of any length'])],
  ['row', [['row|rower|rowing'], ['rowing', 'machine'], ['row|rowing', 'erg']], '“rowing machine”', none, plain('row')],
  ['ski', [['ski|skiing', 'machine|trainer|erg']], '“ski machine”', none, plain('ski')],
  ['airBike', [['air|fan', 'bike']], '“air bike”', none, plain('airBike')],
  ['bike', [['bike|bicycle|cycle'], ['stationary|spin|exercise', 'bike']], '“bike”', none, plain('bike')],
  [
    'bar',
    [['pull', 'up', 'bar'], ['pullup', 'bar'], ['chin', 'up', 'bar'], ['door|doorway|hanging', 'bar'], ['bar', 'to', 'hang'], ['beam'], ['rig']],
    '“pull-up bar”',
    none,
    plain('bar'),
  ],
  ['rack', [['squat|power|half|full', 'rack|cage|stand|stands'], ['rack|stands']], '“squat rack”', none, plain('rack')],
  [
    'lowBar',
    [
      ['low', 'bar'],
      ['bar', 'in', 'a?', 'rack'],
    ],
    '“low bar”',
    none,
    plain('lowBar'),
  ],
  ['dipBar', [['dip|parallel', 'bar|bars|station|stand'], ['dips', 'bar|bars|station'], ['parallettes|parallette']], '“dip bars”', none, plain('dipBar')],
  ['rings', [['ring|rings'], ['gymnastic', 'rings'], ['suspension', 'trainer|straps?'], ['suspension']], '“rings”', none, plain('rings')],
  [
    'climbingRope',
    [
      ['climbing', 'rope'],
      ['rope', 'to', 'climb'],
    ],
    '“climbing rope”',
    none,
    plain('climbingRope'),
  ],
  ['rope', [['rope'], ['skipping|jump|speed', 'rope']], '“rope”', none, ropeOf],
  ['box', [['box|crate'], ['plyo', 'box'], ['jump', 'box']], 'a height, such as “box 50 cm”', heights, furniture('box', 50)],
  ['table', [['table|workbench|desk']], 'a height, such as “table 75 cm”', heights, furniture('table', 75)],
  ['chair', [['chair|chairs|stool|stools']], 'a height, such as “chair 45 cm x 2”', heights, furniture('chair', 45)],
  ['stairs', [['stair|stairs|step|steps|staircase']], 'the height of a step, such as “stairs 18 cm”', heights, furniture('stairs', 18)],
  ['bench', [['bench'], ['flat|incline|weight', 'bench']], 'a height, such as “bench 45 cm”', heights, furniture('bench', 45)],
  ['couch', [['couch|sofa|bunk|bed']], 'a height, such as “couch 42 cm”', heights, furniture('couch', 42)],
  ['wall', [['wall|walls']], '“wall”', none, plain('wall')],
  ['anchor', [['anchor|rail|post|railing']], '“anchor”', none, plain('anchor')],
  ['stick', [['stick|broom|broomstick'], ['pvc', 'pipe?']], '“stick”', none, plain('stick')],
  ['mat', [['mat|mats'], ['yoga|exercise', 'mat']], '“mat”', none, plain('mat')],
  ['towel', [['towel|towels']], '“towel”', none, plain('towel')],
  ['sliders', [['slider|sliders'], ['sliding', 'discs']], '“sliders”', none, plain('sliders')],
  ['sled', [['sled'], ['push|drag', 'sled']], '“sled”', none, plain('sled')],
  ['none', [['none|nothing'], ['no', 'kit|equipment'], ['bodyweight', 'only?'], ['body', 'weight', 'only?']], '“none”', none, () => made([])],
];

export const families: readonly Family[] = specs.map(([id, words, expected, takes, make, more]) => ({
  id,
  words,
  expected,
  takes,
  make: withAnchor(make),
  joins: more?.joins ?? false,
  takesPlates: more?.takesPlates ?? false,
}));

/** `couch to anchor`: the feet can be held there, too. */
function withAnchor(make: Family['make']): Family['make'] {
  return (amounts, around) => {
    const own = make(amounts, around);
    return /\bto anchor\b/.test(around.text) ? { ...own, items: [...own.items, { kind: 'anchor' }] } : own;
  };
}
