/** The athlete file ↔ the form: short fields, and lists written one a line. Nothing in the file that the form does not show is lost. */
import { entryLines, groupsOf } from '@gambito/contract';
import { readAthlete, speaksOfHarm, type Unanswered } from '@gambito/core';
import { readMovementLines, readPreferLines, readSkillLines, readTimeLines, type ReadLines } from './movement-lines';

export interface PlaceForm {
  readonly name: string;
  readonly floor: string;
  readonly ceiling: string;
  readonly noise: string;
  readonly street: string;
  readonly kit: string;
  /** what the file says of the place besides */
  readonly besides: Readonly<Record<string, unknown>>;
}
/** What a coach answered to something that speaks of harm. */
export interface HarmAnswer {
  readonly text: string;
  readonly by: string;
  /** ISO day */
  readonly date: string;
  readonly spares: readonly string[];
}
export interface AthleteForm {
  readonly name: string;
  readonly category: string;
  readonly bodyMass: string;
  readonly stature: string;
  readonly reach: string;
  readonly born: string;
  readonly level: string;
  readonly units: string;
  readonly timeAvailable: string;
  readonly groups: string;
  readonly contact: string;
  readonly tier: string;
  readonly notes: string;
  readonly lifts: string;
  readonly bestSets: string;
  readonly times: string;
  readonly skills: string;
  readonly prefer: string;
  readonly squatDepth: string;
  readonly reachLimit: string;
  readonly avoid: readonly string[];
  readonly answers: readonly HarmAnswer[];
  /** the first is where the athlete trains today */
  readonly places: readonly PlaceForm[];
}
/** The fields that are one text. */
export type TextKey = Exclude<keyof AthleteForm, 'avoid' | 'answers' | 'places'>;

export const emptyPlace: PlaceForm = { name: 'home', floor: '', ceiling: '', noise: 'normal', street: '', kit: '', besides: {} };
export const emptyForm: AthleteForm = {
  name: '',
  category: 'women',
  bodyMass: '',
  stature: '',
  reach: '',
  born: '',
  level: 'trained',
  units: 'kg',
  timeAvailable: '',
  groups: '',
  contact: '',
  tier: '',
  notes: '',
  lifts: '',
  bestSets: '',
  times: '',
  skills: '',
  prefer: '',
  squatDepth: '',
  reachLimit: '',
  avoid: [],
  answers: [],
  places: [emptyPlace],
};

type Plain = Record<string, unknown>;
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');
const record = (value: unknown): Plain => (typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Plain) : {});

/** Fields that stand in the file as they stand in the form. */
const plainKeys = [
  ['bodyMass', 'body_mass'],
  ['stature', 'stature'],
  ['reach', 'reach'],
  ['born', 'born'],
  ['timeAvailable', 'time_available'],
  ['contact', 'contact'],
  ['tier', 'tier'],
  ['notes', 'notes'],
] as const;
/** Fields of one movement or effort a line, how each is read, and where it stands in the file. */
export const lineKeys: readonly (readonly [TextKey, string, (value: string) => ReadLines])[] = [
  ['lifts', 'maxes', readMovementLines],
  ['bestSets', 'best_sets', readMovementLines],
  ['times', 'times', readTimeLines],
  ['skills', 'skills', readSkillLines],
  ['prefer', 'prefer', readPreferLines],
];

function placeFormOf(place: unknown): PlaceForm {
  const { name, floor, ceiling, noise, to_street: street, kit, ...besides } = record(place);
  return {
    name: text(name) || 'home',
    floor: text(floor),
    ceiling: text(ceiling),
    noise: text(noise) || 'normal',
    street: text(street),
    kit: Array.isArray(kit) ? kit.map(text).join('\n') : text(kit),
    besides,
  };
}

/** What was read of a list, one a line, and below it the lines nobody could read: they stay until the coach mends them. */
const withUnread = (file: Plain, key: string): string => {
  const unread = record(file['unread'])[key];
  return [entryLines(file[key]).join('\n'), ...(Array.isArray(unread) ? unread.map(text) : [])].filter((each) => each !== '').join('\n');
};

const isInAvoid = ({ path }: Unanswered): boolean => path === 'avoid' || path.startsWith('avoid.');
/** What the athlete is spared, wherever and however the file says it, with the words of its avoid-list that nobody can read; and what was answered. */
function harmOf(file: Plain): Pick<AthleteForm, 'avoid' | 'answers' | 'squatDepth' | 'reachLimit'> {
  const { avoid, unanswered, limits } = readAthlete(file, '2000-01-01').athlete;
  const answers = (Array.isArray(file['read']) ? file['read'] : []).map(record);
  return {
    avoid: [...avoid, ...unanswered.filter(isInAvoid).map(({ text: word }) => word)],
    answers: answers.map((answer) => ({
      text: text(answer['text']),
      by: text(answer['by']),
      date: text(answer['date']),
      spares: Array.isArray(answer['spares']) ? answer['spares'].map(text) : [],
    })),
    squatDepth: limits.squatDepth ?? '',
    reachLimit: limits.reach ?? '',
  };
}
/** Of keys that speak of harm those that still wait for an answer; what was placed stands in the form's own fields. */
function stillWaiting(kept: Plain, path: string, waiting: readonly Unanswered[]): Plain {
  const at = (key: string): string => (path === '' ? key : `${path}.${key}`);
  const waits = (key: string): boolean => waiting.some((word) => word.path === at(key) || word.path.startsWith(`${at(key)}.`));
  return Object.fromEntries(Object.entries(kept).filter(([key]) => !speaksOfHarm(key) || waits(key)));
}

export function formOf(file: Plain): AthleteForm {
  const places = Array.isArray(file['places']) && file['places'].length > 0 ? file['places'] : [file['place']];
  return {
    ...emptyForm,
    name: text(file['name']),
    category: text(file['category']) || 'men',
    level: text(file['level']) || 'trained',
    units: text(file['units']) || 'kg',
    ...Object.fromEntries(plainKeys.map(([field, key]) => [field, text(file[key])])),
    ...Object.fromEntries(lineKeys.map(([field, key]) => [field, withUnread(file, key)])),
    groups: groupsOf(file['groups']).join(', '),
    ...harmOf(file),
    places: places.map(placeFormOf),
  };
}

const filled = (key: string, value: string): Plain => (value.trim() === '' ? {} : { [key]: value.trim() });

const placeOf = (waiting: readonly Unanswered[], { name, floor, ceiling, noise, street, kit, besides }: PlaceForm): Plain => ({
  ...Object.fromEntries(
    Object.entries(besides).filter(([key]) => !speaksOfHarm(key) || waiting.some(({ path }) => path.startsWith('place') && path.includes(`.${key}`))),
  ),
  name: name.trim() || 'home',
  ...filled('floor', floor),
  ...filled('ceiling', ceiling),
  ...filled('to_street', street),
  noise,
  kit: kit
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== ''),
});

/** A place of which nothing was typed is none: the file goes on without one. */
const isTold = ({ name, floor, ceiling, noise, street, kit, besides }: PlaceForm): boolean =>
  [floor, ceiling, street, kit].some((typed) => typed.trim() !== '') ||
  noise !== 'normal' ||
  name.trim() !== emptyPlace.name ||
  Object.keys(besides).length > 0;

/** Lists as they were read, and the lines that could not be. */
function listsOf(form: AthleteForm, keptUnread: unknown): Plain {
  const read = lineKeys.map(([field, key, reader]) => [key, reader(form[field])] as const);
  // columns of a table that nobody reads stay as they were typed
  const columns = record(keptUnread)['columns'];
  const unread = {
    ...(columns === undefined ? {} : { columns }),
    ...Object.fromEntries(read.filter(([, found]) => found.unread.length > 0).map(([key, found]) => [key, found.unread])),
  };
  const lists = Object.fromEntries(
    read.map(([key, { values }]) => [key, values]).filter(([key, values]) => alwaysThere.has(key as string) || Object.keys(values!).length > 0),
  );
  return { ...lists, ...(Object.keys(unread).length > 0 ? { unread } : {}) };
}
const alwaysThere = new Set(['maxes', 'best_sets', 'times']);

/** @param before the file as it was: what the form does not show stays */
export function fileOf(form: AthleteForm, before: Plain): Plain {
  const { place: _place, places: _places, unread: keptUnread, groups: _groups, limits, avoid: _avoid, read: _read, kit: _kit, ...others } = before;
  const waiting = readAthlete({ ...before, read: form.answers }, '2000-01-01').athlete.unanswered;
  const kept = stillWaiting(others, '', waiting);
  for (const [, key] of [...plainKeys, ...lineKeys]) delete kept[key];
  const { squat_depth: _depth, reach: _reach, ...otherLimits } = record(limits);
  const waitingLimits = Object.fromEntries(Object.entries(otherLimits).filter(([key]) => waiting.some(({ path }) => path.startsWith(`limits.${key}`))));
  const ofLimits = { ...waitingLimits, ...filled('squat_depth', form.squatDepth), ...filled('reach', form.reachLimit) };
  const places = form.places.map((place) => placeOf(waiting, place));
  const groups = groupsOf(form.groups);
  return {
    ...kept,
    name: form.name.trim(),
    category: form.category,
    level: form.level,
    units: form.units,
    ...plainKeys.reduce<Plain>((all, [field, key]) => ({ ...all, ...filled(key, form[field]) }), {}),
    ...listsOf(form, keptUnread),
    avoid: form.avoid,
    ...(form.answers.length > 0 ? { read: form.answers } : {}),
    ...(Object.keys(ofLimits).length > 0 ? { limits: ofLimits } : {}),
    ...(groups.length > 0 ? { groups } : {}),
    ...(places.length > 1
      ? { places }
      : isTold(form.places[0]!) || before['place'] !== undefined || before['places'] !== undefined
        ? { place: places[0] }
        : {}),
  };
}
