/**
 * Study 5: are boards fair between versions? Athletes of known fitness do versions of one workout; their scores come from a deliberately different world:
 * every constant off by up to ±15 %, every movement's reps at hand, cost and cycle off by up to ±15 %, another break habit, and day noise.
 * Our equivalent knows nothing of that. Kendall's tau between the board and the true fitness, for several ways to make a board.
 */
import {
  adapt,
  compile,
  constants,
  equivalentOf,
  formAtFitness,
  learnConversions,
  normalFrom,
  parseWorkout,
  readKit,
  referenceAthlete,
  referenceCapacity,
  seededRandom,
  walkProgram,
  headline,
  type Constants,
  type FitnessResult,
  type LearnedConversions,
  type Place,
  type Score,
  type Workout,
} from '../../src/index';
import type { Demand } from '../../src/simulate/demand';

const off = 0.15;
const dayNoise = 0.04;
/** log standard deviation of true fitness: a class from newer to competitive athletes */
const fitnessSpread = 0.22;

interface World {
  readonly constants: Constants;
  readonly demand: (demand: Demand) => Demand;
}

/** A world whose every figure differs from ours by up to ±15 %, and whose athletes break earlier. */
export function otherWorld(seed: number): World {
  const random = seededRandom(seed);
  const skew = (): number => 1 + off * (2 * random() - 1);
  const changed = Object.fromEntries(Object.entries(constants).map(([key, value]) => [key, value * skew()])) as unknown as Constants;
  const movements = new Map<string, { reps: number; cost: number; cycle: number }>();
  return {
    constants: { ...changed, breakMargin: Math.min(0.9, changed.breakMargin * 0.75), insideShare: Math.min(0.95, changed.insideShare) },
    demand: ({ secondsPerUnit, ...demand }) => {
      const known = movements.get(demand.movement.id) ?? { reps: skew(), cost: skew(), cycle: skew() };
      movements.set(demand.movement.id, known);
      return {
        ...demand,
        repsToFailure: demand.repsToFailure * known.reps,
        joulesPerKg: demand.joulesPerKg * known.cost,
        cycleSeconds: demand.cycleSeconds * known.cycle,
        secondsPerUnit: secondsPerUnit && ((watts) => secondsPerUnit(watts) * known.cost),
      };
    },
  };
}

const place = (name: string, kit: string[]): Place => ({ name, floor: { lengthM: 6, widthM: 4 }, ceilingM: 3, noise: 'normal', kit: readKit(kit).items });
const places: readonly Place[] = [
  place('station', [
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
  ]),
  place('hut', ['dumbbell 20 kg', 'chair 45 cm', 'wall', 'run route 200 m, 400 m']),
  place('cabin', ['chair 45 cm', 'wall']),
];

export const fairnessWorkouts: readonly string[] = [
  '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5 kg\n9 toes-to-bar\n40 m shuttle run',
  '# Ebb\nfor time, cap 40:00\n21-15-9\nthruster @ 42.5 kg\npull-up',
  '# Slipway\nfor time, cap 40:00\n5 rounds\n  400 m run\n  15 kettlebell swing @ 24 kg\n  12 box jump @ 60 cm',
  '# Cold Store\nAMRAP 12:00\n8 power clean @ 60 kg\n10 lateral burpee\n200 m row',
  '# Night Tide\nfor time, cap 40:00\n40-30-20-10\ndouble-under\nsit-up\npush-up',
  '# Long Pier\nAMRAP 20:00\n400 m run\n12 front squat @ 50 kg\n8 ring dip',
];

export interface FairnessCell {
  readonly workout: string;
  readonly world: number;
  readonly chosen: 'at random' | 'weaker take easier';
  /** Kendall's tau with true fitness */
  readonly raw: number;
  readonly ratio: number;
  readonly perVersion: number;
  readonly equivalent: number;
  /** after calibration on 200 results of athletes who did several versions, and of athletes who did one */
  readonly calibrated: number;
  readonly calibratedOnce: number;
  /** largest difference between two versions of mean ln(fitness the scores say ÷ true) */
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

interface Done {
  readonly athlete: string;
  readonly version: number;
  readonly truth: number;
  /** higher is better, whatever the score */
  readonly raw: number;
  readonly ratio: number;
  readonly apparent: number;
  readonly elasticity: number;
  readonly trust: number;
}

/** Scores of a version as a function of true fitness in the other world, and the apparent fitness our model reads from a score; both by interpolation on a fine grid. */
function versionModel(original: Workout, version: Workout, world: World) {
  const capacity = referenceCapacity('men');
  const program = compile(version, capacity);
  const truth = (fitness: number): number =>
    headline(
      version,
      walkProgram(program, { form: formAtFitness(fitness), constants: world.constants, demands: (_part, _slot, demand) => world.demand(demand) }),
    ).score;
  const { unit, score: par } = headline(version, walkProgram(program));
  const read = (value: number): { log: number; elasticity: number; trust: number } => {
    const score: Score =
      unit === 'seconds' ? { kind: 'time', seconds: value } : { kind: 'rounds', rounds: Math.floor(value), reps: (value % 1) * repsIn(version, value) };
    const found = equivalentOf(original, { athlete: referenceAthlete('men'), version, score })!;
    return { log: Math.log(found.apparent), elasticity: found.elasticity, trust: found.trust };
  };
  return { truth, par, read, better: unit === 'seconds' ? -1 : 1 };
}
function repsIn(version: Workout, rounds: number): number {
  const steps = compile(version, referenceCapacity('men')).parts[0]!.steps(0, Math.floor(rounds));
  return steps.reduce((sum, step) => sum + (step.kind === 'move' ? step.worth : 0), 0);
}

/**
 * @param people athletes on the board
 * @param calibration results to learn from; athletes of the calibration are others than the board's
 */
export function fairnessCell(text: string, worldSeed: number, chosen: FairnessCell['chosen'], people = 45, calibration = 200): FairnessCell {
  const original = parseWorkout(text).workout;
  const world = otherWorld(worldSeed);
  const versions = places.map((at) => adapt(original, { ...referenceAthlete('men'), places: [at] }, { runs: 1 }).workout);
  const models = versions.map((version) => versionModel(original, version, world));
  const random = seededRandom(worldSeed * 31 + text.length);
  const normal = normalFrom(random);
  // read each model on a grid once: a root-finding a result would cost minutes
  const tables = models.map(({ truth, read }) =>
    Array.from({ length: 61 }, (_, at) => {
      const fitness = Math.exp(-0.9 + at * 0.03);
      const score = truth(fitness);
      const { log: readLog, elasticity, trust } = read(score);
      return { score, readLog, elasticity, trust };
    }),
  );
  const at = (version: number, logTruth: number, noise: number): Done => {
    const table = tables[version]!;
    const model = models[version]!;
    const place = Math.max(0, Math.min(table.length - 2, Math.floor((logTruth + 0.9) / 0.03)));
    const part = (logTruth + 0.9) / 0.03 - place;
    const between = (pick: (row: (typeof table)[number]) => number): number => pick(table[place]!) + part * (pick(table[place + 1]!) - pick(table[place]!));
    const elasticity = Math.max(
      0.05,
      between((row) => row.elasticity),
    );
    const score = between((row) => row.score) * Math.exp(noise);
    // a noisy score reads as the fitness its noise ÷ elasticity away
    const apparent = between((row) => row.readLog) + (model.better * noise) / elasticity;
    return {
      athlete: '',
      version,
      truth: logTruth,
      raw: model.better * score,
      ratio: model.better > 0 ? score / model.par : model.par / score,
      apparent,
      elasticity,
      trust: between((row) => row.trust),
    };
  };
  const draw = (name: string, versionOf: (logTruth: number) => number, several: number): Done[] => {
    const truth = fitnessSpread * normal();
    const done = several > 1 ? Array.from({ length: several }, (_, index) => index % places.length) : [versionOf(truth)];
    return done.map((version) => ({ ...at(version, truth, dayNoise * normal()), athlete: name }));
  };
  const choose = (truth: number): number =>
    chosen === 'at random'
      ? Math.floor(random() * places.length)
      : Math.max(0, Math.min(places.length - 1, Math.round(1 - truth / fitnessSpread + 0.7 * normal())));
  const board = Array.from({ length: people }, (_, index) => draw(`board ${index}`, choose, 1)).flat();
  const several = Array.from({ length: Math.ceil(calibration / 3) }, (_, index) => draw(`several ${index}`, choose, 3))
    .flat()
    .slice(0, calibration);
  const once = Array.from({ length: calibration }, (_, index) => draw(`once ${index}`, choose, 1)).flat();
  const learn = (list: readonly Done[]): LearnedConversions =>
    learnConversions(
      list.map((each): FitnessResult => ({
        athlete: each.athlete,
        swaps: each.version === 0 ? [] : [`version ${each.version}`],
        log: each.apparent,
        spread: Math.hypot(dayNoise, 0.03) / each.elasticity,
      })),
    );
  const corrected = (list: readonly Done[], learned: LearnedConversions): number[] =>
    list.map((each) => each.trust * (each.apparent - offsetOf(each.version, learned)));
  const offsetOf = (version: number, learned: LearnedConversions): number => learned.swaps.get(`version ${version}`)?.log ?? 0;
  /** largest difference between versions in what their scores say of the same athletes, without noise, over the middle of the class */
  const bias = (learned: LearnedConversions): number => {
    const means = tables.map((table, version) => {
      const rows = table.flatMap((row, index) => (Math.abs(-0.9 + index * 0.03) <= fitnessSpread ? [row.readLog - (-0.9 + index * 0.03)] : []));
      return rows.reduce((sum, value) => sum + value, 0) / rows.length - offsetOf(version, learned);
    });
    return Math.max(...means) - Math.min(...means);
  };
  const truths = board.map((each) => each.truth);
  const percentile = board.map((each) => {
    const own = board.filter((other) => other.version === each.version).map((other) => other.raw);
    return own.filter((value) => value < each.raw).length / Math.max(1, own.length - 1);
  });
  // the board ranks by the best estimate; a version's bias is told by what its scores alone say
  const unlearned: LearnedConversions = { swaps: new Map(), athletes: new Map() };
  const [bySeveral, byOnce] = [learn(several), learn(once)];
  const plain = corrected(board, unlearned);
  const fromSeveral = corrected(board, bySeveral);
  const fromOnce = corrected(board, byOnce);
  return {
    workout: parseWorkout(text).workout.title ?? '',
    world: worldSeed,
    chosen,
    raw: kendallTau(
      board.map((each) => each.raw),
      truths,
    ),
    ratio: kendallTau(
      board.map((each) => each.ratio),
      truths,
    ),
    perVersion: kendallTau(percentile, truths),
    equivalent: kendallTau(plain, truths),
    calibrated: kendallTau(fromSeveral, truths),
    calibratedOnce: kendallTau(fromOnce, truths),
    bias: bias(unlearned),
    biasCalibrated: bias(bySeveral),
    biasCalibratedOnce: bias(byOnce),
  };
}
