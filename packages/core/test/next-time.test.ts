/** After a score: no figure where there is no fair comparison, and what to change next time. */
import { describe, expect, test } from '@jest/globals';
import { carryOver, compareScores, nextTime, parseWorkout, readDone, weigh, defaultRules, type Athlete } from '../src/index';
import { changesOf } from '../src/adapt/next-time';
import { contextFor } from '../src/adapt/planned';
import { fairLimits, unfairBecause } from '../src/scoring/fair';
import { versionOf, withKit, workout } from './asking';

const text = '# Squall\nAMRAP 12:00\n8 thruster @ 40/30 kg\n10 pull-up\nwindow: 7-9 rounds';
const shed = withKit(['barbell 20 kg, plates 4x10 2x5 4x2.5 2x1.25 kg', 'pull-up bar']);
const score = (entered: string) => parseWorkout(entered) && entered;
const rowOf = (athlete: Athlete, version: string, entered: string, original = text) => {
  const read = workout(version);
  const rounds = /^(\d+)\+(\d+)$/.exec(entered)!;
  return compareScores(workout(original), [
    {
      athlete,
      version: read,
      score: { kind: 'rounds', rounds: Number(rounds[1]), reps: Number(rounds[2]) } as never,
      versionName: 'own',
      scoreText: score(entered),
    },
  ])[0]!;
};

describe('a fair comparison', () => {
  const noBar = withKit(['dumbbell 10 kg x 2']);
  const version = versionOf(text, noBar).version.text;
  test('a score near what is expected has its equivalent', () => {
    const row = rowOf(noBar, version, '8+0');
    expect(row.unfair).toBeNull();
    expect(row.equivalent).not.toBeNull();
  });
  test.each(['90+0', '1+0'])('%s rounds are a slip of the hand or figures of years ago: no figure, the reason, and last on the board', (entered) => {
    const row = rowOf(noBar, version, entered);
    expect(row).toMatchObject({ equivalent: null, index: null });
    expect(row.unfair).toMatch(/no fair comparison: .* typed right/);
  });
  test('of a newer athlete, whom the workout as written would keep for an evening, no index is told; the verdict on the own version stays', () => {
    const newer = withKit(['dumbbell 4 kg x 2', 'chair 45 cm', 'wall'], { level: 'new', body_mass: '77 kg', category: 'women', avoid: ['deep_knee'] });
    const netLoft = '# Net Loft\nAMRAP 12:00\n6 power clean @ 50/35 kg\n8 lateral burpee\n12 walking lunge\nintent: 6-8 rounds, moderate';
    const row = rowOf(newer, versionOf(netLoft, newer).version.text, '7+5', netLoft);
    expect(row.index).toBeNull();
    expect(row.unfair).toContain('another workout');
    expect(row.verdict).not.toBe('');
  });
  test('a score as written is its own equivalent, whatever it is', () => expect(rowOf(shed, text, '3+0').unfair).toBeNull());
  test('one slip does not move the others on the board', () => {
    const one = (entered: string) => ({
      athlete: noBar,
      version: workout(version),
      score: { kind: 'rounds', rounds: Number(entered), reps: 0 } as never,
      versionName: 'own',
      scoreText: entered,
    });
    const alone = compareScores(workout(text), [one('8')])[0]!;
    const beside = compareScores(workout(text), [one('8'), one('90')]).find((row) => row.score === '8')!;
    expect(beside.index).toBe(alone.index);
  });
  test('each limit decides, and just inside it all is fair', () => {
    const reading = weigh(readDone(workout(text), { athlete: noBar, version: workout(version), score: { kind: 'rounds', rounds: 8, reps: 0 } as never })!);
    const plain = { ...carryOver(reading), low: 90, high: 110 };
    const { widest, leastIndex, mostIndex, furthest } = fairLimits;
    const because = (index: number, high = 110, off = 1): string | null =>
      unfairBecause({ ...reading, apparent: reading.expected + reading.offset.log + Math.log(off) }, { ...plain, high }, index);
    expect(because(100)).toBeNull();
    expect(
      [because(leastIndex - 1), because(mostIndex + 1), because(100, 90 * widest + 1), because(100, 110, furthest * 1.01)].map((words) => words?.slice(20, 50)),
    ).toEqual([
      'as written it would be another',
      'the version asks so little els',
      'a score in this version hardly',
      expect.stringMatching(/^the score is 2.2 times off/),
    ]);
    expect([because(leastIndex), because(mostIndex), because(100, 90 * widest), because(100, 110, furthest * 0.99)]).toEqual([null, null, null, null]);
  });
});

describe('next time', () => {
  const place = shed.places[0]!;
  const next = (entered: string, verdict: string, version = text) =>
    nextTime(workout(text), shed, { version: workout(version), score: entered, verdict }, place, defaultRules);
  test('what was in its window stays', () => expect(next('8+0', 'in the window')).toEqual({ words: 'Keep it as it is.', locks: [] }));
  test('too light: one step of a load they have, or a count a coach writes; a decision about that line', () => {
    const { words, locks } = next('9+6', 'too light: more rounds than meant');
    expect(words).toMatch(/^(?:8 thruster @ 40\/30 kg|10 pull-up) → /);
    expect(locks).toHaveLength(1);
    expect(locks[0]).toMatchObject({ part: 0, movement: expect.stringMatching(/thruster|pull-up/) });
  });
  test('far too light is changed more than a little too light', () => {
    const sizeOf = (entered: string): number => {
      const [lock] = next(entered, 'too light: more rounds than meant').locks as unknown as { loadKg?: number; reps?: number; slot: number }[];
      return lock?.loadKg !== undefined ? lock.loadKg / 40 : lock?.reps !== undefined ? lock.reps / (lock.slot === 0 ? 8 : 10) : Infinity;
    };
    expect(sizeOf('9+4')).toBeLessThan(sizeOf('11+0'));
  });
  test('too heavy: lighter or fewer, and what it is taken for meets the window', () => {
    const [lock] = next('6+4', 'too heavy or too long: fewer rounds than meant').locks as unknown as { loadKg?: number; reps?: number; slot: number }[];
    if (lock!.loadKg !== undefined) expect(lock!.loadKg).toBeLessThan(40);
    else expect(lock!.reps).toBeLessThan(lock!.slot === 0 ? 8 : 10);
  });
  test('where no single line would do, it says so and decides nothing', () =>
    expect(next('2+0', 'too heavy or too long: fewer rounds than meant').locks).toEqual([]));
  test('a slip of the hand is to be looked at before anything is changed; without a window there is nothing to meet', () => {
    expect(next('90+0', 'too light: more rounds than meant')).toEqual({ words: expect.stringContaining('Look at the score first'), locks: [] });
    expect(next('9+0', 'capped: too much for the time', '# Squall\nAMRAP 12:00\n8 thruster @ 40/30 kg').words).toContain('no window');
  });
  test('paced wrong is not answered with other work', () =>
    expect(next('8+0', 'paced wrong: the first set too fast, the last too slow').words).toContain('begun slower'));
  test('a version with other lines than the text is told, and left to the coach', () => {
    const { words, locks } = next(
      '9+6',
      'too light: more rounds than meant',
      '# Squall\nAMRAP 12:00\n8 thruster @ 40/30 kg\n10 pull-up\n5 burpee\nwindow: 7-9 rounds',
    );
    expect(words).toContain('→');
    expect(locks).toEqual([]);
  });
  describe('of the ways one line may change', () => {
    const ways = (kit: string[], line: string) => {
      const athlete = withKit(kit);
      return changesOf(workout(`AMRAP 12:00\n${line}`), contextFor(athlete, athlete.places[0]!, defaultRules)).map(({ lock, size }) => ({
        ...(lock as { loadKg?: number; reps?: number }),
        size,
      }));
    };
    const loads = (...masses: number[]) =>
      ways(
        masses.map((kg) => `kettlebell ${kg} kg`),
        '10 kettlebell swing @ 16 kg',
      ).flatMap(({ loadKg }) => loadKg ?? []);
    test('loads of the same implement, three steps either way', () => expect(loads(12, 13, 14, 15, 16, 17, 18, 19, 20)).toEqual([13, 14, 15, 17, 18, 19]));
    test('and none more than a third heavier', () => {
      expect(loads(16, 21)).toEqual([21]);
      expect(loads(16, 22)).toEqual([]);
    });
    test('counts a coach writes, from six tenths to eight fifths', () => {
      const counts = ways([], '10 air squat').flatMap(({ reps }) => reps ?? []);
      expect(counts).toEqual([6, 7, 8, 9, 11, 12, 14, 15, 16]);
      expect(
        ways([], '10 alternating lunge')
          .flatMap(({ reps }) => reps ?? [])
          .every((reps) => reps % 2 === 0),
      ).toBe(true);
    });
    test('a step of a load is gentler than a tenth of the reps, and a twentieth of the reps is gentler than it', () => {
      const sizes = ways(['kettlebell 16 kg', 'kettlebell 18 kg'], '20 kettlebell swing @ 16 kg');
      const step = sizes.find(({ loadKg }) => loadKg === 18)!.size;
      const count = (reps: number) => sizes.find((each) => each.reps === reps)!.size;
      expect(step).toBeLessThan(count(22));
      expect(count(21)).toBeLessThan(step);
    });
    test('what is counted in rungs or as many as possible is left alone', () =>
      expect(ways([], '3 rounds of 21-15-9\nair squat').every(({ reps }) => reps === undefined)).toBe(true));
  });
});
