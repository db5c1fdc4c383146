/** Speed in one run: medians of repeated calls after a warm-up. Figures depend on the machine; the ratios should not. */
import {
  adapt,
  barLoads,
  compile,
  describeStimulus,
  estimateCapacity,
  feasibleLoads,
  parseWorkout,
  planPacing,
  predictWorkout,
  quantile,
  readAthlete,
  readKit,
  referenceCapacity,
  seededRandom,
  walkProgram,
  type Adapted,
} from '../packages/core/src/index';
import { lanternPeople } from '../apps/server/src/demo/lantern-people';
import { hostile } from '../packages/core/test/hostile';
import messages from '../packages/core/test/messages/workouts.json' with { type: 'json' };
import { readWorkoutText } from '../packages/core/src/message/read-any';
import { randomAthlete, randomWorkout } from '../packages/core/test/people';
import { sampleText } from '../packages/core/test/samples';

const say = (text: string): void => void process.stdout.write(`${text}\n`);
/** median milliseconds of one call, over `times` samples after a tenth of them unmeasured; short calls are timed in batches of about two milliseconds */
function median(times: number, run: () => unknown): number {
  const warm = performance.now();
  for (let at = 0; at < Math.max(2, times / 10); at++) run();
  const once = (performance.now() - warm) / Math.max(2, times / 10);
  const batch = Math.max(1, Math.round(2 / Math.max(1e-4, once)));
  const taken = Array.from({ length: Math.max(3, Math.ceil(times / batch)) }, () => {
    const began = performance.now();
    for (let at = 0; at < batch; at++) run();
    return (performance.now() - began) / batch;
  }).sort((a, b) => a - b);
  return taken[Math.floor(taken.length / 2)]!;
}

const people = lanternPeople.map((file) => readAthlete(file, '2026-11-25').athlete);
const breakwater = parseWorkout(sampleText('breakwater')).workout;
const five = parseWorkout(
  'AMRAP 15:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\n12 walking lunge\n10 kettlebell swing @ 24/16 kg',
).workout;
const t1 = parseWorkout('for time, cap 30:00\n6 rounds\n  400 m run\n  21 kettlebell swing @ 24/16 kg\n  7 strict toes-to-bar').workout;
const reference = referenceCapacity('men');

const t1Program = compile(t1, reference);
const deterministic = median(2000, () => walkProgram(t1Program));
say(`deterministic run of T1: ${(deterministic * 1000).toFixed(0)} µs; compiling it ${(median(500, () => compile(t1, reference)) * 1000).toFixed(0)} µs`);
const unbroken = compile(parseWorkout('for time\n150 single-under, unbroken').workout, reference);
for (const [name, program] of [
  ['T1', t1Program],
  ['150 reps in one go', unbroken],
] as const) {
  const sets = median(8000, () => walkProgram(program));
  const reps = median(800, () => walkProgram(program, { stride: 'rep' }));
  say(`${name}: set by set ${(sets * 1000).toFixed(0)} µs, rep by rep ${(reps * 1000).toFixed(0)} µs: ${(reps / sets).toFixed(1)} × faster`);
}
const off = Array.from({ length: 200 }, (_, seed) => {
  const program = compile(parseWorkout(randomWorkout(seed + 1)).workout, estimateCapacity(randomAthlete(seed + 1)));
  const byRep = walkProgram(program, { stride: 'rep' });
  return walkProgram(program).parts.flatMap((part, index) => (part.score > 0 ? [Math.abs(part.score / byRep.parts[index]!.score - 1)] : []));
})
  .flat()
  .sort((a, b) => a - b);
say(
  `set by set against rep by rep, 200 random workouts: ${(100 * quantile(off, 0.5)).toFixed(2)} % in the median, ${(100 * quantile(off, 0.99)).toFixed(2)} % at the 99th percentile, ${(100 * off[off.length - 1]!).toFixed(2)} % at worst`,
);
const live = median(200, () => {
  const { workout } = parseWorkout(sampleText('night-watch'));
  walkProgram(compile(workout, reference), { trace: true });
  describeStimulus(workout, 'men');
});
say(`one redraw of the longest sample while a figure is dragged (read, run, describe): ${live.toFixed(1)} ms`);
const document = messages
  .filter(({ style }) => style === 'document')
  .flatMap(({ text }) => text.split('\n'))
  .slice(0, 60)
  .join('\n');
const chat = messages.find(({ style, text }) => style === 'chat' && text.length > 150)!.text;
const fresh = ((): (() => string) => {
  let at = 0;
  return () => `${document}\n${++at} burpees`;
})();
const keyed = ((): (() => string) => {
  let at = 0;
  return () => chat.slice(0, 40 + (at++ % (chat.length - 40)));
})();
say(
  `a message of 60 lines, each time another: ${median(60, () => readWorkoutText(fresh())).toFixed(1)} ms (20 wanted); a chat message of ${chat.length} characters, a key at a time: ${median(400, () => readWorkoutText(keyed())).toFixed(2)} ms (8 wanted)`,
);
say(`a pacing plan through the simulator: ${median(20, () => planPacing(t1, reference)).toFixed(0)} ms`);
const seeded = median(7, () => predictWorkout(t1, reference, { seed: 1, runs: 1000 }));
say(`1000 seeded predictions of T1: ${seeded.toFixed(0)} ms`);
say(
  `one adaptation, three slots: ${median(30, () => adapt(breakwater, people[0]!)).toFixed(0)} ms; five slots: ${median(30, () => adapt(five, people[0]!)).toFixed(0)} ms`,
);
const all = median(3, () => people.map((athlete): Adapted => adapt(breakwater, athlete)));
say(`the class of ${people.length} demo athletes: ${all.toFixed(0)} ms`);
const long = (rounds: number) =>
  compile(parseWorkout(`for time, cap 3:00:00\n${rounds} rounds\n  10 push-up\n  10 air squat`).workout, estimateCapacity(people[1]!));
const [short, longer] = [long(20), long(80)];
say(
  `cost over rounds: 80 rounds take ${(median(300, () => walkProgram(longer)) / median(300, () => walkProgram(short))).toFixed(1)} × 20 rounds (4 is linear)`,
);
const random = seededRandom(3);
const sizes = [0.5, 1, 1.25, 2.5, 5, 10, 15, 20, 25];
const kits = Array.from(
  { length: 10_000 },
  () =>
    readKit([
      `barbell 20 kg, plates ${
        sizes
          .filter(() => random() < 0.5)
          .map((size) => `${2 + 2 * Math.floor(random() * 2)}x${size}`)
          .join(' ') || '2x10'
      } kg`,
      'adjustable dumbbell 4-24 kg step 2 x 2',
    ]).items,
);
const began = performance.now();
for (const kit of kits) feasibleLoads(kit);
say(`loads of 10 000 random kits, with their plates: ${(performance.now() - began).toFixed(0)} ms`);
const bars = Array.from({ length: 10_000 }, () =>
  sizes.filter(() => random() < 0.5).map((size) => ({ grams: size * 1000, pairs: 1 + Math.floor(random() * 2) })),
);
const barsBegan = performance.now();
for (const pairs of bars) barLoads(20_000, pairs);
say(`bar loads of 10 000 random plate sets: ${(performance.now() - barsBegan).toFixed(0)} ms`);
const page = `AMRAP 12:00\n${'10 burpee, 12/9 cal row, 8 thruster @ 40/30 kg, 200 m run, 9 toes-to-bar, '.repeat(5).replace(/, $/, '')}\n\n`;
const kilobytes = (count: number): string => page.repeat(Math.ceil((count * 1000) / page.length));
const [six, sixty] = [kilobytes(6), kilobytes(60)].map((text) => median(7, () => parseWorkout(text)));
say(`reading is linear: 60 kB take ${(sixty! / six!).toFixed(1)} × 6 kB (10 by length; ≤ 15 wanted)`);
say(`reading the sample texts: ${(median(200, () => parseWorkout(sampleText('night-watch'))) * 1000).toFixed(0)} µs for the longest`);
const slowest = hostile.map(([name, text]) => ({ name, taken: median(3, () => parseWorkout(text)) })).sort((a, b) => b.taken - a.taken)[0]!;
say(`the slowest of ${hostile.length} hostile texts, ${slowest.name}: ${slowest.taken.toFixed(0)} ms (2000 at most)`);
