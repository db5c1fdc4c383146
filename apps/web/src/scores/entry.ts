/** An entry of scores as a value: whose, of which version, and what is expected. Pure, so that it can be tested without a page. */
import { checkScores, joinScores, parseWorkout, scoreFields, splitScores, type Category, type CheckedScores, type MassUnit, type Part } from '@gambito/core';

export interface Entry {
  readonly parts: readonly Part[];
  readonly category: Category;
  readonly units: MassUnit;
  readonly expected: (part: number) => { readonly unit: 'seconds' | 'rounds' | 'reps' | 'kg'; readonly low: number; readonly high: number } | null;
}

export function entryOf(versionText: string, category: Category, units: MassUnit, expected: Entry['expected'] = () => null): Entry {
  return { parts: parseWorkout(versionText).workout.parts, category, units, expected };
}

/** @param typed a text a scored part, joined as they are kept */
export const readEntry = (entry: Entry, typed: string): CheckedScores =>
  checkScores(typed, { parts: entry.parts }, { category: entry.category, units: entry.units });

/** The entry with one field's text changed. Nothing else of it is touched. */
export function withField(entry: Entry, typed: string, at: number, text: string): string {
  const count = scoreFields({ parts: entry.parts }).length;
  if (count <= 1) return text;
  const texts = splitScores(typed, count);
  texts[at] = text.replaceAll('|', ' ');
  return texts.every((each) => each === '') ? '' : joinKeeping(texts);
}
/** As they stand, trailing blanks of a field that is being typed included. */
const joinKeeping = (texts: readonly string[]): string =>
  texts.some((text) => text.endsWith(' ')) ? texts.map((text) => (text.trim() === '' ? '-' : text)).join('|') : joinScores(texts);
