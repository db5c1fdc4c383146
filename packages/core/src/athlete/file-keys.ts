/** The keys of an athlete file, and what people call them otherwise (common practice, from memory). The file itself stays as it was typed. */
import { distance } from 'fastest-levenshtein';
import type { Category } from '../workout/workout';
import { type Plain, type Tell } from './file';
import { isPlaced } from './harm';
import { textOf } from './measures';
import { plainKey } from './plain-key';

export const known =
  'name category body_mass stature born age level units maxes best_sets times avoid skills reach limits read prefer time_available place places notes results unread groups tier contact kit'.split(
    ' ',
  );

const otherwise: Readonly<Record<string, string>> = {
  weight: 'body_mass',
  body_weight: 'body_mass',
  bodyweight: 'body_mass',
  mass: 'body_mass',
  bodymass: 'body_mass',
  height: 'stature',
  sex: 'category',
  gender: 'category',
  division: 'category',
  birth_year: 'born',
  year_of_birth: 'born',
  born_in: 'born',
  date_of_birth: 'born',
  birthday: 'born',
  dob: 'born',
  max: 'maxes',
  prs: 'maxes',
  pbs: 'maxes',
  one_rep_maxes: 'maxes',
  '1rm': 'maxes',
  '1_rm': 'maxes',
  one_rm: 'maxes',
  lifts: 'maxes',
  best_set: 'best_sets',
  bestsets: 'best_sets',
  max_reps: 'best_sets',
  time: 'time_available',
  minutes_available: 'time_available',
  equipment: 'kit',
  gear: 'kit',
  comments: 'notes',
  comment: 'notes',
  note: 'notes',
  unit: 'units',
  skill: 'skills',
  experience: 'level',
};

const keyOf = (key: string): string | null => {
  const plain = plainKey(key);
  return known.includes(plain) ? plain : Object.hasOwn(otherwise, plain) ? otherwise[plain]! : null;
};

/** The key that may be meant. */
const nearTo = (key: string): string => {
  const plain = plainKey(key);
  const near = known.find((word) => distance(plain, word) <= 2);
  return near ? ` (“${near}”?)` : '';
};

interface ReadKey {
  /** as it was typed */
  readonly key: string;
  /** as it is read; null where it is not */
  readonly as: string | null;
  /** what it is called otherwise, where that stands in the file too */
  readonly beside: string | null;
}
/** A key that stands as it should goes before one that is called otherwise. */
function readKeys(file: Plain): ReadKey[] {
  const taken = new Set(Object.keys(file));
  return Object.keys(file).map((key) => {
    if (known.includes(key) || isPlaced(key)) return { key, as: key, beside: null };
    const meant = keyOf(key);
    if (meant === null || taken.has(meant)) return { key, as: null, beside: meant };
    taken.add(meant);
    return { key, as: meant, beside: null };
  });
}

/** The file under the keys that are read; what is not, is told with the nearest known one. */
export function underKnownKeys(file: Plain, tell: Tell): Plain {
  const keys = readKeys(file);
  for (const { key, as, beside } of keys) {
    if (beside !== null) tell('warning', key, `“${beside}” stands in the file too; “${key}” is kept and not read.`);
    else if (as === null) tell('warning', key, `unknown key “${key}”${nearTo(key)}; kept in the file and not read.`);
    else if (as !== key) tell('info', key, `read as “${as}”.`);
  }
  return Object.fromEntries(keys.flatMap(({ key, as }) => (as === null ? [] : [[as, file[key]]])));
}

const categories: Readonly<Record<string, Category>> = {
  men: 'men',
  man: 'men',
  male: 'men',
  m: 'men',
  women: 'women',
  woman: 'women',
  female: 'women',
  f: 'women',
  w: 'women',
};
export const categoryOf = (said: unknown): Category | null => {
  const word = textOf(said).toLowerCase();
  return Object.hasOwn(categories, word) ? categories[word]! : null;
};

/** A file as it is kept: under the keys that are read, with the category as it is read; all else as it was typed. */
export function tidyFile(file: Plain): Plain {
  const tidy: Plain = Object.fromEntries(readKeys(file).map(({ key, as }) => [as ?? key, file[key]]));
  const category = categoryOf(tidy['category']);
  return category === null ? tidy : { ...tidy, category };
}
