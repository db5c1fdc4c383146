import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

// from the root of the checkout, where both Jest and the bench run
const directory = join(process.cwd(), 'packages/core/test/samples');
export const sampleNames = readdirSync(directory)
  .filter((file) => file.endsWith('.txt'))
  .map((file) => file.replace('.txt', ''))
  .sort();
export const sampleText = (name: string): string => readFileSync(join(directory, `${name}.txt`), 'utf8');
