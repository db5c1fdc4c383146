/** What can be picked for a kit, and the line each becomes. */
export interface KitOffer {
  readonly name: string;
  /** what its figures are; null where it has none */
  readonly figures: 'mass' | 'cm' | 'm' | null;
  /** said when they are missing */
  readonly expected: string;
  /** @param figures as typed, with their unit */
  readonly line: (figures: string) => string;
}
const masses = 'masses such as 10 or 8, 12, 16';
const plain = (name: string): KitOffer => ({ name, figures: null, expected: '', line: () => name });
const weighted = (name: string, line: KitOffer['line'], expected = masses): KitOffer => ({ name, figures: 'mass', expected, line });
const high = (name: string): KitOffer => ({ name, figures: 'cm', expected: 'its height such as 45', line: (figures) => `${name} ${figures}` });

export const kitOffers: readonly KitOffer[] = [
  weighted('dumbbells, a pair', (figures) => `dumbbell ${figures} x 2`),
  weighted('dumbbell, one', (figures) => `dumbbell ${figures}`),
  weighted('kettlebell', (figures) => `kettlebell ${figures}`),
  weighted('barbell with plates', (figures) => `barbell 20 kg, plates ${figures}`, 'the plates, each with how many, such as 2x10 2x5'),
  weighted('backpack', (figures) => `backpack up to ${figures}`, 'the most it holds such as 16'),
  weighted('sandbag', (figures) => `sandbag ${figures}`),
  weighted('vest', (figures) => `vest ${figures}`),
  weighted('medicine ball', (figures) => `medicine ball ${figures}`),
  high('box'),
  high('chair'),
  high('table'),
  high('couch'),
  { name: 'stairs', figures: 'cm', expected: 'the height of a step such as 18', line: (figures) => `stairs ${figures}` },
  { name: 'run route', figures: 'm', expected: 'its known points such as 200, 400', line: (figures) => `run route ${figures}` },
  ...['pull-up bar', 'rings', 'rope', 'band medium', 'rowing machine', 'air bike', 'bench', 'wall', 'dip bars'].map(plain),
];

const unitOf = (offer: KitOffer, units: string): string => (offer.figures === 'mass' ? (units === 'lb' ? 'lb' : 'kg') : (offer.figures ?? ''));

/** @returns null while figures are missing */
export function kitLine(offer: KitOffer, figures: string, units: string): string | null {
  if (offer.figures === null) return offer.line('');
  const typed = figures.trim();
  if (!/\d/.test(typed)) return null;
  return offer.line(/[a-z]\s*$/i.test(typed) ? typed : `${typed} ${unitOf(offer, units)}`);
}
