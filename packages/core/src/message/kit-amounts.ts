/** How much of a thing, and how many: masses, counts and steps in the words around its name. */

export const N = String.raw`\d+(?:\.\d+)?`;
export interface Mass {
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
    String.raw`(?<many>${N}) ?s\b(?! ?(?:x|each))`,
    String.raw`(?<one>${N})(?: ?(?<u4>kg|lb|pood))?(?: ?x ?(?<after>\d{1,2})\b)?`,
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
  // `dumbbells: 5s, 8s`: of such a figure there are two
  if (groups['many'] !== undefined) return made(groups['many'], 2);
  if (groups['few'] !== undefined) return made(groups['heavy']!, Number(groups['few']));
  return made(groups['one']!, groups['after'] === undefined ? null : Number(groups['after']));
}
/** `one pair each` says how many, and is no mass */
export const massesIn = (text: string): Mass[] =>
  [...text.replace(/\d+ (?:pairs? )?(?:each|ea)\b/g, '').matchAll(amount)].map(({ groups = {} }) => massOf(groups));

export const unitIn = (text: string): 'kg' | 'lb' => (/\blb\b|#/.test(text) && !/\bkg\b/.test(text) ? 'lb' : 'kg');

/** `10-50 lb in 5 s`: every step of a set. */
export const range = new RegExp(String.raw`(${N}) ?(?:kg|lb)?(?: ?(?:-|to|up to) ?)(${N}) ?(?:kg|lb)?[^,;]{0,24}?(?:in|by|steps? of|going up in|each) (${N})`);

export interface Stated {
  /** all words between the name before and this one */
  readonly lead: string;
  /** straight before the name: its own count and mass */
  readonly before: string;
  /** up to what belongs to the next name */
  readonly after: string;
}
/** What of the words before a name is its own: a count, a mass. @returns where it begins */
const ownWords = new RegExp(
  String.raw`(?:(?:\d+ ?(?:x|pairs? of|pieces? of|pcs? of)? ?)?(?:${N} ?(?:kg|lb|pood)?)?|\d+ (?:light |heavy )?pairs? of|a (?:light |heavy )?pair of|pairs? of) ?(?:of )?(?:hex |flat |olympic |wooden |light |heavy )?$`,
);
export const ownFrom = (words: string): number => ownWords.exec(words)?.index ?? words.length;

/** Masses of one name, and how many of each. A figure alone before or after it is a count. */
export function massesOf({ lead, before, after }: Stated): Mass[] {
  const isPair = /\bpairs?\b|\bpr\b/.test(`${lead.slice(-24)} ${after.slice(0, 40)}`);
  const [own, told] = [massesIn(before), massesIn(after)];
  const counts = (mass: Mass): boolean => mass.unit === null && mass.count === null && Number.isInteger(mass.value) && mass.value <= 12;
  // `2 dumbbells of 10 kg`: the figure before is how many
  const isCounted = own.length === 1 && counts(own[0]!) && told.some(({ unit, value }) => unit !== null || value >= 1);
  // `2 kettlebells, 12 and 20`: as many as there are masses are one of each
  const isOneEach = isCounted && told.length > 1 && own[0]!.value === told.length;
  const many = isCounted ? (isOneEach ? 1 : own[0]!.value) : null;
  // `kettlebell 53 lb - 2`, `dumbbells 35 lb (2)`, `20, 30, 45 - 1 each`
  const last = told.at(-1);
  const afterwards = last && counts(last) && /(?:-|\(|x) ?\d+\s*(?:ea|each|pcs?|pc|pairs? each)?\)?(?:[\s+,&]|\ban?\b)*$/.test(after) ? last.value : null;
  const rest = afterwards === null ? told : told.slice(0, -1);
  const beside = rest.filter(({ unit, count }) => unit !== null && count !== null);
  // nothing that is trained with weighs less, and a bare 1 is a count
  const masses = (own.length > 0 && !isCounted ? [...own, ...beside] : rest).filter(({ value, unit }) => unit !== null || value >= 2);
  return masses.map((mass) => ({ ...mass, count: mass.count ?? many ?? afterwards ?? (isPair ? 2 : null) }));
}

export const clean = (value: number): string => String(Number(value.toFixed(2)));
