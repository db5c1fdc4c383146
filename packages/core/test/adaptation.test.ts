import { describe, expect, test } from '@jest/globals';
import { adapt, alternativesFor, barePlace, defaultRules, parseWorkout, referenceAthlete, readRules, ruleSpecs, tierAthlete, type Athlete } from '../src/index';
import { seedsTo } from './cases';
import { brokenLimits } from './limits-checker';
import { slotOf, versionOf, withKit, workout } from './asking';
import { randomAthlete, randomFormat, randomWorkout } from './people';
import { sampleNames, sampleText } from './samples';
import { untrueIn } from './true-reasons';

describe('hard limits are never broken', () => {
  // the last two: a lighter pair for a pair, and sides in a ladder
  const seeds = [...new Set([...seedsTo(36, 2000), 283, 302])];
  test('on a seeded sample of random workouts × athletes, by a checker that shares no code with the search; every text parses cleanly, every reason is true', () => {
    for (const seed of seeds) {
      const athlete = randomAthlete(seed);
      const text = randomWorkout(seed);
      const place = athlete.places[0]!;
      const adapted = adapt(workout(text), athlete, { place, runs: 2 });
      const broken = adapted.version.parts.flatMap((part) => part.slots.flatMap((slot) => brokenLimits(slot, athlete, place)));
      expect([seed, broken]).toEqual([seed, []]);
      expect([seed, untrueIn(adapted, workout(text))]).toEqual([seed, []]);
      const again = parseWorkout(adapted.version.text);
      expect([seed, again.diagnostics.filter((each) => each.level !== 'info')]).toEqual([seed, []]);
      expect([seed, again.workout.parts.map((part) => part.kind)]).toEqual([seed, adapted.workout.parts.map((part) => part.kind)]);
      for (const part of adapted.version.parts)
        for (const slot of part.slots) for (const reps of slot.reps) expect([seed, Number.isInteger(reps) && reps > 0]).toEqual([seed, true]);
    }
  });
  // 154: sides in a bracket; 366: a share in whole kilograms; 924: seconds of work in what interrupts
  test('and of the other formats: teams, buy-ins, growing ladders, percentages, complexes, work that interrupts', () => {
    for (const seed of new Set([...seedsTo(24, 2000), 154, 366, 924])) {
      const athlete = randomAthlete(seed);
      const text = randomFormat(seed);
      const written = parseWorkout(text);
      expect([text, written.diagnostics.filter((each) => each.level !== 'info')]).toEqual([text, []]);
      const place = athlete.places[0]!;
      const adapted = adapt(written.workout, athlete, { place, runs: 2 });
      const broken = adapted.version.parts.flatMap((part) => part.slots.flatMap((slot) => brokenLimits(slot, athlete, place)));
      expect([seed, broken, untrueIn(adapted, written.workout)]).toEqual([seed, [], []]);
      expect([seed, adapted.warnings.filter(({ code }) => code === 'sense')]).toEqual([seed, []]);
    }
  });
});

describe('adapt', () => {
  test('is deterministic to the byte', () => {
    const athlete = randomAthlete(4);
    for (const name of sampleNames.slice(0, 4))
      expect(JSON.stringify(adapt(workout(sampleText(name)), athlete))).toBe(JSON.stringify(adapt(workout(sampleText(name)), athlete)));
  });
  test('leaves the reference athlete with a full kit nearly alone', () => {
    const { place } = tierAthlete('full kit, trained', 'men');
    const adapted = adapt(workout('for time, cap 15:00\n5 rounds\n  10 kettlebell swing @ 24/16 kg\n  10 pull-up\n  200 m run'), referenceAthlete('men'), {
      place,
      runs: 4,
    });
    expect(adapted.version.parts[0]!.slots.filter((slot) => slot.swapped)).toEqual([]);
    expect(adapted.drift.total).toBeLessThan(0.1);
  });
  test('an empty kit gets a whole version all the same, with nothing it does not have', () => {
    const athlete: Athlete = { ...referenceAthlete('women'), level: 'newer', places: [barePlace] };
    for (const name of sampleNames) {
      const adapted = adapt(workout(sampleText(name)), athlete, { runs: 2 });
      expect(adapted.version.parts.flatMap((part) => part.slots).every((slot) => slot.load === null)).toBe(true);
    }
  });
  test('says so when loads are missing for a max-load part, and prices the changed score', () => {
    const adapted = versionOf('max load in 7:00\n1 deadlift', withKit(['chair 45 cm']));
    expect(adapted.version.parts[0]!.kind).toBe('strength');
    expect(adapted.drift.scoreType).toBe(1);
    expect(adapted.warnings.map((each) => each.code)).toContain('part_replaced');
  });
  test('a lock stays, the rest re-balances, and a lock that breaks a limit is said', () => {
    const athlete = withKit(['chair 45 cm', 'wall']);
    const adapted = adapt(workout(sampleText('breakwater')), athlete, { locks: [{ part: 0, slot: 1, movement: 'toes-to-bar' }], runs: 2 });
    expect(adapted.version.parts[0]!.slots[1]!.movement).toBe('toes-to-bar');
    expect(adapted.warnings.map((each) => each.code)).toContain('lock_breaks_limit');
    const locked = adapt(workout(sampleText('breakwater')), athlete, { locks: [{ part: 0, slot: 0, movement: 'piked-push-up', reps: 11 }], runs: 2 });
    expect(locked.version.parts[0]!.slots[0]).toMatchObject({ movement: 'piked-push-up', reps: [11] });
  });
  test('the coach’s own alternatives come first, in the coach’s order', () => {
    const text = 'AMRAP 12:00\n8 bb deadlift @ 80/55 kg | 10 db deadlift @ 2x27.5/20 kg | 6 bag lift to shoulder\n10 push-up';
    expect(slotOf(text, withKit(['dumbbell 27.5 kg x 2', 'sandbag 30 kg']))).toMatchObject({ movement: 'dumbbell-deadlift', reps: [10], rule: 'coach' });
    expect(slotOf(text, withKit(['sandbag 30 kg']))).toMatchObject({ movement: 'bag-to-shoulder', reps: [6], rule: 'coach' });
  });
  test('a newer athlete gets less time first (T9, common practice: 20 → 15 → 10)', () => {
    const text = 'AMRAP 20:00\n10 push-up\n15 air squat';
    expect(versionOf(text, { ...withKit([]), level: 'newer' }).version.parts[0]!.seconds).toBe(900);
    expect(versionOf(text, { ...withKit([]), level: 'new' }).version.parts[0]!.seconds).toBe(600);
    expect(versionOf(text, { ...withKit([]), level: 'newer' }, { newerAthlete: 'cutReps' }).version.parts[0]!.seconds).toBe(1200);
  });
  test('alternatives are ranked, name the chosen one, and answer "why not" with the limit', () => {
    const athlete = withKit(['dumbbell 10 kg x 2', 'chair 45 cm']);
    const list = alternativesFor(workout(sampleText('breakwater')), athlete, { part: 0, slot: 1 }, {}, 'toes-to-bar');
    expect(list[0]!.chosen).toBe(true);
    expect(list.length).toBeGreaterThan(3);
    expect(list.find((each) => each.movement === 'toes-to-bar')!.blocked).toMatch(/bar to hang from/);
  });
});

// common practice: conversions of the trade under the school that states them
describe('conversions', () => {
  const rope = withKit(['rope'], { best_sets: { double_under: 2 } });
  test('C2: two singles for one double', () =>
    expect(slotOf('AMRAP 12:00\n40 double-under\n10 push-up', rope)).toMatchObject({ movement: 'single-under', reps: [80], rule: 'noDoubleUnders' }));
  test('C2: without a rope, hops one for one', () =>
    expect(slotOf('AMRAP 12:00\n40 double-under\n10 push-up', withKit([]), { noDoubleUnders: 'hops' })).toMatchObject({ movement: 'hip-tap-hop', reps: [40] }));
  test('C4: five strict pull-ups are five rows each side, or the same total', () => {
    const kit = withKit(['dumbbell 22.5 kg']);
    expect(slotOf('AMRAP 12:00\n6 strict pull-up\n10 push-up', kit)).toMatchObject({ movement: 'dumbbell-row', reps: [6], perSide: true });
    expect(slotOf('AMRAP 12:00\n30 chest-to-bar\n10 push-up', kit, { pullUpsToRows: 'sameTotal' })).toMatchObject({
      movement: 'dumbbell-row',
      reps: [15],
      perSide: true,
    });
  });
  test('C5: strict toes-to-bar stay strict and keep their count', () => {
    const slot = slotOf('AMRAP 12:00\n7 strict toes-to-bar\n10 push-up', withKit([]));
    expect(['strict-leg-raise', 'v-up']).toContain(slot.movement);
    expect(slot.reps).toEqual([7]);
  });
  test('C3: fixed metres under that school', () =>
    expect(slotOf('for time, cap 20:00\n4 rounds\n  400 m run\n  10 push-up', withKit(['rowing machine']), { runToMachine: 'fixedMetres' })).toMatchObject({
      movement: 'row',
      reps: [500],
    }));
  test('C1: a run becomes a row of about the same time', () => {
    const adapted = versionOf('for time, cap 20:00\n4 rounds\n  400 m run\n  10 push-up', withKit(['rowing machine']));
    const slot = adapted.version.parts[0]!.slots[0]!;
    expect(slot.movement).toBe('row');
    expect(slot.reps[0]).toBeGreaterThanOrEqual(350);
    expect(slot.reps[0]).toBeLessThanOrEqual(500);
  });
});

describe('house rules', () => {
  test('every rule has a default, a reason and at least two schools', () => {
    for (const spec of Object.values(ruleSpecs)) {
      expect(spec.why.length).toBeGreaterThan(10);
      expect(spec.options.length).toBeGreaterThanOrEqual(2);
    }
  });
  test('an unknown rule or school is said and left out', () => {
    const { rules, problems } = readRules({ noDoubleUnders: 'sameTime', colour: 'blue', loadGone: 'wishes' });
    expect(rules.noDoubleUnders).toBe('sameTime');
    expect(rules.loadGone).toBe(defaultRules.loadGone);
    expect(problems).toHaveLength(2);
  });
  test('easier push-ups: hands raised by default, knees under that school', () => {
    const weak = withKit(['chair 45 cm', 'wall', 'table 75 cm'], { best_sets: { push_up: 5 }, level: 'trained' });
    expect(slotOf('AMRAP 10:00\n12 push-up\n20 sit-up', weak).movement).toBe('raised-push-up');
    expect(slotOf('AMRAP 10:00\n12 push-up\n20 sit-up', weak, { easierPushUp: 'knees' }).movement).toBe('knee-push-up');
  });
});
