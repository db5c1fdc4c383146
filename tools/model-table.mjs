/** Regenerates the table of expected and predicted values in docs/model.md, and the constants below it. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundleBench } from './lib/bundle.mjs';
import { root } from './lib/root.mjs';
import { constantsTable } from './lib/constants-table.mjs';

const out = await bundleBench('model-table');
const { modelTable } = await import(pathToFileURL(out).href);
const file = join(root, 'docs/model.md');
const text = readFileSync(file, 'utf8');
writeFileSync(
  file,
  text
    .replace(/<!-- table -->[\s\S]*<!-- \/table -->/, () => `<!-- table -->\n${modelTable()}\n<!-- /table -->`)
    .replace(/<!-- constants -->[\s\S]*<!-- \/constants -->/, () => `<!-- constants -->${constantsTable()}\n<!-- /constants -->`),
);
console.log(modelTable());
