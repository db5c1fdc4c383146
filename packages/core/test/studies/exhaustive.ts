/**
 * Study 3: is the search as good as trying everything? The points are all combinations of the first options of each slot with every lever;
 * the search may also leave that grid (finer counts and loads), so it may be better, never worse.
 */
import {
  defaultRules,
  deriveIntent,
  contextFor,
  evaluatePoint,
  leversOf,
  noLever,
  parseWorkout,
  planParts,
  searchPart,
  searchBreadth,
  spaceOf,
  type Choice,
} from '../../src/index';
import { randomAthlete, randomWorkout } from '../people';

export interface ExhaustiveCase {
  readonly seed: number;
  readonly points: number;
  readonly best: number;
  readonly found: number;
  readonly proved: boolean;
  readonly evaluations: number;
}

/** @returns null when the part has nothing to search, or more than `most` points */
export function exhaustiveCase(seed: number, most: number, effort?: { bounds: number; simulations: number }): ExhaustiveCase | null {
  const athlete = randomAthlete(seed);
  const { workout } = parseWorkout(randomWorkout(seed));
  const context = contextFor(athlete, athlete.places[0]!, defaultRules);
  const intent = deriveIntent(workout, athlete.category, athlete.level, defaultRules);
  const { searched, plan } = planParts(intent, context, () => [])[0]!;
  if (!plan) return null;
  const space = spaceOf(searched, intent.parts[0]!, context, []);
  const lead = space.leaders.flatMap((leader, index) => (leader === index ? [index] : []));
  const levers = [noLever, ...leversOf(searched, noLever)];
  const listed = lead.map((index) => space.options[index]!.slice(0, searchBreadth));
  const points = listed.reduce((product, each) => product * each.length, levers.length);
  if (points > most) return null;
  let best = Infinity;
  const chosen: Choice[] = [];
  const visit = (at: number): void => {
    if (at < lead.length) {
      for (const choice of listed[at]!) {
        chosen[at] = choice;
        visit(at + 1);
      }
      return;
    }
    const choices = space.leaders.map((leader) => chosen[lead.indexOf(leader)]!);
    for (const lever of levers) best = Math.min(best, evaluatePoint(space, choices, lever).objective);
  };
  visit(0);
  const own = searchPart(searched, intent.parts[0]!, context, [], effort);
  return { seed, points, best, found: own.objective, proved: own.proved, evaluations: own.evaluations };
}
