/** What a coach states of a part, read from its lines and written back into them; words that say something else stay as they are. */
import type { ParsedWorkout } from '@gambito/core';

export const feels = ['light', 'moderate', 'heavy'] as const;
export type Feel = (typeof feels)[number];
export const stays = ['pulling', 'pushing', 'squatting', 'hinging', 'running', 'trunk', 'jumping', 'grip', 'time'] as const;
export type Stay = (typeof stays)[number];

export interface Stated {
  readonly feel: Feel | null;
  readonly unbroken: boolean;
  readonly oneLoad: boolean;
  readonly stay: readonly Stay[];
  /** everything else of the intent, as written: a window, a sentence */
  readonly others: readonly string[];
}
type Places = ParsedWorkout['places'];

/** First line and the line behind the last of a part, from 0; blank lines and tiers below it are not its own. */
function linesOfPart(lines: readonly string[], places: Places, part: number): { from: number; to: number } {
  const from = places[part]!.line - 1;
  const tiers = lines.findIndex((line) => line.startsWith('##'));
  let to = Math.min(places[part + 1] ? places[part + 1]!.line - 1 : lines.length, tiers > from ? tiers : lines.length);
  while (to > from + 1 && lines[to - 1]!.trim() === '') to--;
  return { from, to };
}
const label = (name: string): RegExp => new RegExp(`^(\\s*)${name}\\s*:\\s*(.*)$`, 'i');

function findSetting(lines: readonly string[], { from, to }: { from: number; to: number }, name: string): { at: number; value: string } | null {
  for (let at = from; at < to; at++) {
    const found = label(name).exec(lines[at]!);
    if (found) return { at, value: found[2]!.trim() };
  }
  return null;
}
export const settingOf = (text: string, places: Places, part: number, name: string): string | null => {
  const lines = text.split('\n');
  return findSetting(lines, linesOfPart(lines, places, part), name)?.value ?? null;
};

/** The text with a setting of a part as its last line, in its place where it stands already, or without it. @param value blank: without */
export function withSetting(text: string, places: Places, part: number, name: string, value: string): string {
  const lines = text.split('\n');
  const span = linesOfPart(lines, places, part);
  const standing = findSetting(lines, span, name);
  if (value.trim() === '') return standing ? lines.toSpliced(standing.at, 1).join('\n') : text;
  const line = `${name}: ${value.trim()}`;
  return (standing ? lines.toSpliced(standing.at, 1, line) : lines.toSpliced(span.to, 0, line)).join('\n');
}

const clauses = (intent: string): string[] =>
  intent
    .split(/[,;]/)
    .map((clause) => clause.trim())
    .filter((clause) => clause !== '');
const stayOf = (clause: string): Stay | null => {
  const word = /^(\w+) must (?:stay|hold)/i.exec(clause)?.[1]?.toLowerCase();
  return stays.find((stay) => stay === word) ?? null;
};

export function readStated(intent: string): Stated {
  const said = clauses(intent);
  const feel = feels.find((word) => said.some((clause) => clause.toLowerCase() === word)) ?? null;
  const unbroken = said.some((clause) => clause.toLowerCase() === 'unbroken');
  const oneLoad = said.some((clause) => clause.toLowerCase() === 'one load');
  const known = (clause: string): boolean => ['unbroken', 'one load', ...feels].includes(clause.toLowerCase()) || stayOf(clause) !== null;
  return { feel, unbroken, oneLoad, stay: said.flatMap((clause) => stayOf(clause) ?? []), others: said.filter((clause) => !known(clause)) };
}

/** In one order: what was written freely, then the feel, then what must hold. */
export const writeStated = ({ feel, unbroken, oneLoad, stay, others }: Stated): string =>
  [
    ...others,
    ...(feel ? [feel] : []),
    ...(unbroken ? ['unbroken'] : []),
    ...(oneLoad ? ['one load'] : []),
    ...stay.map((word) => (word === 'time' || word === 'grip' ? `${word} must hold` : `${word} must stay`)),
  ].join(', ');

/** Whether a slot has its line to itself, so that what may stand for it can be written behind it. */
export const hasOwnLine = ({ slotLines }: Places[number], slot: number): boolean => slotLines.filter((line) => line === slotLines[slot]).length === 1;
export const alternativesOf = (text: string, place: Places[number], slot: number): string =>
  (text.split('\n')[place.slotLines[slot]! - 1] ?? '')
    .split('|')
    .slice(1)
    .map((part) => part.trim())
    .join(' | ');
export function withAlternatives(text: string, place: Places[number], slot: number, alternatives: string): string {
  const lines = text.split('\n');
  const at = place.slotLines[slot]! - 1;
  const wanted = alternatives
    .split('|')
    .map((each) => each.trim())
    .filter(Boolean);
  lines[at] = [lines[at]!.split('|')[0]!.trimEnd(), ...wanted].join(' | ');
  return lines.join('\n');
}
