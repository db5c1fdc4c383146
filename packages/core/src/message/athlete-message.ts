/** An athlete's sentences (`I've two 15s, a chair and a bar, ceiling's 2.2ish, knee's been bad, 20 push-ups on a good day`) → proposals for the file, each beside the words it came from. Nothing is taken by itself, and what is made of nothing is told. */
import { avoidNames, type AvoidName } from '../athlete/athlete';
import { mayTellOfHarm } from '../athlete/harm';
import { movementNamedIn } from '../movements/names';
import { movementOf } from '../movements/catalogue';
import { secondsOf } from './phrases';
import { formatClock } from '../units/duration';
import { normalLines } from './normalise';
import { unitIn } from './kit-amounts';
import { readKitMessage, type KitMessage } from './kit-message';
import { thingsIn } from './kit-things';

export type MessageChange =
  | { readonly kind: 'kit'; readonly line: string }
  | { readonly kind: 'place'; readonly field: 'floor' | 'ceiling' | 'noise' | 'street'; readonly value: string }
  /** an entry of the avoid-list; or words that hold versions back until they are answered */
  | { readonly kind: 'avoid'; readonly tag: string }
  | { readonly kind: 'list'; readonly field: 'lifts' | 'bestSets' | 'times'; readonly line: string }
  | { readonly kind: 'field'; readonly field: 'bodyMass' | 'stature' | 'born' | 'timeAvailable'; readonly value: string };
export interface MessageProposal {
  /** as they were typed */
  readonly words: string;
  /** what may be taken; several where only a person can say which */
  readonly choices: readonly { readonly says: string; readonly change: MessageChange }[];
  /** it speaks of harm: it comes first, and is not to be left by mistake */
  readonly harm: boolean;
}
export interface AthleteMessage {
  readonly proposals: readonly MessageProposal[];
  /** things that are named and not there: denied, broken, lent, not yet arrived */
  readonly absent: readonly { readonly words: string; readonly thing: string }[];
  /** words nothing was made of */
  readonly left: readonly string[];
}
type Choice = MessageProposal['choices'][number];

const N = String.raw`(\d+(?:[.,]\d+)?)`;
const decimal = (text: string): string => text.replace(',', '.');
const metres = (text: string, unit: string | undefined): string =>
  unit === 'cm' ? `${text} cm` : unit === 'foot' || unit === 'ft' ? `${text} ft` : `${decimal(text)} m`;

/** what is denied in words → the entry of the avoid-list */
const deniedTags: readonly (readonly [RegExp, AvoidName])[] = [
  [/\bjump|\bhop|\bskipping/, 'jumping'],
  [/\brun(?:s|ning)?\b|\bjog/, 'running'],
  [/\boverhead|\babove (?:my |the )?head/, 'overhead'],
  [/\bkneel|\bon (?:my |the )?knees/, 'kneeling'],
  [/\bdeep (?:squat|knee)|\bbelow parallel|\bfull squats?/, 'deep_knee'],
  [/\bhang(?:ing)?\b/, 'hanging'],
  [/\bhandstand|\bupside down|\binver/, 'inverted'],
  [/\bwrists?\b/, 'wrists'],
  [/\bimpact\b/, 'high_impact'],
];
/** what a part of the body that is bad may spare (common practice); which of them, a person says */
const partTags: readonly (readonly [RegExp, readonly AvoidName[]])[] = [
  [/\bknees?\b/, ['deep_knee', 'jumping', 'kneeling']],
  [/\bshoulders?\b/, ['overhead', 'hanging']],
  [/\bwrists?\b/, ['wrists']],
  [/\bback\b/, ['spinal_loading', 'high_impact']],
  [/\b(?:ankles?|achilles|calf|calves|shins?|feet|foot|heel)\b/, ['jumping', 'running', 'high_impact']],
  [/\bhips?\b/, ['deep_knee', 'running']],
  [/\belbows?\b/, ['hanging', 'overhead']],
  [/\bneck\b/, ['inverted', 'overhead']],
  [/\bpelvic floor\b/, ['jumping', 'high_impact']],
];
const denies = /\b(?:no|not|never|without|avoid|avoiding|can'?t|cannot|can not|don'?t|shouldn'?t|must not|mustn'?t|skip|stop(?:ped)?|hates?)\b/;
const isBad = /\b(?:bad|dodgy|iffy|stiff|weak|tender|playing up|plays up|gives? (?:out|way)|funny|not great|niggl\w*|recover\w*|rehab\w*|click\w*|op\b)/;

/** a rower that is broken is no bone */
const aboutThings = (line: string): string =>
  thingsIn(line).length > 0 && !partTags.some(([pattern]) => pattern.test(line)) ? line.replace(/\b(?:broken?|torn)\b/g, '') : line;
const avoidChoice = (tag: string): Choice => ({ says: `Avoids ${tag.replaceAll('_', ' ')}`, change: { kind: 'avoid', tag } });
/** Words that speak of harm: what they may spare, and a way to keep them as they are. */
function harmChoices(line: string, typed: string): Choice[] | null {
  const denied = denies.test(line) ? deniedTags.filter(([pattern]) => pattern.test(line)).map(([, tag]) => tag) : [];
  const parts = partTags.filter(([pattern]) => pattern.test(line));
  const isHarm = denied.length > 0 || mayTellOfHarm(aboutThings(line)) || (parts.length > 0 && isBad.test(line));
  if (!isHarm) return null;
  const tags = [...new Set([...denied, ...(denied.length > 0 ? [] : parts.flatMap(([, each]) => each))])].filter((tag) => avoidNames.includes(tag));
  return [...tags.map(avoidChoice), { says: 'Keep the words: no version is made before you say what they spare', change: { kind: 'avoid', tag: typed } }];
}

type Reader = (line: string) => Choice | null;
const reader =
  (pattern: RegExp, make: (m: RegExpExecArray) => Choice | null): Reader =>
  (line) => {
    const match = pattern.exec(line);
    return match && make(match);
  };
const place = (field: 'floor' | 'ceiling' | 'noise' | 'street', says: string, value: string): Choice => ({ says, change: { kind: 'place', field, value } });
const field = (name: Extract<MessageChange, { kind: 'field' }>['field'], says: string, value: string): Choice => ({
  says,
  change: { kind: 'field', field: name, value },
});

const unitWord = String.raw`(m|metres?|meters?|cm|foot|ft)?`;
const placeReaders: readonly Reader[] = [
  reader(new RegExp(String.raw`(?:ceilings?|roof|headroom|room height)\D{0,24}?${N} ?${unitWord}`), ([, value, unit]) =>
    place('ceiling', `Ceiling ${metres(value!, unit)}`, metres(value!, unit)),
  ),
  reader(new RegExp(String.raw`${N} ?${unitWord} (?:ish )?(?:high )?(?:ceilings?|headroom)`), ([, value, unit]) =>
    place('ceiling', `Ceiling ${metres(value!, unit)}`, metres(value!, unit)),
  ),
  reader(new RegExp(String.raw`${N} ?(?:m|metres?)? ?(?:x|by|times) ?${N} ?(?:m|metres?)?(?= ?(?:of )?(?:floor|space|room|mat|free|$))`), ([, a, b]) =>
    place('floor', `Floor ${decimal(a!)} x ${decimal(b!)} m`, `${decimal(a!)} x ${decimal(b!)} m`),
  ),
  reader(
    /\b(?:neighbou?rs? (?:below|downstairs|under|beneath)|(?:has|have|need|got|try) to be quiet|must be quiet|be quiet|no noise|can'?t (?:make noise|be loud)|baby (?:sleeps|asleep))/,
    () => place('noise', 'Quiet: no jumps, nothing dropped', 'quiet'),
  ),
  reader(new RegExp(String.raw`${N} ?(s|min) (?:to|down to|from) the (?:street|road|outside|park)`), ([, value, unit]) =>
    place('street', `${value} ${unit} to the street`, `${value} ${unit}`),
  ),
];
const thisYear = /\b(?:born|b\.)(?: in)? (19\d\d|20\d\d)\b/;
const personReaders: readonly Reader[] = [
  reader(thisYear, ([, year]) => field('born', `Born ${year}`, year!)),
  reader(new RegExp(String.raw`\b(?:i'?m|i am|weigh|weight|bodyweight|body mass)\D{0,14}?${N} ?(kg|lb)\b`), ([, value, unit]) =>
    field('bodyMass', `Body mass ${decimal(value!)} ${unit}`, `${decimal(value!)} ${unit}`),
  ),
  reader(/(?:^|\b(?:i'?m|i am|height|tall)\D{0,12}?)(1[3-9]\d|2[0-2]\d) ?cm\b|\b(1[.,]\d\d) ?m\b(?: tall)?/, ([, cm, m]) =>
    field(
      'stature',
      `Stature ${cm ? `${cm} cm` : `${Math.round(Number(decimal(m!)) * 100)} cm`}`,
      cm ? `${cm} cm` : `${Math.round(Number(decimal(m!)) * 100)} cm`,
    ),
  ),
  reader(/\b(?:have|got|only|about|max|around)\b[^\d]{0,20}(\d+ min|\d+ h)\b(?!.*(?:row|run|bike|5 km|plank))/, ([, value]) =>
    field('timeAvailable', `Time available ${value}`, value!),
  ),
];

const engine = String.raw`(run|row|bike|ran|rowed)`;
/** `5k run in 27:30`, `row 500 m 1:52` */
const timeReaders: readonly Reader[] = [
  new RegExp(String.raw`${N} ?(m|km) ?${engine}?\D{0,20}?(\d{1,2}:\d\d)`),
  new RegExp(String.raw`${engine}\D{0,10}?${N} ?(m|km)\D{0,14}?(\d{1,2}:\d\d|\d+ min)`),
].map((pattern, at) =>
  reader(pattern, (m) => {
    const [length, unit, way, clock] = at === 0 ? [m[1], m[2], m[3], m[4]] : [m[2], m[3], m[1], m[4]];
    if (!way || !clock) return null;
    const name = way === 'ran' ? 'run' : way === 'rowed' ? 'row' : way;
    const line = `${name} ${decimal(length!)} ${unit} ${formatClock(secondsOf(clock))}`;
    return { says: line, change: { kind: 'list', field: 'times', line } };
  }),
);
/** A movement with a mass is a lift, with a count a best set. */
function figureOf(line: string, unit: 'kg' | 'lb'): Choice | null {
  const id = movementNamedIn(line);
  if (id === null) return null;
  const movement = movementOf(id);
  const name = movement.name.toLowerCase();
  const isLift = movement.load?.optional === false && movement.load.implements.includes('barbell');
  const mass = new RegExp(String.raw`${N} ?(${isLift ? 'kg|lb|' : 'kg|lb'})(?![\d.,\p{L}])(?: ?(?:x|for) ?(\d{1,2})\b)?`, 'u').exec(line);
  if (mass && isLift) {
    const lift = `${name} ${decimal(mass[1]!)} ${mass[2] || unit}${mass[3] ? ` x ${mass[3]}` : ''}`;
    return { says: lift, change: { kind: 'list', field: 'lifts', line: lift } };
  }
  const count = /(?<![\d.,])(\d{1,3})(?![\d.,]| ?(?:kg|lb|m\b|km|cm|min|s\b|x))/.exec(line);
  if (!count || mass || movement.load?.optional === false) return null;
  return { says: `${name} ${count[1]} in one set`, change: { kind: 'list', field: 'bestSets', line: `${name} ${count[1]}` } };
}

const firstOf = (readers: readonly Reader[], line: string): Choice | null => {
  for (const read of readers) {
    const choice = read(line);
    if (choice) return choice;
  }
  return null;
};
const normal = (words: string): string => normalLines(words.replace(/ish\b/g, '')).join(' ');
/** sentences, and their clauses; a decimal mark parts nothing */
const sentencesOf = (text: string): string[] =>
  text
    .split(/[.!?;]+(?!\d)|\n+/)
    .map((each) => each.trim())
    .filter(Boolean);
const clausesOf = (sentence: string): string[] =>
  sentence
    .split(/,(?!\d)|\bbut\b/i)
    .map((each) => each.trim())
    .filter(Boolean);

const isFigureAlone = /^(?:about |around |roughly |~|maybe )*\d+(?:[.,]\d+)? ?(?:m|metres?|cm|foot|ft)?(?: or so)?$/;
/** Of one clause: what it says of the person or the place; null: nothing, or something of the kit. */
function personal(clause: string, before: string, unit: 'kg' | 'lb'): { choices: readonly Choice[]; harm: boolean } | null {
  const line = normal(clause);
  const harm = harmChoices(line, clause);
  if (harm) return { choices: harm, harm: true };
  // `ceiling's low, 2.2ish`: the figure is of what was named before it
  const told = isFigureAlone.test(line) && /ceiling|headroom|roof/.test(before) && !/\d/.test(before) ? `ceiling ${line}` : line;
  const choice = firstOf(placeReaders, told) ?? firstOf(timeReaders, line) ?? firstOf(personReaders, line) ?? figureOf(line, unit);
  return choice && { choices: [choice], harm: false };
}

/** a bar by itself */
const ofBar: readonly Choice[] = ['pull-up bar', 'barbell 20 kg'].map((line) => ({ says: line, change: { kind: 'kit', line } }));

interface Gathered {
  readonly proposals: MessageProposal[];
  readonly absent: { readonly words: string; readonly thing: string }[];
  readonly left: string[];
}
/** Things are read from all clauses together, since one may go on in the next; each goes beside the clause that says it by itself, or beside all. */
function takeKit(clauses: readonly string[], { proposals, absent, left }: Gathered): void {
  const whole = clauses.join(', ');
  const kit = readKitMessage(whole);
  const each = clauses.map((clause) => ({ clause, kit: readKitMessage(clause) }));
  const saying = (says: (kit: KitMessage) => boolean): string => each.find((one) => says(one.kit))?.clause ?? whole;
  for (const line of kit.lines)
    proposals.push({ words: saying(({ lines }) => lines.includes(line)), choices: [{ says: line, change: { kind: 'kit', line } }], harm: false });
  for (const thing of kit.not) absent.push({ words: saying(({ not }) => not.includes(thing)), thing });
  for (const thing of kit.unclear)
    if (thing === 'bar') proposals.push({ words: saying(({ unclear }) => unclear.includes(thing)), choices: ofBar, harm: false });
    else left.push(thing);
  left.push(...kit.aside, ...kit.unused);
}

const longest = 4_000;
/** @param text as it was pasted; 4 000 characters are read */
export function readAthleteMessage(text: string): AthleteMessage {
  const gathered: Gathered = { proposals: [], absent: [], left: [] };
  const unit = unitIn(text.toLowerCase());
  for (const sentence of sentencesOf(text.slice(0, longest))) {
    let ofKit: string[] = [];
    let before = '';
    for (const clause of clausesOf(sentence)) {
      const found = personal(clause, normal(before), unit);
      if (found) gathered.proposals.push({ words: clause, ...found });
      // `ceiling’s low, 2.2ish`: both are of the ceiling
      if (found && /ceiling|headroom|roof/.test(before) && isFigureAlone.test(normal(clause))) ofKit = ofKit.filter((each) => each !== before);
      if (!found) ofKit.push(clause);
      before = clause;
    }
    takeKit(ofKit, gathered);
  }
  const { proposals, absent, left } = gathered;
  return { proposals: [...proposals.filter(({ harm }) => harm), ...proposals.filter(({ harm }) => !harm)], absent, left };
}
