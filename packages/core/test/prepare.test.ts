/** What stands before and after the workout: warm-up by school, ramp to the version's loads, standards, cautions, cool-down. */
import { describe, expect, test } from '@jest/globals';
import { defaultRules, movementOf, movements, prepare, usualCautions, type Athlete, type HouseRules } from '../src/index';
import { withKit, workout } from './asking';
import { randomAthlete, randomWorkout } from './people';

const text = 'for time, cap 20:00\n5 rounds\n  400 m run\n  10 front squat @ 60 kg\n  12 db push press @ 2x15 kg\n  8 toes-to-bar';
const prepared = (athlete: Athlete = withKit([]), rules: Partial<HouseRules> = {}, of = text) => prepare(workout(of), athlete, { ...defaultRules, ...rules });

describe('the warm-up', () => {
  test('short rounds first: a pulse-raiser of the day’s own kind, a reach, and the main movement (common practice)', () => {
    const [rounds] = prepared().warmUp;
    expect(rounds).toMatch(/^3 rounds: 30 s easy jog, 3 walk-out to a plank and back, /);
  });
  test.each([
    ['rounds', /^3 rounds/, /3 at/],
    ['miniature', /^One round at half the reps: run, front squat/, /^Then 5:00 off$/],
    ['pump', /^2:00 easy jog$/, /^Then 8–10 min off$/],
    ['own', /^Own ritual$/, /3 at/],
  ] as const)('the school “%s”', (warmUp, first, last) => {
    const lines = prepared(withKit([]), { warmUp }).warmUp;
    expect(lines[0]).toMatch(first);
    expect(lines.at(-1)).toMatch(last);
  });
  test('a bar is warmed up from the empty bar, by about 60 %, to the load of the version; dumbbells have no half load', () => {
    const lines = prepared().warmUp.join('\n');
    expect(lines).toMatch(/front squat: 5 with the empty bar, 5 at about 35 kg, 3 at 60 kg/);
    expect(lines).toMatch(/push press: 5 without load or with something lighter, then 3 at 2 × 15 kg/);
  });
  test('in the units of the athlete', () => expect(prepared(withKit([], { units: 'lb' })).warmUp.join('\n')).toMatch(/3 at 132\.5 lb/));
  test('whoever must not jump marches, and whoever must not bear on the wrists reaches high', () => {
    const calm = prepared(withKit([], { avoid: ['jumping', 'wrists'] }), {}, 'AMRAP 10:00\n10 air squat').warmUp[0]!;
    expect(calm).toMatch(/march on the spot/);
    expect(calm).toMatch(/hands high/);
    expect(calm).not.toMatch(/jog|plank/);
  });
});

describe('the warm-up by the clock', () => {
  const played = (rules: Partial<HouseRules> = {}, of = text) => prepared(withKit([]), rules, of).warmUpClock;
  test('rounds and sets of a ramp are ticked off one by one, and the athlete ends them', () => {
    const { cues, totalSeconds } = played();
    expect(cues.map(({ kind, ticks }) => [kind, ticks.length])).toEqual([
      ['open', 3],
      ['open', 0],
      ['open', 0],
      ['open', 3],
      ['open', 2],
      ['end', 0],
    ]);
    expect(cues[3]).toMatchObject({
      text: 'front squat',
      ticks: [{ text: '1 of 3', lines: ['5 with the empty bar'] }, { lines: ['5 at about 35 kg'] }, { lines: ['3 at 60 kg'] }],
    });
    expect(totalSeconds).toBeNull();
  });
  test('what has a time runs down by itself, and the minutes off are a rest', () => {
    const { cues } = played({ warmUp: 'pump' });
    expect(cues[0]).toMatchObject({ kind: 'work', lengthSeconds: 120, lines: ['2:00 easy jog'] });
    expect(cues.at(-2)).toMatchObject({ kind: 'rest', lengthSeconds: 480 });
  });
  test('the page and the clock tell the same steps, by every school and for everybody (30 random people)', () => {
    for (let seed = 1; seed <= 30; seed++)
      for (const warmUp of ['rounds', 'miniature', 'pump', 'own'] as const) {
        const { warmUp: lines, warmUpClock } = prepare(workout(randomWorkout(seed)), randomAthlete(seed), { ...defaultRules, warmUp });
        expect(warmUpClock.cues).toHaveLength(lines.length + 1);
        warmUpClock.cues.slice(0, -1).forEach(({ text: name, lines: told, ticks }, at) => {
          for (const word of [name, ...told, ...ticks.flatMap((tick) => tick.lines)]) expect(lines[at]).toContain(word);
        });
      }
  });
});

describe('standards, cautions, cool-down', () => {
  test('one standard a movement, with what makes a rep and what does not', () => {
    const { standards } = prepared();
    expect(standards.map((each) => each.movement)).toEqual(['run', 'front-squat', 'dumbbell-push-press', 'toes-to-bar']);
    for (const { movement, points, noReps } of standards) {
      expect(points).toBe(movementOf(movement).standards);
      expect(noReps).toBe(movementOf(movement).noReps);
    }
  });
  test('household kit is to be tested first; a bar and a floor need no such line', () => {
    expect(prepared(withKit([]), {}, 'AMRAP 10:00\n10 chair dip').cautions.join()).toMatch(/Improvised kit: test/);
    expect(prepared(withKit([]), {}, 'AMRAP 10:00\n10 push-up').cautions.join()).not.toMatch(/Improvised/);
  });
  test('the usual cautions close every page, each said once, and none of it clears anybody', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const athlete = randomAthlete(seed);
      const { cautions } = prepare(workout(randomWorkout(seed)), athlete, defaultRules);
      expect(cautions.slice(-usualCautions.length)).toEqual(usualCautions);
      expect(new Set(cautions).size).toBe(cautions.length);
    }
    expect(usualCautions.join(' ')).toMatch(/licensed professional.*clears nobody/);
  });
  test('the cool-down stretches what the day used, about a minute each, and nothing to be avoided (30 random people)', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const athlete = randomAthlete(seed);
      const read = workout(randomWorkout(seed));
      const [walk, ...stretches] = prepare(read, athlete, defaultRules).coolDown;
      expect(walk).toMatch(/^5:00 easy/);
      expect(stretches.length).toBeLessThanOrEqual(3);
      for (const line of stretches) {
        const stretch = movements.find((each) => line.replace(/^1:00 (?:each side )?/, '') === each.name.toLowerCase())!;
        expect(stretch.prepareOnly).toBe(true);
        expect(line.includes('each side')).toBe(stretch.side === 'perSide');
        for (const tag of athlete.avoid) expect(stretch.avoid).not.toContain(tag);
      }
    }
  });
});
