/** A part as a message tells it, before it is written: what is said of it, and its items. */
import { isMovementId, movementOf } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import type { Named } from './gazetteer';
import type { Span, Unit } from './span';

export type Figure = Extract<Span, { k: 'figure' }>;
export type Columns = Extract<Span, { k: 'columns' }>;
export interface Item {
  named: Named | null;
  /** as it is written: `12`, `12/9`, `max`; null: none was said */
  count: string | null;
  unit: Unit | null;
  load: string | null;
  height: string | null;
  side: boolean;
  label: number | null;
  /** one of a complex with the item before it */
  plus: boolean;
  restSeconds: number | null;
  /** of the message, from 0 */
  line: number;
  /** words beside it in its segment: it may be talk */
  amongWords: boolean;
  /** what is counted in its time; null: reps */
  maxUnit: Unit | null;
}
export type Kind = 'amrap' | 'emom' | 'every' | 'deathBy' | 'onOff' | 'forTime' | 'quality' | 'heavy' | 'rest';
export interface Draft {
  kind: Kind | null;
  seconds: number | null;
  each: number | null;
  times: number | null;
  on: number | null;
  off: number | null;
  cap: number | null;
  rounds: number | null;
  sets: number | null;
  rest: number | null;
  restHigh: number | null;
  ladder: readonly number[] | null;
  team: number | null;
  vest: string | null;
  /** every item of it is done as often as it goes */
  maxAll: boolean;
  /** whom it is for, where there are several: `intermediate`; blank: scaled; null: as prescribed */
  tier: string | null;
  /** of a running clock, s */
  window: { readonly from: number; readonly to: number } | null;
  items: Item[];
  /** once, before and after the items */
  buyIn: Item[];
  cashOut: Item[];
}
export const newDraft = (): Draft => ({
  kind: null,
  seconds: null,
  each: null,
  times: null,
  on: null,
  off: null,
  cap: null,
  rounds: null,
  sets: null,
  rest: null,
  restHigh: null,
  ladder: null,
  team: null,
  vest: null,
  maxAll: false,
  tier: null,
  window: null,
  items: [],
  buyIn: [],
  cashOut: [],
});
/** Every item of a part, in its order. */
export const itemsOf = ({ buyIn, items, cashOut }: Draft): readonly Item[] => [...buyIn, ...items, ...cashOut];
export const movementIn = (item: Pick<Item, 'named'> | undefined): Movement | null =>
  item?.named?.id && isMovementId(item.named.id) ? movementOf(item.named.id) : null;

export const clean = (value: number): string => String(Number(value.toFixed(3)));
/** `2x15/10 kg`, `70-75%`; without a unit where none was told: `units-told.ts` puts it in */
export function loadText({ values, high, unit, count }: Pick<Figure, 'values' | 'high' | 'unit' | 'count'>): string {
  const pood = unit === 'pood';
  const each = values.map((value) => clean(pood ? value * 16 : value)).join('/');
  const figures = high === null ? each : `${each}-${clean(high)}`;
  return `${count === 2 ? '2x' : ''}${figures}${unit === '%' ? '%' : pood ? ' kg' : unit === null ? '' : ` ${unit}`}`;
}
