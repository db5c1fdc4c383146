/** What a kit holds besides loads, as it was understood. */
import type { KitItem } from '@gambito/core';

const plainWords: Readonly<Record<string, string>> = {
  bar: 'pull-up bar',
  lowBar: 'low bar',
  dipBar: 'dip bars',
  row: 'rowing machine',
  airBike: 'air bike',
  ski: 'ski machine',
  anchor: 'something to anchor to',
};
const ofLoads = ['grams', 'plates', 'fromGrams', 'toGrams', 'lowGrams'] as const;

function wordsOfItem(item: KitItem): string | null {
  if ('heightCm' in item) return `${item.kind} ${item.heightCm} cm${item.count > 1 ? ` × ${item.count}` : ''}`;
  if (item.kind === 'route') return item.metres.length > 0 ? `run route ${item.metres.join(', ')} m` : 'run route';
  return ofLoads.some((key) => key in item) ? null : (plainWords[item.kind] ?? item.kind);
}

export const otherKit = (kit: readonly KitItem[]): string[] => [...new Set(kit.flatMap((item) => wordsOfItem(item) ?? []))];
