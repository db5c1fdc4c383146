/** The whole studies behind docs/model.md: `npm run bench -- studies [limits|grid|exhaustive|fairness|speed …]`. Prints every figure, also the unflattering ones. */
import { adapt, parseWorkout, type Adapted } from '../packages/core/src/index';
import { exhaustiveCase, type ExhaustiveCase } from '../packages/core/test/studies/exhaustive';
import { fairnessCell, fairnessWorkouts, type FairnessCase, type FairnessCell } from '../packages/core/test/studies/fairness';
import { adaptedCells, gridFigures, gridPeople, gridWorkouts, naiveCells, naiveVersion, type GridFigures } from '../packages/core/test/studies/grid';
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
  for (const each of found.slice(0, 20)) say(`   seed ${each.seed}: ${each.what}`);
}

function grid(): void {
  const [texts, people] = [gridWorkouts(40), gridPeople(40)];
  const all = (of: typeof adaptedCells) => gridFigures(texts.flatMap((text, index) => people.flatMap((athlete, person) => of(text, athlete, index, person))));
  const line = (name: string, figures: GridFigures): void =>
    say(
      `   ${name}: median |time drift| ${percent(figures.median)}, 90th percentile ${percent(figures.ninetieth)}, window hit ${figures.hit} of ${figures.windows}`,
    );
  say(`2. stimulus: ${texts.length} workouts × ${people.length} athletes`);
  line('Gambito', all(adaptedCells));
  line('by name, same reps, nearest load', all(naiveCells));
}

function exhaustive(): void {
  const cases = Array.from({ length: 260 }, (_, index) => exhaustiveCase(index + 1, 12_000)).filter((each): each is ExhaustiveCase => each !== null);
  const large = cases.filter((each) => each.points > 2000);
  const sum = (list: readonly ExhaustiveCase[], pick: (each: ExhaustiveCase) => number): number => list.reduce((total, each) => total + pick(each), 0);
  say(
    `3. search against everything: ${cases.length} instances, worse in ${cases.filter((each) => each.found > each.best + 1e-9).length}, better (finer counts and loads) in ${cases.filter((each) => each.found < each.best - 1e-6).length}, proved by bound in ${cases.filter((each) => each.proved).length}`,
  );
  say(
    `   instances over 2000 points: ${large.length}, ${sum(large, (each) => each.points)} points, ${sum(large, (each) => each.evaluations)} evaluated: ${(
      sum(large, (each) => each.points) /
      Math.max(
        1,
        sum(large, (each) => each.evaluations),
      )
    ).toFixed(0)} × fewer`,
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

const studies = { limits, grid, exhaustive, fairness, speed } as const;
const asked = process.argv.slice(2).filter((name): name is keyof typeof studies => name in studies);
for (const name of asked.length > 0 ? asked : (Object.keys(studies) as (keyof typeof studies)[])) timed(name, studies[name]);
