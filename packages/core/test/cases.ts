/** How many cases a property is tried on: few in the suite, chosen so that they still find what the whole number finds; all of them by `npm run bench -- cases`. */
const isWhole = process.env['GAMBITO_CASES'] === 'whole';

export const cases = (few: number, whole: number): number => (isWhole ? whole : few);
/** Seeds from 1. */
export const seedsTo = (few: number, whole: number): number[] => Array.from({ length: cases(few, whole) }, (_, at) => at + 1);
/** Of a list, each so many-th one; all by the bench. */
export const everyOf = <T>(list: readonly T[], step: number): T[] => list.filter((_, at) => at % cases(step, 1) === 0);
