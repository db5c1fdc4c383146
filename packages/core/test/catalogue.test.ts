import { describe, expect, test } from '@jest/globals';
import { movements, movementOf, findMovement, meetsNeeds, muscles, parseNeeds, patterns, type Movement, type NeedAtom } from '../src/index';
import { foldName } from '../src/movements/names';
import { positionCost } from '../src/movements/build';

describe('the catalogue', () => {
  test('has at least 220 movements with ids of their own', () => {
    expect(movements.length).toBeGreaterThanOrEqual(220);
    expect(new Set(movements.map((each) => each.id)).size).toBe(movements.length);
  });
  test.each(movements.map((each) => [each.id, each] as const))('%s is complete', (id, each) => {
    expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
    expect(Object.values(each.patterns).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(Math.max(...Object.values(each.muscles))).toBeCloseTo(1, 6);
    expect(each.standards.length).toBeGreaterThan(0);
    expect(each.cautions.length).toBeGreaterThan(0);
    if (!each.prepareOnly) expect(each.noReps.length).toBeGreaterThan(0);
    expect(each.cycleSeconds).toBeGreaterThan(0);
    expect(each.joulesPerKg + each.rise.load).toBeGreaterThan(0);
    for (const neighbour of [...each.easier, ...each.harder]) expect(movementOf(neighbour).id).toBe(neighbour);
    expect([...each.easier, ...each.harder]).not.toContain(id);
    for (const alias of each.aliases) expect(findMovement(alias)).not.toBeNull();
  });
  test('has about 40 pieces for warm-ups and cool-downs, none of them a swap', () => {
    expect(movements.filter((each) => each.prepareOnly).length).toBeGreaterThanOrEqual(40);
    for (const each of movements) for (const id of [...each.easier, ...each.harder]) expect([each.id, movementOf(id).prepareOnly]).toEqual([each.id, false]);
  });
  test('knows what the trade writes', () => {
    const written =
      'air squat, slow air squat, 1¼ squat, jump squat, squat to chair, staggered squat, pistol, assisted pistol, lateral jump squat over object, goblet squat, two-dumbbell squat, one dumbbell shoulder squat, FS, back squat, OHS, stick overhead squat, bag squat, bear hug squat, hinge-to-squat good morning, thrusters, DB thruster, KB thruster, thruster to chair, squat clean, power clean, hang clean, muscle clean, db power clean, single dumbbell clean, alternating db clean, kb clean, squat snatch, power snatch, muscle snatch, db snatch, kb snatch, high pull, SDHP, clean & press, hang clean and jerk, cluster, deadlift, deficit deadlift, sumo deadlift, single-arm deadlift beside the foot, stiff-leg deadlift, RDL, single-leg rdl, single-leg hinge and row, arms-wide balance hinge, hip thrust, good morning, dumbbell good morning, band good morning, band hinge from an anchor, kb swing, overhead swing, single-arm swing, db swing, two dumbbell swing, arch hold, roll down, forward lunge, reverse lunge, walking lunges, front rack lunge, back rack lunge, side lunge, kneeling to standing, step-ups, lunge-lunge-squat, press-up, hand release push-up, negative push-up, staggered push-up, kneeling push-up, incline push-up, decline push-up, weighted push-up, push-up with reach, push-up shoulder tap, walk-out with push-up, pike push-up, dive-through push-up, strict hspu, kipping hspu, handstand hold, handstand taps, ring dips, parallel bar dip, bench dip, bench press, floor press, strict press, push press, push jerk, split jerk, overhead hold, one dumbbell in two hands press, strict pull-up, kipping pull-up, jumping pull-up, negative pull-up, c2b, chin-ups, bar muscle-up, ring muscle-up, scap pull-up, dead hang, door-frame row, row under a table, bar-in-rack row, ring rows, towel floor pull, barbell row, supported row, dumbbell plank row, renegade row, dead-stop row, curls, situps, pressed sit-up, weighted sit-up, anchored sit-up, v-ups, tuck-up, hollow rocks, hollow hold, leg raises, leg raise over an object, hanging leg raise, strict t2b, kipping toes-to-bar, flutter kicks, russian twist, side bend, plank, side plank, plank rotation, plank shoulder tap, run, 10 m shuttle run, jog in place, high knees, running skips, singles, DU, hop and tap the hips, jacks, line hop, rower, stationary bike, fan bike, burpees, lateral burpee over bar, burpee box jump, box jump over, box step-over, bear crawl, farmers walk';
    for (const name of written.split(', ')) expect([name, findMovement(name)]).toEqual([name, expect.any(String)]);
  });
  test('no spelling means two movements', () => {
    const owner = new Map<string, string>();
    for (const each of movements)
      for (const name of new Set([each.id, each.name, ...each.aliases].map(foldName))) {
        expect([name, owner.get(name) ?? each.id]).toEqual([name, each.id]);
        owner.set(name, each.id);
      }
  });
  test('a neighbour shares a pattern or tires the same muscles', () => {
    const alike = <K extends string>(keys: readonly K[], a: Partial<Record<K, number>>, b: Partial<Record<K, number>>): number => {
      const dot = (x: Partial<Record<K, number>>, y: Partial<Record<K, number>>): number => keys.reduce((sum, key) => sum + (x[key] ?? 0) * (y[key] ?? 0), 0);
      return dot(a, b) / Math.sqrt(dot(a, a) * dot(b, b));
    };
    // breathing work may stand for other breathing work
    const cyclic = (each: Movement): boolean => (each.patterns.run ?? 0) + (each.patterns.rope ?? 0) + (each.patterns.machine ?? 0) > 0.9;
    const near = (a: Movement, b: Movement): boolean =>
      (cyclic(a) && cyclic(b)) || alike(patterns, a.patterns, b.patterns) > 0.25 || alike(muscles, a.muscles, b.muscles) > 0.5;
    for (const each of movements)
      for (const id of [...each.easier, ...each.harder]) expect([each.id, id, near(each, movementOf(id))]).toEqual([each.id, id, true]);
  });
  test('an easier neighbour of body mass needs no more kit than can be owned, and a load to carry names its implement', () => {
    for (const each of movements) {
      const atoms = each.needsText.match(/[A-Za-z]+/g) ?? [];
      if (each.load && !each.load.optional)
        for (const kind of each.load.implements) expect([each.id, atoms]).toEqual([each.id, expect.arrayContaining([kind])]);
      if (each.unit === 'm' && each.family === 'machine') expect(each.needs.kind).toBe('atom');
    }
  });
  test('a load tires the trunk at least as its position says', () => {
    for (const each of movements)
      if (each.load && !each.load.optional && !each.load.implements.includes('band'))
        expect([each.id, (each.muscles.trunk ?? 0) >= positionCost[each.load.position].trunk - 1e-9]).toEqual([each.id, true]);
    expect(positionCost.hug.breath).toBeGreaterThan(positionCost.rack.breath);
  });
  test('a composite rep costs what its parts cost', () => {
    const both = movementOf('clean-and-jerk');
    expect(both.cycleSeconds).toBeCloseTo(movementOf('clean').cycleSeconds + movementOf('jerk').cycleSeconds, 9);
    expect(both.rise.load).toBeCloseTo(movementOf('clean').rise.load + movementOf('jerk').rise.load, 9);
    expect(movementOf('lunge-lunge-squat').joulesPerKg).toBeGreaterThan(2 * movementOf('air-squat').joulesPerKg);
  });
  test('an easier neighbour asks at most a knack more, never a skill more', () => {
    for (const each of movements) for (const id of each.easier) expect([each.id, id, movementOf(id).skill <= each.skill + 1]).toEqual([each.id, id, true]);
  });
  test('what is overhead, on the floor or in the air is tagged for the avoid-list', () => {
    for (const each of movements) {
      if (each.overhead && each.load?.position === 'overhead') expect([each.id, each.avoid]).toEqual([each.id, expect.arrayContaining(['overhead'])]);
      if (/jump|burpee-pull|double-under|single-under|jack/.test(each.id) && !/stepping/.test(each.id)) expect([each.id, each.jumps]).toEqual([each.id, true]);
      if (/pull-up$|toes-to-bar|hanging/.test(each.id) && each.load === null)
        expect([each.id, each.avoid]).toEqual([each.id, expect.arrayContaining(['hanging'])]);
      // a burpee goes down on the hands, raised or not; only the one that rolls back does not
      if (each.family === 'burpee' && each.id !== 'reverse-burpee') expect([each.id, each.avoid]).toEqual([each.id, expect.arrayContaining(['wrists'])]);
    }
  });
});

describe('needs', () => {
  const has = (kit: Partial<Record<NeedAtom, number>>) => (atom: NeedAtom, count: number) => (kit[atom] ?? 0) >= count;
  test.each([
    ['dumbbell*2 | kettlebell*2', { dumbbell: 1, kettlebell: 2 }, true],
    ['dumbbell*2 | kettlebell*2', { dumbbell: 1, kettlebell: 1 }, false],
    ['bar & (band | chair)', { bar: 1, chair: 1 }, true],
    ['bar & (band | chair)', { bar: 1 }, false],
    ['', {}, true],
  ])('%j with %j is %s', (text, kit, expected) => expect(meetsNeeds(parseNeeds(text), has(kit))).toBe(expected));
  test('an unknown atom is a bug of ours', () => expect(() => parseNeeds('trampoline')).toThrow(RangeError));
});
