/**
 * Masses. Exactness matters where plates are added up, so kit arithmetic is in integer grams; the model works in kilograms.
 * The pound is exact by definition: 0.453 592 37 kg (NIST Special Publication 811, appendix B.8).
 */
export const kilogramsPerPound = 0.45359237;

export type MassUnit = 'kg' | 'lb';

export function poundsToKilograms(pounds: number): number {
  return pounds * kilogramsPerPound;
}

export function kilogramsToPounds(kilograms: number): number {
  return kilograms / kilogramsPerPound;
}

/** Kilograms → integer grams. @throws {RangeError} when the mass is negative or not finite. */
export function toGrams(kilograms: number): number {
  if (!Number.isFinite(kilograms) || kilograms < 0) throw new RangeError(`toGrams: expected kilograms >= 0, got ${kilograms}`);
  return Math.round(kilograms * 1000);
}

/** A mass as a coach reads it: at most two decimals, no trailing zeros. `22.5`, `16`, `0.25`. */
export function trimNumber(value: number, decimals = 2): string {
  const fixed = value.toFixed(decimals);
  return decimals > 0 ? fixed.replace(/\.?0+$/, '') : fixed;
}

/** A mass that is only known so far: `wholeMass(96.69, 'kg')` → `97 kg`. */
export const wholeMass = (kilograms: number, unit: MassUnit): string => `${Math.round(unit === 'kg' ? kilograms : kilogramsToPounds(kilograms))} ${unit}`;

/** `formatMass(20.41165665, 'lb')` → `45 lb`; `formatMass(20, 'kg')` → `20 kg`. Pounds are shown to the half pound. */
export function formatMass(kilograms: number, unit: MassUnit): string {
  return unit === 'kg' ? `${trimNumber(kilograms)} kg` : `${trimNumber(Math.round(kilogramsToPounds(kilograms) * 2) / 2)} lb`;
}
