/** One call of gambito: its arguments are read, its command is run, and what went wrong is told. */
import { parseArgs } from 'node:util';
import { help, runCommand, type Options } from './commands';
import { InputError, at, codeOf, print, printJson, warn, type Terminal } from './io';

interface Call {
  readonly command: string | undefined;
  readonly argument: string | undefined;
  readonly options: Options;
  readonly asksForHelp: boolean;
}

const dayOf = (date: string | undefined): string => {
  const day = date ?? new Date().toISOString().slice(0, 10);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || Number.isNaN(Date.parse(day)))
    throw new InputError([{ message: `--date: “${day}” is no date; expected YYYY-MM-DD.` }]);
  return day;
};
const seedOf = (text = '1'): number => {
  const seed = Number(text);
  if (!Number.isInteger(seed)) throw new InputError([{ message: `--seed: “${text}” is no whole number.` }]);
  return seed;
};
const given = <T extends object>(values: T): { [K in keyof T]?: NonNullable<T[K]> } =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value)) as { [K in keyof T]?: NonNullable<T[K]> };

/** @throws {InputError | TypeError} where they cannot be read */
function readCall(args: readonly string[]): Call {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      json: { type: 'boolean', default: false },
      help: { type: 'boolean', short: 'h', default: false },
      athlete: { type: 'string' },
      rules: { type: 'string' },
      results: { type: 'string' },
      people: { type: 'string' },
      tier: { type: 'string' },
      words: { type: 'string' },
      date: { type: 'string' },
      seed: { type: 'string' },
    },
  });
  const { athlete, rules, results, people, tier, words, json } = values;
  const [command, ...rest] = positionals;
  return {
    asksForHelp: values.help,
    command,
    argument: command === 'movements' ? rest.join(' ') || undefined : rest[0],
    options: { json, date: dayOf(values.date), seed: seedOf(values.seed), ...given({ athlete, rules, results, people, tier, words }) },
  };
}

/** @returns the exit code */
function tell(error: unknown, json: boolean): number {
  const unread = codeOf(error)?.startsWith('ERR_PARSE_ARGS') ? [{ message: (error as Error).message }] : null;
  const problems = error instanceof InputError ? error.problems : unread;
  if (!problems) {
    warn(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return 1;
  }
  for (const { message } of problems) warn(message);
  if (json) printJson({ problems });
  return 2;
}

/** @param args without node and the script @returns the exit code: 0 done, 2 the input is wrong, 1 Gambito failed */
export const run = (args: readonly string[], terminal?: Terminal): number =>
  at(terminal, () => {
    try {
      const { command, argument, options, asksForHelp } = readCall(args);
      if (asksForHelp) {
        print(help(command));
        return 0;
      }
      return runCommand(command, argument, options);
    } catch (error) {
      return tell(error, args.includes('--json'));
    }
  });
