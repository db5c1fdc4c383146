/** What a coach states in free words: “light”, “unbroken”, “pulling must stay”, “one load” and the like. */
import type { Pattern } from '../movements/movement';

export const feels = ['light', 'moderate', 'heavy'] as const;
export type Feel = (typeof feels)[number];
export type HeldPart = 'time' | 'load' | 'pattern' | 'breathing' | 'grip' | 'skill' | 'volume';

export interface Statements {
  readonly unbroken: boolean;
  readonly feel: Feel | null;
  /** patterns the coach said must stay */
  readonly mustStay: readonly Pattern[];
  /** parts of the stimulus the coach said must hold */
  readonly held: readonly HeldPart[];
  /** one load for everything */
  readonly oneLoad: boolean;
}

const heldWords: Readonly<Record<HeldPart, RegExp>> = {
  time: /^(?:time|window|pace|minutes)$/,
  load: /^(?:load|heavy|light|weight)$/,
  pattern: /^(?:pattern|patterns|movements)$/,
  breathing: /^(?:breathing|breath|engine)$/,
  grip: /^grip$/,
  skill: /^skills?$/,
  volume: /^(?:volume|reps)$/,
};
const patternsSaid: readonly (readonly [RegExp, readonly Pattern[]])[] = [
  [/^pull(?:ing|s)?$/, ['verticalPull', 'horizontalPull']],
  [/^push(?:ing)?$|^press(?:ing)?$/, ['verticalPush', 'horizontalPush']],
  [/^squat(?:ting|s)?$/, ['squat']],
  [/^hing(?:e|ing)$/, ['hinge']],
  [/^legs?$/, ['squat', 'lunge', 'hinge', 'jump']],
  [/^lung(?:e|es|ing)$/, ['lunge']],
  [/^run(?:ning)?$/, ['run']],
  [/^trunk$|^core$/, ['trunkFlexion', 'trunkBrace', 'trunkRotation', 'trunkExtension']],
  [/^jump(?:ing)?$/, ['jump', 'rope']],
];
const staying = /\b(?:must stay|stays?|keep the) (\w+)|(\w+) must (?:stay|hold)/g;
/** said together: the first of them counts */
const firstFeel = ['light', 'heavy', 'moderate'] as const;

export function statementsIn(said: string): Statements {
  const words = said.toLowerCase();
  const stays = [...words.matchAll(staying)].flatMap((found) => [found[1], found[2]]).filter((word): word is string => Boolean(word));
  return {
    mustStay: [...new Set(stays.flatMap((word) => patternsSaid.find(([pattern]) => pattern.test(word))?.[1] ?? []))],
    held: (Object.keys(heldWords) as HeldPart[]).filter((part) => stays.some((word) => heldWords[part].test(word))),
    oneLoad: /\bone (?:load|weight|bar|dumbbell|pair)\b|\bsame (?:load|weight)\b/.test(words),
    unbroken: /\bunbroken\b/.test(words),
    feel: firstFeel.find((feel) => new RegExp(`\\b${feel}\\b`).test(words)) ?? null,
  };
}
const sameList = (list: readonly string[], other: readonly string[]): boolean => list.length === other.length && list.every((word) => other.includes(word));

/** Whether words state what a phrase states: “unbroken while fresh” says “unbroken”. What must stay is to be the same: “legs must stay” is more than “squatting must stay”. */
export function says(words: string, phrase: string): boolean {
  const [stated, asked] = [statementsIn(words), statementsIn(phrase)];
  if (asked.mustStay.length + asked.held.length > 0) return sameList(stated.mustStay, asked.mustStay) && sameList(stated.held, asked.held);
  return (!asked.unbroken || stated.unbroken) && (!asked.oneLoad || stated.oneLoad) && (!asked.feel || stated.feel === asked.feel);
}
