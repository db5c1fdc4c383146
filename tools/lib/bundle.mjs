/** Bundles one TypeScript entry of bench/ for Node; returns the path of the bundle. */
import { join } from 'node:path';
import { build } from 'esbuild';
import { root } from './root.mjs';

export async function bundleBench(name) {
  const outfile = join(root, `bench/dist/${name}.mjs`);
  await build({ entryPoints: [join(root, `bench/${name}.ts`)], outfile, bundle: true, platform: 'node', format: 'esm', target: 'node20', logLevel: 'warning' });
  return outfile;
}
