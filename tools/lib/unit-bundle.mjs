/**
 * The unit tests and all they import, bundled once: a test file loads a handful of modules in Jest's sandbox where it loaded some three hundred, and none is transformed.
 * Each workspace is bundled into a folder of its own, so that packages are found where its sources find them. Page tests (`.tsx`) are named `.page.test.mjs` and run in jsdom.
 * For the whole run several test files become one, each within a `describe` of its own name: a sandbox, Fastify, Sequelize and the catalogue are then loaded a dozen times, not a hundred and thirty.
 */
import { existsSync, readFileSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { root } from './root.mjs';

export const folder = '.units';
/** those that are there: a copy of the core alone is enough for its tests */
const workspaces = ['packages/core', 'packages/contract', 'apps/cli', 'apps/server', 'apps/web'].filter((workspace) => existsSync(join(root, workspace)));

/** In Jest's sandbox each look at a global goes through an interceptor, which made the core some ten times slower than it is: they are names of the module instead (decision 0023). */
const globals = ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'Float64Array', 'JSON', 'Infinity', 'NaN', 'String', 'RegExp', 'Symbol', 'Boolean'];
const banner = globals.map((name) => `const ${name} = globalThis.${name};`).join('');

function testsIn(directory) {
  return readdirSync(directory, { withFileTypes: true }).flatMap((entry) => {
    const path = join(directory, entry.name);
    if (entry.isDirectory()) return ['node_modules', 'dist', folder].includes(entry.name) ? [] : testsIn(path);
    return /\.test\.tsx?$/.test(entry.name) ? [path] : [];
  });
}

const ownPlace = (text, path) => text.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href));
const loaderOf = (path) => (path.endsWith('x') ? 'tsx' : 'ts');
/** What a module says of its own place is its place in the sources. */
const placesOfSources = {
  name: 'places-of-sources',
  setup(bundler) {
    bundler.onLoad({ filter: /\/(?:packages|apps)\/.*\.tsx?$/ }, ({ path }) => {
      const text = readFileSync(path, 'utf8');
      if (!text.includes('import.meta.url')) return undefined;
      return { contents: ownPlace(text, path), loader: loaderOf(path) };
    });
    bundler.onResolve({ filter: /^@gambito\/(?:core|contract)$/ }, ({ path }) => ({
      path: join(root, 'packages', path.replace('@gambito/', ''), 'src/index.ts'),
    }));
  },
};

/** How many bundles each workspace's tests become, of each kind: few, and yet so many that two workers end at about the same time. */
const togetherIn = { 'packages/core': 6, 'packages/contract': 1, 'apps/cli': 1, 'apps/server': 4, 'apps/web': 2 };
const nameOf = (home, path) => relative(home, path).replaceAll('\\', '/');

/** Dealt by size, largest first, back and forth, so that the heaps are about alike. */
function heapsOf(tests, many) {
  const bySize = [...tests].sort((a, b) => statSync(b).size - statSync(a).size || (a < b ? -1 : 1));
  const heaps = Array.from({ length: Math.min(many, tests.length) }, () => []);
  bySize.forEach((path, at) => {
    const turn = at % (2 * heaps.length);
    heaps[turn < heaps.length ? turn : 2 * heaps.length - 1 - turn].push(path);
  });
  return heaps;
}
/** A test file whose tests stand in a `describe`; imports stay above it, as the language wants. */
function describedTest(home, path) {
  const lines = readFileSync(path, 'utf8').split('\n');
  const last = lines.findLastIndex((line) => /^(?:import .* from |import '|\} from ').*;$/.test(line));
  const above = lines.slice(0, last + 1);
  const described = above.some((line) => /\bdescribe\b/.test(line)) ? [] : ["import { describe } from '@jest/globals';"];
  return [...above, ...described, `describe(${JSON.stringify(nameOf(home, path))}, () => {`, ...lines.slice(last + 1), '});'].join('\n');
}
/** What puts a stand-in in the place of a module does it for its whole file. */
const standsAlone = (path) => readFileSync(path, 'utf8').includes('unstable_mockModule');
/** @returns name of the bundle → the test files in it; pages apart, since they run in another environment */
function bundlesOf(tests, many) {
  const shared = tests.filter((path) => !standsAlone(path));
  const heaps = (ending, kind) =>
    heapsOf(
      shared.filter((path) => path.endsWith(ending)),
      many,
    ).map((paths, at) => [`together-${at + 1}${kind}.test`, paths]);
  return new Map([...heaps('.ts', ''), ...heaps('.tsx', '.page')]);
}
/** The plugin that makes each bundle's entry and describes the tests in it. */
const togetherPlugin = (home, bundles) => ({
  name: 'tests-together',
  setup(bundler) {
    const isShared = (path) => [...bundles.values()].some((paths) => paths.includes(path));
    bundler.onResolve({ filter: /^together-/ }, ({ path }) => ({ path, namespace: 'together' }));
    // a package may say that importing it does nothing; a test is imported for what it does
    bundler.onResolve({ filter: /\.test\.tsx?$/ }, ({ path }) => ({ path, sideEffects: true }));
    bundler.onLoad({ filter: /.*/, namespace: 'together' }, ({ path }) => ({
      contents: bundles
        .get(path)
        .map((each) => `import ${JSON.stringify(each)};`)
        .join('\n'),
      resolveDir: home,
    }));
    bundler.onLoad({ filter: /\.test\.tsx?$/ }, ({ path }) =>
      isShared(path) ? { contents: ownPlace(describedTest(home, path), path), loader: loaderOf(path) } : undefined,
    );
  },
});
function testsTogether(home, tests, many) {
  const bundles = bundlesOf(tests, many);
  const alone = testsApart(home, tests.filter(standsAlone));
  return { entryPoints: [...[...bundles.keys()].map((name) => ({ in: name, out: name })), ...alone.entryPoints], plugins: [togetherPlugin(home, bundles)] };
}
const testsApart = (home, tests) => ({
  entryPoints: tests.map((path) => ({
    in: path,
    out: nameOf(home, path)
      .replace(/\.test\.tsx$/, '.page.test')
      .replace(/\.ts$/, ''),
  })),
  plugins: [],
});

/** A page's packages are many small files: they go into the bundle too, but for what a test stands in for. */
const ofPages = {
  external: ['@jest/globals', 'comlink'],
  conditions: ['browser', 'module'],
  mainFields: ['module', 'main'],
  define: { 'process.env.NODE_ENV': '"test"' },
  // packages of the older kind ask for what Node has built in
  banner: { js: `import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);${banner}` },
};
const ofNode = { packages: 'external', banner: { js: banner } };

/** @returns the number of test files */
async function bundleWorkspace(workspace, together) {
  const home = join(root, workspace);
  rmSync(join(home, folder), { recursive: true, force: true });
  const tests = testsIn(home);
  const { entryPoints, plugins } = together ? testsTogether(home, tests, togetherIn[workspace]) : testsApart(home, tests);
  await build({
    entryPoints,
    outdir: join(home, folder),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    loader: { '.css': 'empty' },
    sourcemap: 'inline',
    sourcesContent: false,
    logLevel: 'warning',
    plugins: [...plugins, placesOfSources],
    ...(workspace === 'apps/web' ? ofPages : ofNode),
  });
  return tests.length;
}

/** @param wanted workspaces, all where none is named @param together several test files in one */
export async function bundleUnits(wanted = workspaces, together = false) {
  const counts = await Promise.all(wanted.map((workspace) => bundleWorkspace(workspace, together)));
  return counts.reduce((sum, count) => sum + count, 0);
}
