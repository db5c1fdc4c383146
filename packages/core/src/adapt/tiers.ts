/** A tier is kit × ability × minutes: a pseudo-athlete read from a few words such as "one dumbbell, newer, 30 min". */
import type { Athlete, Level } from '../athlete/athlete';
import { referenceAthlete } from '../capacity/reference-athlete';
import type { Place } from '../kit/kit';
import { readKit } from '../kit/read-kit';
import type { Category } from '../workout/workout';

const kits: readonly [RegExp, (category: Category) => string[]][] = [
  [/\bno kit\b|\bempty\b|\bbodyweight\b/, () => ['wall', 'chair 45 cm']],
  [/\bone dumbbell\b|\bsingle dumbbell\b/, (category) => [`dumbbell ${category === 'men' ? 20 : 12.5} kg`, 'wall', 'chair 45 cm']],
  [
    /\blittle kit\b|\bsome kit\b|\bhome kit\b/,
    (category) => [
      `dumbbell ${category === 'men' ? 17.5 : 10} kg x 2`,
      `kettlebell ${category === 'men' ? 24 : 16} kg`,
      'pull-up bar',
      'rope',
      'wall',
      'chair 45 cm',
      'run route 200 m, 400 m',
    ],
  ],
  [
    /\bfull kit\b|\bgarage\b|\bgym\b/,
    (category) => [
      `barbell ${category === 'men' ? 20 : 15} kg, plates 2x20 2x15 4x10 2x5 2x2.5 2x1.25 kg`,
      'adjustable dumbbell 5-40 kg step 2.5 x 2',
      'kettlebell 16 kg',
      'kettlebell 24 kg',
      'pull-up bar',
      'rings',
      'box 50 cm',
      'box 60 cm',
      'rope',
      'rowing machine',
      'air bike',
      'run route 200 m, 400 m',
      'wall',
      'bench',
    ],
  ],
];

export const usualTiers: readonly string[] = ['no kit, newer, 30 min', 'one dumbbell, trained, 30 min', 'full kit, competitive, 60 min'];

export function tierAthlete(name: string, category: Category): { athlete: Athlete; place: Place } {
  const words = name.toLowerCase();
  const level: Level = /\bnewer\b|\bbeginner\b/.test(words)
    ? 'newer'
    : /\bnew\b/.test(words)
      ? 'new'
      : /\bcompetitive\b|\bvery fit\b|\badvanced\b/.test(words)
        ? 'competitive'
        : 'trained';
  const minutes = /(\d+)\s*min/.exec(words);
  const kit = kits.find(([pattern]) => pattern.test(words))?.[1](category) ?? ['wall', 'chair 45 cm'];
  const place: Place = { name: name, floor: { lengthM: 4, widthM: 3 }, ceilingM: 2.8, noise: 'normal', kit: readKit(kit).items };
  return { athlete: { ...referenceAthlete(category), name, level, timeAvailableSeconds: minutes ? Number(minutes[1]) * 60 : null, places: [place] }, place };
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
