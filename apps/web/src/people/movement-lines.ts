/** Lists that a coach writes one a line ("back squat 88 kg"), and what cannot be read of them: it stays as typed. */
import { findMovement } from '@gambito/core';

export interface ReadLines {
  readonly values: Record<string, string>;
  /** lines that could not be read, as typed */
  readonly unread: readonly string[];
  readonly problems: readonly string[];
}
type ReadLine = (line: string) => readonly [key: string, value: string] | null;

function readLines(value: string, read: ReadLine, expected: string): ReadLines {
  const values: Record<string, string> = {};
  const unread: string[] = [];
  const problems: string[] = [];
  value.split('\n').forEach((line, index) => {
    if (line.trim() === '') return;
    const found = read(line);
    if (found) values[found[0]] = found[1];
    else {
      unread.push(line.trim());
      problems.push(`Line ${index + 1}: “${line.trim()}”, expected ${expected}.`);
    }
  });
  return { values, unread, problems };
}
const keyOf = (words: string): string | null => findMovement(words.replaceAll('_', ' '))?.replaceAll('-', '_') ?? null;

/** `back squat 88 kg`, `back squat: 80 kg x 5` → { back_squat: '80 kg x 5' } */
export const readMovementLines = (value: string): ReadLines =>
  readLines(
    value,
    (line) => {
      const found = /^\s*([a-z][a-z\s_-]*?)\s*[:=]?\s*(\d.*)$/i.exec(line);
      const key = found && keyOf(found[1]!);
      return key ? [key, found[2]!.trim()] : null;
    },
    'a movement and a figure such as “back squat 88 kg”',
  );

/** `run 400 m 1:36`, `row 500 m: 2:04` → { run_400_m: '1:36' } */
export const readTimeLines = (value: string): ReadLines =>
  readLines(
    value,
    (line) => {
      const found = /^\s*(run|row|bike)[\s_]+(\d+(?:\.\d+)?)[\s_]*(m|km)\s*[:=]?\s+(\d+:\d{2}(?::\d{2})?)\s*$/i.exec(line.replace(/(m|km):\s*/i, '$1 '));
      return found ? [`${found[1]!.toLowerCase()}_${found[2]}_${found[3]!.toLowerCase()}`, found[4]!] : null;
    },
    'such as “run 400 m 1:36” or “row 500 m 2:04”',
  );

/** `double under: half`, `handstand push-up owned` → { double_under: 'half' } */
export const readSkillLines = (value: string): ReadLines =>
  readLines(
    value,
    (line) => {
      const found = /^\s*(.+?)\s*[:=]?\s+(owned|half|no)\s*$/i.exec(line.replace(/[:=]/, ' '));
      const key = found && keyOf(found[1]!);
      return key ? [key, found[2]!.toLowerCase()] : null;
    },
    'a movement and owned, half or no, such as “double under half”',
  );

/** `push-up: raised on the table` → { push_up: 'raised on the table' }: anything may be said of a movement. */
export const readPreferLines = (value: string): ReadLines =>
  readLines(
    value,
    (line) => {
      const [words, said] = line.split(/[:=]/, 2);
      const key = said?.trim() ? keyOf(words!.trim()) : null;
      return key ? [key, said!.trim()] : null;
    },
    'a movement, a colon and what is preferred, such as “push-up: raised”',
  );
