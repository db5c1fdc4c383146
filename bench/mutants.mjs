/**
 * `npm run bench -- mutants`: each rank, penalty and safety rule of adaptation is made wrong once, in a copy, and the core's tests are run against it.
 * A mutant nobody notices is a rule no test pins. Prints which were noticed, and by how many tests; exits 1 below nine of ten.
 */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from '../tools/lib/root.mjs';

const src = 'packages/core/src/';
/** file, what stands there, what is put there instead */
const mutants = [
  // the rank: each field loses its say
  ...['wish', 'coach', 'leaves', 'beyondRepair', 'tooHard', 'kin', 'school', 'step', 'short', 'filler', 'taken', 'recounted', 'effort', 'implement'].map(
    (field) => ['adapt/slot/rank.ts', `\n  '${field}',`, ''],
  ),
  // and each penalty its figure
  ['adapt/slot/fill.ts', 'const hopelesslyHeavy = 3;', 'const hopelesslyHeavy = 300;'],
  ['adapt/slot/fill.ts', '  if (setReps === 0) return whole;', '  if (setReps < 1e9) return whole;'],
  ['adapt/slot/fill.ts', 'const skillSet = 10;', 'const skillSet = 1;'],
  ['adapt/slot/fill.ts', 'const shortShare = 0.6;', 'const shortShare = 0;'],
  ['adapt/slot/fill.ts', "(loaded || original.limit.by !== 'engine') && ", ''],
  ['adapt/slot/fill.ts', 'const modelsLeast = 0.2;', 'const modelsLeast = 0;'],
  ['adapt/slot/fill.ts', 'loaded: { set: 2.2, than: 2 }', 'loaded: { set: 22, than: 20 }'],
  ['adapt/part/share-loads.ts', 'const leastShared = 0.75;', 'const leastShared = 0;'],
  ['adapt/slot/fill.ts', 'newer: { set: 0.9, than: 1.5 }', 'newer: { set: 9, than: 15 }'],
  ['adapt/slot/fill.ts', 'edges.find(({ bout }) => bout.setShare <= 0.95) ?? highest', 'highest'],
  ['adapt/slot/load.ts', 'const feelsAlike = 0.62;', 'const feelsAlike = 0.01;'],
  ['adapt/slot/load.ts', 'const asGood = 0.1;', 'const asGood = 0.3;'],
  ['adapt/slot/count.ts', 'const leastChange = 0.2;', 'const leastChange = 0;'],
  ['adapt/slot/half-skill.ts', 'export const nearlyUnbroken = 0.6;', 'export const nearlyUnbroken = 0.1;'],
  // the part: band, walls, edits
  ['adapt/part/band.ts', 'export const edgeTolerance = 0.05;', 'export const edgeTolerance = 0.4;'],
  ['adapt/part/band.ts', 'export const withinReference = 0.25;', 'export const withinReference = 0.05;'],
  ['adapt/part/evaluate.ts', 'const wallTime = 2;', 'const wallTime = 20;'],
  ['adapt/part/evaluate.ts', 'const singles = 1.6;', 'const singles = 0;'],
  ['adapt/part/edits-of.ts', 'const leastShare = 0.2;', 'const leastShare = 0.02;'],
  ['adapt/part/edit.ts', 'load: 1, rounds: 2, scheme: 2, count: 3, swap: 4', 'load: 4, rounds: 3, scheme: 3, count: 2, swap: 1'],
  ['adapt/part/search.ts', 'const loadOnly = harder && (gaveWay || unwindowed);', 'const loadOnly = false;'],
  ['adapt/asked/newer.ts', 'export const muchLonger = 1.25;', 'export const muchLonger = 12.5;'],
  ['adapt/asked/newer.ts', 'new: { share: 0.5, leastSeconds: 600, steps: 2 }', 'new: { share: 0.9, leastSeconds: 600, steps: 1 }'],
  ['adapt/asked/minutes.ts', 'const warmUpSeconds = 360;', 'const warmUpSeconds = 0;'],
  // nobody is hurt
  ['adapt/slot/admit.ts', 'movement.skill > original.skill || movement.impact > impact', 'false'],
  ['adapt/slot/admit.ts', 'const steppingAge = 60;', 'const steppingAge = 600;'],
  ['adapt/slot/admit.ts', 'if (knees && movement.impact === 2) return true;', ''],
  ['adapt/slot/hard-limits.ts', '(movement.mustBeTold && !told) || ', ''],
  ['adapt/slot/hard-limits.ts', "own(athlete.skills, movement.id) === 'no' || ", ''],
  [
    'limits/feasible.ts',
    'for (const tag of athlete.avoid) if (violates(movement, tag, heightCm))',
    "for (const tag of athlete.avoid) if (tag === 'running' && violates(movement, tag, heightCm))",
  ],
  ['limits/feasible.ts', "if (tag === 'high_impact') return movement.impact > 0 || movement.avoid.includes('running');", ''],
  ['limits/feasible.ts', "if (place.noise === 'quiet' && (movement.jumps ||", "if (place.noise === 'quiet' && (movement.id === '' ||"],
  ['limits/feasible.ts', 'place.ceilingM < needM', 'place.ceilingM < needM - 0.3'],
  ['limits/headroom.ts', 'export const gripReachShare = 1.195;', 'export const gripReachShare = 1.1;'],
  ['adapt/gate/sense.ts', 'const mostUnloaded = 3;', 'const mostUnloaded = 300;'],
  ['adapt/gate/sense.ts', 'loaded: 60, unloaded: 120, steps: 400', 'loaded: 6000, unloaded: 12000, steps: 40000'],
  ['adapt/gate/sense.ts', 'loadShare > 1.001 || repsToFailure < 1', 'false'],
  ['adapt/gate/sense.ts', 'const leastRounds = 0.5;', 'const leastRounds = 0;'],
  ['adapt/gate/volume-caps.ts', 'new: 30, newer: 60', 'new: 3000, newer: 6000'],
  ['movements/stand-ins.ts', "const nearness = ['written', 'implement', 'range'", "const nearness = ['written', 'range', 'implement'"],
];

const copy = mkdtempSync(join(tmpdir(), 'gambito-mutants-'));
for (const name of ['packages', 'tools', 'jest.config.mjs', 'package.json'])
  cpSync(join(root, name), join(copy, name), {
    recursive: true,
    force: true,
    errorOnExist: false,
    filter: (path) => !/node_modules|\/dist$|\/\.units$/.test(path),
  });
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

/** The quick rooms first; the long files only for what these do not notice. */
const stages = [
  ['adapt/', 'by-hand.test', 'reshape'],
  ['adaptation', 'judgement', 'house-rules', 'studies.test', 'relations', 'drift', 'kit', 'history'],
];
function failures(files) {
  const report = join(copy, 'report.json');
  const patterns = files.map((file) => `packages/core/.units/test/${file}`);
  spawnSync(process.execPath, ['tools/unit.mjs', ...patterns, '--silent', '--json', `--outputFile=${report}`], { cwd: copy, stdio: 'ignore' });
  return JSON.parse(readFileSync(report, 'utf8')).numFailedTests;
}

let noticed = 0;
try {
  for (const [file, from, to] of mutants) {
    const path = join(copy, src, file);
    const text = readFileSync(path, 'utf8');
    if (!text.includes(from)) throw new Error(`${file} no longer has “${from.trim()}”; mend this list.`);
    writeFileSync(path, text.replace(from, to));
    const failed = stages.reduce((found, files) => found || failures(files), 0);
    writeFileSync(path, text);
    if (failed > 0) noticed++;
    console.log(`${failed > 0 ? `noticed by ${failed}` : 'NOT NOTICED'}: ${file}: ${from.trim()} → ${to.trim() || 'gone'}`);
  }
} finally {
  rmSync(copy, { recursive: true, force: true });
}
console.log(`${noticed} of ${mutants.length} mutants noticed`);
process.exitCode = noticed >= 0.9 * mutants.length ? 0 : 1;
