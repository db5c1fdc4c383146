/**
 * The trained person whom a prescription's column is written for. The figures are the norms of `norms.ts` for "trained" at the reference body mass; the run times are round.
 * These are the ones docs/model.md writes down.
 */
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import type { Category } from '../workout/workout';
import { estimateCapacity, type Capacity } from './capacity';
import { referenceMassKg } from './norms';

export function referenceAthlete(category: Category): Athlete {
  return {
    name: category === 'men' ? 'Reference, men' : 'Reference, women',
    category,
    bodyMassKg: referenceMassKg[category],
    statureM: category === 'men' ? 1.78 : 1.66,
    ageYears: 30,
    level: 'trained',
    units: 'kg',
    maxes: {},
    bestSets: {},
    times: [],
    avoid: [],
    unanswered: [],
    skills: {},
    reachM: null,
    limits: { squatDepth: null, reach: null },
    prefer: {},
    timeAvailableSeconds: null,
    places: [barePlace],
    assumed: [],
  };
}

const cache = new Map<Category, Capacity>();
/** Computed once; the reference never changes within a run. */
export function referenceCapacity(category: Category): Capacity {
  const known = cache.get(category);
  if (known) return known;
  const capacity = estimateCapacity(referenceAthlete(category));
  cache.set(category, capacity);
  return capacity;
}
