import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const directory = join(dirname(fileURLToPath(import.meta.url)), 'samples');
export const sampleNames = readdirSync(directory)
  .filter((file) => file.endsWith('.txt'))
  .map((file) => file.replace('.txt', ''))
  .sort();
export const sampleText = (name: string): string => readFileSync(join(directory, `${name}.txt`), 'utf8');
