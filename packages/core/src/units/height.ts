/** Heights: whole centimetres in the model, and in the unit they were written in where they are shown. */
import { trimNumber } from './mass';

export type HeightUnit = 'cm' | 'm' | 'in' | 'ft';
/** exact by definition (international yard and pound agreement, 1959) */
export const cmOf: Readonly<Record<HeightUnit, number>> = { cm: 1, m: 100, in: 2.54, ft: 30.48 };

interface Columns {
  readonly men: number;
  readonly women: number;
}
/** @param figures as they were written, in `unit` @returns cm, and the unit where it is one of inches and feet */
export const heightOf = ({ men, women }: Columns, unit: HeightUnit): Columns & { readonly unit?: 'in' | 'ft' } => ({
  men: Math.round(men * cmOf[unit]),
  women: Math.round(women * cmOf[unit]),
  ...(unit === 'in' || unit === 'ft' ? { unit } : {}),
});
/** @param cm whole ones: half an inch or foot is as fine as they tell */
export const heightIn = (cm: number, unit: 'in' | 'ft'): string => trimNumber(Math.round((2 * cm) / cmOf[unit]) / 2, 1);
