/** The house: data flows one way between its rooms, and no two files need each other, types included. */
import { describe, expect, test } from '@jest/globals';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { firstCircle, importGraph } from './import-graph';

const graph = importGraph(resolve(dirname(fileURLToPath(import.meta.url)), '../src'));

describe('the rooms of the core', () => {
  test('no two files need each other', () => expect(firstCircle(graph)).toEqual([]));
  test.each([
    ['stimulus', 'adapt'],
    ['athlete', 'scoring'],
    ['kit', 'athlete'],
    ['simulate', 'stimulus'],
    ['movements', 'workout'],
    ['limits', 'adapt'],
  ])('%s does not know of %s', (room, other) => {
    const knows = [...graph.files].filter(([file, to]) => file.startsWith(`${room}/`) && to.some((each) => each.startsWith(`${other}/`))).map(([file]) => file);
    expect(knows).toEqual([]);
  });
});
