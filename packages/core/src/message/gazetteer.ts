/** Names of movements in running words: those of the catalogue, and the short forms of boards. The longest name wins. */
import { distance } from 'fastest-levenshtein';
import { findMovement, foldName, nearMovements } from '../movements/names';
import { movementOf } from '../movements/catalogue';
import { remembered } from '../text/remembered';

/** short forms of boards (common practice, from memory) */
const shortNames: Readonly<Record<string, string>> = {
  bjo: 'box jump-over',
  bj: 'box jump',
  bbjo: 'burpee box jump-over',
  bbj: 'burpee box jump',
  wb: 'wall ball',
  wbs: 'wall ball',
  wallball: 'wall ball',
  wallballs: 'wall ball',
  rmu: 'ring muscle-up',
  bmu: 'bar muscle-up',
  'mu rings': 'ring muscle-up',
  'mu (rings)': 'ring muscle-up',
  pp: 'push press',
  pj: 'push jerk',
  sj: 'split jerk',
  sp: 'strict press',
  s2oh: 'shoulder-to-overhead',
  s2o: 'shoulder-to-overhead',
  sto: 'shoulder-to-overhead',
  g2oh: 'ground-to-overhead',
  g2o: 'ground-to-overhead',
  gto: 'ground-to-overhead',
  'shoulder to overhead': 'shoulder-to-overhead',
  'ground to overhead': 'ground-to-overhead',
  hpc: 'hang power clean',
  hpsn: 'hang power snatch',
  hps: 'hang power snatch',
  psn: 'power snatch',
  'p sn': 'power snatch',
  sn: 'snatch',
  'sn pull': 'snatch pull',
  hsc: 'hang squat clean',
  'sq clean': 'squat clean',
  'db sq clean': 'dumbbell squat clean',
  rc: 'rope climb',
  fc: 'farmer carry',
  "farmer's carry": 'farmer carry',
  'farmers carry': 'farmer carry',
  'farmers walk': 'farmer carry',
  gm: 'good morning',
  'rear foot elev. split sq': 'raised split squat',
  'air sq': 'air squat',
  'bw squat': 'air squat',
  dbs: 'dumbbell snatch',
  'alt dbs': 'dumbbell snatch',
  ww: 'wall walk',
  hsw: 'handstand walk',
  'hr pu': 'hand-release push-up',
  hrpu: 'hand-release push-up',
  'burpee pu': 'burpee pull-up',
  rower: 'row',
  erg: 'row',
  rowing: 'row',
  running: 'run',
  sprint: 'run',
  sprints: 'run',
  ski: 'ski machine',
  'db c&j': 'dumbbell clean and jerk',
  'db clean and jerk': 'dumbbell clean and jerk',
  'db hang clean and jerk': 'dumbbell hang clean and jerk',
  'bar-facing burpee': 'bar-facing burpee',
  'bar facing burpee': 'bar-facing burpee',
  'bar facing burpees': 'bar-facing burpee',
  'lat burpee': 'lateral burpee',
  'c2b pull-up': 'chest-to-bar pull-up',
  ctb: 'chest-to-bar pull-up',
  ttb: 'toes-to-bar',
  'bb row': 'bent-over row',
  'pull up': 'pull-up',
  oh: 'overhead',
  'oh kbs': 'overhead kettlebell swing',
  'american swing': 'overhead kettlebell swing',
  'sa kb row': 'kettlebell row',
  'single arm db row': 'dumbbell row',
};
const folded = (text: string): string => text.replace(/[.]+$/, '').trim();

/** what is written for a movement: the catalogue's name, or the words as they are */
export interface Named {
  readonly name: string;
  /** of the catalogue; null: Gambito does not know it */
  readonly id: string | null;
  /** another spelling stood there */
  readonly guessed: boolean;
  /** what stood there instead of the name that was guessed */
  readonly typed?: string;
}

const implementWords: Readonly<Record<string, string>> = {
  db: 'dumbbell',
  dumbbell: 'dumbbell',
  kb: 'kettlebell',
  kettlebell: 'kettlebell',
  bb: '',
  barbell: '',
};
const baseNames: Readonly<Record<string, string>> = { bench: 'bench press', press: 'strict press', ohp: 'strict press' };
/** `db s2oh`, `bb row`: an implement before a short form */
function withImplement(words: string): string | null {
  const [first, ...rest] = words.split(' ');
  const implement = implementWords[first!];
  if (implement === undefined || rest.length === 0) return null;
  const base = rest.join(' ').replace(/s$/, '');
  const long = shortNames[base] ?? shortNames[`${base}s`] ?? baseNames[base] ?? base;
  const own = findMovement(`${implement} ${long}`.trim());
  if (own !== null || implement === '') return own;
  // `dumbbell front rack lunge`: one that is done with any of several
  const id = findMovement(long);
  return id !== null && movementOf(id).load?.implements.some((each) => each === implement) ? id : null;
}

const byName = (name: string): Named => ({ name, id: findMovement(name.split(',')[0]!), guessed: false });

/** what one hops over; a box is jumped onto */
const overThing =
  /^(?:lat(?:eral)? )?burpees? (?:over|across) (?:the |a |your |ur )?(bar|barbell|rower|dumbbell|db|kettlebell|kb|line|towel|ball|plate|rope|bench|chair)s?$/;
const thingNames: Readonly<Record<string, string>> = { barbell: 'bar', db: 'dumbbell', kb: 'kettlebell' };

const exact = remembered((text: string): Named | null => {
  const words = folded(text);
  const over = overThing.exec(words)?.[1];
  if (over) return byName(`lateral burpee, over the ${thingNames[over] ?? over}`);
  if (Object.hasOwn(shortNames, words)) return byName(shortNames[words]!);
  const id = findMovement(words) ?? withImplement(words);
  if (id !== null) return { name: movementOf(id).name, id, guessed: false };
  const plural = words.replace(/s$/, '');
  return plural !== words && Object.hasOwn(shortNames, plural) ? byName(shortNames[plural]!) : null;
});

/** words that are in no name, so that a name ends before them */
const parting =
  /^(?:then|and|n|at|with|for|in|the|a|of|to|rest|cap|each|per|rounds?|sets?|reps?|min|s|kg|lb|m|km|cal|x|@|or|is|are|on|your|ur|u|we|you|i|go|do)$/;

const mostWords = 7;
/** @returns the longest name that begins at a word, and how many words it takes */
export function nameAt(words: readonly string[], from: number): { named: Named; used: number } | null {
  for (let used = Math.min(mostWords, words.length - from); used >= 1; used--) {
    const span = words.slice(from, from + used);
    if (parting.test(span[0]!) || (used > 1 && /^(?:then|at|for|of|rest|cap|rounds?|sets?|min|s|kg|lb|x|@)$/.test(span[used - 1]!))) continue;
    if (used > 1 && /^(?:easy|hard|slow|fast)$/.test(span[0]!)) continue;
    const named = exact(span.join(' '));
    if (named) return { named, used };
  }
  return null;
}

/** A slip of the pen after a count: `swigns`. One slip in a name of five letters, two in eight, three in twelve. */
export function slipAt(words: readonly string[], from: number): { named: Named; used: number } | null {
  for (let used = Math.min(3, words.length - from); used >= 1; used--) {
    const span = words.slice(from, from + used);
    const text = span.join(' ');
    if (text.length < 5 || span.some((word) => parting.test(word) || /\d/.test(word))) continue;
    const [id] = nearMovements(text, 1);
    if (id !== undefined && isSlip(foldName(text), foldName(movementOf(id).name)))
      return { named: { name: movementOf(id).name, id, guessed: true, typed: text }, used };
  }
  return null;
}
function isSlip(text: string, name: string): boolean {
  const [typedWords, nameWords] = [text.split(' '), name.split(' ')];
  // a slip is within a word: `dumbbell front` is no `dumbbell row`
  return typedWords.length > 1 && typedWords.length === nameWords.length
    ? typedWords.every((word, at) => word === nameWords[at] || isSlipOfWord(word, nameWords[at]!))
    : isSlipOfWord(text, name);
}
function isSlipOfWord(text: string, name: string): boolean {
  const bare = (words: string): string =>
    words
      .toLowerCase()
      .replace(/[^a-z]/g, '')
      .replace(/s$/, '');
  const [typed, meant] = [bare(text), bare(name)];
  const away = distance(typed, meant);
  // two letters that changed places count as one slip
  const exchanged = away === 2 && [...typed].sort().join('') === [...meant].sort().join('');
  return exchanged || away <= (typed.length >= 12 ? 3 : typed.length >= 8 ? 2 : 1);
}
/** words that stand before a name and are none of it */
const manner = /^(?:easy|hard|slow|fast|heavy|light|good|controlled|unbroken|ub|alt|alternating|more|other|strict|total|big|small|clean|smooth|steady|quick)$/;
/** after a count, what such words begin is no movement */
const talk =
  /^(?:degrees?|days?|weeks?|times?|people|persons?|years?|o'?clock|pm|am|more|less|left|or|and|to|in|of|the|a|is|are|if|min|s|sets?|rounds?|reps?|each|per|tank|works?|ball|bells?|dumbbells?|plates?|laps?|rest|change|off|on|out|down|up|seconds?|minutes?|attempts?|dbs?|kbs?|kg|lb|over|under|hours?|rd|with|for|x|at|then|from|until|go|part|athletes?|teams?|separate|complete|exercise|exercises|repetitions?|start|finish|men|women|ladies|girls|guys|boys|males?|females?)$/;

/** A name Gambito does not know, straight after a count: up to three words that are no talk; where a known name ends it, it goes along (`devil press`). */
export function unknownAt(words: readonly string[]): { named: Named; used: number } | null {
  if (words.length === 0 || talk.test(words[0]!) || manner.test(words[0]!) || /\d/.test(words[0]!)) return null;
  let used = 0;
  while (used < 3 && used < words.length && !talk.test(words[used]!) && !parting.test(words[used]!) && !/\d/.test(words[used]!)) {
    const known = used > 0 ? nameAt(words, used) : null;
    if (known) {
      used += known.used;
      break;
    }
    used++;
  }
  const name = words
    .slice(0, used)
    .join(' ')
    .replace(/[()/&]+/g, ' ')
    .trim();
  return name.length < 3 ? null : { named: { name: name.replace(/s$/, ''), id: null, guessed: false }, used };
}
