/** A version on paper: one telling, three faces; the PDF read back by its own page tree. */
import { describe, expect, test } from '@jest/globals';
import { defaultRules, readAthlete } from '@gambito/core';
import { makeBrief } from './brief';
import { sheetMarkdown, sheetOf, sheetPdf, sheetText } from './sheet';

const { athlete } = readAthlete(
  {
    name: 'Tabrik',
    category: 'men',
    level: 'trained',
    body_mass: '80 kg',
    best_sets: { strict_pull_up: 8 },
    place: { name: 'lamp room', kit: ['pull-up bar', 'barbell 20 kg', 'plates 4x10 4x5 kg'] },
  },
  '2026-11-28',
);
const text = '# Gale *warning*\n3 rounds for time, cap 15:00\n10 front squat @ 40 kg\n8 pull-up\n20 sit-up';
const { brief } = makeBrief(text, athlete, { rules: defaultRules, locks: [{ note: 'mind the step' }] });
const blocks = sheetOf(brief, '2026-11-28');

describe('a sheet', () => {
  test('has everything that is needed, in its order', () => {
    const words = sheetText(blocks);
    const order = [
      'Gale *warning*',
      'Tabrik, lamp room, 2026-11-28',
      'mind the step',
      'Warm-up',
      '10 front squat',
      '8 pull-up',
      'Pacing',
      'Standards',
      'Cool-down',
    ];
    const places = order.map((part) => words.indexOf(part));
    expect(places.every((place) => place >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });
  test('says as much in Markdown as in plain text, and marks of the coach are no marks', () => {
    const words = (face: string): string[] =>
      face
        .replaceAll('\\', '')
        .replaceAll(/[-#_=]/g, ' ')
        .split(/\s+/)
        .filter(Boolean);
    expect(words(sheetMarkdown(blocks))).toEqual(words(sheetText(blocks)));
    expect(sheetMarkdown(blocks)).toMatch(/^# Gale \\\*warning\\\*\n/);
  });
  test('is one or two pages', async () => {
    const pdf = (await sheetPdf(blocks)).toString('latin1');
    expect(pdf.startsWith('%PDF-1.')).toBe(true);
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
    expect(Number(/\/Type \/Pages\s*\/Count (\d+)/.exec(pdf)?.[1])).toBeLessThanOrEqual(2);
  });
  test('is drawn whatever the letters', async () => {
    const odd = blocks.map((block) => ({ ...block, text: `${block.text} \u{1F525} \u202E قارب` }));
    expect((await sheetPdf(odd)).length).toBeGreaterThan(1000);
  });
});
