/** What the clock tells beside the work: planned sets, laps, where to turn, attempts. */
import { describe, expect, test } from '@jest/globals';
import { attemptLadder, capacityOf, clockGuide, planClock, planPacing, type Athlete } from '../src/index';
import { seedsTo } from './cases';
import { withKit, workout } from './asking';
import { randomAthlete, randomWorkout } from './people';

const keeper = (change: Record<string, unknown> = {}): Athlete =>
  withKit(['barbell 20 kg', 'plates 6x20 4x10 2x5 2x2.5 kg', 'pull-up bar', 'run route 200 m, 800 m'], { best_sets: { pull_up: 8 }, ...change });
function planFor(text: string, athlete = keeper()) {
  const read = workout(text);
  const place = athlete.places[0]!;
  const pacing = planPacing(read, capacityOf(athlete), place);
  return { pacing, ...planClock(read, clockGuide(read, { pacing, place, category: athlete.category, units: athlete.units })) };
}

describe('the clock tells', () => {
  test('the sets that are planned, behind the line they are of', () => {
    const { cues, pacing } = planFor('AMRAP 14:00\n10 pull-up\n10 air squat');
    const { sets, later } = pacing.slots[0]!;
    expect(sets.length + later.length).toBeGreaterThan(2);
    expect(cues[0]!.lines[0]).toMatch(/^10 pull-up \((?:10|\d \+ \d[\d +]*)(?:, later \d[\d +]*)?\)$/);
    expect(cues[0]!.ticks[0]!.lines[0]).toBe(cues[0]!.lines[0]);
    // what goes in one go has nothing behind it
    expect(cues[0]!.lines[1]).toBe('10 air squat');
  });
  test('of a ladder only where the figures are of that rung', () => {
    const { cues, pacing } = planFor('for time\n21-15-9\npull-up\nair squat');
    for (const { lines } of cues[0]!.ticks)
      for (const line of lines) {
        const [, count, first] = /^(\d+) .*?\((\d[\d +]*)/.exec(line) ?? [];
        if (first) expect(first.split(' + ').reduce((sum, set) => sum + Number(set), 0)).toBe(Number(count));
      }
    expect(pacing.slots[0]!.sets.reduce((sum, set) => sum + set, 0)).toBe(21);
    expect(cues[0]!.ticks[0]!.lines[0]).toMatch(/^21 pull-up \(/);
    expect(cues[0]!.ticks[2]!.lines[0]).toBe('9 pull-up');
  });
  test('the laps of a run on a route without a point at its end', () => {
    const line = (metres: number) => planFor(`3 rounds for time\n${metres} m run\n5 burpee`).cues[0]!.ticks[0]!.lines[0];
    expect([line(400), line(200), line(1600), line(300)]).toEqual(['400 m run (2 laps of 200 m)', '200 m run', '1600 m run (2 laps of 800 m)', '300 m run']);
  });
  test('where to turn, at the half of a run by time that stands alone', () => {
    const prompts = (text: string) => planFor(text).cues.flatMap((cue) => cue.prompts);
    expect(prompts('4:00 on / 2:00 off x 2\nrun')).toEqual(Array(2).fill({ atSeconds: 120, text: 'Halfway: turn round' }));
    expect(prompts('0:40 on / 0:20 off x 2\nrun')).toEqual([]);
    expect(prompts('AMRAP 6:00\n400 m run\n5 burpee')).toEqual([]);
  });
  test('the attempts of a max, each with its load, in the athlete’s units', () => {
    const { cues, pacing } = planFor('12:00 to find a heavy 2 front squat');
    const list = attemptLadder(pacing.attempts[0]!.list.at(-1)!.kg, 720);
    expect(cues[0]!.prompts.map(({ atSeconds }) => atSeconds)).toEqual(list.map(({ atSeconds }) => atSeconds));
    expect(cues[0]!.prompts[0]!.text).toMatch(/^Attempt 1 of \d: [\d.]+ kg, next at \d+:\d\d$/);
    expect(cues[0]!.prompts.at(-1)!.text).toMatch(/^Attempt (\d) of \1: [\d.]+ kg$/);
    expect(planFor('12:00 to find a heavy 2 front squat', keeper({ units: 'lb' })).cues[0]!.prompts[0]!.text).toMatch(/ lb, next/);
  });
  test('nothing of it changes when what happens (random people)', () => {
    for (const seed of seedsTo(14, 40)) {
      const [read, athlete] = [workout(randomWorkout(seed)), randomAthlete(seed)];
      const place = athlete.places[0]!;
      const guide = clockGuide(read, { pacing: planPacing(read, capacityOf(athlete), place), place, category: athlete.category, units: athlete.units });
      const [told, bare] = [planClock(read, guide), planClock(read)];
      expect(told.totalSeconds).toBe(bare.totalSeconds);
      expect(told.cues.map(({ atSeconds, kind, text, lines }) => [atSeconds, kind, text, lines.map((line) => line.replace(/ \([^)]*\)$/, ''))])).toEqual(
        bare.cues.map(({ atSeconds, kind, text, lines }) => [atSeconds, kind, text, lines.map((line) => line.replace(/ \([^)]*\)$/, ''))]),
      );
      for (const { prompts, lengthSeconds } of told.cues) for (const { atSeconds } of prompts) expect(atSeconds).toBeLessThan(lengthSeconds ?? Infinity);
    }
  });
});
