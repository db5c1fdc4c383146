/** A word of the avoid-list in the shapes and spellings that files, tables and forms bring it in (common practice, from memory), and whether it is heeded. For tests of several rooms. */
import { readAthlete } from '../src/index';

export const harmShapes: readonly (readonly [string, (word: string) => Record<string, unknown>])[] = [
  ['avoid: [x]', (word) => ({ avoid: [word] })],
  ['avoid: x', (word) => ({ avoid: word })],
  ['avoid: [[x]]', (word) => ({ avoid: [[word]] })],
  ['avoid: { x: true }', (word) => ({ avoid: { [word]: true } })],
  ['avoid: { x: yes }', (word) => ({ avoid: { [word]: 'yes' } })],
  ['Avoid: x', (word) => ({ Avoid: word })],
  ['avoids: [x]', (word) => ({ avoids: [word] })],
  ['avod: [x]', (word) => ({ avod: [word] })],
  ['avoid-list: x', (word) => ({ 'avoid-list': word })],
  ['things_to_avoid: x', (word) => ({ things_to_avoid: word })],
  ['no_x: true', (word) => ({ [`no_${word}`]: true })],
  ['noX: true', (word) => ({ [`no ${word.replaceAll('_', ' ')}`]: true })],
  ['limits: { no_x: true }', (word) => ({ limits: { [`no_${word}`]: true } })],
  ['limits: { avoid: x }', (word) => ({ limits: { avoid: word } })],
  ['limits: { x: no }', (word) => ({ limits: { [word]: 'no' } })],
  ['limits: { x: false }', (word) => ({ limits: { [word]: false } })],
  ['limits: [x]', (word) => ({ limits: [word] })],
  ['limits: no x', (word) => ({ limits: `no ${word}` })],
  ['limit: { x: none }', (word) => ({ limit: { [word]: 'none' } })],
  ['place: { avoid: [x] }', (word) => ({ place: { kit: [], avoid: [word] } })],
  ['places: [{ avoids: x }]', (word) => ({ places: [{ kit: [], avoids: word }] })],
  ['injuries: no x', (word) => ({ injuries: `no ${word}` })],
  ['restrictions: [x]', (word) => ({ restrictions: [word] })],
  ['a column of a table', (word) => ({ unread: { columns: [`injuries: ${word}`] } })],
];
/** of an entry of the avoid-list */
export const spellingsOf = (name: string): string[] => [name, name.toUpperCase(), name.replaceAll('_', ' '), name.replaceAll('_', '-')];

/** Spared, or versions are held until somebody answers. */
export function isHeeded(file: unknown, name: string): boolean {
  const { athlete } = readAthlete(file, '2026-12-01');
  return (athlete.avoid as readonly string[]).includes(name) || athlete.unanswered.length > 0;
}
