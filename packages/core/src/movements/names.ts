/**
 * From whiteboard spelling to a movement id. Case, plural, hyphens and the trade's short forms do not matter:
 * both the aliases and the words asked for go through the same folding, so they meet.
 */
import { remembered } from '../text/remembered';
import { distance } from 'fastest-levenshtein';
import { own } from '../text/own';
import { movements } from './catalogue';
import type { MovementId } from './movement';

const shortForms: Readonly<Record<string, string>> = {
  db: 'dumbbell',
  dbs: 'dumbbell',
  kb: 'kettlebell',
  kbs: 'kettlebell',
  bb: 'barbell',
  dumbell: 'dumbbell',
  oh: 'overhead',
  alt: 'alternating',
  sa: 'single arm',
  du: 'double under',
  su: 'single under',
  ttb: 'toes to bar',
  rdl: 'romanian deadlift',
  dl: 'deadlift',
  hspu: 'handstand push up',
  sdhp: 'sumo deadlift high pull',
  ohs: 'overhead squat',
  pushup: 'push up',
  pullup: 'pull up',
  situp: 'sit up',
  chinup: 'chin up',
  stepup: 'step up',
  stepups: 'step up',
  pc: 'power clean',
  fs: 'front squat',
  bs: 'back squat',
  one: 'single',
  mu: 'muscle up',
  bw: 'bodyweight',
};
const asIs = new Set(['press', 'chess', 'cross', 'bus', 'chest', 'high', 'twist', 'toes', 'knees', 'chess', 'unders']);

function singular(word: string): string {
  if (word === 'ups') return 'up';
  if (asIs.has(word) || word.length < 4 || word.endsWith('ss') || word.endsWith('us')) return word;
  if (word.endsWith('sses') || word.endsWith('ches') || word.endsWith('shes')) return word.slice(0, -2);
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  return word.endsWith('s') ? word.slice(0, -1) : word;
}

/** `DB Thrusters` → `dumbbell thruster`. */
export const foldName = remembered((text: string): string => {
  const words = text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/¼/g, ' 1/4')
    .replace(/\b1\s*1\/4\b/g, 'one and a quarter')
    .replace(/&/g, ' and ')
    .replace(/[^\p{L}\p{N}/]+/gu, ' ')
    .trim()
    .replace(/\bkbs$/, 'kettlebell swing')
    .split(/\s+/)
    .flatMap((word) => (own(shortForms, word) ?? (word.endsWith('s') ? own(shortForms, word.slice(0, -1)) : undefined) ?? word).split(' '));
  return words.map((word) => (word === 'unders' ? 'under' : singular(word))).join(' ');
});

const spellings = new Map<string, MovementId>();
for (const each of movements) for (const name of [each.id, each.name]) spellings.set(foldName(name), each.id);
for (const each of movements) for (const name of each.aliases) if (!spellings.has(foldName(name))) spellings.set(foldName(name), each.id);

const spelled = [...spellings].map(([spelling, id]) => ({ spelling, id, words: spelling.split(' ') }));

/** A barbell is bare in this trade (`thruster`), and a few words only say what is the rule anyway. */
const droppable = [/^barbell /, /^alternating /, / \(.*\)$/, /^bodyweight /, /^dumbbell (?=burpee)/, /^(?:russian|two dumbbell) /];

export function findMovement(text: string): MovementId | null {
  // “single” is a movement, “one” is somebody or something
  if (/^\s*ones?\s*$/i.test(text)) return null;
  const folded = foldName(text);
  const direct = spellings.get(folded);
  if (direct) return direct;
  for (const pattern of droppable) {
    const shorter = folded.replace(pattern, '');
    if (shorter !== folded && shorter !== '') {
      const found = findMovement(shorter);
      if (found) return found;
    }
  }
  return null;
}

/** Words that are no movement → an id of their own, which reads back from the same words. */
export function unknownId(text: string): MovementId {
  const id = text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
  return id === '' ? 'unknown' : id;
}

/** that are ever told at once */
const mostNear = 5;
/** Movements that words which are none could well mean: a slip of a letter in four, or more than half of the words shared. None is better than a wild one. */
export const nearMovements = (text: string, most = 3): readonly MovementId[] => nearTo(foldName(text.slice(0, 60))).slice(0, most);
/** Kept: a text is read at every key. */
const nearTo = remembered((folded: string): readonly MovementId[] => {
  const words = folded.split(' ');
  const slips = Math.max(1, Math.floor(folded.length / 4));
  const scored = new Map<MovementId, number>();
  for (const { spelling, id, words: others } of spelled) {
    const shared = words.filter((word) => others.includes(word)).length;
    const alike = shared >= 1 && 2 * shared > Math.max(words.length, others.length);
    if (!alike && Math.abs(spelling.length - folded.length) > slips) continue;
    const away = distance(folded, spelling);
    if (alike || away <= slips) scored.set(id, Math.min(scored.get(id) ?? Infinity, away - 2.5 * shared));
  }
  return [...scored]
    .sort((a, b) => a[1] - b[1])
    .slice(0, mostNear)
    .map(([id]) => id);
});

/** The nearest names to words that are none, closest first; ties in the catalogue's order. @param within share of the letters that may differ */
export function nearestMovements(text: string, most = 3, within = Infinity): MovementId[] {
  const folded = foldName(text.slice(0, 200));
  const scored = new Map<MovementId, number>();
  for (const { spelling, id, words } of spelled) {
    const shared = folded.split(' ').filter((word) => words.includes(word)).length;
    const score = distance(folded, spelling) - 2.5 * shared;
    scored.set(id, Math.min(scored.get(id) ?? Infinity, score));
  }
  return [...scored.entries()]
    .filter(([, score]) => score <= within * folded.length)
    .sort((a, b) => a[1] - b[1])
    .slice(0, most)
    .map(([id]) => id);
}

/** words of a sentence that are looked through */
const mostWords = 16;
/** The movement that a sentence names, the longest name first; null where it names none. */
export function movementNamedIn(sentence: string): MovementId | null {
  const words = sentence.split(/[\s,:;.()]+/, mostWords);
  const stretches = words.flatMap((_, from) =>
    [4, 3, 2, 1].filter((length) => from + length <= words.length).map((length) => words.slice(from, from + length)),
  );
  const found = stretches.sort((a, b) => b.length - a.length).map((stretch) => findMovement(stretch.join(' ')));
  return found.find((id) => id !== null) ?? null;
}
