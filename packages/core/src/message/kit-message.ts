/**
 * What an athlete says of their things, in sentences → kit lines. Things are found by their names; counts and masses stand before or after them; what is denied, broken, lent, sold or not yet there is not there,
 * and is told. For language; a kit line as people type it is read by the kit reader itself.
 */
import { clean, massesIn, massesOf, N, ownFrom, range, unitIn, type Mass, type Stated } from './kit-amounts';
import { thingsIn, type Found, type Thing } from './kit-things';
import { normalLines } from './normalise';

/** words before a name, and after it, that say it is not there (common practice, from memory) */
const absentBefore = String.raw`no|not|never|without|neither|nor|zero|forget|lost|sold|had|except(?: for)?|apart from|other than|isn'?t|ain'?t|hasn'?t|waiting (?:on|for)|do not (?:have|possess|own)|don'?t (?:have|own)|have not|haven'?t|has (?:borrowed|taken)|need|want|any`;
/** `a broken box`; what follows a thing, as in `bar broken, rings`, is said of that one */
const unfit = /\b(?:broken|cracked|torn|unstable|wobbly) (?:old |wooden |wood |plyo )?$/;
const absentAfter = String.raw`broken|broke|is out|out of order|lent|loaned|borrowed by|at my \w+'s|on order|ordered|arrives?|arriving|on (?:its|the) way|sold|missing|at work|has a hole|does not exist|doesn'?t exist|is not|isn'?t|not stable|wobbly|unsafe|not there|i do not have|i don'?t have|don'?t use|i cannot|cannot|can'?t|can not|closed|no longer|not (?:here|available|usable)`;
const crossed = '✘|✗|❌';
const deniedBefore = new RegExp(String.raw`\b(?:${absentBefore})\b[^,;]*$`);
const deniedAfter = new RegExp(String.raw`^[^,;]*?(?:\b(?:${absentAfter})\b|: ?no\b|= ?no\b|${crossed}| no$)`);
/** Whether a line may say that something is not there: it is a sentence then. */
export const mayDeny = (line: string): boolean =>
  new RegExp(String.raw`\b(?:${absentBefore}|${absentAfter}|broken|cracked|torn|unstable|wobbly|but|too (?:low|small))\b|${crossed}`, 'i').test(line);
/** `my rings are lent, the rope too`: as was said of the thing before */
const alike = /^ (?:too|as well|also)\b/;
const saysGone = new RegExp(String.raw`^(?:${absentAfter}|too (?:low|small|short))\b`);
const thereAfter = /^[^,;]*?(?:✔|✓|: ?yes\b| yes\b|\bis (?:fine|available|there|ok)\b|works?\b)/;

/** kg or lb that a bar may weigh */
const barMass = { kg: [5, 30], lb: [10, 65] } as const;

/** A bar has one mass; more of them, with counts, are its plates. */
function barLines(masses: readonly Mass[], otherwise: 'kg' | 'lb'): string[] {
  const unit = masses.find((mass) => mass.unit !== null)?.unit ?? otherwise;
  const [least, most] = barMass[unit];
  const isBar = ({ value, count }: Mass): boolean => (count ?? 1) === 1 && value >= least && value <= most;
  const bars = masses.filter((mass, at) => isBar(mass) && (at === 0 || mass.unit !== null));
  const plates = masses.filter((mass) => !bars.includes(mass) && (mass.count ?? 0) > 1);
  return [...bars.map(({ value }) => `barbell ${clean(value)} ${unit}`), ...plates.map(({ value, count }) => `plates ${clean(value)} ${unit} x ${count}`)];
}
const ownMasses = ({ before, after }: Stated): Mass[] => [
  ...massesIn(before)
    .filter(({ unit, value }) => unit !== null || value >= 5)
    .slice(-1),
  ...massesIn(after),
];

/** somewhere a bar is hung from */
const hung = /\b(?:door\w*|frame|hang\w*|ceiling|wall[- ]?mounted|tree|park|playground|outside|garden|rig)\b/;
/** `a bar`: a barbell by its mass, else something to hang from by where it is; null: nobody can tell */
function bareBar(stated: Stated, clause: string, unit: 'kg' | 'lb'): string[] | null {
  const lines = barLines(ownMasses(stated), unit);
  if (lines.some((line) => line.startsWith('barbell'))) return lines;
  return hung.test(clause) ? ['pull-up bar'] : null;
}

function bandLines(around: string): string[] {
  const kinds = ['light', 'medium', 'heavy'].filter((kind) => around.includes(kind));
  return kinds.length === 0 ? ['band'] : kinds.map((kind) => `band ${kind}`);
}
/** cm or inches that something to step or sit on may have */
const reasonable = { cm: [20, 120], in: [8, 45] } as const;
/** Its own figures stand straight before it, or after it. */
function heightLines(name: string, { lead, after }: Stated): string[] {
  const own = /(?:\d+(?:\.\d+)?(?:\/\d+)*) ?(?:cm|in\b|")? ?(?:plyo|wooden|wood|soft|high|stable|kitchen)? ?$/.exec(lead)?.[0] ?? '';
  const around = `${own} ${after}`;
  const unit = /"|\bin\b/.test(around) ? 'in' : 'cm';
  const [least, most] = reasonable[unit];
  const heights = [...around.matchAll(/\d+(?:\.\d+)?/g)].map(([figure]) => Number(figure)).filter((figure) => figure >= least && figure <= most);
  return heights.length === 0 ? [name] : heights.map((height) => `${name} ${height} ${unit}`);
}
function routeLines(around: string): string[] {
  const metres = new RegExp(String.raw`(${N}) ?m\b`).exec(around)?.[1];
  return metres === undefined ? [] : [`run route ${metres} m`];
}

/** @returns null where it cannot be told what it is */
function linesOf({ thing: { name, by, counted } }: Found, stated: Stated, { clause, unit: usual }: { clause: string; unit: 'kg' | 'lb' }): string[] | null {
  const around = `${stated.lead.slice(-30)} ${stated.after}`;
  if (by === null) return name === 'band' ? bandLines(around) : [name];
  if (by === 'route') return routeLines(around);
  if (by === 'height') return heightLines(name, stated);
  const unit = /\b(?:kg|lb)\b/.test(clause) ? unitIn(clause) : usual;
  const steps = range.exec(around);
  if (steps && name === 'dumbbell') {
    const [low, high, step] = [Number(steps[1]), Number(steps[2]), Number(steps[3])];
    return [`dumbbell ${low}-${high} ${unit} in ${step} steps${/pair/.test(around) ? ' x 2' : ''}`];
  }
  if (name === 'bar') return bareBar(stated, clause, unit);
  if (name === 'barbell') {
    const lines = barLines(ownMasses(stated), unit);
    return lines.some((line) => line.startsWith('barbell')) ? lines : ['barbell', ...lines];
  }
  const masses = name === 'plates' && /\d ?x ?\d/.test(stated.after) ? massesIn(stated.after) : massesOf(stated);
  // how heavy it is, is not told
  if (masses.length === 0) return counted && name !== 'medicine ball' ? null : [name];
  return masses.map(({ value, count, unit: own }) => `${name} ${clean(value)} ${own ?? unit}${counted && count !== null && count > 1 ? ` x ${count}` : ''}`);
}

/** Plates go with the bar that was named before them. */
function withPlates(lines: readonly string[]): string[] {
  const plates = lines.filter((line) => line.startsWith('plates '));
  const others = lines.filter((line) => !line.startsWith('plates'));
  const bar = others.findIndex((line) => line.startsWith('barbell'));
  if (plates.length === 0 || bar === -1) return [...others, ...plates];
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
  /** named, and nobody can tell what it is */
  readonly unclear: readonly string[];
  /** figures that are in none of the lines, as they were written */
  readonly unused: readonly string[];
  /** words between two commas that name nothing, as they were written: `low ceiling` */
  readonly aside: readonly string[];
}

/** alone these say nothing of a thing that the lines do not */
const plainWords =
  /^(?:i|we|i've|there|is|are|the|a|an|my|our|have|got|and|also|too|or|with|of|at|in|on|home|here|each|only|just|both|one|two|pairs?|yes|no|none|nothing|all|please|thanks|hi|hello|kit|equipment|it|them|either|s|kg|lb|x)$/;
function wordsAside(text: string): string[] {
  const isKnown = (words: string): boolean => {
    const normal = normalLines(words).join(' ');
    return (
      /\d/.test(normal) ||
      thingsIn(normal).length > 0 ||
      saysGone.test(normal) ||
      normal.split(/[^\p{L}']+/u).every((word) => word === '' || plainWords.test(word))
    );
  };
  return text
    .slice(0, 4_000)
    .split(/[,;.!?+&()\n:]|\bbut\b/)
    .map((words) => words.trim())
    .filter((words) => /\p{L}/u.test(words) && !isKnown(words));
}

/** What is gathered while the clauses are read. */
interface KitDraft {
  lines: string[];
  readonly not: string[];
  readonly unclear: string[];
  /** the thing that was spoken of last */
  named: Thing | null;
  /** the unit of the whole text, where a clause tells none */
  readonly unit: 'kg' | 'lb';
}
const dropLines = (draft: KitDraft, start: string): void => void (draft.lines = draft.lines.filter((line) => !line.startsWith(start)));

/** `I've two 15s, a chair …`: without a name, two of a mass are dumbbells */
function takeNamelessPair(draft: KitDraft, clause: string, found: readonly Found[]): void {
  const pair = draft.named?.by === 'mass' ? null : /^[^,]*?\b(?:2|pair of) (\d+(?:\.\d+)?) ?s\b/.exec(clause);
  const end = clause.indexOf(',') + 1 || clause.length;
  if (pair && !found.some(({ thing, from }) => thing.by === 'mass' && from < end)) draft.lines.push(`dumbbell ${pair[1]} ${draft.unit} x 2`);
}

/** `meanwhile only the 12.5s`, `the one of 9 kg has a hole`, `but the ceiling is too low for it`: of what was named before */
function takeOfNamed(draft: KitDraft, clause: string, { name, by }: Thing): void {
  if (by === 'mass') {
    const said = massesIn(clause).filter(({ unit }) => unit !== null || /\d ?s\b/.test(clause));
    const lineOf = ({ value, unit }: Mass): string => `${name} ${clean(value)} ${unit ?? draft.unit}`;
    const isGone = /\b(?:has a hole|broken|lent|sold|missing|gone)\b/.test(clause);
    if (isGone) for (const mass of said) dropLines(draft, lineOf(mass));
    else draft.lines.push(...said.map((mass) => `${lineOf(mass)} x ${mass.count ?? 2}`));
  }
  if (/\btoo (?:low|small|short)\b.*\b(?:it|that|them)\b/.test(clause)) {
    draft.not.push(name);
    dropLines(draft, name);
  }
}

function takeThings(draft: KitDraft, clause: string, found: readonly Found[]): void {
  let wasDenied = false;
  for (const [at, each] of found.entries()) {
    const [before, next] = [found[at - 1]?.to ?? 0, found[at + 1]];
    const lead = clause.slice(before, each.from);
    const reach = next === undefined ? clause.length : each.to + ownFrom(clause.slice(each.to, next.from));
    const isAlike: boolean = wasDenied && alike.test(clause.slice(each.to, next?.from));
    wasDenied = isAlike || isDenied(clause, each, before, next?.from ?? clause.length);
    const stated = { lead, before: lead.slice(ownFrom(lead)), after: clause.slice(each.to, reach) };
    const lines = wasDenied ? [] : linesOf(each, stated, { clause, unit: draft.unit });
    if (wasDenied) draft.not.push(each.thing.name);
    else if (lines === null) draft.unclear.push(each.thing.name);
    draft.lines.push(...(lines ?? []));
    draft.named = each.thing;
  }
}

/** @param text one kit line, or sentences about what is there */
export function readKitMessage(text: string): KitMessage {
  const draft: KitDraft = { lines: [], not: [], unclear: [], named: null, unit: unitIn(text.toLowerCase()) };
  for (const clause of clausesOf(text)) {
    const found = thingsIn(clause);
    takeNamelessPair(draft, clause, found);
    if (found.length === 0 && draft.named !== null) takeOfNamed(draft, clause, draft.named);
    takeThings(draft, clause, found);
  }
  const not = new Set(draft.not);
  const lines = withPlates([...new Set(draft.lines)]).filter((line) => !not.has(line));
  return { lines, not: [...not], unclear: [...new Set(draft.unclear)], unused: unusedFigures(text, lines), aside: wordsAside(text) };
}

/** Counts of one and two are said in many ways; every other figure stands in a line, or is told. */
function unusedFigures(text: string, lines: readonly string[]): string[] {
  const used = new Set(lines.flatMap((line) => [...line.matchAll(/\d+(?:\.\d+)?/g)].map(([figure]) => Number(figure))));
  const told = clausesOf(text).flatMap((clause) => [...clause.matchAll(/\d+(?:\.\d+)?(?= ?pood)?/g)].map(([figure]) => figure));
  return told.filter((figure) => Number(figure) > 2 && !used.has(Number(figure)) && ![16, 2].some((by) => used.has(Number(figure) * by)));
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
    .split(/[.!?;]|\bbut\b|\bbefore\b(?= i)|\bmeanwhile\b|\bnow\b/)
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
  const isUnfit = unfit.test(lead) && (before === 0 || comma >= before || /\b(?:and|or|but|plus|an?|the|my|one|\d+)\b/.test(lead));
  return (saidNo && !thereAfter.test(tail)) || isUnfit || deniedAfter.test(tail);
}
