/** What a coach answered about words of their messages: kept, and used in every message after it. One list, each entry one sentence. */
import { foldName } from '../movements/names';
import type { Unit } from './span';

export const houseWordKinds = ['name', 'like', 'asWritten', 'height', 'metres', 'load', 'figure'] as const;
/**
 * - `name`: the words are another name of a movement; without a meaning they are none
 * - `like`: a movement of the coach's own, reckoned as another
 * - `asWritten`: Gambito does not know it, and the coach does
 * - `height`: the unit of every height that stands without one; `load`: that of one load
 * - `metres`: on what a length without a movement is covered
 * - `figure`: a figure of one message; without a meaning it is no part of the workout
 */
export type HouseWordKind = (typeof houseWordKinds)[number];
export interface HouseWord {
  readonly kind: HouseWordKind;
  /** as they stand in a message; blank for a unit */
  readonly words: string;
  /** a movement's name or a unit; blank: nothing */
  readonly means: string;
}
export const mostHouseWords = 300;

/** Whether it holds for other messages too. */
export const isKept = ({ kind }: HouseWord): boolean => kind !== 'figure' && kind !== 'load';

const sameSubject = (a: HouseWord, b: HouseWord): boolean => subjectOf(a) === subjectOf(b);
/** what an answer is about: of two about the same the later holds */
function subjectOf({ kind, words }: HouseWord): string {
  const ofName = kind === 'name' || kind === 'like' || kind === 'asWritten';
  return `${ofName ? 'name' : kind} ${foldName(words)}`;
}
export const withHouseWord = (words: readonly HouseWord[], word: HouseWord): HouseWord[] =>
  [...words.filter((each) => !sameSubject(each, word)), word].slice(-mostHouseWords);
export const withoutHouseWord = (words: readonly HouseWord[], word: HouseWord): HouseWord[] => words.filter((each) => !sameSubject(each, word));

export const unitNames: Readonly<Record<string, string>> = { in: 'inches', cm: 'centimetres', kg: 'kilograms', lb: 'pounds' };
/** One as a sentence, for the account's page. */
export function houseWordSentence({ kind, words, means }: HouseWord): string {
  switch (kind) {
    case 'name':
      return means === '' ? `“${words}” is no movement.` : `“${words}” means ${means.toLowerCase()}.`;
    case 'like':
      return `“${words}” is a movement of your own, counted like ${means.toLowerCase()}.`;
    case 'asWritten':
      return `“${words}” stays as it is written, and is not checked.`;
    case 'height':
      return `A height without a unit is in ${unitNames[means] ?? means}.`;
    case 'load':
      return `“${words}” is in ${unitNames[means] ?? means}.`;
    case 'metres':
      return `A length without a movement means ${means.toLowerCase()}.`;
    case 'figure':
      return means === '' ? `“${words}” is no part of the workout.` : `“${words}” is of ${means.toLowerCase()}.`;
  }
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
/** Words of a line that the coach said are a name, or are none. @param line as `normalLines` gives it */
export function withHouseNames(line: string, words: readonly HouseWord[]): string {
  return words
    .filter(({ kind, words: name }) => kind === 'name' && name.trim() !== '')
    .reduce((text, { words: name, means }) => {
      const pattern = new RegExp(
        String.raw`(?<![\p{L}\p{N}])${escaped(name.toLowerCase()).replace(/[\s-]+/g, String.raw`[\s-]+`)}(?:e?s)?(?![\p{L}\p{N}])`,
        'gu',
      );
      return text.replace(pattern, means === '' ? ' , ' : means.toLowerCase());
    }, line);
}
export const meaningOf = (words: readonly HouseWord[], kind: 'height' | 'metres'): string | null => words.findLast((each) => each.kind === kind)?.means ?? null;
export const heightUnit = (words: readonly HouseWord[]): Extract<Unit, 'in' | 'cm'> | null => {
  const unit = meaningOf(words, 'height');
  return unit === 'in' || unit === 'cm' ? unit : null;
};
