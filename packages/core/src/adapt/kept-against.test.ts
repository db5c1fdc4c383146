/** What changes after a version was sent, and what a coach keeps against a limit. */
import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '../athlete/read-athlete';
import { barePlace } from '../kit/kit';
import { brokenLines } from './gate/broken-lines';
import { keptAgainst } from './kept-against';

const keeper = (change: Record<string, unknown>) => readAthlete({ name: 'Tabrik', category: 'women', level: 'trained', ...change }, '2026-12-01').athlete;
const version = 'AMRAP 9:00\n200 m run\n8 dumbbell thruster @ 2x10 kg\n12 sit-up';
const place = { kit: ['dumbbell 10 kg x 2', 'run route 200 m'], ceiling: '3 m', floor: '4 x 4 m', noise: 'free' };
const broken = (change: Record<string, unknown>) => {
  const athlete = keeper({ place, ...change });
  return brokenLines(version, athlete, athlete.places[0] ?? barePlace).map(({ line, why, harms }) => [line, why, harms]);
};

describe('lines of a version that a file turned against', () => {
  test('are none where nothing did', () => expect(broken({})).toEqual([]));
  test.each([
    [{ avoid: ['running'] }, [['200 m run', 'on the avoid-list: running', true]]],
    [{ place: { ...place, kit: ['dumbbell 10 kg x 2'] } }, [['200 m run', 'needs a run route', false]]],
    [{ place: { ...place, kit: ['run route 200 m', 'dumbbell 8 kg x 2'] } }, [['8 dumbbell thruster @ 2x10 kg', 'no 2x10 kg is there', false]]],
    [{ limits: { squat_depth: 'half' } }, [['8 dumbbell thruster @ 2x10 kg', 'outside the range this athlete works in: squat to half', true]]],
  ])('%j', (change, lines) => expect(broken(change)).toEqual(lines));
  test('a load in whole pounds is the one that is owned', () => {
    const athlete = keeper({ place: { ...place, kit: ['dumbbell 35 lb x 2'] } });
    expect(brokenLines('AMRAP 9:00\n8 dumbbell thruster @ 2x16 kg', athlete, athlete.places[0]!)).toEqual([]);
  });
});

describe('what a coach keeps against a limit', () => {
  const runs = ['“200 m run” on the avoid-list: running'];
  test.each([
    ['a movement', [{ part: 0, slot: 0, movement: 'run' }], ['“run” on the avoid-list: running']],
    ['a line', [{ part: 0, slot: 0, line: '200 m run' }], runs],
    ['a text by hand', [{ byHand: version }], runs],
    ['the same twice', [{ byHand: version }, { part: 0, slot: 0, line: '200 m run' }], runs],
    ['a note', [{ note: 'run home' }], []],
    ['another movement', [{ part: 0, slot: 0, movement: 'sit-up' }], []],
    ['kit that is not there', [{ part: 0, slot: 0, line: '8 dumbbell thruster @ 2x30 kg' }], []],
  ])('%s', (_what, locks, said) => expect(keptAgainst(locks, keeper({ place, avoid: ['running'] }))).toEqual(said));
  test('is nothing to somebody who need not be spared', () => expect(keptAgainst([{ byHand: version }], keeper({ place }))).toEqual([]));
});
