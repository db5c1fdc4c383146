import { describe, expect, test } from '@jest/globals';
import { formatWorkout, parseWorkout } from '@gambito/core';
import { templates } from './templates';

describe('a template', () => {
  test.each(templates.map((template) => [template.name, template] as const))('%s is read without a remark, as what it says it is', (_name, { text, kind }) => {
    const { workout, diagnostics } = parseWorkout(text);
    expect(diagnostics).toEqual([]);
    expect(workout.parts.map((part) => part.kind)).toEqual([kind]);
    expect(parseWorkout(formatWorkout(workout)).workout).toEqual(workout);
  });
  test('there is one for every kind of part', () => {
    expect([...new Set(templates.map(({ kind }) => kind))].sort()).toEqual(
      ['amrap', 'every', 'forTime', 'intervals', 'maxLoad', 'quality', 'rest', 'strength', 'windows'].sort(),
    );
  });
});
