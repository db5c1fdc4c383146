/** Reading input and saying what is wrong with it. JSON goes to standard output alone, messages to standard error. */
import { withoutLongEchoes } from '@gambito/core';
import { readFileSync } from 'node:fs';

/** The input is wrong; every problem is listed. Exit 2. */
export interface InputProblem {
  readonly message: string;
  readonly line?: number;
  readonly column?: number;
  readonly nearest?: readonly string[];
}
export class InputError extends Error {
  readonly problems: readonly InputProblem[];
  constructor(problems: readonly InputProblem[]) {
    const brief = problems.map((each) => ({ ...each, message: withoutLongEchoes(each.message) }));
    super(brief.map((each) => each.message).join('\n'));
    this.problems = brief;
  }
}

/** Where input comes from and answers go. */
export interface Terminal {
  readonly input: () => string;
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}
const processTerminal: Terminal = {
  input: () => readFileSync(0, 'utf8'),
  out: (text) => void process.stdout.write(text),
  err: (text) => void process.stderr.write(text),
};
let terminal = processTerminal;

/** Does something at a terminal: the process's own, or the one given. */
export function at<T>(given: Terminal = processTerminal, work: () => T): T {
  const before = terminal;
  terminal = given;
  try {
    return work();
  } finally {
    terminal = before;
  }
}

/** Node's name for a failure, such as ENOENT; null where it has none. */
export const codeOf = (error: unknown): string | null => (typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : null);

export function readText(path: string): string {
  try {
    return path === '-' ? terminal.input() : readFileSync(path, 'utf8');
  } catch (error) {
    throw new InputError([
      {
        message: `${path}: cannot be read (${codeOf(error) ?? 'unknown error'}); expected the path of a file, or “-” for standard input.`,
      },
    ]);
  }
}

// a reader that closes early (head) is no failure of ours
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

export const print = (text: string): void => terminal.out(text.endsWith('\n') ? text : `${text}\n`);
export const printJson = (value: unknown): void => print(JSON.stringify(value, null, 2));
export const warn = (text: string): void => terminal.err(`${withoutLongEchoes(text)}\n`);
