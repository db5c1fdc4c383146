/** Bundles one TypeScript entry of bench/ for Node; returns the path of the bundle. */
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

export const root = join(dirname(fileURLToPath(import.meta.url)), '../..');

export async function bundleBench(name) {
  const outfile = join(root, `bench/dist/${name}.mjs`);
  await build({ entryPoints: [join(root, `bench/${name}.ts`)], outfile, bundle: true, platform: 'node', format: 'esm', target: 'node20', logLevel: 'warning' });
  return outfile;
}
