/** gambito: everything the core computes, without a browser. Exit 0 done, 2 the input is wrong, 1 Gambito failed. */
import { parseArgs } from 'node:util';
import { runCommand } from './commands';
import { InputError, printJson, warn } from './io';

function main(): number {
  let json = process.argv.includes('--json');
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        athlete: { type: 'string' },
        rules: { type: 'string' },
        results: { type: 'string' },
        people: { type: 'string' },
        tier: { type: 'string' },
        date: { type: 'string' },
        seed: { type: 'string' },
      },
    });
    json = values.json ?? false;
    const date = values.date ?? new Date().toISOString().slice(0, 10);
    if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || Number.isNaN(Date.parse(date)))
      throw new InputError([{ message: `--date: “${date}” is no date; expected YYYY-MM-DD.` }]);
    const seed = Number(values.seed ?? 1);
    if (!Number.isInteger(seed)) throw new InputError([{ message: `--seed: “${values.seed ?? ''}” is no whole number.` }]);
    const [command, ...rest] = positionals;
    const { athlete, rules, results, people, tier } = values;
    return runCommand(command, command === 'movements' ? rest.join(' ') || undefined : rest[0], {
      json,
      date,
      seed,
      ...(athlete ? { athlete } : {}),
      ...(rules ? { rules } : {}),
      ...(results ? { results } : {}),
      ...(people ? { people } : {}),
      ...(tier ? { tier } : {}),
    });
  } catch (error) {
    if (error instanceof InputError) {
      for (const each of error.problems) warn(each.message);
      if (json) printJson({ problems: error.problems });
      return 2;
    }
    if (error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS')) {
      warn(error.message);
      if (json) printJson({ problems: [{ message: error.message }] });
      return 2;
    }
    warn(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return 1;
  }
}

process.exitCode = main();
