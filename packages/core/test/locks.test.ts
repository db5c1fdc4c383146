/** Decisions of two who look at one version: each keeps what the other decided, but for the same line, where the later one stands. */
import { describe, expect, test } from '@jest/globals';
import { mergedLocks, type Lock } from '../src/index';

const squat: Lock = { part: 0, slot: 0, movement: 'goblet-squat' };
const heavier: Lock = { part: 0, slot: 0, movement: 'goblet-squat', loadKg: 24 };
const row: Lock = { part: 0, slot: 1, movement: 'ring-row' };
const frame: Lock = { part: 0, slot: 0, scheme: true, frame: '4 rounds for time' };
const note: Lock = { note: 'mind the step' };
const other: Lock = { note: 'mind the gale' };

describe('a decision beside another', () => {
  test.each([
    ['is added to what stands', [row], [], [squat], [row, squat]],
    ['takes the place of one about the same line', [heavier], [], [squat], [squat]],
    ['lifts what it lifted, and nothing else', [squat, row], [squat], [], [row]],
    ['lifts nothing that another put in its place meanwhile', [heavier], [squat], [], [heavier]],
    ['about a frame stands beside one about the first line', [squat], [], [frame], [squat, frame]],
    ['has one note', [note, row], [note], [other], [row, other]],
    ['that is none changes nothing', [row], [squat], [squat], [row]],
    ['knows its own, whatever the order of its keys', [{ movement: 'ring-row', slot: 1, part: 0 }], [row], [], []],
  ] as const)('%s', (_, standing, before, after, stands) => expect(mergedLocks(standing, before, after)).toEqual(stands));
  test('taken back and taken up again leaves what was there', () => {
    const made = mergedLocks([row], [], [squat, note]);
    expect(mergedLocks(mergedLocks(made, [squat, note], []), [], [squat, note])).toEqual(made);
  });
});
