/** A message in one spelling: signs, number words and units as the rest of the reader expects them. Lower case, one statement a line at most; what was typed is kept beside it by who asks. */
import { remembered } from '../text/remembered';

const signs: readonly (readonly [RegExp, string])[] = [
  [/[‘’´`]/g, "'"],
  [/[“”„″]/g, '"'],
  [/′/g, "'"],
  [/''/g, '"'],
  [/[–—−‒]/g, '-'],
  [/[×✕✖]/g, 'x'],
  [/⁄/g, '/'],
  [/…/g, '...'],
  [/[\u00a0\u2009\u202f]/g, ' '],
  // keycaps are labels; other pictures part what stands beside them
  [/([0-9])\uFE0F?\u20E3/g, ' $1. '],
  [/^\s*(?:\p{Extended_Pictographic}|\uFE0F|\u200D)+\s*/gmu, '- '],
  [/(?:→|⇒|->|=>|➜|»|>>)/g, ' ; '],
  [/(?:\p{Extended_Pictographic}|[\uFE0F\u200D]|[\u{1F3FB}-\u{1F3FF}])+/gu, ' , '],
  [/[•·▪◦]/g, ' , '],
  [/(?:\*\*|__|~~)/g, ''],
];

const units = new Map<string, number>(
  Object.entries({
    zero: 0,
    one: 1,
    two: 2,
    three: 3,
    four: 4,
    five: 5,
    six: 6,
    seven: 7,
    eight: 8,
    nine: 9,
    ten: 10,
    eleven: 11,
    twelve: 12,
    thirteen: 13,
    fourteen: 14,
    fifteen: 15,
    sixteen: 16,
    seventeen: 17,
    eighteen: 18,
    nineteen: 19,
  }),
);
const tens = new Map<string, number>(
  Object.entries({ twenty: 20, thirty: 30, forty: 40, fourty: 40, fifty: 50, sixty: 60, seventy: 70, eighty: 80, ninety: 90 }),
);

/** `twenty one fifteen nine` → 21, 15, 9: a ten takes a following unit, a hundred what comes before and after it. @returns words that were used */
function numberAt(words: readonly string[], from: number): { value: number; used: number } | null {
  let at = from;
  let value: number | null = null;
  const small = (): number | null => {
    const ten = tens.get(words[at] ?? '');
    if (ten !== undefined) {
      at++;
      const unit = units.get(words[at] ?? '');
      if (unit === undefined || unit === 0 || unit > 9) return ten;
      at++;
      return ten + unit;
    }
    const unit = units.get(words[at] ?? '');
    if (unit === undefined) return null;
    at++;
    return unit;
  };
  value = words[at] === 'a' && words[at + 1] === 'hundred' ? (at++, 1) : small();
  if (value === null) return null;
  if (words[at] === 'hundred') {
    at++;
    value *= 100;
    const before = at;
    if (words[at] === 'and') at++;
    const rest = small();
    if (rest === null) at = before;
    else value += rest;
  } else if (words[at] === 'thousand') {
    at++;
    value *= 1000;
  }
  if (words[at] === 'point') {
    const before = at++;
    const part = small();
    if (part === null) at = before;
    else value = Number(`${value}.${part}`);
  }
  return { value, used: at - from };
}

/** stands where a word was parted from its hyphen or bracket: `twenty-one`, `(two)` */
const joined = '\u0001';
/** words after which `one` is somebody or something, no figure */
const noFigure = /^(?:of|thing|s|another|else|more|go|is|who|that|thumb|and|good|bad|day|last)$/;
/** Number words as figures. */
function inFigures(line: string): string {
  const words = line
    .replace(/([([])(?=\p{L})/gu, `$1${joined} `)
    .replace(/(\p{L})-(?=\p{L})/gu, `$1-${joined} `)
    .split(' ');
  const out: string[] = [];
  for (let at = 0; at < words.length;) {
    const bare = words.map((word) => word.replace(/[-,.:;!?)\]\u0001]+$/, ''));
    const found = numberAt(bare, at);
    const isPronoun =
      found?.value === 1 &&
      found.used === 1 &&
      (noFigure.test(bare[at + 1] ?? '') || /^(?:the|this|that|no|any|every|each|long|last)$/.test(bare[at - 1] ?? ''));
    if (found === null || isPronoun) {
      out.push(words[at++]!);
      continue;
    }
    const last = words[at + found.used - 1]!;
    out.push(`${found.value}${/[-,.:;!?)\]\u0001]+$/.exec(last)?.[0] ?? ''}`);
    at += found.used;
  }
  return out.join(' ').replaceAll(`${joined} `, '').replaceAll(joined, '');
}

/** Digits that are told and count nothing: the time of day, dates. They stand in the private area of Unicode until the words are told. */
const privateDigits = 0xe000;
const noFigureOf = (found: string): string => found.replace(/\d/g, (digit) => String.fromCharCode(privateDigits + Number(digit)));
/** Words as they were typed. */
export const asTyped = (words: string): string => words.replace(/[\ue000-\ue009]/g, (digit) => String(digit.charCodeAt(0) - privateDigits));

type Plain = string | ((found: string, ...parts: string[]) => string);
const phrases: readonly (readonly [RegExp, Plain])[] = [
  // figures of talk: the weather, the time of day, dates
  [/\b\d+(?::\d\d)? ?(?:degrees?|°c?|am|pm|a\.m\.?|p\.m\.?|o'?clock)(?!\w)/g, noFigureOf],
  [/\b((?:mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun)\w*)[ ,]+\d{1,2}[/.]\d{1,2}(?:[/.]\d{2,4})?\b/g, noFigureOf],
  // `2nd: 12 snatches` of a clock with stations
  [/(?<=^|[,;.] )(\d)(?:st|nd|rd|th)(?: min(?:ute)?)? ?[:-](?= )/g, 'min $1:'],
  [/\b\d{1,2}(?:st|nd|rd|th)\b/g, noFigureOf],
  [/\b(?:week|day|phase|cycle|block) \d{1,2}\b(?! ?(?:x|kg|min|s\b))/g, noFigureOf],
  [/\bw\/(?=\s|\d|\p{L})/gu, 'with '],
  [/\bc\s*(?:&|n|and|\+)\s*j\b/g, 'clean and jerk'],
  [/(?<=clean )(?:n|&|\+)(?= ?jerk)/g, 'and'],
  [/\b(?:a m rap|am rap|amrep|amramp|amraps)\b/g, 'amrap'],
  // who works, where it is no count
  [/\b\d works?,? (?:and |while )?(?:the )?(?:\d|others?) rests?\b/g, noFigureOf],
  [/\bas many (?:rounds|reps)(?: (?:and|or) reps)?(?: as (?:you can|poss(?:ible)?|u can))(?: in| for| within)?(?= \d)/g, 'amrap'],
  [/\bas many (?:rounds|reps)(?: (?:and|or) reps)?(?: as (?:you can|poss(?:ible)?|u can))\b/g, 'amrap'],
  [/\b(?:every minute on the minute|each minute on the minute|every min(?:ute)?(?! \d)|e1m|emotm|otm|e1mom)\b/g, 'emom'],
  [/\b(\d+)\s*(?:h|hrs?|hours?)\b(?! ?(?:pu|push|release))/g, '$1 h'],
  [/\b(max)\./g, '$1'],
  [/(\d)\s*(?:minutes?|mins?|mn)\b\.?/g, '$1 min'],
  [/(\d)\s*(?:seconds?|secs?|sec)\b\.?/g, '$1 s'],
  [/\b(?:half a minute|half minute)\b/g, '30 s'],
  [/\ba (?:minute|min)(?: and)? (\d{1,2})\b/g, '1:$1'],
  [/\b(?:a|one) (?:minute|min)\b/g, '1 min'],
  [/\b(?:a|another|one more) (mile|km|k)\b/g, '1 $1'],
  [/\bhalf (?:a )?(mile|km|k)\b/g, '0.5 $1'],
  [/(\d)\s*(?:kilograms?|kilos?|kgs?)\b(?:\.(?=\s?[,;)]))?/g, '$1 kg'],
  [/(\d)\s*(?:pounds?|lbs?|#)(?!\w)/g, '$1 lb'],
  [/(\d)\s*(?:metres?|meters?|mtrs?)\b/g, '$1 m'],
  [/(\d)\s*(?:kilometres?|kilometers?|kms?)\b/g, '$1 km'],
  [/(\d)\s*k\b(?!\s*g)/g, '$1 km'],
  [/(\d)\s*(?:calories|calorie|cals)\b/g, '$1 cal'],
  [/(\d)c(?= (?:row|bike|ski|air|fan))/g, '$1 cal'],
  [/(\d)\s*(?:miles?|mi)\b/g, '$1 mile'],
  [/(\d)\s*(?:feet|foot|ft)\b(?=\s*(?:of|walk|carry|lunge|rope|handstand|hs|bear|crawl|overhead|front|x|,|\))|$)/g, '$1 foot'],
  [/(\d)\s*(?:percent|pct|per cent)\b/g, '$1%'],
  [/(\d)\s+%/g, '$1%'],
  [/(\d)\s*(?:inches\b|inch\b|in(?=\s*(?:box|step|$|[,.;)])))/g, '$1"'],
  [/\brds\b/g, 'rounds'],
  [/\b(\d+) rounds?,? each for time\b/g, '$1 sets for time'],
  [/\b(\d+)\s*(?:rd)\b/g, '$1 rounds'],
  [/(\d) ?rft\b/g, '$1 rounds for time'],
  [/\brft\b/g, 'rounds for time'],
  [/\brounds ft\b/g, 'rounds for time'],
  [/\b(?:twice)\b/g, '2 times'],
  [/\bthrice\b/g, '3 times'],
  [/\b(?:running clock|clock running)\b/g, 'clock'],
  [/^good (?:morning|evening|afternoon)(?=[!,.]| (?:team|all|everyone|everybody|folks|guys|crew|you)\b|$)/, (found) => found.replace('good', 'good,')],
  // what somebody dictates, as it is heard
  [/\b(?:poll|pole|pool)(?=[ -]?ups?\b)/g, 'pull'],
  [/\bsquads\b/g, 'squats'],
  [/\bburp(?:y|ie|ies|eas|ys)\b/g, 'burpees'],
  [/\blungs\b/g, 'lunges'],
  [/\bthrust ?ers?\b/g, 'thrusters'],
  [/\bplanck\b/g, 'plank'],
  [/\b(?:dumb|kettle) (?=bells?\b)/g, (found) => found.trim()],
  // how hard a machine or a run is, after its name
  [/\b(easy|ez|steady|hard|fast|slow|light|moderate) (row|run|bike|ski|jog|walk|swim)\b/g, '$2 $1'],
  [/\b(\d+) laps? of (?:the |a )?(\d+) ?m(?:etres?)?\b(?: (?:block|loop|lap|track))?/g, (_, laps, metres) => `${Number(laps) * Number(metres)} m`],
  // two heights: `10'/9'`; how high a rope is climbed
  [/\b(\d+)' ?\/ ?(\d+)'/g, '$1/$2 foot'],
  [/\b(rc|rope climbs?|legless rope climbs?) ?(?:\(|@ ?)?(\d+)(?:'|ft\b| ?feet\b)\)?/g, '$1 $2 foot'],
  // feet before what is carried or walked; else 12'30", 12', :20
  [/\b(\d+)'(?= ?(?:[rl] )?(?:oh|fc|carry|walk|lunge|bear|hs|farmer|sled|suitcase|front rack|crawl))/g, '$1 foot'],
  [/\b(\d+)'\s*(\d\d)"/g, '$1:$2'],
  [/\b(\d+)'(?!\w)/g, '$1 min'],
  [/(^|[\s(/;,@])(?::)(\d\d)\b/g, '$10:$2'],
  // a decimal comma stands before 5, 25 or 75, or before a unit
  [/(?<![\d,])(\d{1,3}),(5|25|75)(?=\s*(?:kg|km|m\b|\/|\)|%|$|\s))(?!,)/g, '$1.$2'],
  [/(?<![\d,])(\d{1,3}),(\d{1,2})(?=\s*kg)/g, '$1.$2'],
  [/\b(\d)[.,](\d{3})(?=\s*m\b)/g, '$1$2'],
];

const eachMass = /(\d+(?:\.\d+)?) ?(kg|lb)(?: (?:for |the |a )*([a-z]+))?/g;
/** `men: 9 kg ball and 22.5 kg dumbbell. women: 6 kg ball and 15 kg dumbbell`: a load of each thing, both columns. */
function inColumns(line: string): string {
  const found = /\bmen(?: use|:)? ?:? (.*?\d.*?)[.;,]? (?:and )?women(?: use|:)? ?:? (.*\d.*)$/.exec(line);
  if (!found) return line;
  const [men, women] = [found[1]!, found[2]!].map((side) => [...side.matchAll(eachMass)]);
  const isPaired = men!.length === women!.length && men!.length > 0 && men!.every(([, , unit, thing], at) => thing !== undefined && women![at]![2] === unit);
  if (!isPaired) return line;
  const columns = men!.map(([, mass, unit, thing], at) => `@${mass}/${women![at]![1]} ${unit} for ${thing}`);
  return `${line.slice(0, found.index)}${columns.join(' , ')}`;
}

/** One line; kept: while somebody types, all lines but one are as before. */
const normalLine = remembered((line: string): string => {
  let out = inFigures(
    line
      .toLowerCase()
      .replace(/\s+/g, ' ')
      .trim()
      .replace(/^(?:[-*+>]\s+)+/, ''),
  );
  for (const [phrase, plain] of phrases) out = typeof plain === 'string' ? out.replace(phrase, plain) : out.replace(phrase, plain);
  return inColumns(out.replace(/\s+/g, ' ').trim());
});

/** @returns lines, each lower case, trimmed; blank ones stay, since they part */
export function normalLines(message: string): string[] {
  let text = message.normalize('NFKC');
  for (const [sign, plain] of signs) text = text.replace(sign, plain);
  return text.split(/\r?\n/).map(normalLine);
}
