/** The whole studies behind docs/model.md: `npm run bench -- studies [limits|grid|alone|exhaustive|fairness|speed …]`. Prints every figure, also the unflattering ones. */
import { adapt, parseWorkout, type Adapted } from '../packages/core/src/index';
import { exhaustiveCase, type ExhaustiveCase } from '../packages/core/test/studies/exhaustive';
import { fairnessCell, fairnessWorkouts, type FairnessCase, type FairnessCell } from '../packages/core/test/studies/fairness';
import { adaptedCells, editFigures, gridPeople, gridWorkouts, naiveCells, naiveVersion, type EditFigures } from '../packages/core/test/studies/grid';
import { leaveAlonePairs } from '../packages/core/test/studies/leave-alone';
import { limitsFindings } from '../packages/core/test/studies/limits';
import { randomAthlete } from '../packages/core/test/people';
import { sampleText } from '../packages/core/test/samples';

const say = (text: string): void => void process.stdout.write(`${text}\n`);
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
const middle = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
function timed(what: string, run: () => void): void {
  const began = performance.now();
  run();
  say(`  (${what} took ${((performance.now() - began) / 1000).toFixed(0)} s)`);
}

function limits(): void {
  const pairs = 2000;
  const found = Array.from({ length: pairs }, (_, index) => limitsFindings(index + 1)).flat();
  say(`1. hard limits: ${pairs} random workouts × athletes, ${new Set(found.map((each) => each.seed)).size} with a finding`);
  for (const each of found.slice(0, 60)) say(`   seed ${each.seed}: ${each.what}`);
}

function grid(): void {
  const [texts, people] = [gridWorkouts(40), gridPeople(40)];
  const shares = (of: typeof adaptedCells): { inside: number; median: number; ninetieth: number } => {
    const cells = texts.flatMap((text) => people.flatMap((athlete) => of(text, athlete)));
    const out = cells.map(({ time }) => Math.abs(time)).sort((a, b) => a - b);
    return { inside: out.filter((time) => time === 0).length / out.length, median: middle(out), ninetieth: out[Math.floor(out.length * 0.9)] ?? 0 };
  };
  say(`2. the class on paper: ${texts.length} workouts × ${people.length} athletes`);
  for (const [name, of] of [
    ['Gambito', adaptedCells],
    ['by name, same reps, nearest load', naiveCells],
  ] as const) {
    const { inside, median, ninetieth } = shares(of);
    say(`   ${name}: parts inside their band ${percent(inside)}; distance from its edge: median ${percent(median)}, 90th percentile ${percent(ninetieth)}`);
  }
  const edits = texts.flatMap((text) => people.map((athlete) => editFigures(text, athlete)));
  const total = (pick: (each: EditFigures) => number): number => edits.reduce((sum, each) => sum + pick(each), 0);
  const banded = edits.filter(({ insideBand }) => insideBand !== null);
  const outside = banded.filter(({ insideBand }) => !insideBand);
  const strange = edits.flatMap((each) => each.strange);
  say(
    `   count edits on unswapped slots: ${(total((each) => each.recounted) / total((each) => each.kept)).toFixed(3)} a slot (${total((each) => each.recounted)} of ${total((each) => each.kept)})`,
  );
  say(
    `   leading part inside its band: ${percent(1 - outside.length / banded.length)} of ${banded.length}; outside and said: ${outside.filter(({ told }) => told).length} of ${outside.length}`,
  );
  say(`   counts and ladders no coach writes: ${strange.length}${strange.length > 0 ? `, such as ${[...new Set(strange)].slice(0, 8).join('; ')}` : ''}`);
}

function alone(): void {
  const pairs = leaveAlonePairs(320);
  const untouched = pairs.filter(({ edits }) => edits === 0).length;
  const slots = pairs.reduce((sum, each) => sum + each.slots, 0);
  const edits = pairs.reduce((sum, each) => sum + each.edits, 0);
  say(
    `2b. leave alone: ${pairs.length} workout × garage pairs whose untouched text lands in the band; ${untouched} left untouched (${percent(untouched / pairs.length)}), ${(edits / slots).toFixed(3)} edits a slot`,
  );
  for (const { text, edits: changed, what } of pairs) if (changed > 0) say(`   ${text.split('\n').slice(1).join(' / ')}: ${what}`);
}

function exhaustive(): void {
  const cases = Array.from({ length: 400 }, (_, index) => exhaustiveCase(index + 1, 4000)).filter((each): each is ExhaustiveCase => each !== null);
  const same = cases.filter(({ best, found }) => best?.edits === found?.edits && Math.abs((best?.cost ?? 0) - (found?.cost ?? 0)) < 1e-9);
  const sum = (pick: (each: ExhaustiveCase) => number): number => cases.reduce((total, each) => total + pick(each), 0);
  say(
    `3. the gentlest edits: ${cases.length} parts out of their band, ${sum((each) => each.points)} single edits and pairs, ${sum((each) => each.evaluations)} walked; the same as trying all: ${same.length} of ${cases.length}`,
  );
  say(
    `   brought into the band by one edit: ${cases.filter(({ found }) => found?.edits === 1).length}, by two: ${cases.filter(({ found }) => found?.edits === 2).length}, by none: ${cases.filter(({ found }) => found === null).length}`,
  );
}

const boards: readonly (readonly [string, Pick<FairnessCase, 'versions' | 'known' | 'movementsOff'>])[] = [
  ['versions of other kit and difficulty, athletes with files', { versions: 'tiers', known: 'files' }],
  ['the same, with five past scores each', { versions: 'tiers', known: 'history' }],
  ['the first, strangers', { versions: 'tiers', known: 'strangers' }],
  ['versions of other kit alone, strangers', { versions: 'sameAim', known: 'strangers' }],
  ['the first, with the constants wrong and the movements right', { versions: 'tiers', known: 'files', movementsOff: false }],
];
/** `npm run bench -- studies fairness` runs all five; each is 48 cells */
function fairness(): void {
  say('5. fair boards: Kendall’s tau with true fitness; another world makes the scores (constants and movements each ±15 %, other breaks, day noise 4 %)');
  for (const [name, asked] of boards)
    for (const chosen of ['at random', 'weaker take easier'] as const) {
      const cells = fairnessWorkouts.flatMap((text) => [1, 2, 3, 4].map((world) => fairnessCell({ text, world, chosen, ...asked })));
      const of = (pick: (cell: FairnessCell) => number): string =>
        `${middle(cells.map(pick)).toFixed(2)} (${Math.min(...cells.map(pick)).toFixed(2)}–${Math.max(...cells.map(pick)).toFixed(2)})`;
      say(`   ${name}; ${chosen}; ${cells.length} cells, median (least–most):`);
      say(
        `     raw ${of((each) => each.raw)}, raw ÷ par ${of((each) => each.ratio)}, one board a version ${of((each) => each.perVersion)}, files alone ${of((each) => each.files)}, equivalent ${of((each) => each.equivalent)}`,
      );
      say(
        `     all-knowing reader ${of((each) => each.ceiling)}; over raw ${of((each) => each.ceiling - each.raw)}, over raw ÷ par ${of((each) => each.ceiling - each.ratio)}`,
      );
      say(
        `     equivalent − raw ${of((each) => each.equivalent - each.raw)}, − raw ÷ par ${of((each) => each.equivalent - each.ratio)}, − files ${of((each) => each.equivalent - each.files)}`,
      );
      say(`     calibrated on 200 results: of athletes who did several ${of((each) => each.calibrated)}, who did one ${of((each) => each.calibratedOnce)}`);
      say(
        `     bias between versions: ${of((each) => each.bias)}; calibrated, several ${of((each) => each.biasCalibrated)}; one ${of((each) => each.biasCalibratedOnce)}`,
      );
    }
}

function speed(): void {
  const workout = parseWorkout(sampleText('breakwater')).workout;
  const five = parseWorkout(
    'AMRAP 15:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\n12 walking lunge\n10 kettlebell swing @ 24/16 kg',
  ).workout;
  const people = Array.from({ length: 40 }, (_, index) => randomAthlete(index + 1));
  const took = (run: () => unknown): number => {
    const began = performance.now();
    run();
    return performance.now() - began;
  };
  for (const athlete of people.slice(0, 8)) adapt(five, athlete);
  const each = people.map((athlete) => took(() => adapt(five, athlete)));
  say(`7. one athlete × five slots: ${middle(each).toFixed(0)} ms in the median of 40 athletes`);
  say(`   a class of 40, three slots: ${(took(() => people.map((athlete): Adapted => adapt(workout, athlete))) / 1000).toFixed(2)} s`);
  const locks = people.map((athlete) => took(() => adapt(workout, athlete, { locks: [{ part: 0, slot: 0, reps: 9 }], runs: 1 })));
  say(`   re-balancing after one lock, without the band: ${middle(locks).toFixed(0)} ms in the median`);
  const naive = middle(people.map((athlete) => took(() => naiveVersion(five, athlete))));
  say(`   the naive method: ${naive.toFixed(1)} ms, ${(middle(each) / naive).toFixed(0)} × less`);
}

const studies = { limits, grid, alone, exhaustive, fairness, speed } as const;
const asked = process.argv.slice(2).filter((name): name is keyof typeof studies => name in studies);
for (const name of asked.length > 0 ? asked : (Object.keys(studies) as (keyof typeof studies)[])) timed(name, studies[name]);
