/** Workouts as they come from elsewhere and go out: plain text, the library's JSON, a table, Markdown. */
import { libraryFileSchema, type PortableWorkout } from '@gambito/contract';
import { parseWorkout } from '@gambito/core';
import { isValid, parseISO } from 'date-fns';
import { readSheet, writeSheet } from '../ui/csv';

export interface ReadWorkout extends PortableWorkout {
  readonly title: string;
  /** what could not be read of the text; it is kept as typed */
  readonly remarks: readonly string[];
}
export interface ReadLibrary {
  readonly workouts: readonly ReadWorkout[];
  readonly problems: readonly string[];
}
const isDay = (day: string): boolean => /^(?:19|[2-8]\d)\d{2}-\d{2}-\d{2}$/.test(day) && isValid(parseISO(day));
const tagsOf = (cell: string): string[] =>
  [
    ...new Set(
      cell
        .split(/[,;]/)
        .map((tag) => tag.trim().slice(0, 40))
        .filter(Boolean),
    ),
  ].slice(0, 20);

/** @param day as it stands there: where it is none it is told, and the workout comes without */
function look({ text, day, tags }: PortableWorkout): ReadWorkout {
  const { workout, diagnostics } = parseWorkout(text);
  const noDay = day && !isDay(day) ? [`“${day.slice(0, 40)}” is no day; expected such as 2026-11-25.`] : [];
  const remarks = [...noDay, ...diagnostics.filter(({ level }) => level !== 'info').map(({ line, message }) => `Line ${line}: ${message}`)];
  return {
    text,
    day: day && isDay(day) ? day : null,
    tags,
    title: workout.title ?? text.split('\n').find((line) => line.trim() !== '') ?? 'Untitled',
    remarks,
  };
}

/** A text of several: each begins with its title (`# …`), or is cut off by a line of dashes. `day:` and `tags:` stand below the title. */
function cut(text: string): string[] {
  const pieces: string[][] = [[]];
  for (const line of text
    .replace(/\r\n?/g, '\n')
    .replace(/^\uFEFF/, '')
    .split('\n')) {
    if (/^-{3,}\s*$/.test(line)) pieces.push([]);
    else if (/^#(?!#)/.test(line) && pieces.at(-1)!.some((before) => before.trim() !== '')) pieces.push([line]);
    else pieces.at(-1)!.push(line);
  }
  return pieces.map((lines) => lines.join('\n').trim()).filter((piece) => piece !== '');
}
const detail = /^(day|tags)\s*:\s*(.*)$/i;
/** A block of code in a Markdown file holds the lines below the title; blank lines around it are Markdown's own. */
function withoutFences(piece: string): string[] {
  const lines = piece.split('\n');
  const opens = lines.findIndex((line) => line.startsWith('```'));
  return opens < 0
    ? lines
    : [...lines.slice(0, opens).filter((line) => line.trim() !== ''), ...lines.slice(opens + 1).filter((line) => !line.startsWith('```'))];
}
function fromText(piece: string): PortableWorkout {
  const lines = withoutFences(piece);
  const saidOf = (key: string): string => detail.exec(lines.find((line) => detail.exec(line)?.[1]!.toLowerCase() === key) ?? '')?.[2]!.trim() ?? '';
  const day = saidOf('day');
  const kept = lines.filter((line) => !detail.test(line) || (/^day/i.test(line) && !isDay(day)));
  return { text: `${kept.join('\n').trim()}\n`, day: isDay(day) ? day : null, tags: tagsOf(saidOf('tags')) };
}

function fromJson(text: string): ReadLibrary {
  try {
    const read = libraryFileSchema.safeParse(JSON.parse(text));
    if (read.success) return { workouts: read.data.workouts.map(look), problems: [] };
    const [issue] = read.error.issues;
    return { workouts: [], problems: [`This JSON is no library of Gambito: ${issue!.path.join('.') || 'the whole'}: ${issue!.message}.`] };
  } catch (error) {
    return { workouts: [], problems: [`This looks like JSON and cannot be read: ${error instanceof Error ? error.message : 'broken'}.`] };
  }
}

function unreadOf(headings: readonly string[]): string[] {
  const unread = headings.filter((heading) => heading !== '' && !['text', 'day', 'tags'].includes(heading.toLowerCase()));
  return unread.length === 0 ? [] : [`Not read: the column “${unread.join('”, “')}”; expected text, day and tags.`];
}
function fromTable(text: string): ReadLibrary | null {
  const { headings, rows, problems } = readSheet(text);
  const at = (name: string): number => headings.findIndex((heading) => heading.toLowerCase() === name);
  if (headings.length < 2 || at('text') < 0) return null;
  const cell = (row: readonly string[], name: string): string => (at(name) < 0 ? '' : (row[at(name)] ?? ''));
  const textOf = (row: readonly string[]): string => `${cell(row, 'text').replace(/\r\n?/g, '\n').trim()}\n`;
  const written = rows.filter((row) => cell(row, 'text').trim() !== '');
  const workouts = written.map((row) => look({ text: textOf(row), day: cell(row, 'day') || null, tags: tagsOf(cell(row, 'tags')) }));
  return {
    workouts,
    problems: [
      ...problems,
      ...unreadOf(headings),
      ...(written.length < rows.length ? [`Rows without a text, which are left out: ${rows.length - written.length}.`] : []),
    ],
  };
}

/** Whatever it is: the library's JSON, a table with a column “text”, or texts one after the other. */
export function readLibrary(text: string): ReadLibrary {
  if (text.trim() === '') return { workouts: [], problems: [] };
  if (/^\s*[{[]/.test(text)) return fromJson(text);
  return fromTable(text) ?? { workouts: cut(text).map((piece) => look(fromText(piece))), problems: [] };
}

const titled = (text: string): string => (/^#(?!#)/.test(text) ? text : `# Untitled\n${text}`);
/** With its day and tags below the title, as it is read again. */
function asText({ text, day, tags }: PortableWorkout): string {
  const [title, ...lines] = titled(text.trim()).split('\n');
  return [title, ...(day ? [`day: ${day}`] : []), ...(tags.length > 0 ? [`tags: ${tags.join(', ')}`] : []), ...lines].join('\n');
}
function asMarkdown({ text, day, tags }: PortableWorkout): string {
  const [title, ...lines] = titled(text.trim()).split('\n');
  const about = [...(day ? [`day: ${day}`] : []), ...(tags.length > 0 ? [`tags: ${tags.join(', ')}`] : [])];
  return [title, '', ...(about.length > 0 ? [...about, ''] : []), '```', ...lines, '```'].join('\n');
}

export interface ExportFormat {
  readonly name: string;
  readonly file: string;
  readonly type: string;
  readonly write: (workouts: readonly PortableWorkout[]) => string;
}
const plain = ({ text, day, tags }: PortableWorkout): PortableWorkout => ({ text, day, tags });
export const exportFormats: readonly ExportFormat[] = [
  { name: 'Text', file: 'workouts.txt', type: 'text/plain', write: (workouts) => `${workouts.map(asText).join('\n\n---\n\n')}\n` },
  { name: 'Markdown', file: 'workouts.md', type: 'text/markdown', write: (workouts) => `${workouts.map(asMarkdown).join('\n\n')}\n` },
  {
    name: 'JSON',
    file: 'workouts.json',
    type: 'application/json',
    write: (workouts) => `${JSON.stringify({ gambito: 'library', format: 1, workouts: workouts.map(plain) }, null, 2)}\n`,
  },
  {
    name: 'CSV',
    file: 'workouts.csv',
    type: 'text/csv',
    write: (workouts) =>
      writeSheet(
        ['day', 'tags', 'text'],
        workouts.map(({ text, day, tags }) => [day ?? '', tags.join(', '), text]),
      ),
  },
];
