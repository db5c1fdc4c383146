/** Reading input and saying what is wrong with it. JSON goes to standard output alone, messages to standard error. */
import { readFileSync } from 'node:fs';

/** The input is wrong; every problem is listed. Exit 2. */
export class InputError extends Error {
  constructor(
    readonly problems: readonly { readonly message: string; readonly line?: number; readonly column?: number; readonly nearest?: readonly string[] }[],
  ) {
    super(problems.map((each) => each.message).join('\n'));
  }
}

export function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    throw new InputError([
      {
        message: `${path}: cannot be read (${error instanceof Error && 'code' in error ? String(error.code) : 'unknown error'}); expected the path of a file, or “-” for standard input.`,
      },
    ]);
  }
}

// a reader that closes early (head) is no failure of ours
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

export const print = (text: string): void => void process.stdout.write(text.endsWith('\n') ? text : `${text}\n`);
export const printJson = (value: unknown): void => print(JSON.stringify(value, null, 2));
export const warn = (text: string): void => void process.stderr.write(`${text}\n`);
