/** What stands before and after the workout: warm-up by school, ramp to the version's loads, standards, cautions, cool-down. */
import { describe, expect, test } from '@jest/globals';
import {
  defaultRules,
  movementOf,
  movements,
  prepare,
  readSteps,
  ritualOf,
  usualCautions,
  warmUpAsked,
  warmUpLimits,
  type Athlete,
  type HouseRules,
  type PrepareOptions,
} from '../src/index';
import { seedsTo } from './cases';
import { withKit, workout } from './asking';
import { randomAthlete, randomWorkout } from './people';

const text = 'for time, cap 20:00\n5 rounds\n  400 m run\n  10 front squat @ 60 kg\n  12 db push press @ 2x15 kg\n  8 toes-to-bar';
const prepared = (athlete: Athlete = withKit([]), rules: Partial<HouseRules> = {}, of = text, options: PrepareOptions = {}) =>
  prepare(workout(of), athlete, { ...defaultRules, ...rules }, options);

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
  test('with what is owned: the plates a side of each set, and the lighter pair there is', () => {
    const shed = withKit(['barbell 20 kg', 'plates 4x20 4x10 2x5 2x2.5 kg', 'dumbbell 10 kg x 2', 'dumbbell 15 kg x 2']);
    const lines = prepared(shed).warmUp.join('\n');
    expect(lines).toContain('front squat: 5 with the empty bar, 5 at 35 kg (5 + 2.5 a side), 3 at 60 kg (20 a side)');
    expect(lines).toContain('push press: 5 at 2 × 10 kg, 3 at 2 × 15 kg');
    // one pair and no lighter one
    expect(prepared(withKit(['dumbbell 15 kg x 2'])).warmUp.join('\n')).toContain('push press: 5 without load, then 3 at 2 × 15 kg');
    // a bar whose plates leave nothing between
    const big = prepared(withKit(['barbell 20 kg', 'plates 2x20 kg'])).warmUp.join('\n');
    expect(big).toContain('front squat: 5 with the empty bar, 3 at 60 kg (20 a side)');
    // in pounds, plates too
    const pounds = prepared(withKit(['barbell 45 lb', 'plates 4x45 4x25 2x10 lb'], { units: 'lb' }), {}, 'for time\n20 front squat @ 135 lb').warmUp.join('\n');
    expect(pounds).toContain('3 at 135 lb (45 a side)');
  });
  test('in the units of the athlete', () => expect(prepared(withKit([], { units: 'lb' })).warmUp.join('\n')).toMatch(/3 at 132\.5 lb/));
  const easy = 'AMRAP 10:00\n10 air squat';
  test('a short one begins easily, so that it is five minutes at least; none is longer than ten (random people, every school)', () => {
    expect(prepared(withKit([]), {}, easy).warmUp[0]).toBe('1:30 jog on the spot');
    // one easy beginning, not two
    expect(prepared(withKit([]), { warmUp: 'pump' }, easy).warmUp).toEqual(['4:30 jog on the spot', '2 easy sets of 5 half squat', 'Then 8–10 min off']);
    for (const seed of seedsTo(20, 60))
      for (const warmUp of ['rounds', 'miniature', 'pump', 'own'] as const) {
        const { warmUpSeconds } = prepare(workout(randomWorkout(seed)), { ...randomAthlete(seed), timeAvailableSeconds: null }, { ...defaultRules, warmUp });
        expect(warmUpSeconds).toBeGreaterThanOrEqual(warmUpLimits.least - 120);
        expect(warmUpSeconds).toBeLessThanOrEqual(warmUpLimits.most);
      }
  });
  test('where the workout leaves few minutes, rehearsals go first, then rounds, the ramp last', () => {
    const within = (minutes: number) => prepared(withKit([], { time_available: `${minutes + 20} min` }), {}, text, { workoutSeconds: 1200 });
    expect(within(10).warmUp).toHaveLength(5);
    expect(within(8).warmUp).toEqual([
      expect.stringMatching(/^3 rounds/),
      expect.stringMatching(/^front squat/),
      expect.stringMatching(/^dumbbell push press/),
    ]);
    expect(within(6).warmUp[0]).toMatch(/^1 round of/);
    for (const minutes of [6, 8, 10]) expect(within(minutes).warmUpSeconds).toBeLessThanOrEqual(minutes * 60);
    expect(within(2).warmUp.join()).toMatch(/front squat: 5 with the empty bar/);
  });
  test('the rest before the workout takes what is left of the minutes', () => {
    const off = (minutes: number, warmUp: HouseRules['warmUp']) =>
      prepared(withKit([], { time_available: `${minutes} min` }), { warmUp }, easy, { workoutSeconds: 600 }).warmUp.at(-1);
    expect([off(30, 'miniature'), off(18, 'miniature'), off(15, 'miniature')]).toEqual(['Then 5:00 off', 'Then 4:00 off', 'Then 1:00 off']);
    // however few minutes there are, a minute
    expect(off(12, 'miniature')).toBe('Then 1:00 off');
    expect([off(40, 'pump'), off(18, 'pump')]).toEqual(['Then 8–10 min off', 'Then 2:30 off']);
  });
  test('nobody jogs on the spot above a neighbour', () => {
    const quiet = withKit([], { place: { floor: '3 x 3 m', noise: 'quiet', kit: [] } });
    expect(prepared(quiet, {}, easy).warmUp.join()).not.toMatch(/jog/);
  });
  test('a warm-up that stands in the workout is the warm-up: only its loads are ramped up to', () => {
    const own = `Warm-up: 2 rounds\n  10 air squat\n  5 push-up\n\n${text}`;
    expect(prepared(withKit([]), {}, own).warmUp).toEqual([expect.stringMatching(/^front squat: 5 with/), expect.stringMatching(/^dumbbell push press: /)]);
    expect(prepared(withKit([]), {}, `Warm-up: 10 air squat\n\n${easy}`).warmUp).toEqual([]);
  });
  test('whoever must not jump marches, and whoever must not bear on the wrists reaches high', () => {
    const calm = prepared(withKit([], { avoid: ['jumping', 'wrists'] }), {}, 'AMRAP 10:00\n10 air squat').warmUp.join();
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
  test('the page and the clock tell the same steps, by every school and for everybody (random people)', () => {
    for (const seed of seedsTo(12, 30))
      for (const warmUp of ['rounds', 'miniature', 'pump', 'own'] as const) {
        const { warmUp: lines, warmUpClock } = prepare(workout(randomWorkout(seed)), randomAthlete(seed), { ...defaultRules, warmUp });
        expect(warmUpClock.cues).toHaveLength(lines.length + 1);
        warmUpClock.cues.slice(0, -1).forEach(({ text: name, lines: told, ticks }, at) => {
          for (const word of [name, ...told, ...ticks.flatMap((tick) => tick.lines)]) expect(lines[at]).toContain(word);
        });
      }
  });
});

describe('a warm-up of the coach’s own', () => {
  const ritual = '10 band pull-apart\n2 rounds: 5 air squat, 5 push-up';
  test('the ritual, then what this version wants rehearsed and its ramps', () => {
    const lines = prepared(withKit([]), { warmUp: 'own' }, text, { ritual }).warmUp;
    expect(lines.slice(0, 2)).toEqual(ritual.split('\n'));
    expect(lines.slice(2, -2).every((line) => line.endsWith('for the movements of this version'))).toBe(true);
    expect(lines.at(-2)).toMatch(/^front squat: 5 with the empty bar/);
  });
  test('what was written for one athlete stands as it is, whatever the school, and is played', () => {
    const written = '4 min easy row\n\n 3 rounds: 20 s plank, 5 air squat \nclean: 3 at 40 kg, 2 at 50 kg\nbreathe\nrest is not a number\n2 min rest';
    const { warmUp, warmUpClock, coolDown } = prepared(withKit([]), {}, text, { locks: [{ warmUp: written }, { coolDown: 'walk home\n\n2:00 calf stretch' }] });
    expect(warmUp).toEqual([
      '4 min easy row',
      '3 rounds: 20 s plank, 5 air squat',
      'clean: 3 at 40 kg, 2 at 50 kg',
      'breathe',
      'rest is not a number',
      '2 min rest',
    ]);
    expect(warmUpClock.cues.map(({ kind, lengthSeconds, ticks }) => [kind, lengthSeconds, ticks.length])).toEqual([
      ['work', 240, 0],
      ['open', null, 3],
      ['open', null, 2],
      ['open', null, 0],
      ['open', null, 0],
      ['rest', 120, 0],
      ['end', null, 0],
    ]);
    expect(coolDown).toEqual(['walk home', '2:00 calf stretch']);
    expect(prepared(withKit([]), {}, text, { locks: [{ warmUp: '' }] }).warmUp).toEqual([]);
  });
  test('no line breaks it: what cannot be counted is one step of its own', () => {
    for (const line of ['500 rounds of squats', '1 rounds', ':', 'a: ', 'a: b', '99:99 x', '0:00 off', '3 rounds: ,', '5000 min jog', '🙂'.repeat(40)]) {
      const [step, ...more] = readSteps(line);
      expect([step!.text, more]).toEqual([line.trim(), []]);
      expect(step!.expectedSeconds).toBeGreaterThanOrEqual(0);
      expect(step!.sets.length).toBeLessThanOrEqual(20);
    }
  });
  test.each([
    // neither counts nor minutes: about a minute
    ['breathe', { expectedSeconds: 60, seconds: null, sets: [] }],
    ['10 band pull-apart', { expectedSeconds: 20 }],
    // twenty rounds are ticked off, more are one step
    ['20 rounds: 5 air squat', { sets: Array(20).fill(['5 air squat']) }],
    ['21 rounds: 5 air squat', { sets: [] }],
    // an hour runs down, and no more
    ['60 min walk', { seconds: 3600 }],
    ['61 min walk', { seconds: null }],
  ])('%s', (line, step) => expect(readSteps(line)).toEqual([expect.objectContaining(step)]));
  test('ten minutes with a ritual of six leave room for one ramp', () => {
    const lines = prepared(withKit([]), { warmUp: 'own' }, text, { ritual: '6:00 easy row' }).warmUp;
    expect(lines.filter((line) => line.includes(': 5 '))).toHaveLength(1);
  });
  test('what is Gambito’s own line is read as it is made, by every school (random people)', () => {
    for (const seed of seedsTo(14, 40))
      for (const warmUp of ['rounds', 'miniature', 'pump', 'own'] as const) {
        const athlete = randomAthlete(seed);
        const made = prepare(workout(randomWorkout(seed)), athlete, { ...defaultRules, warmUp });
        const written = prepare(workout(randomWorkout(seed)), athlete, defaultRules, { locks: [{ warmUp: made.warmUp.join('\n') }] });
        expect(written.warmUpClock).toEqual(made.warmUpClock);
        expect(written.warmUpSeconds).toBe(made.warmUpSeconds);
      }
  });
  test('kept as the ritual is what is not this version’s alone', () => {
    const asked = warmUpAsked(withKit([]), defaultRules);
    const own = prepared(withKit([]), { warmUp: 'own' }, text, { ritual }).warmUp.join('\n');
    expect(ritualOf(own, workout(text), asked)).toBe(ritual);
    expect(ritualOf('Own ritual', workout(text), asked)).toBe('');
    // one line of Gambito's changed, the others left: of those what rehearses this version stays out, by every school
    for (const warmUp of ['rounds', 'miniature', 'pump'] as const) {
      const [, ...rest] = prepared(withKit([]), { warmUp }, text).warmUp;
      expect(
        ritualOf(['3:00 easy row', ...rest].join('\n'), workout(text), asked)
          .split('\n')
          .filter((line) => !line.startsWith('Then')),
      ).toEqual(['3:00 easy row']);
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
    for (const seed of seedsTo(12, 30)) {
      const athlete = randomAthlete(seed);
      const { cautions } = prepare(workout(randomWorkout(seed)), athlete, defaultRules);
      expect(cautions.slice(-usualCautions.length)).toEqual(usualCautions);
      expect(new Set(cautions).size).toBe(cautions.length);
    }
    expect(usualCautions.join(' ')).toMatch(/licensed professional.*clears nobody/);
  });
  test('the cool-down stretches what the day used, about a minute each, and nothing to be avoided (random people)', () => {
    for (const seed of seedsTo(12, 30)) {
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
