/** Files → core values, with every problem collected. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { houseWordsSchema, readPlain } from '@gambito/contract';
import {
  readAthlete,
  readRules,
  type Athlete,
  type Diagnostic,
  type HouseRules,
  type HouseWord,
  type ReadAny,
  type ReadOptions,
  readWorkoutText,
} from '@gambito/core';
import { InputError, readText, warn } from './io';

export const describe = (path: string, each: Diagnostic): string =>
  `${path}:${each.line}:${each.column}: ${each.level}: ${each.message}${each.suggestion ? ` (try “${each.suggestion}”)` : ''}`;

/** A workout that can be computed with, of notation or of a message; unreadable text is refused with all its diagnostics. */
export function workoutFrom(path: string, options: ReadOptions = {}): ReadAny {
  const parsed = readWorkoutText(readText(path), options);
  const errors = parsed.diagnostics.filter((each) => each.level === 'error');
  if (errors.length > 0) throw new InputError(errors.map((each) => ({ ...each, message: describe(path, each) })));
  for (const each of parsed.diagnostics) warn(describe(path, each));
  return parsed;
}

export function plainFrom(path: string): unknown {
  const read = readPlain(readText(path));
  if (!read.ok) throw new InputError(read.problems.map((message) => ({ message: `${path}: ${message}` })));
  return read.value;
}

export function athleteFrom(path: string, date: string): Athlete {
  const { athlete, problems } = readAthlete(plainFrom(path), date);
  const errors = problems.filter((each) => each.level === 'error');
  if (errors.length > 0) throw new InputError(errors.map((each) => ({ message: `${path}: ${each.message}` })));
  for (const each of problems) warn(`${path}: ${each.level}: ${each.key}: ${each.message}`);
  return athlete;
}

/** The unit a figure without one is taken in: the key `units` of the rules file. */
export function unitsFrom(rules: string | undefined): ReadOptions {
  if (!rules) return {};
  const plain = plainFrom(rules);
  const units = typeof plain === 'object' && plain !== null && 'units' in plain ? plain.units : undefined;
  if (units !== undefined && units !== 'kg' && units !== 'lb') warn(`${rules}: warning: units: “${String(units)}” is not known; expected kg or lb.`);
  return units === 'lb' ? { units: 'lb' } : {};
}

/** What was answered about words of messages: a list, or an object with the key `words`. @throws {InputError} where it is none */
export function wordsFrom(path: string | undefined): HouseWord[] {
  if (!path) return [];
  const plain = plainFrom(path);
  const list = typeof plain === 'object' && plain !== null && 'words' in plain ? plain.words : plain;
  const read = houseWordsSchema.safeParse(list);
  if (read.success) return read.data;
  const { path: where = [], message = '' } = read.error.issues[0] ?? {};
  throw new InputError([
    { message: `${path}: ${where.join('.')}: ${message}; expected a list such as [{ "kind": "name", "words": "kb swigns", "means": "Kettlebell swing" }].` },
  ]);
}

export function rulesFrom(path: string | undefined): HouseRules | undefined {
  if (!path) return undefined;
  const { rules, problems } = readRules(plainFrom(path));
  for (const each of problems) warn(`${path}: warning: ${each.message}`);
  return rules;
}

/** One athlete file a name, `.yaml`, `.yml` or `.json`; found by the name inside, then by the file's. */
export function peopleFrom(directory: string, date: string): Map<string, Athlete> {
  let files: string[];
  try {
    files = readdirSync(directory)
      .filter((file) => /\.(?:ya?ml|json)$/i.test(file))
      .sort();
  } catch {
    throw new InputError([{ message: `${directory}: cannot be read; expected a directory with one athlete file a name.` }]);
  }
  const people = new Map<string, Athlete>();
  for (const file of files) {
    const athlete = athleteFrom(join(directory, file), date);
    people.set(file.replace(/\.\w+$/, '').toLowerCase(), athlete);
    people.set(athlete.name.toLowerCase(), athlete);
  }
  return people;
}
