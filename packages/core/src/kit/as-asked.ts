/** The place of somebody who told none: whatever the text asks for is there, in masses as a well-filled gym has them. It is said under assumed. */
import type { Category } from '../workout/workout';
import { barePlace, type Place } from './kit';
import { readKit } from './read-kit';

/** (common practice: what a gym of this trade has) */
const everything = (category: Category): readonly string[] => [
  `barbell ${category === 'men' ? 20 : 15} kg, plates 10x20 2x15 4x10 4x5 4x2.5 2x1.25 kg`,
  'squat rack',
  'bench',
  'adjustable dumbbell 2.5-50 kg step 2.5 x 2',
  ...[8, 12, 16, 20, 24, 28, 32].map((kg) => `kettlebell ${kg} kg x 2`),
  ...[4, 6, 9].map((kg) => `medicine ball ${kg} kg`),
  ...[10, 20, 30, 40, 50, 60, 70].map((kg) => `sandbag ${kg} kg`),
  'vest 10 kg',
  'band medium',
  ...[50, 60, 75].map((cm) => `box ${cm} cm`),
  'chair 45 cm',
  'wall',
  'pull-up bar',
  'rings',
  'climbing rope',
  'rope',
  'rowing machine',
  'bike',
  'air bike',
  'ski machine',
  'sled',
  'run route 100, 200, 400, 800, 1000, 1600 m',
];
const made = (category: Category): Place => ({
  ...barePlace,
  name: 'not told',
  kit: readKit(everything(category), { category }).items,
  notTold: ['floor', 'ceiling'],
});
const byCategory = new Map<Category, Place>();
/** Read once a column. */
export function placeAsAsked(category: Category): Place {
  const known = byCategory.get(category) ?? made(category);
  byCategory.set(category, known);
  return known;
}
