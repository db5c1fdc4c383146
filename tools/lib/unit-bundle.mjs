/**
 * The unit tests and all they import, bundled once: a test file loads a handful of modules in Jest's sandbox where it loaded some three hundred, and none is transformed.
 * Each workspace is bundled into a folder of its own, so that packages are found where its sources find them. Page tests (`.tsx`) are named `.page.test.mjs` and run in jsdom.
 */
import { existsSync, readFileSync, readdirSync, rmSync } from 'node:fs';
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

/** What a module says of its own place is its place in the sources. */
const placesOfSources = {
  name: 'places-of-sources',
  setup(bundler) {
    bundler.onLoad({ filter: /\/(?:packages|apps)\/.*\.tsx?$/ }, ({ path }) => {
      const text = readFileSync(path, 'utf8');
      if (!text.includes('import.meta.url')) return undefined;
      return { contents: text.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href)), loader: path.endsWith('x') ? 'tsx' : 'ts' };
    });
    bundler.onResolve({ filter: /^@gambito\/(?:core|contract)$/ }, ({ path }) => ({
      path: join(root, 'packages', path.replace('@gambito/', ''), 'src/index.ts'),
    }));
  },
};

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
async function bundleWorkspace(workspace) {
  const home = join(root, workspace);
  rmSync(join(home, folder), { recursive: true, force: true });
  const tests = testsIn(home);
  await build({
    entryPoints: tests.map((path) => ({
      in: path,
      out: relative(home, path)
        .replace(/\.test\.tsx$/, '.page.test')
        .replace(/\.ts$/, ''),
    })),
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
    plugins: [placesOfSources],
    ...(workspace === 'apps/web' ? ofPages : ofNode),
  });
  return tests.length;
}

/** @param wanted workspaces, all where none is named */
export async function bundleUnits(wanted = workspaces) {
  const counts = await Promise.all(wanted.map(bundleWorkspace));
  return counts.reduce((sum, count) => sum + count, 0);
}
