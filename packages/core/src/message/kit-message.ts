/**
 * What an athlete says of their things, in sentences → kit lines. Things are found by their names; counts and masses stand before or after them; what is denied, broken, lent, sold or not yet there is not there,
 * and is told. For language; a kit line as people type it is read by the kit reader itself.
 */
import { normalLines } from './normalise';

interface Thing {
  readonly pattern: RegExp;
  readonly name: string;
  /** what it is told by: a mass, a height, a length; null: it is there or not */
  readonly by: 'mass' | 'height' | 'route' | null;
  /** several of it differ from one */
  readonly counted: boolean;
}
const thing = (source: string, name: string, by: Thing['by'] = null, counted = false): Thing => ({
  pattern: new RegExp(`(?<![\\p{L}\\d-])(?:${source})(?![\\p{L}-])`, 'gu'),
  name,
  by,
  counted,
});

/** names of things (common practice, from memory); the longer ones first where one holds another */
const things: readonly Thing[] = [
  thing(
    String.raw`(?:pull|chin)[- ]?ups? bar|doorway bar|door bar|bars? for (?:pull|chin)[- ]?ups?|something to hang (?:on|from)|(?:pull|chin)[- ]?up rig`,
    'pull-up bar',
  ),
  thing(String.raw`climb(?:ing)? ropes?|rope climb`, 'climbing rope'),
  thing(String.raw`(?:skipping|jump|speed) ropes?|ropes?`, 'rope'),
  thing(String.raw`(?:squat|sq|power|half) racks?|racks?`, 'squat rack'),
  thing(String.raw`(?:medicine|med|wall) ?balls?|mbs?`, 'medicine ball', 'mass', true),
  thing(String.raw`(?:olympic|oly|womens?|women's|men's|mens|straight|training) bars?|barbells?|bars?`, 'barbell', 'mass', true),
  thing(String.raw`plates?|discs?|bumpers?(?: plates?)?|weights discs`, 'plates', 'mass', true),
  thing(String.raw`(?:hex )?(?:dumb ?bells?|dumbells?|dbs?)(?: hex)?`, 'dumbbell', 'mass', true),
  thing(String.raw`kettle ?bells?|kbs?|bells?`, 'kettlebell', 'mass', true),
  thing(String.raw`sand ?bags?|sbs?`, 'sandbag', 'mass', true),
  thing(String.raw`(?:weight )?vests?`, 'vest', 'mass'),
  thing(String.raw`backpacks?|rucks?(?:acks?)?`, 'backpack up to', 'mass'),
  thing(String.raw`suitcases?`, 'suitcase', 'mass'),
  thing(String.raw`(?:plyo |wooden |wood |soft )?box(?:es)?`, 'box', 'height', true),
  thing(String.raw`(?:stable |kitchen )?chairs?`, 'chair', 'height', true),
  thing(String.raw`(?:stable |kitchen )?tables?`, 'table', 'height'),
  thing(String.raw`(?:flat )?bench(?:es)?`, 'bench'),
  thing(String.raw`rowers?|rowing machines?|row ergs?`, 'rowing machine'),
  thing(String.raw`(?:fan|air|exercise|spin|assault style) ?bikes?|bikes?`, 'bike'),
  thing(String.raw`treadmills?`, 'treadmill'),
  thing(String.raw`ski (?:machine|erg)s?|skis?`, 'ski machine'),
  thing(String.raw`(?:gym(?:nastics?)? )?rings`, 'rings'),
  thing(String.raw`sleds?`, 'sled'),
  thing(String.raw`(?:yoga |gymnastic |exercise )?mats?`, 'mat'),
  thing(String.raw`(?:elastic |resistance )?bands?`, 'band'),
  thing(String.raw`(?:free )?walls?`, 'wall'),
  thing(String.raw`stairs?|staircase`, 'stairs'),
  thing(String.raw`towels?`, 'towel'),
  thing(String.raw`ab wheels?`, 'ab wheel'),
  thing(String.raw`parallettes?`, 'parallettes'),
  thing(String.raw`couch|sofa`, 'couch'),
  thing(String.raw`loops?|round way|run(?:ning)? (?:route|loop)|out (?:&|and) back`, 'run route', 'route'),
];

interface Found {
  readonly thing: Thing;
  readonly from: number;
  readonly to: number;
}
/** Things of a clause in the order they stand; where two names overlap, the longer. */
function thingsIn(clause: string): Found[] {
  const all = things.flatMap((each) =>
    [...clause.matchAll(each.pattern)].map((match) => ({ thing: each, from: match.index, to: match.index + match[0].length })),
  );
  const longest = all.filter(
    (each) => !all.some((other) => other !== each && other.from <= each.from && other.to >= each.to && other.to - other.from > each.to - each.from),
  );
  return longest.filter((each, at) => longest.findIndex(({ from }) => from === each.from) === at).sort((a, b) => a.from - b.from);
}

const deniedBefore =
  /(?:\b(?:no|not|never|without|neither|nor|zero|forget|lost|sold|had|isn'?t|ain'?t|hasn'?t|waiting (?:on|for)|do not (?:have|possess|own)|don'?t (?:have|own)|dont (?:have|own)|have not|haven'?t|havent|need|want|any)\b)[^,;]*$/;
const deniedAfter =
  /^[^,;]*?(?:\b(?:broken|broke|is out|out of order|lent|loaned|on order|sold|missing|at work|has a hole|does not exist|doesn'?t exist|is not|isn'?t|not stable|not there|i do not have|i don'?t have|i cannot|cannot|can'?t|can not|closed|no longer|not (?:here|available|usable))\b|: ?no\b|= ?no\b|✘|✗|❌| no$)/;
const thereAfter = /^[^,;]*?(?:✔|✓|: ?yes\b| yes\b|\bis (?:fine|available|there|ok)\b|works?\b)/;

const N = String.raw`\d+(?:\.\d+)?`;
interface Mass {
  readonly value: number;
  /** how many of it; null: not told */
  readonly count: number | null;
  /** null: none stands beside it */
  readonly unit: 'kg' | 'lb' | null;
}
/** `2 x 20 kg`, `2 pairs of 5 kg`, `1 22.5`, `16 kg x 2`, `20s`: the first form that fits */
const amount = new RegExp(
  [
    String.raw`(?<times>\d+) ?x ?(?<each>${N})(?: ?(?<u1>kg|lb|pood))?`,
    String.raw`(?<pieces>\d+) (?<what>pairs?|pieces?|pcs?)(?: of)? (?<of>${N})(?: ?(?<u2>kg|lb|pood))?`,
    String.raw`(?<few>\d{1,2}) (?:hex |x )?(?<heavy>${N})(?: ?(?<u3>kg|lb|pood)|s\b)`,
    String.raw`(?<some>\d{1,2}) (?<bare>\d{2,}(?:\.\d+)?)(?=\s*$)`,
    String.raw`(?<one>${N})(?: ?(?<u4>kg|lb|pood)| ?s\b)?(?: ?x ?(?<after>\d{1,2})\b)?`,
  ].join('|'),
  'g',
);
function massOf(groups: Readonly<Record<string, string | undefined>>): Mass {
  const unit = groups['u1'] ?? groups['u2'] ?? groups['u3'] ?? groups['u4'];
  const by = unit === 'pood' ? 16 : 1;
  const made = (value: string, count: number | null): Mass => ({
    value: Number(value) * by,
    count,
    unit: unit === undefined ? null : unit === 'lb' ? 'lb' : 'kg',
  });
  if (groups['times'] !== undefined) {
    // `25x2` of a board: two of twenty-five
    const [a, b] = [Number(groups['times']), Number(groups['each'])];
    return a >= 5 && b <= 4 && Number.isInteger(b) ? made(groups['times'], b) : made(groups['each']!, a);
  }
  if (groups['pieces'] !== undefined) return made(groups['of']!, Number(groups['pieces']) * (groups['what']!.startsWith('pair') ? 2 : 1));
  if (groups['some'] !== undefined) return made(groups['bare']!, Number(groups['some']));
  if (groups['few'] !== undefined) return made(groups['heavy']!, Number(groups['few']));
  return made(groups['one']!, groups['after'] === undefined ? null : Number(groups['after']));
}
/** `one pair each` says how many, and is no mass */
const massesIn = (text: string): Mass[] => [...text.replace(/\d+ pairs? each/g, '').matchAll(amount)].map(({ groups = {} }) => massOf(groups));

const unitIn = (text: string): 'kg' | 'lb' => (/\blb\b|#/.test(text) && !/\bkg\b/.test(text) ? 'lb' : 'kg');

/** `10-50 lb in 5 s`: every step of a set. */
const range = new RegExp(String.raw`(${N}) ?(?:kg|lb)?(?: ?(?:-|to|up to) ?)(${N}) ?(?:kg|lb)?[^,;]{0,24}?(?:in|by|steps? of|going up in|each) (${N})`);

interface Stated {
  /** all words between the name before and this one */
  readonly lead: string;
  /** straight before the name: its own count and mass */
  readonly before: string;
  /** up to what belongs to the next name */
  readonly after: string;
}
/** What of the words before a name is its own: a count, a mass. @returns where it begins */
const ownWords = new RegExp(
  String.raw`(?:(?:\d+ ?(?:x|pairs? of|pieces? of|pcs? of)? ?)?(?:${N} ?(?:kg|lb|pood)?)?|\d+ (?:light |heavy )?pairs? of|a (?:light |heavy )?pair of|pairs? of) ?(?:hex |flat |olympic |wooden |light |heavy )?$`,
);
const ownFrom = (words: string): number => ownWords.exec(words)?.index ?? words.length;

/** Masses of one name, and how many of each. A figure alone before or after it is a count. */
function massesOf({ before, after }: Stated): Mass[] {
  const isPair = /\bpairs?\b|\bpr\b/.test(`${before} ${after.slice(0, 40)}`);
  const [own, told] = [massesIn(before), massesIn(after)];
  const counts = (mass: Mass): boolean => mass.unit === null && mass.count === null && Number.isInteger(mass.value) && mass.value <= 12;
  // `2 dumbbells of 10 kg`: the figure before is how many
  const isCounted = own.length === 1 && counts(own[0]!) && told.some(({ unit, value }) => unit !== null || value >= 1);
  const many = isCounted ? own[0]!.value : null;
  // `kettlebell 53 lb - 2`, `dumbbells 35 lb (2)`, `20, 30, 45 - 1 each`
  const last = told.at(-1);
  const afterwards = last && counts(last) && /(?:-|\(|x) ?\d+\s*(?:ea|each|pcs?|pc|pairs? each)?\)?(?:[\s+,&]|\ban?\b)*$/.test(after) ? last.value : null;
  const rest = afterwards === null ? told : told.slice(0, -1);
  const beside = rest.filter(({ unit, count }) => unit !== null && count !== null);
  const masses = own.length > 0 && !isCounted ? [...own, ...beside] : rest;
  return masses.map((mass) => ({ ...mass, count: mass.count ?? many ?? afterwards ?? (isPair ? 2 : null) }));
}

/** A bar has one mass; more of them, with counts, are its plates. */
function barLines(masses: readonly Mass[], otherwise: string): string[] {
  const unit = masses.find((mass) => mass.unit !== null)?.unit ?? otherwise;
  const bars = masses.filter(({ value, count, unit: own }, at) => at === 0 || (own !== null && (count ?? 1) === 1 && value >= 5 && value <= 25));
  const plates = masses.filter((mass) => !bars.includes(mass));
  return [...bars.map(({ value }) => `barbell ${clean(value)} ${unit}`), ...plates.map(({ value, count }) => `plates ${clean(value)} ${unit} x ${count ?? 2}`)];
}
const clean = (value: number): string => String(Number(value.toFixed(2)));

function linesOf({ thing: { name, by, counted } }: Found, stated: Stated, { clause, unit: usual }: { clause: string; unit: 'kg' | 'lb' }): string[] {
  const around = `${stated.lead.slice(-30)} ${stated.after}`;
  if (by === null) {
    if (name !== 'band') return [name];
    const kinds = ['light', 'medium', 'heavy'].filter((kind) => around.includes(kind));
    return kinds.length === 0 ? ['band'] : kinds.map((kind) => `band ${kind}`);
  }
  if (by === 'route') {
    const metres = new RegExp(String.raw`(${N}) ?m\b`).exec(around)?.[1];
    return metres === undefined ? [] : [`run route ${metres} m`];
  }
  if (by === 'height') {
    const heights = [...around.matchAll(/\d+(?:\.\d+)?(?= ?(?:cm|in\b|")?)/g)]
      .map(([figure]) => Number(figure))
      .filter((figure) => figure >= 10 && figure <= 120);
    const unit = /"|\bin\b/.test(around) ? 'in' : 'cm';
    return heights.length === 0 ? [name] : heights.map((height) => `${name} ${height} ${unit}`);
  }
  const unit = /\b(?:kg|lb)\b/.test(clause) ? unitIn(clause) : usual;
  const steps = range.exec(around);
  if (steps && name === 'dumbbell') {
    const [low, high, step] = [Number(steps[1]), Number(steps[2]), Number(steps[3])];
    return [`dumbbell ${low}-${high} ${unit} in ${step} steps${/pair/.test(around) ? ' x 2' : ''}`];
  }
  const masses = name === 'plates' && /\d ?x ?\d/.test(stated.after) ? massesIn(stated.after) : massesOf(stated);
  if (masses.length === 0) return counted && name !== 'barbell' && name !== 'medicine ball' ? [] : [name];
  if (name === 'barbell')
    return barLines(
      [
        ...massesIn(stated.before)
          .filter(({ unit: own, value }) => own !== null || value >= 5)
          .slice(-1),
        ...massesIn(stated.after),
      ],
      unit,
    );
  return masses.map(({ value, count, unit: own }) => `${name} ${clean(value)} ${own ?? unit}${counted && count !== null && count > 1 ? ` x ${count}` : ''}`);
}

/** Plates go with the bar that was named before them. */
function withPlates(lines: readonly string[]): string[] {
  const plates = lines.filter((line) => line.startsWith('plates '));
  const others = lines.filter((line) => !line.startsWith('plates'));
  const bar = others.findIndex((line) => line.startsWith('barbell'));
  if (plates.length === 0 || bar === -1) return others;
  const unit = /lb/.test(plates[0]!) ? 'lb' : 'kg';
  const told = plates.map((line) => {
    const found = /plates (\S+) \w+(?: x (\d+))?/.exec(line)!;
    return `${found[2] ?? 2}x${found[1]}`;
  });
  return others.map((line, at) => (at === bar ? `${line.replace(/ x \d+$/, '')}, plates ${told.join(' ')} ${unit}` : line));
}

export interface KitMessage {
  readonly lines: readonly string[];
  /** named, and not there */
  readonly not: readonly string[];
}

/** @param text one kit line, or sentences about what is there */
export function readKitMessage(text: string): KitMessage {
  const lines: string[] = [];
  const not: string[] = [];
  const unitOfText = unitIn(text.toLowerCase());
  let named: Thing | null = null;
  for (const clause of clausesOf(text)) {
    const found = thingsIn(clause);
    // `meanwhile only the 12.5s`, `the one of 9 kg has a hole`: of what was named before
    if (found.length === 0 && named?.by === 'mass') {
      const gone = /\bhas a hole\b|\bbroken\b|\blent\b|\bsold\b|\bmissing\b|\bgone\b/.test(clause);
      const said = massesIn(clause).filter(({ unit }) => unit !== null || /\d ?s\b/.test(clause));
      const lineOf = ({ value, unit }: Mass): string => `${named!.name} ${clean(value)} ${unit ?? unitOfText}`;
      if (gone) for (const mass of said) lines.splice(0, lines.length, ...lines.filter((line) => !line.startsWith(lineOf(mass))));
      else lines.push(...said.map((mass) => `${lineOf(mass)} x ${mass.count ?? 2}`));
    }
    for (const [at, each] of found.entries()) {
      const [before, next] = [found[at - 1]?.to ?? 0, found[at + 1]];
      const lead = clause.slice(before, each.from);
      const reach = next === undefined ? clause.length : each.to + ownFrom(clause.slice(each.to, next.from));
      if (isDenied(clause, each, before, next?.from ?? clause.length)) not.push(each.thing.name);
      else lines.push(...linesOf(each, { lead, before: lead.slice(ownFrom(lead)), after: clause.slice(each.to, reach) }, { clause, unit: unitOfText }));
      named = each.thing;
    }
  }
  return { lines: withPlates([...new Set(lines)]).filter((line) => !not.includes(line)), not: [...new Set(not)] };
}

/** Sentences, and what parts them: a full stop, `but`, `except`; a decimal mark does not. */
function clausesOf(text: string): string[] {
  // where a comma and a space part a list, a comma without one is a decimal mark
  const decimals = /\d, /.test(text) ? text.replace(/(\d),(\d)/g, '$1.$2') : text;
  return normalLines(decimals.slice(0, 4_000))
    .join(' . ')
    .replace(/\btens\b/g, '10s')
    .replace(/\bfives\b/g, '5s')
    .replace(/\bfifteens\b/g, '15s')
    .replace(/\btwenties\b/g, '20s')
    .replace(/(\d)\.(\d)/g, '$1\u0002$2')
    .split(/[.!?;]|\bbut\b|\bbefore\b(?= i)|\bexcept\b|\bmeanwhile\b|\bnow\b/)
    .map((clause) => clause.replaceAll('\u0002', '.'));
}

function isDenied(clause: string, { from, to }: Found, before: number, next: number): boolean {
  const comma = clause.lastIndexOf(',', from);
  const lead = clause.slice(Math.max(comma + 1, before), from);
  const whole = clause.slice(comma + 1, from);
  const tail = clause.slice(to, next);
  // `chairs without wheels and stairs`: what follows `and` is there
  const own = lead.includes('without') ? lead.slice(lead.lastIndexOf(' and ') + 1) : lead;
  const saidNo =
    (deniedBefore.test(own) || (deniedBefore.test(whole) && !/\band\b|\bonly\b/.test(lead) && !whole.includes('without'))) && !/\bonly\b/.test(lead);
  return (saidNo && !thereAfter.test(tail)) || deniedAfter.test(tail);
}
