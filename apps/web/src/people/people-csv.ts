/** People as a table: one row somebody, lists within a cell between semicolons. What a cell does not say of somebody known stays as it is. */
import { readAthlete } from '@gambito/core';
import { readSheet, writeSheet, type Sheet } from '../ui/csv';
import type { StoredAthlete } from '../api/types';
import { emptyForm, emptyPlace, fileOf, formOf, type AthleteForm, type PlaceForm, type TextKey } from './athlete-form';
import { readForm } from './read-form';

type Column = { readonly heading: string; readonly also: readonly string[] } & (
  | { readonly of: 'athlete'; readonly key: TextKey; readonly list: boolean }
  | { readonly of: 'place'; readonly key: Exclude<keyof PlaceForm, 'besides'>; readonly list: boolean }
  | { readonly of: 'avoid' }
  | { readonly of: 'places' }
);
const field = (heading: string, key: TextKey, also: readonly string[] = []): Column => ({ heading, also, of: 'athlete', key, list: false });
const lines = (heading: string, key: TextKey, also: readonly string[] = []): Column => ({ heading, also, of: 'athlete', key, list: true });
const place = (heading: string, key: Exclude<keyof PlaceForm, 'besides'>, also: readonly string[] = []): Column => ({
  heading,
  also,
  of: 'place',
  key,
  list: key === 'kit',
});

export const columns: readonly Column[] = [
  field('name', 'name', ['athlete', 'who']),
  field('column', 'category', ['category', 'sex']),
  field('level', 'level'),
  field('born', 'born', ['year', 'year of birth', 'birth year']),
  field('body mass', 'bodyMass', ['weight', 'mass', 'bodyweight']),
  field('stature', 'stature', ['height']),
  field('reach', 'reach'),
  field('squat depth', 'squatDepth', ['depth']),
  field('hands reach to', 'reachLimit', ['reach limit']),
  field('units', 'units', ['unit']),
  field('time available', 'timeAvailable', ['minutes', 'time']),
  field('groups', 'groups', ['group', 'class', 'team']),
  field('tier', 'tier'),
  field('contact', 'contact', ['e-mail', 'email', 'mail']),
  field('notes', 'notes', ['note', 'remarks']),
  { heading: 'avoids', also: ['avoid'], of: 'avoid' },
  lines('lifts', 'lifts', ['maxes']),
  lines('best sets', 'bestSets'),
  lines('times', 'times'),
  lines('skills', 'skills'),
  lines('prefers', 'prefer', ['prefer']),
  place('place', 'name'),
  place('floor', 'floor'),
  place('ceiling', 'ceiling'),
  place('noise', 'noise'),
  place('kit', 'kit', ['equipment']),
  { heading: 'other places', also: ['places'], of: 'places' },
];
const columnFor = (heading: string): Column | null => {
  const words = heading.toLowerCase().replaceAll('_', ' ').trim();
  return columns.find((column) => column.heading === words || column.also.includes(words)) ?? null;
};
const listOf = (cell: string): string =>
  cell
    .split(/[;\n]/)
    .map((line) => line.trim())
    .filter(Boolean)
    .join('\n');

export interface PersonRow {
  /** in the file, the headings being row 1 */
  readonly row: number;
  readonly name: string;
  /** somebody of this name who is here already */
  readonly known: StoredAthlete | null;
  readonly file: Record<string, unknown>;
  /** what cannot be read; it is kept as typed */
  readonly remarks: readonly string[];
  /** why the row cannot be taken; null where it can */
  readonly blocked: string | null;
}
export interface PeopleSheet {
  readonly rows: readonly PersonRow[];
  /** of the file as a whole */
  readonly problems: readonly string[];
}

/** Fields that are one of a few words; another word is kept beside as typed, and the field stays what it was. */
const choices: Readonly<Record<string, readonly string[]>> = {
  category: ['women', 'men'],
  level: ['new', 'newer', 'trained', 'competitive'],
  units: ['kg', 'lb'],
  noise: ['free', 'normal', 'quiet'],
};
const spelled: Readonly<Record<string, string>> = { f: 'women', female: 'women', woman: 'women', w: 'women', m: 'men', male: 'men', man: 'men' };

/** @returns null where it is none of the words there are */
function choiceOf(key: string, cell: string): string | null {
  const words = choices[key];
  if (!words) return cell;
  const word = cell.toLowerCase();
  const meant = key === 'category' ? (spelled[word] ?? word) : word;
  return words.includes(meant) ? meant : null;
}
/** Cells of a few words that are none of them. */
function strangeWords(headings: readonly string[], cells: readonly string[]): { heading: string; cell: string; words: readonly string[] }[] {
  return headings.flatMap((heading, at) => {
    const [column, cell] = [columnFor(heading), cells[at] ?? ''];
    const words = column && 'key' in column ? choices[column.key] : undefined;
    return column && 'key' in column && words && cell !== '' && choiceOf(column.key, cell) === null ? [{ heading, cell, words }] : [];
  });
}

const avoidWordsOf = (cell: string): string[] =>
  listOf(cell.replaceAll(',', ';'))
    .split('\n')
    .map((word) => word.replaceAll(' ', '_'));
/** All places but the first, as they are written out: a list in JSON. @returns null where it is none */
function otherPlaces(cell: string): PlaceForm[] | null {
  try {
    const list: unknown = JSON.parse(cell);
    return Array.isArray(list) ? [...formOf({ places: [{}, ...(list as unknown[])] }).places.slice(1)] : null;
  } catch {
    return null;
  }
}

/** The form with what the cells say; an empty cell says nothing. */
function filledForm(form: AthleteForm, headings: readonly string[], cells: readonly string[]): AthleteForm {
  return headings.reduce((filled, heading, at) => {
    const [column, cell] = [columnFor(heading), cells[at] ?? ''];
    if (!column || cell === '') return filled;
    // a table adds to what somebody avoids: taking something off is a click on their page
    if (column.of === 'avoid') return { ...filled, avoid: [...new Set([...filled.avoid, ...avoidWordsOf(cell)])] };
    if (column.of === 'places') return { ...filled, places: [filled.places[0]!, ...(otherPlaces(cell) ?? filled.places.slice(1))] };
    const value = column.list ? listOf(cell) : choiceOf(column.key, cell);
    if (value === null || isSecond(headings, cells, at)) return filled;
    if (column.of === 'athlete') return { ...filled, [column.key]: value };
    const [today, ...others] = filled.places;
    return { ...filled, places: [{ ...today!, [column.key]: value }, ...others] };
  }, form);
}

/** A column before this one says the same thing: the first that says something stands. */
const isSecond = (headings: readonly string[], cells: readonly string[], at: number): boolean =>
  headings.slice(0, at).some((heading, before) => columnFor(heading) === columnFor(headings[at]!) && (cells[before] ?? '') !== '');
/** Cells that were passed over because an earlier column says the same thing. */
const secondCells = (headings: readonly string[], cells: readonly string[]): string[] =>
  headings.flatMap((heading, at) => {
    const column = columnFor(heading);
    return column !== null && column.of !== 'avoid' && (cells[at] ?? '') !== '' && isSecond(headings, cells, at) ? [`${heading}: ${cells[at]}`] : [];
  });
/** What somebody avoids already and the table does not say: it stays, and that is said. */
function stays(before: readonly string[], headings: readonly string[], cells: readonly string[]): string[] {
  const said = headings.flatMap((heading, at) => (columnFor(heading)?.of === 'avoid' && (cells[at] ?? '') !== '' ? avoidWordsOf(cells[at]!) : []));
  const kept = before.filter((word) => !said.includes(word));
  return said.length > 0 && kept.length > 0 ? [`avoids: ${kept.join(', ').replaceAll('_', ' ')} stays as well; take it off on the person’s page.`] : [];
}

/** Columns nobody reads: what they say is kept in the file as typed. */
function keptBeside(headings: readonly string[], cells: readonly string[]): string[] {
  return headings.flatMap((heading, at) => (columnFor(heading) === null && (cells[at] ?? '') !== '' ? [`${heading}: ${cells[at]}`] : []));
}

/** What nothing is said of is not guessed here. */
const nobody: AthleteForm = { ...emptyForm, places: [{ ...emptyPlace, floor: '', ceiling: '' }] };

function readRow(sheet: Sheet, at: number, people: ReadonlyMap<string, StoredAthlete>, seen: Set<string>, today: string): PersonRow {
  const cells = sheet.rows[at]!;
  const named = filledForm(emptyForm, sheet.headings, cells).name.trim();
  const known = people.get(named.toLowerCase()) ?? null;
  const form = filledForm(known ? formOf(known.file) : nobody, sheet.headings, cells);
  const { problems } = readForm(form, known?.file ?? {}, today);
  const strange = strangeWords(sheet.headings, cells);
  const seconds = secondCells(sheet.headings, cells);
  const beside = [...keptBeside(sheet.headings, cells), ...seconds, ...strange.map(({ heading, cell }) => `${heading}: ${cell}`)];
  const written = fileOf(form, known?.file ?? {});
  const file = beside.length > 0 ? { ...written, unread: { ...(written['unread'] as object | undefined), columns: beside } } : written;
  const { athlete } = readAthlete(file, today);
  const blocked = named === '' ? 'no name' : seen.has(named.toLowerCase()) ? 'this name stands in an earlier row' : null;
  seen.add(named.toLowerCase());
  return {
    row: at + 2,
    name: named,
    known,
    file,
    remarks: [
      ...seconds.map((cell) => `“${cell}” is kept and not taken: an earlier column says the same thing.`),
      ...stays(known ? formOf(known.file).avoid : [], sheet.headings, cells),
      ...athlete.unanswered.map(({ text: words }) => `“${words}” is to be answered on the person’s page before a version is made.`),
      ...strange.map(({ heading, cell, words }) => `${heading}: “${cell}” is not known; expected ${words.join(', ')}.`),
      ...Object.entries(problems).flatMap(([key, message]) => (key === 'name' ? [] : [message])),
    ],
    blocked,
  };
}

/** @param people who is here already: a row with such a name changes that person */
export function readPeople(text: string, people: readonly StoredAthlete[], today: string): PeopleSheet {
  const sheet = readSheet(text);
  if (sheet.rows.length === 0 && sheet.headings.length === 0) return { rows: [], problems: [] };
  if (!sheet.headings.some((heading) => columnFor(heading)?.heading === 'name'))
    return { rows: [], problems: ['Expected a first row of headings, one of them “name”; others are column, level, body mass, groups, kit and so on.'] };
  const unread = sheet.headings.filter((heading) => heading !== '' && columnFor(heading) === null);
  const byName = new Map(people.map((athlete) => [athlete.name.toLowerCase(), athlete]));
  const seen = new Set<string>();
  return {
    rows: sheet.rows.map((_cells, at) => readRow(sheet, at, byName, seen, today)),
    problems: [
      ...sheet.problems,
      ...(unread.length > 0 ? [`Not read, and kept as typed in each file: ${unread.map((heading) => `“${heading}”`).join(', ')}.`] : []),
    ],
  };
}

function cellOf(form: AthleteForm, column: Column): string {
  if (column.of === 'avoid') return form.avoid.join('; ').replaceAll('_', ' ');
  if (column.of === 'places') return form.places.length > 1 ? JSON.stringify((fileOf(form, {})['places'] as unknown[]).slice(1)) : '';
  const value = column.of === 'athlete' ? form[column.key] : form.places[0]![column.key];
  return column.list ? value.split('\n').join('; ') : value;
}

export const writePeople = (people: readonly StoredAthlete[]): string =>
  writeSheet(
    columns.map(({ heading }) => heading),
    people.map(({ file }) => columns.map((column) => cellOf(formOf(file), column))),
  );
