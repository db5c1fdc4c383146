/** Whatever door a word of harm comes in by, it changes the versions or holds them back: tables, and files that go through the form. The other doors: apps/server/test/harm-doors.test.ts. */
import { expect, test } from '@jest/globals';
import { avoidNames } from '@gambito/core';
import { harmShapes, isHeeded, spellingsOf } from '../../../../packages/core/test/harm-shapes';
import { fileOf, formOf } from './athlete-form';
import { readPeople } from './people-csv';

const heads = ['avoid', 'Avoids', 'AVOID', 'avoid list', 'things to avoid', 'injuries', 'Injury', 'limits', 'restrictions', 'pain'];
test.each(heads)('a column “%s”', (head) => {
  const missed = avoidNames.flatMap((name) =>
    spellingsOf(name).filter((word) => !isHeeded(readPeople(`name,level,${head}\nHespe,trained,${word}`, [], '2026-12-01').rows[0]?.file ?? {}, name)),
  );
  expect(missed).toEqual([]);
});
test.each(harmShapes)('a file that is opened and saved in the form: %s', (_shape, shape) => {
  const missed = avoidNames.flatMap((name) =>
    spellingsOf(name).filter((word) => {
      const file = { name: 'Hespe', level: 'trained', ...shape(word) };
      return !isHeeded(fileOf(formOf(file), file), name);
    }),
  );
  expect(missed).toEqual([]);
});
