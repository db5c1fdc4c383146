/** A tier is kit × ability × minutes: a pseudo-athlete read from a few words such as "one dumbbell, newer, 30 min". */
import type { Athlete, Level } from '../athlete/athlete';
import { tierOf } from '../athlete/tier';
import { referenceAthlete } from '../capacity/reference-athlete';
import type { Place } from '../kit/kit';
import type { Category } from '../workout/workout';

export const usualTiers: readonly string[] = ['no kit, newer, 30 min', 'one dumbbell, trained, 30 min', 'full kit, competitive, 60 min'];

export function tierAthlete(name: string, category: Category): { athlete: Athlete; place: Place } {
  const { level, timeAvailableSeconds, place } = tierOf(name, category);
  return { athlete: { ...referenceAthlete(category), name, level, timeAvailableSeconds, places: [place] }, place };
}

export interface NearTier {
  readonly name: string;
  /** 0 the same … : steps of level, doublings of minutes and kinds of kit apart */
  readonly distance: number;
}

const kinds = ['barbell', 'dumbbell', 'kettlebell', 'bar', 'rings', 'box', 'rope', 'row', 'airBike', 'route'] as const;
const levelSteps: Readonly<Record<Level, number>> = { new: 0, newer: 1, trained: 2, competitive: 3 };

/** The named level of kit × ability × minutes an athlete is nearest to: of the text's own tiers where it has some, else of the usual ones. */
export function nearestTier(tiers: readonly { readonly name: string }[], athlete: Athlete, place: Place): NearTier {
  const names = tiers.length > 0 ? tiers.map((tier) => tier.name) : usualTiers;
  const owns = (at: Place, kind: (typeof kinds)[number]): boolean =>
    at.kit.some((item) => item.kind === kind || (kind === 'dumbbell' && (item.kind === 'adjustable' || item.kind === 'handles')));
  return names
    .map((name): NearTier => {
      const tier = tierAthlete(name, athlete.category);
      const kit = kinds.filter((kind) => owns(tier.place, kind) !== owns(place, kind)).length / 3;
      const level = Math.abs(levelSteps[tier.athlete.level] - levelSteps[athlete.level]);
      const minutes =
        tier.athlete.timeAvailableSeconds !== null && athlete.timeAvailableSeconds !== null
          ? Math.abs(Math.log2(tier.athlete.timeAvailableSeconds / athlete.timeAvailableSeconds))
          : 0;
      return { name, distance: Math.round((kit + level + minutes) * 100) / 100 };
    })
    .reduce((best, each) => (each.distance < best.distance ? each : best));
}
