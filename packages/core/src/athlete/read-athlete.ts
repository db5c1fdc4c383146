/** The athlete file (YAML or JSON, already parsed to plain values) → athlete. Any key may be missing; an unknown key is a warning, never a refusal. */
import { barePlace, type Place } from '../kit/kit';
import { readKit } from '../kit/read-kit';
import { findMovement } from '../movements/names';
import { isMovementId } from '../movements/catalogue';
import { readScore } from '../scoring/score-text';
import { readDuration } from '../units/duration';
import { poundsToKilograms } from '../units/mass';
import { avoidNames, levels, type Athlete, type AvoidName, type KnownMax, type Level, type TimedEffort } from './athlete';

export interface AthleteProblem {
  readonly level: 'error' | 'warning';
  readonly key: string;
  readonly message: string;
}
export interface ReadAthlete {
  readonly athlete: Athlete;
  readonly problems: readonly AthleteProblem[];
}

type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value);
const text = (value: unknown): string => (typeof value === 'string' ? value : typeof value === 'number' ? String(value) : '').trim();

/** `64 kg`, `141 lb`, `64`; null when it is no mass */
export function readMass(value: unknown): number | null {
  const found = /^(\d+(?:\.\d+)?)\s*(kg|kgs|kilos?|lb|lbs|pounds?)?$/i.exec(text(value));
  if (!found) return null;
  return found[2]?.toLowerCase().startsWith('lb') || found[2]?.toLowerCase().startsWith('pound') ? poundsToKilograms(Number(found[1])) : Number(found[1]);
}

/** `168 cm`, `1.68 m`, `5'6"`, `168`; metres */
export function readLength(value: unknown): number | null {
  const raw = text(value);
  const feet = /^(\d)\s*'\s*(\d{1,2})?\s*"?$/.exec(raw);
  if (feet) return Number(feet[1]) * 0.3048 + Number(feet[2] ?? 0) * 0.0254;
  const found = /^(\d+(?:\.\d+)?)\s*(cm|m)?$/i.exec(raw);
  if (!found) return null;
  const figure = Number(found[1]);
  return found[2]?.toLowerCase() === 'cm' || (!found[2] && figure > 3) ? figure / 100 : figure;
}

/** `80 kg`, `80 kg x 5` */
function readMax(value: unknown): KnownMax | null {
  const [mass, reps = '1'] = text(value)
    .toLowerCase()
    .split(/\s*x\s*(?=\d+\s*$)/);
  const kg = readMass(mass);
  return kg === null || !/^\d+$/.test(reps.trim()) || Number(reps) < 1 ? null : { kg, reps: Number(reps) };
}

function readTimes(raw: Plain, warn: (key: string, message: string) => void): TimedEffort[] {
  return Object.entries(raw).flatMap(([key, value]) => {
    const found = /^(run|row|bike)_(\d+(?:\.\d+)?)_(m|km)$/.exec(key);
    const seconds = readDuration(text(value));
    if (!found || seconds === null || seconds <= 0) {
      warn(
        `times.${key}`,
        found ? `“${text(value)}” is no time; expected minutes and seconds such as "1:42".` : 'expected run, row or bike with a distance, such as run_400_m.',
      );
      return [];
    }
    return [{ engine: found[1] as TimedEffort['engine'], metres: Number(found[2]) * (found[3] === 'km' ? 1000 : 1), seconds }];
  });
}

const isSaid = (value: unknown): boolean => value !== undefined && value !== null && text(value) !== '';

/** Years from `born` (a year, or a date with one) or `age`; null when neither is said or what is said is no age. */
function readAge(file: Plain, today: string, warn: (key: string, message: string) => void): number | null {
  const said = isSaid(file['born']) ? 'born' : isSaid(file['age']) ? 'age' : null;
  if (said === null) return null;
  const written = text(file[said]);
  const year = /\d{4}/.exec(written);
  const age = said === 'age' ? Number(written) : year ? Number(today.slice(0, 4)) - Number(year[0]) : NaN;
  if (age >= 8 && age <= 100) return age;
  warn(
    said,
    Number.isFinite(age)
      ? `“${written}” gives an age of ${age}; expected 8–100 years.`
      : `“${written}” is no ${said === 'age' ? 'age' : 'year'}; expected such as ${said === 'age' ? '“37”' : '“1988”'}.`,
  );
  return null;
}

/** An athlete file with results that were logged elsewhere, after those it tells itself. Anything that is no file is left as it is. */
export function fileWithResults(file: unknown, logged: readonly { readonly workout: string; readonly score: string }[]): unknown {
  if (!isPlain(file) || logged.length === 0) return file;
  const told: unknown[] = Array.isArray(file['results']) ? file['results'] : [];
  return { ...file, results: [...told, ...logged.map(({ workout, score }) => ({ workout, score }))] };
}

function readResults(raw: unknown, warn: (key: string, message: string) => void): { workout: string; score: string }[] {
  if (raw === undefined || raw === null) return [];
  const list = Array.isArray(raw) ? raw : [];
  if (!Array.isArray(raw)) warn('results', 'expected a list of results, each with “workout” and “score”.');
  return list.flatMap((each, index) => {
    if (isPlain(each) && text(each['workout']) !== '' && readScore(text(each['score'])) !== null)
      return [{ workout: text(each['workout']), score: text(each['score']) }];
    warn(`results.${index + 1}`, 'expected a workout text and a score such as “8:41”, “7+12” or “92.5 kg”.');
    return [];
  });
}

export function readPlace(raw: unknown, warn: (key: string, message: string) => void): Place {
  if (!isPlain(raw)) return barePlace;
  const floor = /^(\d+(?:\.\d+)?)\s*[x×]\s*(\d+(?:\.\d+)?)\s*(?:m)?$/i.exec(text(raw['floor']));
  if (raw['floor'] !== undefined && !floor) warn('place.floor', `“${text(raw['floor'])}” is no floor; expected length × width such as “3 x 2 m”.`);
  const ceiling = raw['ceiling'] === undefined ? barePlace.ceilingM : readLength(raw['ceiling']);
  if (ceiling === null) warn('place.ceiling', `“${text(raw['ceiling'])}” is no height; expected metres such as “2.25 m”.`);
  const street = raw['to_street'] === undefined ? null : readDuration(text(raw['to_street']));
  if (raw['to_street'] !== undefined && street === null) warn('place.to_street', `“${text(raw['to_street'])}” is no time; expected seconds such as “20 s”.`);
  const noise = text(raw['noise']) || 'normal';
  if (!['free', 'normal', 'quiet'].includes(noise)) warn('place.noise', `“${noise}” is not known; expected free, normal or quiet.`);
  const lines = Array.isArray(raw['kit']) ? raw['kit'].map(text) : text(raw['kit']).split('\n');
  const kit = readKit(lines);
  for (const problem of kit.problems) warn('place.kit', problem.message);
  for (const key of Object.keys(raw))
    if (!['name', 'floor', 'ceiling', 'noise', 'kit', 'to_street'].includes(key)) warn(`place.${key}`, 'unknown key; left out.');
  return {
    name: text(raw['name']) || 'home',
    floor: floor ? { lengthM: Number(floor[1]), widthM: Number(floor[2]) } : barePlace.floor,
    ceilingM: ceiling ?? barePlace.ceilingM,
    noise: ['free', 'normal', 'quiet'].includes(noise) ? (noise as Place['noise']) : 'normal',
    ...(street === null ? {} : { toStreetSeconds: street }),
    kit: kit.items,
  };
}

const known = [
  'name',
  'category',
  'body_mass',
  'stature',
  'born',
  'age',
  'level',
  'units',
  'maxes',
  'best_sets',
  'times',
  'avoid',
  'limits',
  'prefer',
  'time_available',
  'place',
  'places',
  'notes',
  'results',
];

/**
 * @param raw plain values, as a YAML or JSON reader gives them
 * @param today ISO date, for the age; core has no clock
 */
export function readAthlete(raw: unknown, today: string): ReadAthlete {
  const problems: AthleteProblem[] = [];
  const assumed: string[] = [];
  const warn = (key: string, message: string): void => {
    problems.push({ level: 'warning', key, message });
  };
  const file: Plain = isPlain(raw) ? raw : {};
  if (!isPlain(raw))
    problems.push({ level: 'error', key: '', message: 'Expected an athlete as keys and values, such as “level: trained” and “body_mass: 64 kg”.' });
  for (const key of Object.keys(file)) if (!known.includes(key)) warn(key, `unknown key “${key}”; left out.`);

  const category = file['category'] === 'men' || file['category'] === 'women' ? file['category'] : null;
  if (category === null) {
    if (file['category'] !== undefined) warn('category', `“${text(file['category'])}” is not known; expected men or women.`);
    assumed.push('category: the men’s column, because none was given');
  }
  const level = levels.find((each) => each === text(file['level'])) ?? null;
  if (level === null) {
    if (file['level'] !== undefined) warn('level', `“${text(file['level'])}” is not known; expected ${levels.join(', ')}.`);
    assumed.push('level: trained, because none was given');
  }
  const massRead = readMass(file['body_mass']);
  const mass = massRead !== null && massRead >= 25 && massRead <= 250 ? massRead : null;
  if (mass === null) {
    if (file['body_mass'] !== undefined) warn('body_mass', `“${text(file['body_mass'])}” is no body mass; expected 25–250 kg such as “64 kg”.`);
    assumed.push(`body mass: ${category === 'women' ? 64 : 80} kg, a usual figure`);
  }
  const statureRead = readLength(file['stature']);
  const stature = statureRead !== null && statureRead >= 1.2 && statureRead <= 2.3 ? statureRead : null;
  if (stature === null) {
    if (file['stature'] !== undefined) warn('stature', `“${text(file['stature'])}” is no stature; expected 120–230 cm such as “168 cm”.`);
    assumed.push(`stature: ${category === 'women' ? 1.66 : 1.78} m, a usual figure`);
  }
  const age = readAge(file, today, warn);

  const maxes: Record<string, KnownMax> = {};
  for (const [key, value] of Object.entries(isPlain(file['maxes']) ? file['maxes'] : {})) {
    const id = idOf(key);
    const max = readMax(value);
    if (!id) warn(`maxes.${key}`, `“${key}” is not a movement Gambito knows.`);
    else if (max === null || max.kg > 600) warn(`maxes.${key}`, `“${text(value)}” is no load; expected such as “92 kg” or “80 kg x 5”.`);
    else maxes[id] = max;
  }
  const bestSets: Record<string, number> = {};
  for (const [key, value] of Object.entries(isPlain(file['best_sets']) ? file['best_sets'] : {})) {
    const id = idOf(key);
    const reps = Number(text(value).replace(/\s*(?:s|reps)$/, '') || NaN);
    if (!id) warn(`best_sets.${key}`, `“${key}” is not a movement Gambito knows.`);
    else if (!Number.isFinite(reps) || reps < 0 || reps > 5000) warn(`best_sets.${key}`, `“${text(value)}” is no count; expected 0 or more.`);
    else bestSets[id] = reps;
  }
  const avoid = (Array.isArray(file['avoid']) ? file['avoid'] : file['avoid'] === undefined || file['avoid'] === null ? [] : text(file['avoid']).split(','))
    .map((each) => text(each).trim().replaceAll(' ', '_'))
    .filter((each) => each !== '')
    .filter((each): each is AvoidName => {
      const fine = (avoidNames as readonly string[]).includes(each);
      if (!fine) warn('avoid', `“${each}” is not known; expected ${avoidNames.join(', ')}.`);
      return fine;
    });
  const limits = isPlain(file['limits']) ? file['limits'] : {};
  const rawPlaces = Array.isArray(file['places']) ? file['places'] : file['place'] === undefined ? [] : [file['place']];
  const time = readDuration(typeof file['time_available'] === 'number' ? `${file['time_available']} min` : text(file['time_available']));
  if (isSaid(file['time_available']) && time === null) warn('time_available', `“${text(file['time_available'])}” is no time; expected such as “40 min”.`);
  if (isSaid(file['units']) && file['units'] !== 'kg' && file['units'] !== 'lb') warn('units', `“${text(file['units'])}” is not known; expected kg or lb.`);
  return {
    athlete: {
      name: text(file['name']) || 'Athlete',
      category: category ?? 'men',
      bodyMassKg: mass ?? (category === 'women' ? 64 : 80),
      statureM: stature ?? (category === 'women' ? 1.66 : 1.78),
      ageYears: age,
      level: level ?? ('trained' satisfies Level),
      units: file['units'] === 'lb' ? 'lb' : 'kg',
      maxes,
      bestSets,
      times: readTimes(isPlain(file['times']) ? file['times'] : {}, warn),
      avoid,
      limits: { squatDepth: text(limits['squat_depth']) || null, reach: text(limits['reach']) || null },
      prefer: Object.fromEntries(Object.entries(isPlain(file['prefer']) ? file['prefer'] : {}).map(([key, value]) => [key, text(value)])),
      timeAvailableSeconds: time,
      places: rawPlaces.length > 0 ? rawPlaces.map((each) => readPlace(each, warn)) : [barePlace],
      results: readResults(file['results'], warn),
      assumed,
    },
    problems,
  };
}

function idOf(key: string): string | null {
  const id = key.replaceAll('_', '-');
  return isMovementId(id) ? id : findMovement(key.replaceAll('_', ' '));
}
