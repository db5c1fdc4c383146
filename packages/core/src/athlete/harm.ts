/**
 * What an athlete file says of harm, wherever it stands and however it is spelled: `avoid: running`, `limits: { no_running: true }`, `place.avoid`, `injuries: left knee`, a column
 * "injuries" of a table. What is an entry of the avoid-list, or a limit, is placed there. What is neither holds versions back until a coach has answered it (key `read`):
 * nobody's knee is dropped because it was written under a key that nobody reads. Words and shapes are common practice, from memory.
 */
import { distance } from 'fastest-levenshtein';
import { avoidNames, type AvoidName } from './athlete';
import { isPlain, mostEntries, type Plain, type Tell } from './file';
import { textOf } from './measures';
import { plainKey } from './plain-key';

/** Something of harm that could not be placed. */
export interface Unanswered {
  /** where it stands: `limits.shoulder` */
  readonly path: string;
  /** in the words of the file */
  readonly text: string;
}
export interface Harm {
  readonly avoid: readonly AvoidName[];
  readonly squatDepth: string | null;
  readonly reach: string | null;
  readonly unanswered: readonly Unanswered[];
}

/** how a key speaks of harm: its value lists what is avoided, limits, or tells of something else */
type KeyKind = 'avoid' | 'limits' | 'told';
const avoidKeys = [
  'avoid',
  'avoids',
  'avoided',
  'avoiding',
  'avoid_list',
  'avoidance',
  'spare',
  'spares',
  'cannot',
  'cannot_do',
  'forbidden',
  'not_allowed',
  'no',
];
const limitKeys = ['limit', 'limits', 'limitation', 'limitations', 'limited', 'restriction', 'restrictions', 'restricted'];
const toldKeys =
  'injury injuries injured pain pains painful hurt hurts sore soreness ache aches contraindication contraindications condition conditions medical medical_history health pregnant pregnancy heart cardiac blood_pressure hypertension operation operations surgery dizzy dizziness faint fainting hernia epilepsy asthma doctor physio rehab problem problems complaint complaints'.split(
    ' ',
  );
/** a word of this kind within a longer key: `knee_pain`, `heart_condition`, `things_to_avoid` */
const within: readonly (readonly [RegExp, KeyKind])[] = [
  [/(?:^|_)avoid/, 'avoid'],
  [/(?:^|_)(?:limitation|restriction)/, 'limits'],
  [
    /(?:^|_)(?:injur|pain(?:s|ful)?(?:_|$)|hurts?(?:_|$)|pregnan|hernia|surger|operation|dizz|faint|blood_pressure|heart|doctor|contraindic|aches?(?:_|$)|sore)/,
    'told',
  ],
];
/** lists of figures and things: their keys are movements and names, not words of harm */
const figures = new Set(['maxes', 'best_sets', 'times', 'skills', 'results', 'kit', 'prefer']);

/** one slip in a word of five letters, two in one of nine */
const isNear = (key: string, word: string): boolean => key === word || (word.length >= 5 && distance(key, word) <= (word.length >= 9 ? 2 : 1));
function kindOf(key: string): KeyKind | null {
  const found = within.find(([words]) => words.test(key));
  if (avoidKeys.some((word) => isNear(key, word))) return 'avoid';
  if (limitKeys.some((word) => isNear(key, word))) return 'limits';
  return toldKeys.some((word) => isNear(key, word)) ? 'told' : (found?.[1] ?? null);
}
/** `no_running`, `not_overhead`, `never_jump` → what is not done */
const denied = (key: string): string | null => /^(?:no|not|never|without)_(.+)$/.exec(key)?.[1] ?? null;

// a question mark is no answer: what is not known is asked
const nothing = /^(?:|-|–|—|none|nothing|no|nil|null|n\/?a|false|0|nein|no(?:ne)? known|not? any)$/i;
const affirmed = /^(?:true|yes|y|1|x|always|avoid|never)$/i;
const avoidOf = (phrase: string): AvoidName | null => {
  const word = plainKey(phrase).replace(/^(?:(?:no|not|never|avoid|avoids|without|any)_)+/, '');
  return avoidNames.find((name) => name === word) ?? null;
};
const phrasesOf = (text: string): string[] =>
  text
    .split(/[,;\n/]|\band\b|\bor\b/i)
    .map((phrase) => phrase.trim())
    .filter((phrase) => phrase !== '');
/** What a value says, as it would be read aloud. */
function aloud(value: unknown, depth = 0): string {
  if (depth > 4) return '…';
  if (Array.isArray(value))
    return value
      .slice(0, mostEntries)
      .map((each) => aloud(each, depth + 1))
      .join(', ');
  if (isPlain(value))
    return Object.entries(value)
      .slice(0, mostEntries)
      .map(([key, each]) => `${key}: ${aloud(each, depth + 1)}`)
      .join(', ');
  return typeof value === 'boolean' ? String(value) : textOf(value).slice(0, 200);
}
const saysNothing = (value: unknown): boolean =>
  value === null || value === undefined || nothing.test(aloud(value).trim()) || (Array.isArray(value) && value.every(saysNothing));

/** What has been found so far. */
class Found {
  readonly avoid = new Set<AvoidName>();
  readonly unanswered: Unanswered[] = [];
  squatDepth: string | null = null;
  reach: string | null = null;

  hold(path: string, text: string): void {
    if (this.unanswered.length < mostEntries) this.unanswered.push({ path, text: text.trim().slice(0, 200) });
  }
  /** Words of an avoid-list: each is placed, or waits for an answer. */
  words(path: string, text: string): void {
    for (const phrase of phrasesOf(text)) {
      const name = avoidOf(phrase);
      if (name) this.avoid.add(name);
      else this.hold(path, phrase);
    }
  }
}

/** The value of an avoid-list in any shape: a word, words between commas, a list, a list in a list, a map of words. */
function readAvoidance(path: string, value: unknown, found: Found, depth = 0): void {
  if (depth > 6 || value === true) return found.hold(path, depth > 6 ? 'too deep to read' : 'yes');
  if (Array.isArray(value)) {
    for (const each of value.slice(0, mostEntries)) readAvoidance(path, each, found, depth + 1);
    return;
  }
  if (!isPlain(value)) return saysNothing(value) ? undefined : found.words(path, textOf(value));
  for (const [key, each] of Object.entries(value).slice(0, mostEntries)) {
    const said = aloud(each).trim();
    const name = avoidOf(key);
    if (name && (said === '' || affirmed.test(said))) found.avoid.add(name);
    // a word with more behind it is avoided, and what stands behind it is still to be read
    else {
      if (name && !nothing.test(said)) found.avoid.add(name);
      found.hold(`${path}.${key}`, `${key}: ${said}`);
    }
  }
}

/** Limits: depth and reach have their fields, an entry of the avoid-list goes there, the rest waits for an answer. */
function readLimits(path: string, value: unknown, found: Found): void {
  if (!isPlain(value)) {
    if (!saysNothing(value)) readAvoidance(path, value, found);
    return;
  }
  for (const [key, each] of Object.entries(value).slice(0, mostEntries)) {
    const word = plainKey(key);
    const said = aloud(each).trim();
    const name = avoidOf(word);
    if (isNear(word, 'squat_depth') || word === 'squat' || word === 'depth') found.squatDepth = said || found.squatDepth;
    else if (word === 'reach') found.reach = said || found.reach;
    else if (kindOf(word) === 'avoid') readAvoidance(`${path}.${key}`, each, found);
    else if (name && denied(word) !== null) {
      if (!saysNothing(each)) found.avoid.add(name);
    } else if (name && (affirmed.test(said) || /^(?:no|none|not|false|out)$/i.test(said) || said === '')) found.avoid.add(name);
    else if (!saysNothing(each)) found.hold(`${path}.${key}`, `${key}: ${said}`);
  }
}

/** Something told: pain, an operation. All its words are of the avoid-list, or it waits for an answer whole. */
function readTold(path: string, key: string, value: unknown, found: Found): void {
  if (saysNothing(value)) return;
  const said = aloud(value).trim();
  const names = phrasesOf(said).map(avoidOf);
  if (names.length > 0 && names.every((name) => name !== null)) for (const name of names) found.avoid.add(name);
  else found.hold(path, affirmed.test(said) ? key.replaceAll('_', ' ') : `${key}: ${said}`);
}

function readEntry(path: string, key: string, value: unknown, found: Found): boolean {
  const word = plainKey(key);
  const not = denied(word);
  if (not !== null) {
    const name = avoidOf(not);
    if (saysNothing(value)) return true;
    if (name && affirmed.test(aloud(value).trim())) found.avoid.add(name);
    else found.hold(path, `${key}: ${aloud(value)}`);
    return true;
  }
  const kind = kindOf(word);
  if (kind === 'avoid') readAvoidance(path, value, found);
  else if (kind === 'limits') readLimits(path, value, found);
  else if (kind === 'told') readTold(path, key, value, found);
  return kind !== null;
}

/** Columns of a table that nobody reads are kept as `heading: cell`. */
function readColumns(value: unknown, found: Found): void {
  for (const line of Array.isArray(value) ? value.slice(0, mostEntries).map(textOf) : []) {
    const end = line.indexOf(':');
    if (end > 0) readEntry(`unread.columns.${line.slice(0, end)}`, line.slice(0, end), line.slice(end + 1).trim(), found);
  }
}

function walk(value: unknown, path: string, found: Found, depth: number): void {
  if (depth > 6) return;
  const entries: [string, unknown][] = Array.isArray(value)
    ? value.slice(0, mostEntries).map((each, at) => [String(at + 1), each])
    : isPlain(value)
      ? Object.entries(value).slice(0, mostEntries)
      : [];
  for (const [key, each] of entries) {
    const at = path === '' ? key : `${path}.${key}`;
    if (path === '' && (key === 'read' || figures.has(key))) continue;
    if (at === 'unread') readColumns(isPlain(each) ? each['columns'] : null, found);
    else if (Array.isArray(value) || !readEntry(at, key, each, found)) walk(each, at, found, depth + 1);
  }
}

const alike = (text: string): string => plainKey(text).replaceAll('_', ' ');
/** Answers of a coach: what was read, by whom, when, and what it spares. */
function answered(raw: unknown, found: Found, tell: Tell): Unanswered[] {
  const answers = (Array.isArray(raw) ? raw : raw === undefined || raw === null ? [] : [raw]).slice(0, mostEntries);
  const texts = new Set<string>();
  for (const [at, answer] of answers.entries()) {
    const { text, by, date, spares } = isPlain(answer) ? answer : ({} as Plain);
    if (textOf(text) === '' || textOf(by) === '' || textOf(date) === '') {
      tell(
        'warning',
        `read.${at + 1}`,
        'expected what was read with who answered it and when, such as { text: "left knee, old", by: coach, date: 2026-12-01, spares: [deep_knee] }.',
      );
      continue;
    }
    texts.add(alike(textOf(text)));
    readAvoidance(`read.${at + 1}.spares`, spares, found);
  }
  const isAnswered = ({ text }: Unanswered): boolean => texts.has(alike(text)) || texts.has(alike(text.slice(text.indexOf(':') + 1)));
  return found.unanswered.filter((word) => word.path.startsWith('read.') || !isAnswered(word));
}

/** Whether a key of the file speaks of harm, and so is read here. */
export const isPlaced = (key: string): boolean => denied(plainKey(key)) !== null || kindOf(plainKey(key)) !== null;

/** in words that somebody writes freely: what may be harm is looked at by a person, what is not costs them one click */
const harmInWords =
  /\b(?:injur|pain|hurt|ach(?:e|ing)|sore|sprain|strain|tweak|pulled|torn|tear|swollen|pregnan|postpartum|hernia|surger|operat|dizz|faint|passed out|numb(?:ness)?\b|tingl|chest(?!.to)|breathless|short of breath|heart\b|blood pressure|doctor|physio|hospital|concuss|fractur|broke|dislocat|slipped disc|sciatica|dark urine|avoid|spare|not allowed|must not|should not|shouldn.?t|can ?not|can.?t(?! wait))/i;
/** `no running`, `without jumps`: something of the avoid-list that is not to be done */
const deniedInWords = new RegExp(
  `\\b(?:no|not|never|without|stop|stopped|skip)\\b[^.]{0,20}\\b(?:${avoidNames.map((name) => name.split('_')[0]!.replace(/ing$/, '')).join('|')})`,
  'i',
);

/** Whether free words, such as a note, may speak of harm. */
export const mayTellOfHarm = (words: string): boolean => harmInWords.test(words) || deniedInWords.test(words);

/** @param file as it was typed */
export function readHarm(file: Plain, tell: Tell): Harm {
  const found = new Found();
  walk(file, '', found, 0);
  const unanswered = answered(file['read'], found, tell);
  for (const { path, text } of unanswered)
    tell(
      'error',
      path,
      /(?:^|\.)avoid$/.test(path)
        ? `“${text.replaceAll('_', ' ')}” is not in the avoid-list; expected ${avoidNames.join(', ')}. No version is made before it is answered.`
        : `“${text}” speaks of harm and Gambito cannot place it: say what it spares (${avoidNames.join(', ')}), or that it was read (key “read”). No version is made before that.`,
    );
  return { avoid: [...found.avoid], squatDepth: found.squatDepth, reach: found.reach, unanswered };
}

/** Why no version is made for somebody, in a sentence. */
export const unansweredSentence = ({ name, unanswered }: { readonly name: string; readonly unanswered: readonly Unanswered[] }): string =>
  `The file of ${name} says “${unanswered.map(({ text }) => text.replaceAll('_', ' ')).join('”, “')}”, and Gambito cannot tell what that spares. Answer it on the athlete’s page; no version is made before.`;
