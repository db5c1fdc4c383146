/** What a coach states of a part, read from its lines and written back into them; words that say something else stay as they are. */
import { feels, says, statementsIn, type Feel, type ParsedWorkout } from '@gambito/core';

/** phrases the card offers; what they state is the core's to tell */
export const phrases = {
  feel: [...feels, 'unbroken', 'one load'],
  stay: ['pulling', 'pushing', 'squatting', 'hinging', 'running', 'trunk', 'jumping'].map((word) => `${word} must stay`),
  hold: ['grip', 'time'].map((word) => `${word} must hold`),
} as const;
type Places = ParsedWorkout['places'];

/** First line and the line behind the last of a part, from 0; blank lines and tiers below it are not its own. */
function linesOfPart(lines: readonly string[], places: Places, part: number): { from: number; to: number } {
  const from = places[part]!.line - 1;
  const tiers = lines.findIndex((line) => line.startsWith('##'));
  let to = Math.min(places[part + 1] ? places[part + 1]!.line - 1 : lines.length, tiers > from ? tiers : lines.length);
  while (to > from + 1 && lines[to - 1]!.trim() === '') to--;
  return { from, to };
}
/** a setting as it may be written, and how the card writes it */
const written = { window: /^\s*(?:window|goal|target)\s*:/i, intent: /^\s*(?:intent|stimulus)\s*:/i } as const;

/** The text with a setting of a part in one line: where it stands already, else as the last one of the part; without any where it says nothing. @param value blank: without */
export function withSetting(text: string, places: Places, part: number, name: keyof typeof written, value: string): string {
  const lines = text.split('\n');
  const { from, to } = linesOfPart(lines, places, part);
  const standing = lines.flatMap((line, at) => (at >= from && at < to && written[name].test(line) ? [at] : []));
  const fresh = value.trim() === '' ? [] : [`${name}: ${value.trim()}`];
  const place = standing[0] ?? to;
  return [...lines.slice(0, place), ...fresh, ...lines.slice(place).filter((_, at) => !standing.includes(place + at))].join('\n');
}

const clauses = (intent: string): string[] =>
  intent
    .split(/[,;]/)
    .map((clause) => clause.trim())
    .filter((clause) => clause !== '');
const isFeel = (phrase: string): phrase is Feel => feels.some((feel) => feel === phrase);

/** Whether the intent as written states a phrase, in whatever words. */
export const isStated = (intent: string, phrase: string): boolean =>
  isFeel(phrase) ? statementsIn(intent).feel === phrase : clauses(intent).some((clause) => says(clause, phrase));

/** The intent with a phrase, or without what states it; one feel takes the place of another. Everything else stays as written, in its order. */
export function withPhrase(intent: string, phrase: string): string {
  const gone = isStated(intent, phrase) ? [phrase] : isFeel(phrase) ? feels : [];
  const kept = clauses(intent).filter((clause) => !gone.some((other) => says(clause, other)));
  return [...kept, ...(isStated(intent, phrase) ? [] : [phrase])].join(', ');
}

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
