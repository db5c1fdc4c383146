/** The athlete file ↔ the form: short fields, and lists written one a line ("back squat 88 kg"). Nothing in the file that the form does not show is lost. */
import { findMovement, readAthlete, type Athlete } from '@gambito/core';

export interface AthleteForm {
  readonly name: string;
  readonly category: string;
  readonly bodyMass: string;
  readonly stature: string;
  readonly born: string;
  readonly level: string;
  readonly units: string;
  readonly timeAvailable: string;
  readonly notes: string;
  readonly lifts: string;
  readonly bestSets: string;
  readonly times: string;
  readonly avoid: readonly string[];
  readonly placeName: string;
  readonly floor: string;
  readonly ceiling: string;
  readonly noise: string;
  readonly kit: string;
}
export const emptyForm: AthleteForm = {
  name: '',
  category: 'women',
  bodyMass: '',
  stature: '',
  born: '',
  level: 'trained',
  units: 'kg',
  timeAvailable: '',
  notes: '',
  lifts: '',
  bestSets: '',
  times: '',
  avoid: [],
  placeName: 'home',
  floor: '3 x 2 m',
  ceiling: '2.5 m',
  noise: 'normal',
  kit: '',
};

const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');
const record = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
const lines = (value: unknown): string =>
  Object.entries(record(value))
    .map(([key, each]) => `${key.replaceAll('_', ' ')}: ${text(each)}`)
    .join('\n');

export function formOf(file: Record<string, unknown>): AthleteForm {
  const place = record(Array.isArray(file['places']) ? (file['places'] as unknown[])[0] : file['place']);
  return {
    name: text(file['name']),
    category: text(file['category']) || 'men',
    bodyMass: text(file['body_mass']),
    stature: text(file['stature']),
    born: text(file['born']),
    level: text(file['level']) || 'trained',
    units: text(file['units']) || 'kg',
    timeAvailable: text(file['time_available']),
    notes: text(file['notes']),
    lifts: withUnread(file, 'maxes'),
    bestSets: withUnread(file, 'best_sets'),
    times: withUnread(file, 'times'),
    avoid: (Array.isArray(file['avoid']) ? (file['avoid'] as unknown[]).map(text) : text(file['avoid']).split(','))
      .map((each) => each.trim())
      .filter((each) => each !== ''),
    placeName: text(place['name']) || 'home',
    floor: text(place['floor']),
    ceiling: text(place['ceiling']),
    noise: text(place['noise']) || 'normal',
    kit: Array.isArray(place['kit']) ? (place['kit'] as unknown[]).map(text).join('\n') : '',
  };
}

/** What was read of a list, one a line, and below it the lines nobody could read: they stay until the coach mends them. */
const withUnread = (file: Record<string, unknown>, key: string): string => {
  const unread = record(file['unread'])[key];
  return [lines(file[key]), ...(Array.isArray(unread) ? (unread as unknown[]).map(text) : [])].filter((each) => each !== '').join('\n');
};

export interface ReadLines {
  readonly values: Record<string, string>;
  /** lines that could not be read, as typed */
  readonly unread: readonly string[];
  readonly problems: readonly string[];
}

/** `back squat 88 kg`, `back squat: 80 kg x 5` → { back_squat: '80 kg x 5' } */
export function readMovementLines(value: string): ReadLines {
  const values: Record<string, string> = {};
  const unread: string[] = [];
  const problems: string[] = [];
  value.split('\n').forEach((line, index) => {
    if (line.trim() === '') return;
    const found = /^\s*([a-z][a-z\s_-]*?)\s*[:=]?\s*(\d.*)$/i.exec(line);
    const id = found ? findMovement(found[1]!.replaceAll('_', ' ')) : null;
    if (found && id) values[id.replaceAll('-', '_')] = found[2]!.trim();
    else {
      unread.push(line.trim());
      problems.push(`Line ${index + 1}: “${line.trim()}”, expected a movement and a figure such as “back squat 88 kg”.`);
    }
  });
  return { values, unread, problems };
}

/** `run 400 m 1:36`, `row 500 m: 2:04` → { run_400_m: '1:36' } */
export function readTimeLines(value: string): ReadLines {
  const values: Record<string, string> = {};
  const unread: string[] = [];
  const problems: string[] = [];
  value.split('\n').forEach((line, index) => {
    if (line.trim() === '') return;
    const found = /^\s*(run|row|bike)[\s_]+(\d+(?:\.\d+)?)[\s_]*(m|km)\s*[:=]?\s+(\d+:\d{2}(?::\d{2})?)\s*$/i.exec(line.replace(/(m|km):\s*/i, '$1 '));
    if (found) values[`${found[1]!.toLowerCase()}_${found[2]}_${found[3]!.toLowerCase()}`] = found[4]!;
    else {
      unread.push(line.trim());
      problems.push(`Line ${index + 1}: “${line.trim()}”, expected such as “run 400 m 1:36” or “row 500 m 2:04”.`);
    }
  });
  return { values, unread, problems };
}

export function fileOf(form: AthleteForm, before: Record<string, unknown>): Record<string, unknown> {
  const optional = (key: string, value: string): Record<string, unknown> => (value.trim() === '' ? {} : { [key]: value.trim() });
  const { place, places, unread: _unread, ...kept } = before;
  const [first, ...others] = Array.isArray(places) ? (places as unknown[]) : [place];
  const { name: _name, floor: _floor, ceiling: _ceiling, noise: _noise, kit: _kit, ...ofPlace } = record(first);
  const lifts = readMovementLines(form.lifts);
  const bestSets = readMovementLines(form.bestSets);
  const times = readTimeLines(form.times);
  const unread = Object.fromEntries(
    Object.entries({ maxes: lifts.unread, best_sets: bestSets.unread, times: times.unread }).filter(([, lines]) => lines.length > 0),
  );
  const usual = {
    ...ofPlace,
    name: form.placeName.trim() || 'home',
    ...optional('floor', form.floor),
    ...optional('ceiling', form.ceiling),
    noise: form.noise,
    kit: form.kit
      .split('\n')
      .map((each) => each.trim())
      .filter((each) => each !== ''),
  };
  for (const key of ['body_mass', 'stature', 'born', 'time_available', 'notes', 'maxes', 'best_sets', 'times', 'avoid']) delete kept[key];
  return {
    ...kept,
    name: form.name.trim(),
    category: form.category,
    level: form.level,
    units: form.units,
    ...optional('body_mass', form.bodyMass),
    ...optional('stature', form.stature),
    ...optional('born', form.born),
    ...optional('time_available', form.timeAvailable),
    ...optional('notes', form.notes),
    maxes: lifts.values,
    best_sets: bestSets.values,
    times: times.values,
    ...(Object.keys(unread).length > 0 ? { unread } : {}),
    avoid: form.avoid,
    ...(others.length > 0 ? { places: [usual, ...others] } : { place: usual }),
  };
}

/** What the form says so far: the athlete, and every problem by field. */
export function readForm(form: AthleteForm, before: Record<string, unknown>, today: string): { athlete: Athlete; problems: Readonly<Record<string, string>> } {
  const { athlete, problems } = readAthlete(fileOf(form, before), today);
  const byField: Record<string, string> = {};
  const fieldOf: Readonly<Record<string, string>> = {
    body_mass: 'bodyMass',
    stature: 'stature',
    born: 'born',
    age: 'born',
    time_available: 'timeAvailable',
    avoid: 'avoid',
    units: 'units',
    'place.floor': 'floor',
    'place.ceiling': 'ceiling',
  };
  for (const each of problems) {
    // told beside the line already
    if (each.key.startsWith('unread') || each.level === 'info') continue;
    const field =
      fieldOf[each.key] ??
      (each.key.startsWith('maxes')
        ? 'lifts'
        : each.key.startsWith('best_sets')
          ? 'bestSets'
          : each.key.startsWith('times')
            ? 'times'
            : each.key === 'place.kit'
              ? 'kit'
              : null);
    if (field) byField[field] = byField[field] ? `${byField[field]} ${each.message}` : each.message;
  }
  const listed = {
    lifts: readMovementLines(form.lifts).problems,
    bestSets: readMovementLines(form.bestSets).problems,
    times: readTimeLines(form.times).problems,
  };
  for (const [field, found] of Object.entries(listed)) if (found.length > 0) byField[field] = [...found, byField[field] ?? ''].join(' ').trim();
  if (form.name.trim() === '') byField['name'] = 'Expected a name.';
  return { athlete, problems: byField };
}
