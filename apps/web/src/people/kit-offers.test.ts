import { describe, expect, test } from '@jest/globals';
import { readKit } from '@gambito/core';
import { kitLine, kitOffers } from './kit-offers';

const figures = { mass: '10, 12.5', cm: '45', m: '200, 400' } as const;

describe('kit by picking', () => {
  test.each(kitOffers.map((offer) => [offer.name, offer] as const))('%s becomes a line that is understood whole', (_name, offer) => {
    const typed =
      offer.figures === null ? '' : /backpack|vest|medicine/.test(offer.name) ? '10' : offer.name.startsWith('barbell') ? '2x10 2x5' : figures[offer.figures];
    const line = kitLine(offer, typed, 'kg');
    const { items, problems } = readKit([line!]);
    expect([line, problems.filter(({ code }) => code !== 'assumed')]).toEqual([line, []]);
    expect(items.length).toBeGreaterThan(0);
  });
  test('a unit that was typed stays, the room’s is added', () => {
    const [pair] = kitOffers;
    expect(kitLine(pair!, '25', 'lb')).toBe('dumbbell 25 lb x 2');
    expect(kitLine(pair!, '25 kg', 'lb')).toBe('dumbbell 25 kg x 2');
    expect(kitLine(pair!, 'heavy', 'kg')).toBeNull();
  });
});
