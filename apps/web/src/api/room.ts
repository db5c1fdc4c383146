/** The room's unit: what a load without a unit is taken in, wherever a workout's text is read. */
import type { MassUnit } from '@gambito/core';
import { useMe } from './queries';

export function useRoom(): MassUnit {
  return useMe().data?.coach?.units ?? 'kg';
}
