import { describe, expect, test } from '@jest/globals';
import { figureAt, stepped } from './scrub-figures';

describe('figureAt', () => {
  test('finds the figure under the pointer and no other', () => {
    expect(figureAt('21 swing @ 24/16 kg', 1)).toEqual({ from: 0, to: 2, value: 21, step: 1 });
    expect(figureAt('21 swing @ 24/16 kg', 12)).toMatchObject({ value: 24 });
    expect(figureAt('21 swing @ 24/16 kg', 6)).toBeNull();
  });
  test('half kilograms step by a half, and nothing steps below one step', () => {
    const figure = figureAt('7 press @ 17.5 kg', 12)!;
    expect(stepped(figure, 1)).toBe('18');
    expect(stepped(figureAt('3 rounds', 0)!, -9)).toBe('1');
  });
});
