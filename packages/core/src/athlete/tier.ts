/** A tier in a few words, kit × ability × minutes: "one dumbbell, newer, 30 min". */
import type { Place } from '../kit/kit';
import { readKit } from '../kit/read-kit';
import type { Category } from '../workout/workout';
import type { Level } from './athlete';

const bare = ['wall', 'chair 45 cm'];
const kits: readonly [RegExp, (category: Category) => readonly string[]][] = [
  [/\bno kit\b|\bempty\b|\bbodyweight\b/, () => bare],
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

const levels: readonly (readonly [RegExp, Level])[] = [
  [/\bnewer\b|\bbeginner\b/, 'newer'],
  [/\bnew\b/, 'new'],
  [/\bcompetitive\b|\bvery fit\b|\badvanced\b/, 'competitive'],
  [/\btrained\b/, 'trained'],
];
const minutesSaid = /(\d+)\s*min/;

/** What the words of a tier say; null where they say nothing of it. */
export interface SaidTier {
  readonly level: Level | null;
  readonly timeAvailableSeconds: number | null;
  readonly place: Place | null;
  /** words between commas that say nothing known */
  readonly unread: readonly string[];
}
export function readTier(name: string, category: Category): SaidTier {
  const words = name.toLowerCase();
  const kit = kits.find(([pattern]) => pattern.test(words))?.[1](category);
  const minutes = minutesSaid.exec(words);
  const known = [minutesSaid, ...[...kits, ...levels].map(([pattern]) => pattern)];
  return {
    level: levels.find(([pattern]) => pattern.test(words))?.[1] ?? null,
    timeAvailableSeconds: minutes ? Number(minutes[1]) * 60 : null,
    place: kit ? placeWith(name, kit) : null,
    unread: words
      .split(',')
      .map((part) => part.trim())
      .filter((part) => part !== '' && !known.some((pattern) => pattern.test(part))),
  };
}
const placeWith = (name: string, kit: readonly string[]): Place => ({
  name,
  floor: { lengthM: 4, widthM: 3 },
  ceilingM: 2.8,
  noise: 'normal',
  kit: readKit(kit).items,
});

export interface Tier {
  readonly level: Level;
  /** null: as long as it takes */
  readonly timeAvailableSeconds: number | null;
  readonly place: Place;
}
/** An athlete of the tier, whoever it is: what it does not say is trained, without kit, as long as it takes. */
export function tierOf(name: string, category: Category): Tier {
  const { level, timeAvailableSeconds, place } = readTier(name, category);
  return { level: level ?? 'trained', timeAvailableSeconds, place: place ?? placeWith(name, bare) };
}
