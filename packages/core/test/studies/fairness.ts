/**
 * Study 5: are boards fair between versions? Athletes of known fitness do versions of one workout that differ in kit and in difficulty; their scores come from a
 * deliberately different world (`other-world.ts`) with day noise, and are written down as a coach does: whole seconds, rounds and reps. Our equivalent knows nothing of
 * that world. Kendall's tau between the board and the true fitness, for several ways to make a board.
 */
import { secondsOnCurve } from '../../src/capacity/engine-laws';
import { isBelievable } from '../../src/scoring/fair';
import {
  adapt,
  boardShift,
  capacityOf,
  carryOver,
  compile,
  formAtFitness,
  formatScore,
  headline,
  learnConversions,
  lessonOf,
  normalFrom,
  parseWorkout,
  readDone,
  weigh,
  readKit,
  referenceAthlete,
  referenceCapacity,
  repsPerRound,
  seededRandom,
  walkProgram,
  type Athlete,
  type Done,
  type LearnedConversions,
  type Level,
  type Place,
  type Reading,
  type Weighed,
  usualScoreRules,
  type Score,
  type Workout,
} from '../../src/index';
import { bracketedRoot } from '../../src/units/bracketed-root';
import { otherWorld, type World } from './other-world';

/** log standard deviation of a day's score */
const dayNoise = 0.04;
/** log standard deviation of true fitness: a class from newer to competitive athletes */
const fitnessSpread = 0.22;
/** log standard deviations of what an athlete's file says: the whole of it is months old, and each figure has its own error */
const fileNoise = { whole: 0.1, figure: 0.05 };

const place = (name: string, kit: string[]): Place => ({ name, floor: { lengthM: 6, widthM: 4 }, ceilingM: 3, noise: 'normal', kit: readKit(kit).items });
const station = place('station', [
  'barbell 20 kg, plates 2x20 2x15 4x10 2x5 2x2.5 kg',
  'adjustable dumbbell 5-40 kg step 2.5 x 2',
  'kettlebell 16 kg',
  'kettlebell 24 kg',
  'pull-up bar',
  'rings',
  'box 60 cm',
  'rope',
  'rowing machine',
  'run route 200 m, 400 m',
  'wall',
  'bench',
]);
const hut = place('hut', ['dumbbell 20 kg', 'chair 45 cm', 'wall', 'run route 200 m, 400 m']);
const cabin = place('cabin', ['chair 45 cm', 'wall']);

/** The versions of a workout, hardest first: `sameAim` differ in kit alone and are all built for the trained reference; in `tiers` the last is for a newer athlete. */
export const versionSets = {
  sameAim: [
    [station, 'trained'],
    [hut, 'trained'],
    [cabin, 'trained'],
  ],
  tiers: [
    [station, 'trained'],
    [hut, 'trained'],
    [cabin, 'newer'],
  ],
} as const satisfies Record<string, readonly (readonly [Place, Level])[]>;

export const fairnessWorkouts: readonly string[] = [
  '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5 kg\n9 toes-to-bar\n40 m shuttle run',
  '# Ebb\nfor time, cap 40:00\n21-15-9\nthruster @ 42.5 kg\npull-up',
  '# Slipway\nfor time, cap 40:00\n5 rounds\n  400 m run\n  15 kettlebell swing @ 24 kg\n  12 box jump @ 60 cm',
  '# Cold Store\nAMRAP 12:00\n8 power clean @ 60 kg\n10 lateral burpee\n200 m row',
  '# Night Tide\nfor time, cap 40:00\n40-30-20-10\ndouble-under\nsit-up\npush-up',
  '# Long Pier\nAMRAP 20:00\n400 m run\n12 front squat @ 50 kg\n8 ring dip',
];

export interface FairnessCase {
  readonly text: string;
  readonly world: number;
  /** false: the world's constants alone are wrong */
  readonly movementsOff?: boolean;
  readonly versions: keyof typeof versionSets;
  readonly chosen: 'at random' | 'weaker take easier';
  /** `strangers`: nothing is known of anybody but the level; `files`: each athlete's file tells lifts, best sets and run times; `history`: and scores of other workouts */
  readonly known: 'strangers' | 'files' | 'history';
  /** athletes on the board */
  readonly people?: number;
  /** results to learn from, of athletes who are not on the board */
  readonly calibration?: number;
}

/** Kendall's tau with true fitness of each way to make a board, and the bias between versions. */
export interface FairnessCell {
  readonly raw: number;
  /** raw ÷ what the reference athlete gets in the version */
  readonly ratio: number;
  readonly perVersion: number;
  /** what nobody can do better: whoever knows the world that makes the scores, how wrong the files are, and the day's noise; a score as written stays itself */
  readonly ceiling: number;
  /** what is known alone, without anybody having trained today; 0 for strangers */
  readonly files: number;
  /** the board as it is shown before anything was learned */
  readonly equivalent: number;
  /** after calibration on the results of athletes who did several versions, and of athletes who did one */
  readonly calibrated: number;
  readonly calibratedOnce: number;
  /** largest difference between two versions of mean ln(fitness the board says ÷ true), the same class in each */
  readonly bias: number;
  readonly biasCalibrated: number;
  readonly biasCalibratedOnce: number;
}

export function kendallTau(a: readonly number[], b: readonly number[]): number {
  let agree = 0;
  let pairs = 0;
  for (let i = 1; i < a.length; i++)
    for (let j = 0; j < i; j++) {
      agree += Math.sign(a[i]! - a[j]!) * Math.sign(b[i]! - b[j]!);
      pairs++;
    }
  return agree / pairs;
}

const reference = referenceAthlete('men');
const capacity = referenceCapacity('men');

/** What an athlete believed to be of this fitness has in the file. A lift grows so that the reps at 60 % of it do what every set does. @param noise one draw a figure */
function fileOf(told: number, noise: () => number): Pick<Athlete, 'maxes' | 'bestSets' | 'times'> {
  const figure = (): number => Math.exp(told + fileNoise.figure * noise());
  const { lifts, sets } = capacity;
  const maxes = { 'back-squat': lifts.backSquat, deadlift: lifts.deadlift, 'strict-press': lifts.strictPress, clean: lifts.clean };
  const bests = {
    'strict-pull-up': sets.strictPullUp,
    'push-up': sets.pushUp,
    'toes-to-bar': sets.toesToBar,
    'ring-dip': sets.dip,
    'sit-up': sets.sitUp,
    'double-under': sets.doubleUnder,
  };
  const metresPerSecond = capacity.criticalPower / 3.6;
  const reserveMetres = capacity.reserve / 3.6;
  return {
    maxes: Object.fromEntries(Object.entries(maxes).map(([id, { value }]) => [id, { kg: value * (0.6 + 0.4 * figure() ** 1.5), reps: 1 }])),
    bestSets: Object.fromEntries(Object.entries(bests).map(([id, { value }]) => [id, value * figure() ** 1.5])),
    times: [400, 5000].map((metres) => {
      const share = figure();
      const curve = { metresPerSecond: metresPerSecond * share, reserveMetres: Math.min(0.5 * metres, reserveMetres * share) };
      return { engine: 'run', metres, seconds: secondsOnCurve(curve, metres) };
    }),
  };
}

/** Something said about ln fitness, with its standard deviation. */
interface Evidence {
  readonly log: number;
  readonly spread: number;
}
/** Precision-weighted: the best estimate while each is normal and independent of the others. */
function bestEstimate(evidence: readonly Evidence[]): number {
  const precision = (each: Evidence): number => 1 / each.spread ** 2;
  return evidence.reduce((sum, each) => sum + each.log * precision(each), 0) / evidence.reduce((sum, each) => sum + precision(each), 0);
}

/** What a score says to somebody who knows the world it was made in. @param truth the world's score at ln fitness */
function toldByScore(truth: (logFitness: number) => number, value: number): Evidence {
  const [weakest, fittest] = [-1.2, 1.15];
  const rising = Math.sign(truth(fittest) - truth(weakest));
  const excess = (log: number): number => rising * Math.log(truth(log) / value);
  const log = excess(weakest) >= 0 ? weakest : excess(fittest) <= 0 ? fittest : bracketedRoot(excess, weakest, fittest, 1e-5);
  const elasticity = Math.abs(Math.log(truth(log + 0.05) / truth(log - 0.05))) / 0.1;
  return { log, spread: dayNoise / Math.max(0.03, elasticity) };
}

interface Person {
  readonly athlete: Athlete;
  readonly logTruth: number;
  /** what an all-knowing reader of file and past scores makes of them */
  readonly evidence: readonly Evidence[];
}
interface Scored extends Done {
  readonly logTruth: number;
  readonly evidence: readonly Evidence[];
  readonly at: number;
  readonly value: number;
  /** higher is better, whatever the score */
  readonly raw: number;
  readonly ratio: number;
}

/** A version with the scores the other world gives in it. */
function versionIn(world: World, version: Workout) {
  const program = compile(version, capacity);
  const { unit, score: par } = headline(version, walkProgram(program));
  const truth = (logFitness: number): number =>
    headline(
      version,
      walkProgram(program, { form: formAtFitness(Math.exp(logFitness)), constants: world.constants, demands: (_part, _slot, demand) => world.demand(demand) }),
    ).score;
  const written = (value: number): Score =>
    unit === 'seconds'
      ? { kind: 'time', seconds: Math.round(value) }
      : { kind: 'rounds', rounds: Math.floor(value), reps: Math.floor((value % 1) * repsPerRound(program, 0, Math.floor(value))) };
  return { version, truth, written, par, better: unit === 'seconds' ? -1 : 1 };
}

export function fairnessCell(asked: FairnessCase): FairnessCell {
  const { text, people = 120, calibration = 200, chosen } = asked;
  const original = parseWorkout(text).workout;
  const world = otherWorld(asked.world, asked.movementsOff ?? true);
  const versions = versionSets[asked.versions].map(([at, level]) =>
    versionIn(world, adapt(original, { ...reference, level, places: [at] }, { runs: 1 }).workout),
  );
  const random = seededRandom(asked.world * 31 + text.length);
  const normal = normalFrom(random);
  const others = fairnessWorkouts.filter((each) => each !== text).map((each) => ({ text: each, ...versionIn(world, parseWorkout(each).workout) }));
  const person = (name: string, logTruth: number, noise: () => number): Person => {
    if (asked.known === 'strangers') return { athlete: { ...reference, name }, logTruth, evidence: [] };
    const told = logTruth + fileNoise.whole * noise();
    const file = fileOf(told, noise);
    const past = asked.known === 'history' ? others.map((other) => ({ ...other, value: other.truth(logTruth) * Math.exp(dayNoise * noise()) })) : [];
    return {
      athlete: { ...reference, name, ...file, results: past.map(({ text: workout, written, value }) => ({ workout, score: formatScore(written(value)) })) },
      logTruth,
      evidence: [{ log: told, spread: fileNoise.whole }, ...past.map(({ truth, value }) => toldByScore(truth, value))],
    };
  };
  const scored = ({ athlete, logTruth, evidence }: Person, at: number, noise: number): Scored => {
    const { version, truth, written, par, better } = versions[at]!;
    const value = truth(logTruth) * Math.exp(noise);
    return { athlete, version, score: written(value), logTruth, evidence, at, value, raw: better * value, ratio: better > 0 ? value / par : par / value };
  };
  const choose = (logTruth: number): number =>
    chosen === 'at random'
      ? Math.floor(random() * versions.length)
      : Math.max(0, Math.min(versions.length - 1, Math.round(1 - logTruth / fitnessSpread + 0.7 * normal())));
  const draw = (name: string, every: boolean): Scored[] => {
    const logTruth = fitnessSpread * normal();
    const who = person(name, logTruth, normal);
    return (every ? versions.map((_, at) => at) : [choose(logTruth)]).map((at) => scored(who, at, dayNoise * normal()));
  };
  const drawMany = (count: number, name: string, every: boolean): Scored[] =>
    Array.from({ length: count }, (_, index) => draw(`${name} ${index}`, every)).flat();
  const learn = (list: readonly Scored[]): LearnedConversions =>
    learnConversions(list.flatMap((each) => lessonOf(original, each, each.athlete.name, '') ?? []));

  /** a reading is the same whatever was learned: made once */
  const readings = new Map<Done, Reading>();
  const readOnce = (done: Done): Reading => {
    const reading = readings.get(done) ?? readDone(original, done)!;
    readings.set(done, reading);
    return reading;
  };

  const board = drawMany(people, 'board', false);
  const bySeveral = learn(drawMany(Math.ceil(calibration / versions.length), 'several', true).slice(0, calibration));
  const byOnce = learn(drawMany(calibration, 'once', false));

  const tau = (values: readonly number[]): number =>
    kendallTau(
      values,
      board.map((each) => each.logTruth),
    );
  const tauOfBoard = (learned: LearnedConversions | null): number => {
    // whom a board would rather not compare are ordered here like the others: what is asked is how well the order is known
    const weighed = board.map((each) => weigh(readOnce(each), learned));
    const shift = boardShift(weighed.filter(isBelievable));
    return tau(weighed.map((each) => versions[0]!.better * carryOver(each, shift, usualScoreRules).median));
  };
  const allKnowing = (each: Scored): number => {
    const today = toldByScore(versions[each.at]!.truth, each.value);
    return weigh(readOnce(each)).trust === 1 ? today.log : bestEstimate([...each.evidence, { log: 0, spread: fitnessSpread }, today]);
  };
  const better = versions[0]!.better;
  const predicted = (athlete: Athlete): number =>
    better * headline(original, walkProgram(compile(original, capacityOf(athlete)), { form: formAtFitness(capacityOf(athlete).fitness) })).score;

  // the middle of the class in every version, on a day without noise and with files that are true: what the board says of them, less the truth
  const middling = Array.from({ length: 11 }, (_, index) => fitnessSpread * (index / 5 - 1));
  const middle = versions.map((_, at) =>
    middling.map((logTruth) => ({
      logTruth,
      done: scored(
        person('', logTruth, () => 0),
        at,
        0,
      ),
    })),
  );
  const bias = (learned: LearnedConversions | null): number => {
    const read = (done: Done): Weighed => weigh(readOnce(done), learned);
    const shift = boardShift(board.map(read));
    const means = middle.map((group) => {
      const excess = group.map(({ logTruth, done }) => Math.log(carryOver(read(done), shift).fitness) - (asked.known === 'strangers' ? logTruth : 0));
      return excess.reduce((sum, each) => sum + each, 0) / excess.length;
    });
    return Math.max(...means) - Math.min(...means);
  };
  return {
    raw: tau(board.map((each) => each.raw)),
    ratio: tau(board.map((each) => each.ratio)),
    perVersion: tau(
      board.map((each) => {
        const own = board.filter((other) => other.at === each.at).map((other) => other.raw);
        return own.filter((value) => value < each.raw).length / Math.max(1, own.length - 1);
      }),
    ),
    ceiling: tau(board.map(allKnowing)),
    files: asked.known === 'strangers' ? 0 : tau(board.map((each) => predicted(each.athlete))),
    equivalent: tauOfBoard(null),
    calibrated: tauOfBoard(bySeveral),
    calibratedOnce: tauOfBoard(byOnce),
    bias: bias(null),
    biasCalibrated: bias(bySeveral),
    biasCalibratedOnce: bias(byOnce),
  };
}
