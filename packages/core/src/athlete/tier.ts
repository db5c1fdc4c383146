/** A tier in a few words, kit × ability × minutes: "one dumbbell, newer, 30 min". */
import type { Place } from '../kit/kit';
import { readKit } from '../kit/read-kit';
import type { Category } from '../workout/workout';
import type { Level } from './athlete';

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

export interface Tier {
  readonly level: Level;
  /** null: as long as it takes */
  readonly timeAvailableSeconds: number | null;
  readonly place: Place;
}
const levels: readonly (readonly [RegExp, Level])[] = [
  [/\bnewer\b|\bbeginner\b/, 'newer'],
  [/\bnew\b/, 'new'],
  [/\bcompetitive\b|\bvery fit\b|\badvanced\b/, 'competitive'],
];

/** Words nobody knows count as nothing said: trained, without kit, as long as it takes. */
export function tierOf(name: string, category: Category): Tier {
  const words = name.toLowerCase();
  const minutes = /(\d+)\s*min/.exec(words);
  const kit = kits.find(([pattern]) => pattern.test(words))?.[1](category) ?? ['wall', 'chair 45 cm'];
  return {
    level: levels.find(([pattern]) => pattern.test(words))?.[1] ?? 'trained',
    timeAvailableSeconds: minutes ? Number(minutes[1]) * 60 : null,
    place: { name, floor: { lengthM: 4, widthM: 3 }, ceilingM: 2.8, noise: 'normal', kit: readKit(kit).items },
  };
}
