/** What stands without a unit is taken in the room's, in what the movement is never done with otherwise, or in what the coach answered; only what is doubtful is asked. */
import { describe, expect, test } from '@jest/globals';
import { newDraft, type Draft } from '../../src/message/draft';
import { tellUnits } from '../../src/message/units-told';
import { Assembly } from '../../src/message/assembly';
import type { HouseWord } from '../../src/message/house-words';

const draftOf = (name: string, id: string, change: { load?: string; height?: string }): Draft => {
  const draft = newDraft();
  draft.items.push(new Assembly().item({ name, id, guessed: false }, { load: change.load ?? null, height: change.height ?? null }));
  return draft;
};
const told = (draft: Draft, room: 'kg' | 'lb' = 'kg', words: HouseWord[] = []) => {
  const asked = tellUnits([draft], words, room);
  return { load: draft.items[0]!.load, height: draft.items[0]!.height, asked: asked.map(({ of, unit }) => `${of} ${unit}`) };
};

describe('a load', () => {
  test.each<[string, 'kg' | 'lb', string, string[]]>([
    ['24/16', 'kg', '24/16 kg', []],
    ['2x22.5/15', 'kg', '2x22.5/15 kg', []],
    ['95/65', 'kg', '95/65 kg', ['load kg']],
    ['95/65', 'lb', '95/65 lb', []],
    ['60 kg', 'lb', '60 kg', []],
    ['75%', 'kg', '75%', []],
    ['RPE 8', 'kg', 'RPE 8', []],
    ['bodyweight', 'kg', 'bodyweight', []],
  ])('%s in a room of %s is %s', (load, room, written, asked) =>
    expect(told(draftOf('Thruster', 'thruster', { load }), room)).toEqual({ load: written, height: null, asked }),
  );
  test('a ball that nobody throws in kilograms is in pounds, and asked about', () =>
    expect(told(draftOf('Wall ball', 'wall-ball-squat', { load: '20/14' }))).toMatchObject({ load: '20/14 lb', asked: ['load lb'] }));
  test('an answer is of that load alone', () => {
    const words: HouseWord[] = [{ kind: 'load', words: '95/65', means: 'lb' }];
    expect(told(draftOf('Thruster', 'thruster', { load: '95/65' }), 'kg', words)).toMatchObject({ load: '95/65 lb', asked: [] });
    expect(told(draftOf('Thruster', 'thruster', { load: '115/80' }), 'kg', words)).toMatchObject({ load: '115/80 kg', asked: ['load kg'] });
  });
});
describe('a height', () => {
  test.each([
    ['24/20', '24/20 in', 'height in'],
    ['60/50', '60/50 cm', 'height cm'],
    ['36', '36 in', 'height in'],
    ['37', '37 cm', 'height cm'],
  ])('%s is %s, and asked about', (height, written, asked) =>
    expect(told(draftOf('Box jump', 'box-jump', { height }))).toEqual({ load: null, height: written, asked: [asked] }),
  );
  test('with its unit, or once it was answered, is not', () => {
    expect(told(draftOf('Box jump', 'box-jump', { height: '24 in' })).asked).toEqual([]);
    expect(told(draftOf('Box jump', 'box-jump', { height: '24/20' }), 'kg', [{ kind: 'height', words: '', means: 'cm' }])).toEqual({
      load: null,
      height: '24/20 cm',
      asked: [],
    });
  });
});
