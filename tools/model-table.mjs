/** Regenerates the table of expected and predicted values in docs/model.md. */
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'esbuild';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'bench/dist/model-table.mjs');
await build({
  entryPoints: [join(root, 'bench/model-table.ts')],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
const { modelTable } = await import(pathToFileURL(out).href);
const file = join(root, 'docs/model.md');
const text = readFileSync(file, 'utf8');
writeFileSync(
  file,
  text.replace(/<!-- table -->[\s\S]*<!-- \/table -->/, () => `<!-- table -->\n${modelTable()}\n<!-- /table -->`),
);
console.log(modelTable());
