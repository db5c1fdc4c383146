/** `npm run bench`: figures and ratios of one run on this machine. Builds bench/bench.ts against the core and runs it; page sizes come from the built application. */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { bundleBench } from './lib/bundle.mjs';
import { root } from './lib/root.mjs';

// `npm run bench` is speed; `npm run bench -- studies` are the studies behind docs/model.md
if (process.argv[2] === 'studies') {
  const studies = await bundleBench('studies');
  process.exit(spawnSync(process.execPath, [studies, ...process.argv.slice(3)], { stdio: 'inherit', cwd: root }).status ?? 1);
}
// `npm run bench -- cases` tries the properties of the unit tests on all their cases, where the suite takes a few
if (process.argv[2] === 'cases')
  process.exit(
    spawnSync(process.execPath, [join(root, 'tools/unit.mjs'), ...process.argv.slice(3)], {
      stdio: 'inherit',
      cwd: root,
      env: { ...process.env, GAMBITO_CASES: 'whole', GAMBITO_SLOWNESS: '10' },
    }).status ?? 1,
  );
// `npm run bench -- mutants` makes each rule of adaptation wrong once
if (process.argv[2] === 'mutants') process.exit(spawnSync(process.execPath, [join(root, 'bench/mutants.mjs')], { stdio: 'inherit', cwd: root }).status ?? 1);
// `npm run bench -- desk` is how the coach's screens feel, against a running demo
if (process.argv[2] === 'desk') process.exit(spawnSync(process.execPath, [join(root, 'bench/desk.mjs')], { stdio: 'inherit', cwd: root }).status ?? 1);
// `npm run bench -- load` is twenty coaches and five hundred athletes
if (process.argv[2] === 'load')
  process.exit(spawnSync(process.execPath, [join(root, 'bench/fire/load.mjs'), ...process.argv.slice(3)], { stdio: 'inherit', cwd: root }).status ?? 1);
// `npm run bench -- class` is a class of five hundred phones on one clock
if (process.argv[2] === 'class')
  process.exit(spawnSync(process.execPath, [join(root, 'bench/fire/class.mjs'), ...process.argv.slice(3)], { stdio: 'inherit', cwd: root }).status ?? 1);
// `npm run bench -- fire` kills servers and databases under load
if (process.argv[2] === 'fire')
  process.exit(spawnSync(process.execPath, [join(root, 'bench/fire/fire.mjs'), ...process.argv.slice(3)], { stdio: 'inherit', cwd: root }).status ?? 1);
const out = await bundleBench('bench');
const run = spawnSync(process.execPath, [out, ...process.argv.slice(2)], { stdio: 'inherit', cwd: root });
const assets = join(root, 'apps/web/dist/assets');
if (!existsSync(assets)) spawnSync(process.execPath, [join(root, 'tools/build.mjs'), 'web'], { stdio: 'inherit' });
const html = readFileSync(join(root, 'apps/web/dist/index.html'), 'utf8');
const first = [...html.matchAll(/(?:src|href)="\/assets\/([^"]+)"/g)].map((found) => found[1]);
const kilobytes = (names) => names.reduce((sum, name) => sum + gzipSync(readFileSync(join(assets, name))).length, 0) / 1024;
const scripts = readdirSync(assets).filter((name) => name.endsWith('.js'));
console.log(
  `page load: ${kilobytes(first).toFixed(0)} kB gzipped before the first screen, ${kilobytes(scripts).toFixed(0)} kB of script in all (${scripts.length} files), largest ${Math.max(...scripts.map((name) => statSync(join(assets, name)).size)) >> 10} kB plain`,
);
process.exitCode = run.status ?? 1;
