/**
 * The athlete file (YAML or JSON, already parsed to plain values) → athlete. Any key may be missing; an unknown key is a warning, never a refusal.
 * Only what speaks of harm and cannot be placed is an error (harm.ts): it must not be passed over.
 */
import { placeAsAsked } from '../kit/as-asked';
import { barePlace } from '../kit/kit';
import { findMovement } from '../movements/names';
import { isMovementId } from '../movements/catalogue';
import type { MassUnit } from '../units/mass';
import { isWithin, orNull, ranges } from '../units/ranges';
import { levels, type Athlete, type KnownMax, type Level, type LoggedResult, type Measured, type ReadPast, type TimedEffort } from './athlete';
import { datedFigure, dayText, yearsSince, type SaidDay } from './dated';
import { entriesOf, isPlain, mostEntries, type AthleteProblem, type Plain, type Tell } from './file';
import { categoryOf, underKnownKeys } from './file-keys';
import { readHarm } from './harm';
import { readBest, readDurationOf, readLength, readMass, readMax, textOf } from './measures';
import { readPlace } from './read-place';
import { readTier, type SaidTier } from './tier';
import type { Category } from '../workout/workout';

export type { AthleteProblem } from './file';
export interface ReadAthlete {
  readonly athlete: Athlete;
  readonly problems: readonly AthleteProblem[];
}

const isSaid = (value: unknown): boolean => value !== undefined && value !== null && textOf(value) !== '';

/** A record that came as something else is told: its figures are not passed over in silence. */
function recordOf(raw: unknown, key: string, tell: Tell): [string, unknown][] {
  if (raw !== undefined && raw !== null && !isPlain(raw))
    tell('warning', key, `expected names and figures such as “back_squat: 92 kg”, not ${Array.isArray(raw) ? 'a list' : 'one text'}; it is kept and not read.`);
  return entriesOf(raw);
}

const engines: Readonly<Record<string, TimedEffort['engine']>> = {
  run: 'run',
  running: 'run',
  row: 'row',
  rowing: 'row',
  rower: 'row',
  erg: 'row',
  bike: 'bike',
  cycling: 'bike',
  cycle: 'bike',
};
const metresOf: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  k: 1000,
  km: 1000,
  mile: 1609.344,
  miles: 1609.344,
  mi: 1609.344,
};
/** `run_400_m`, `2 km row`, `5k run`, `1 mile run`, `Row 500m`; null where it is none */
function effortOf(key: string): Pick<TimedEffort, 'engine' | 'metres'> | null {
  const words = key
    .slice(0, 60)
    .toLowerCase()
    .replaceAll(/[_\s-]+/g, ' ')
    .trim();
  const found = /^(?:(\d+(?:[.,]\d+)?) ?([a-z]+) ([a-z]+)|([a-z]+) (\d+(?:[.,]\d+)?) ?([a-z]+))$/.exec(words);
  const [engine, figure, unit] = [found?.[3] ?? found?.[4], found?.[1] ?? found?.[5], found?.[2] ?? found?.[6]];
  if (engine === undefined || figure === undefined || unit === undefined || !Object.hasOwn(engines, engine) || !Object.hasOwn(metresOf, unit)) return null;
  return { engine: engines[engine]!, metres: Number(figure.replace(',', '.')) * metresOf[unit]! };
}

function readTimes(raw: unknown, tell: Tell): TimedEffort[] {
  return recordOf(raw, 'times', tell).flatMap(([key, value]) => {
    const found = effortOf(key);
    const seconds = readDurationOf(value, 'seconds');
    if (found && seconds !== null && isWithin(seconds, ranges.effortSeconds)) return [{ ...found, seconds }];
    tell(
      'warning',
      `times.${key}`,
      found
        ? `“${textOf(value)}” is no time of an effort; expected ${ranges.effortSeconds.said}, such as "1:42".`
        : 'expected run, row or bike with a distance, such as run_400_m.',
    );
    return [];
  });
}

/** Years from `born` (a year, or a date with one) or `age`; null when neither is said or what is said is no age. */
function readAge(file: Plain, today: string, tell: Tell): number | null {
  const said = isSaid(file['born']) ? 'born' : isSaid(file['age']) ? 'age' : null;
  if (said === null) return null;
  const written = textOf(file[said]);
  const year = /\d{4}/.exec(written);
  const age = said === 'age' ? Number(written) : year ? Number(today.slice(0, 4)) - Number(year[0]) : NaN;
  if (isWithin(age, ranges.ageYears)) return age;
  const expected = said === 'age' ? '“37”' : '“1988”';
  tell(
    'warning',
    said,
    Number.isFinite(age)
      ? `“${written}” gives an age of ${age}; expected ${ranges.ageYears.said}.`
      : `“${written}” is no ${said === 'age' ? 'age' : 'year'}; expected such as ${expected}.`,
  );
  return null;
}

function readResults(raw: unknown, tell: Tell): { workout: string; score: string }[] {
  if (raw === undefined || raw === null) return [];
  if (!Array.isArray(raw)) tell('warning', 'results', 'expected a list of results, each with “workout” and “score”.');
  return (Array.isArray(raw) ? raw.slice(0, mostEntries) : []).flatMap((each: unknown, index) => {
    if (isPlain(each) && textOf(each['workout']) !== '' && /[\p{L}\p{N}]/u.test(textOf(each['score'])))
      return [{ workout: textOf(each['workout']), score: textOf(each['score']) }];
    tell('warning', `results.${index + 1}`, 'expected a workout text and a score such as “8:41”, “7+12” or “92.5 kg”.');
    return [];
  });
}

/** When a figure is of; a day that is yet to come is told, and the figure stands without it. */
function readMeasured(on: SaidDay | null, today: string, key: string, tell: Tell): Measured | null {
  if (on === null) return null;
  const yearsAgo = yearsSince(on, today);
  if (yearsAgo >= 0) return { yearsAgo, on: dayText(on) };
  tell('warning', key, `${dayText(on)} is yet to come; the figure is taken as of today.`);
  return null;
}
/** A max of 0 says that the movement cannot be done at all. */
const isZero = (figure: string): boolean => /^0+(?:[.,]0+)?\s*(?:kg|lbs?)?$/i.test(figure.trim());
const cannotDo = (raw: unknown): Athlete['skills'] =>
  Object.fromEntries(entriesOf(raw).flatMap(([key, value]) => (isZero(datedFigure(textOf(value)).figure) && idOf(key) ? [[idOf(key)!, 'no' as const]] : [])));
function readMaxes(raw: unknown, units: MassUnit, today: string, tell: Tell): Record<string, KnownMax> {
  const maxes: Record<string, KnownMax> = {};
  for (const [key, value] of recordOf(raw, 'maxes', tell)) {
    const id = idOf(key);
    const { figure, on } = datedFigure(textOf(value));
    const max = readMax(figure, units);
    if (!id) tell('warning', `maxes.${key}`, `“${key}” is not a movement Gambito knows.`);
    else if (isZero(figure)) continue;
    else if (max === null)
      tell('warning', `maxes.${key}`, `“${textOf(value)}” is no load; expected ${ranges.maxKg.said}, such as “92 kg”, “80 kg x 5” or “92 kg, 2026-09”.`);
    else {
      const measured = readMeasured(on, today, `maxes.${key}`, tell);
      maxes[id] = measured ? { ...max, measured } : max;
    }
  }
  return maxes;
}
function readBestSets(raw: unknown, today: string, tell: Tell): Pick<Athlete, 'bestSets' | 'bestSetsMeasured'> {
  const bestSets: Record<string, number> = {};
  const bestSetsMeasured: Record<string, Measured> = {};
  for (const [key, value] of recordOf(raw, 'best_sets', tell)) {
    const id = idOf(key);
    const { figure, on } = datedFigure(textOf(value));
    const reps = readBest(figure);
    if (!id) tell('warning', `best_sets.${key}`, `“${key}” is not a movement Gambito knows.`);
    else if (reps === null || !isWithin(reps, ranges.bestSet))
      tell('warning', `best_sets.${key}`, `“${textOf(value)}” is no count; expected ${ranges.bestSet.said}, such as “24” or “24, 2026-09”.`);
    else {
      bestSets[id] = reps;
      const measured = readMeasured(on, today, `best_sets.${key}`, tell);
      if (measured) bestSetsMeasured[id] = measured;
    }
  }
  return { bestSets, bestSetsMeasured };
}
function idOf(key: string): string | null {
  const id = key.slice(0, 80).replaceAll('_', '-');
  return isMovementId(id) ? id : findMovement(key.slice(0, 80).replaceAll('_', ' '));
}

const ownership = ['owned', 'half', 'no'] as const;
function readSkills(raw: unknown, tell: Tell): Athlete['skills'] {
  const skills: Record<string, (typeof ownership)[number]> = {};
  for (const [key, value] of recordOf(raw, 'skills', tell)) {
    const id = idOf(key);
    const word = value === true ? 'owned' : value === false ? 'no' : textOf(value).trim().toLowerCase();
    const said = ownership.find((each) => each === word) ?? (word === 'yes' ? 'owned' : word === 'none' || word === 'not' ? 'no' : undefined);
    if (!id) tell('warning', `skills.${key}`, `“${key}” is not a movement Gambito knows.`);
    else if (!said) tell('warning', `skills.${key}`, `“${textOf(value)}” is not known; expected owned, half or no.`);
    else skills[id] = said;
  }
  return skills;
}

/** Lines a coach typed that nobody could read: kept in the file, told each time. */
function tellUnread(raw: unknown, tell: Tell): void {
  for (const [key, lines] of entriesOf(raw))
    for (const line of Array.isArray(lines) ? lines.slice(0, mostEntries) : [])
      tell('warning', `unread.${key}`, `“${textOf(line)}” is kept in the file and not understood.`);
}

interface Body {
  readonly category: Athlete['category'];
  readonly level: Level;
  readonly bodyMassKg: number;
  readonly statureM: number;
}
function readBody(file: Plain, units: MassUnit, assumed: string[], tell: Tell): Body {
  const category = categoryOf(file['category']);
  if (category === null) {
    if (isSaid(file['category'])) tell('warning', 'category', `“${textOf(file['category'])}” is not known; expected men or women.`);
    assumed.push('category: the men’s column, because none was given');
  }
  const level = levels.find((each) => each === textOf(file['level'])) ?? null;
  if (level === null) {
    if (isSaid(file['level'])) tell('warning', 'level', `“${textOf(file['level'])}” is not known; expected ${levels.join(', ')}.`);
    assumed.push('level: trained, because none was given');
  }
  const usual = category === 'women' ? { mass: 64, stature: 1.66 } : { mass: 80, stature: 1.78 };
  const mass = orNull(readMass(file['body_mass'], units), ranges.bodyMassKg);
  if (mass === null) {
    if (isSaid(file['body_mass']))
      tell('warning', 'body_mass', `“${textOf(file['body_mass'])}” is no body mass; expected ${ranges.bodyMassKg.said} such as “64 kg”.`);
    assumed.push(`body mass: ${usual.mass} kg, a usual figure`);
  }
  const stature = orNull(readLength(file['stature']), ranges.statureM);
  if (stature === null) {
    if (isSaid(file['stature'])) tell('warning', 'stature', `“${textOf(file['stature'])}” is no stature; expected ${ranges.statureM.said} such as “168 cm”.`);
    assumed.push(`stature: ${usual.stature} m, a usual figure`);
  }
  return { category: category ?? 'men', level: level ?? 'trained', bodyMassKg: mass ?? usual.mass, statureM: stature ?? usual.stature };
}

/** A tier in place of what the athlete has and does; what it says nothing of stays the athlete's own. */
function readTierOf(said: unknown, category: Category, assumed: string[], tell: Tell): SaidTier | null {
  if (!isSaid(said)) return null;
  const name = textOf(said).slice(0, 80);
  const tier = readTier(name, category);
  const what = [...(tier.place ? ['kit'] : []), ...(tier.level ? ['level'] : []), ...(tier.timeAvailableSeconds ? ['minutes'] : [])];
  if (what.length > 0) assumed.push(`tier “${name}”: its ${what.join(', ')} in place of the athlete’s own`);
  if (tier.unread.length > 0 || what.length === 0)
    tell('warning', 'tier', `“${tier.unread.join('”, “') || name}” says nothing of a tier; expected such as “one dumbbell, newer, 30 min”.`);
  return tier;
}

/** The first is usual; a kit without a place is that of a place. */
function placesIn(file: Plain): unknown[] {
  if (Array.isArray(file['places'])) return file['places'].slice(0, 20);
  if (Array.isArray(file['place'])) return file['place'].slice(0, 20);
  const { place, kit } = file;
  if (place !== undefined && place !== null) return [isPlain(place) && kit !== undefined && place['kit'] === undefined ? { ...place, kit } : place];
  return kit === undefined || kit === null ? [] : [{ kit }];
}

const notToldSentence = {
  ceiling: `ceiling: nobody told its height; it does not limit what you wrote, and a substitute must fit under ${barePlace.ceilingM} m`,
  floor: `floor: nobody told its size; it does not limit what you wrote, and a substitute must fit ${barePlace.floor.lengthM} x ${barePlace.floor.widthM} m`,
} as const;

/**
 * @param raw plain values, as a YAML or JSON reader gives them
 * @param today ISO date, for the age; core has no clock
 */
export function readAthlete(raw: unknown, today: string): ReadAthlete {
  const problems: AthleteProblem[] = [];
  const assumed: string[] = [];
  const tell: Tell = (level, key, message) => void problems.push({ level, key, message });
  const typed: Plain = isPlain(raw) ? raw : {};
  if (!isPlain(raw)) tell('error', '', 'Expected an athlete as keys and values, such as “level: trained” and “body_mass: 64 kg”.');
  const file = underKnownKeys(typed, tell);
  const units: MassUnit = file['units'] === 'lb' ? 'lb' : 'kg';
  if (isSaid(file['units']) && file['units'] !== 'kg' && file['units'] !== 'lb')
    tell('warning', 'units', `“${textOf(file['units'])}” is not known; expected kg or lb.`);
  const body = readBody(file, units, assumed, tell);
  const harm = readHarm(typed, tell);
  const rawPlaces = placesIn(file);
  const time = orNull(readDurationOf(file['time_available'], 'minutes'), ranges.timeAvailableSeconds);
  if (isSaid(file['time_available']) && time === null)
    tell(
      'warning',
      'time_available',
      `“${textOf(file['time_available'])}” is no time for a session; expected ${ranges.timeAvailableSeconds.said} such as “40 min”.`,
    );
  const reach = orNull(readLength(file['reach']), ranges.reachM);
  if (isSaid(file['reach']) && reach === null)
    tell('warning', 'reach', `“${textOf(file['reach'])}” is no reach; expected the height of the raised hand, ${ranges.reachM.said}, such as “212 cm”.`);
  tellUnread(file['unread'], tell);
  const tier = readTierOf(file['tier'], body.category, assumed, tell);
  const told = rawPlaces.map((each) => readPlace(each, tell, { category: body.category, units, today }));
  const places = tier?.place ? [tier.place] : told.length > 0 ? told : [placeAsAsked(body.category)];
  if (!tier?.place && told.length === 0) assumed.push('place: nobody told where they train; the version takes for granted that all the kit you wrote is there');
  else for (const what of places[0]!.notTold ?? []) assumed.push(notToldSentence[what]);
  return {
    athlete: {
      name: textOf(file['name']) || 'Athlete',
      ...body,
      ...(tier?.level ? { level: tier.level } : {}),
      ageYears: readAge(file, today, tell),
      units,
      maxes: readMaxes(file['maxes'], units, today, tell),
      ...readBestSets(file['best_sets'], today, tell),
      times: readTimes(file['times'], tell),
      avoid: harm.avoid,
      unanswered: harm.unanswered,
      skills: { ...cannotDo(file['maxes']), ...readSkills(file['skills'], tell) },
      reachM: reach,
      limits: { squatDepth: harm.squatDepth, reach: harm.reach },
      prefer: Object.fromEntries(entriesOf(file['prefer']).map(([key, value]) => [key, textOf(value)])),
      timeAvailableSeconds: tier?.timeAvailableSeconds ?? time,
      places,
      results: readResults(file['results'], tell),
      assumed,
    },
    problems,
  };
}

/** An athlete with results that were logged elsewhere, after those the file tells itself. */
export function athleteWith(file: unknown, logged: readonly (LoggedResult | ReadPast)[], today: string): Athlete {
  const { athlete } = readAthlete(file, today);
  return logged.length === 0 ? athlete : { ...athlete, results: [...(athlete.results ?? []), ...logged] };
}
