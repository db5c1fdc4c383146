/** The commands of gambito. Each reads, calls the core, prints. */
import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileSchemas, jsonSchemaOf, presentAdapted, presentLoads, presentMovement, presentPrediction, rounded, type FileSchemaName } from '@gambito/contract';
import {
  adapt,
  barePlace,
  capacityOf,
  findMovement,
  formatClock,
  formatWorkout,
  markWords,
  movementOf,
  movements,
  nearestMovements,
  readWorkoutText,
  placeDay,
  planClock,
  checkScores,
  scoresProblem,
  rulesAtWork,
  tierAthlete,
  trimNumber,
  wordsOf,
  type Athlete,
  type BoardRow,
  type DayBoard,
  type DayEntry,
  type PartBoard,
  type Place,
  type Prediction,
  type Workout,
} from '@gambito/core';
import Papa from 'papaparse';
import { athleteFrom, describe, peopleFrom, rulesFrom, unitsFrom, wordsFrom, workoutFrom } from './inputs';
import { InputError, print, printJson, readText, warn } from './io';

export interface Options {
  readonly json: boolean;
  readonly athlete?: string;
  readonly rules?: string;
  readonly results?: string;
  readonly people?: string;
  readonly tier?: string;
  /** what was answered about words of messages */
  readonly words?: string;
  readonly date: string;
  readonly seed: number;
}
const need = (value: string | undefined, what: string): string => {
  if (!value) throw new InputError([{ message: `expected ${what}` }]);
  return value;
};

function who(options: Options): { athlete: Athlete; place: Place } {
  if (options.tier && !options.athlete) return tierAthlete(options.tier, 'men');
  const athlete = athleteFrom(need(options.athlete, '--athlete FILE (or --tier NAME)'), options.date);
  return options.tier
    ? {
        athlete: { ...tierAthlete(options.tier, athlete.category).athlete, name: athlete.name, bodyMassKg: athlete.bodyMassKg, statureM: athlete.statureM },
        place: tierAthlete(options.tier, athlete.category).place,
      }
    : { athlete, place: athlete.places[0] ?? barePlace };
}

const figure = (value: number, unit: Prediction['unit']): string => (unit === 'seconds' ? formatClock(value) : `${trimNumber(value, 1)} ${unit}`);
const bandText = ({ unit, low, median, high }: Pick<Prediction, 'unit' | 'low' | 'median' | 'high'>): string =>
  `${figure(median, unit)} (${figure(low, unit)} to ${figure(high, unit)})`;

function parseCommand(path: string, options: Options): number {
  const parsed = readWorkoutText(readText(path), { ...unitsFrom(options.rules), words: wordsFrom(options.words) });
  const failed = parsed.diagnostics.some((each) => each.level === 'error');
  if (options.json)
    printJson({
      workout: parsed.workout,
      summary: parsed.summary,
      diagnostics: parsed.diagnostics,
      ...(parsed.readAs === null ? {} : { readAs: parsed.readAs }),
    });
  else {
    for (const each of parsed.diagnostics) warn(describe(path, each));
    const { summary } = parsed;
    print(`${parsed.workout.title ?? 'Untitled'}: ${summary.clockSeconds === null ? 'no fixed length' : formatClock(summary.clockSeconds)}`);
    summary.parts.forEach((part, index) =>
      print(
        `${index + 1}. ${part.kind}${part.seconds === null ? (part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}`) : ` ${formatClock(part.seconds)}`}; score: ${part.score}; ${
          Object.entries(part.reps)
            .map(([id, count]) => `${count} ${wordsOf(id)}`)
            .join(', ') || 'no counted reps'
        }`,
      ),
    );
  }
  return failed ? 2 : 0;
}

/** A message → plain notation on standard output, and what found no place beside it. */
function readCommand(path: string, options: Options): number {
  const text = readText(path);
  const { readAs, workout, diagnostics, questions } = readWorkoutText(text, { ...unitsFrom(options.rules), words: wordsFrom(options.words) });
  const notation = readAs ?? formatWorkout(workout);
  const open = diagnostics.filter(({ level }) => level !== 'info').map(({ level, message }) => ({ level, message }));
  const asked = questions.map(({ about, asks, choices }) => ({ about, asks, choices }));
  if (options.json) printJson({ notation, guessed: readAs !== null, open, questions: asked });
  else {
    print(notation);
    for (const { level, message } of open) warn(`${path}: ${level}: ${message}`);
    for (const { asks, choices } of asked) warn(`${path}: question: ${asks} ${choices.map(({ label }) => label).join(' / ')}`);
  }
  return open.some(({ level }) => level === 'error') ? 2 : 0;
}

function adaptCommand(path: string, options: Options): number {
  const { workout } = workoutFrom(path, unitsFrom(options.rules));
  const { athlete, place } = who(options);
  const rules = rulesFrom(options.rules);
  const tier = workout.tiers.find((each) => each.name.toLowerCase() === options.tier?.toLowerCase());
  const asked = tier ? { ...workout, parts: tier.parts } : workout;
  const settings = { place, seed: options.seed, ...(rules ? { rules } : {}) };
  const adapted = adapt(asked, athlete, settings);
  if (options.json) {
    printJson(presentAdapted(adapted));
    return 0;
  }
  print(adapted.version.text);
  for (const part of adapted.version.parts)
    for (const slot of part.slots)
      print(`${slot.mark.padEnd(2)} ${markWords[slot.mark]}: ${slot.reason}${slot.givesUp.length > 0 ? ` Gives up: ${slot.givesUp.join(', ')}.` : ''}`);
  print(`Predicted: ${bandText(adapted.predicted)}. Drift ${adapted.drift.total.toFixed(2)} (time ${(adapted.drift.time * 100).toFixed(0)} %).`);
  for (const each of rulesAtWork(asked, athlete, settings)) print(`House rule at work: ${each.said}.`);
  for (const each of adapted.warnings) warn(`warning: ${each.message}`);
  for (const each of adapted.assumed) warn(`assumed: ${each}`);
  return 0;
}

function predictCommand(path: string, options: Options): number {
  const { workout } = workoutFrom(path, unitsFrom(options.rules));
  const { athlete } = who(options);
  const predicted = presentPrediction(workout, capacityOf(athlete), options.seed);
  if (options.json) printJson(predicted);
  else {
    print(`Predicted: ${bandText(predicted.predicted)}`);
    if (predicted.predicted.perPart.length > 1)
      for (const each of predicted.predicted.perPart) print(`  part ${each.part + 1}${each.set === null ? '' : `, set ${each.set + 1}`}: ${bandText(each)}`);
    const { sets, breaks, limiting, attempts } = predicted.pacing;
    sets.forEach((each, index) => {
      const later = each.later.join() === each.first.join() ? '' : `, later ${each.later.join('-')}`;
      const pause = breaks[index]!.seconds > 0 ? `, ${breaks[index]!.seconds} s between` : '';
      const decides = limiting === index ? '; decides the score' : '';
      print(
        `  ${wordsOf(each.movement)}: ${each.first.join('-')}${later}${pause}; ${formatClock(each.seconds)} in all, ${Math.round(each.lostSeconds)} s of it lost to breaks and slowing${decides}`,
      );
      if (breaks[index]!.planB) print(`    ${breaks[index]!.planB}`);
    });
    for (const each of attempts)
      print(`  part ${each.part + 1}, attempts: ${each.list.map(({ atSeconds, kg }) => `${formatClock(atSeconds)} ${kg} kg`).join(', ')}`);
    for (const each of predicted.warnings) warn(`warning: ${each.message}`);
    for (const each of predicted.assumed) warn(`assumed: ${each}`);
  }
  return 0;
}

/** A version's path is meant beside the results; where nothing lies there, from where the command is run. */
function versionPath(resultsPath: string, name: string): string {
  const beside = resolve(dirname(resultsPath), name);
  return existsSync(beside) ? beside : resolve(name);
}

/** results of one comparison: each is simulated, some 5 ms */
const mostResults = 500;
/** problems that are listed one by one */
const mostListed = 20;

/** @throws {InputError} where columns are missing, or there are too many rows */
function resultRows(resultsPath: string): { rows: readonly Record<string, string>[]; problems: { message: string }[] } {
  const csv = Papa.parse<Record<string, string>>(readText(resultsPath).replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
    preview: mostResults + 1,
  });
  const problems: { message: string }[] = csv.errors
    .filter((each) => each.code !== 'UndetectableDelimiter')
    .map((each) => ({ message: `${resultsPath}:${(each.row ?? 0) + 2}: ${each.message}` }));
  const missing = ['athlete', 'version', 'score'].filter((column) => !(csv.meta.fields ?? []).includes(column));
  if (missing.length > 0)
    throw new InputError([
      { message: `${resultsPath}: the column${missing.length > 1 ? 's' : ''} ${missing.join(', ')} missing; expected athlete, version, score.` },
    ]);
  if (csv.data.length > mostResults)
    throw new InputError([{ message: `${resultsPath}: more than ${mostResults} results; expected at most ${mostResults} in one comparison.` }]);
  return { rows: csv.data, problems };
}

const listed = (problems: readonly { message: string }[]): readonly { message: string }[] =>
  problems.length <= mostListed ? problems : [...problems.slice(0, mostListed), { message: `… and ${problems.length - mostListed} more.` }];

function compareCommand(path: string, options: Options): number {
  const { workout } = workoutFrom(path);
  const resultsPath = need(options.results, '--results RESULTS.csv');
  const people = peopleFrom(need(options.people, '--people DIR'), options.date);
  const { rows, problems } = resultRows(resultsPath);
  const lines = new Map<string, number>();
  const results = rows.flatMap((row, index): DayEntry[] => {
    const read = readResult(row, index + 2, { workout, resultsPath, people, directory: options.people ?? '' });
    const name = (row['athlete'] ?? '').trim().toLowerCase();
    const before = lines.get(name);
    if (before !== undefined && name !== '')
      problems.push({ message: `${resultsPath}:${index + 2}: ${row['athlete'] ?? ''} stands twice, first on line ${before}; expected one score an athlete.` });
    else lines.set(name, index + 2);
    problems.push(...read.problems);
    return read.result ? [read.result] : [];
  });
  if (problems.length > 0) throw new InputError(listed(problems));
  printBoards(placeDay(workout, results, null, rulesFrom(options.rules) ?? undefined), options.json ?? false);
  return 0;
}

/** The leading board alone, and with several scores every board and the day's. */
function printBoards({ boards, day }: DayBoard<DayEntry>, json: boolean): void {
  const rowsOf = (board: PartBoard<DayEntry> | undefined) => rounded((board?.placed ?? []).map(({ row }) => row));
  if (json) {
    const several = day && {
      boards: boards.map((board) => ({ label: board.label, parts: board.parts, board: rowsOf(board) })),
      day: rounded(day.map(({ entry, ...row }) => ({ athlete: entry.athlete.name, ...row }))),
    };
    return printJson({ board: rowsOf(boards[0]), ...several });
  }
  for (const board of boards) {
    if (day) print(board.label);
    for (const row of rowsOf(board)) print(boardLine(row));
  }
  if (day) print('The day');
  for (const { rank, entry, places, points } of day ?? [])
    print(
      `${String(rank).padStart(3)}  ${entry.athlete.name.padEnd(16)} places ${places.map((place) => place ?? '–').join(', ')}, points ${points === null ? '–' : trimNumber(points, 1)}`,
    );
}
const boardLine = (row: BoardRow): string =>
  `${String(row.rank).padStart(3)}  ${row.athlete.padEnd(16)} ${row.score.padEnd(10)} ${row.equivalent ? `= ${bandText({ ...row.equivalent } as Prediction)}, index ${row.index}` : ''}  ${row.verdict}`;

interface ResultsFile {
  readonly workout: Workout;
  readonly resultsPath: string;
  readonly people: ReadonlyMap<string, Athlete>;
  readonly directory: string;
}
/** One row of the results: who, which version, and a score that this version can have. */
function readResult(
  row: Record<string, string>,
  at: number,
  { workout, resultsPath, people, directory }: ResultsFile,
): { result: DayEntry | null; problems: { message: string }[] } {
  const line = `${resultsPath}:${at}`;
  const athlete = people.get((row['athlete'] ?? '').trim().toLowerCase());
  const scoreText = (row['score'] ?? '').trim();
  const versionName = (row['version'] ?? '').trim();
  const problems = athlete ? [] : [{ message: `${line}: no athlete file for “${row['athlete'] ?? ''}” in ${directory}.` }];
  try {
    const version = versionName === '' || versionName.toLowerCase() === 'original' ? workout : workoutFrom(versionPath(resultsPath, versionName)).workout;
    const checked = checkScores(scoreText, version, { category: athlete?.category ?? 'men', units: athlete?.units ?? 'kg' });
    const wrong = scoresProblem(checked);
    if (wrong) return { result: null, problems: [...problems, { message: `${line}: ${wrong}` }] };
    return { result: athlete ? { athlete, version, versionName: versionName || 'original', scoreText } : null, problems };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { result: null, problems: [...problems, ...error.problems] };
  }
}

function movementsCommand(name: string | undefined, options: Options): number {
  if (!name) {
    if (options.json) printJson({ movements: movements.map(presentMovement) });
    else for (const each of movements) print(`${each.id.padEnd(32)} ${each.needsText || 'nothing'}`);
    return 0;
  }
  const id = findMovement(name);
  if (!id) {
    const nearest = nearestMovements(name);
    throw new InputError([{ message: `“${name}” is not a movement Gambito knows; nearest: ${nearest.join(', ')}.`, nearest }]);
  }
  const movement = presentMovement(movementOf(id));
  if (options.json) printJson({ movement });
  else
    print(
      [
        movement.name,
        `needs: ${movement.needs || 'nothing'}; floor ${movement.floorM.join(' × ')} m${movement.overhead ? '; ceiling for overhead work' : ''}`,
        `limited by: ${movement.limitedBy}; ${trimNumber(movement.cycleSeconds, 2)} s and ${trimNumber(movement.joulesPerKg, 1)} J/kg a ${movement.unit === 'm' ? 'metre' : movement.unit === 's' ? 'second' : 'rep'} before any load`,
        ...movement.standards.map((each) => `+ ${each}`),
        ...movement.noReps.map((each) => `- ${each}`),
        ...movement.cautions.map((each) => `! ${each}`),
        `easier: ${movement.easier.join(', ') || 'none'}`,
        `harder: ${movement.harder.join(', ') || 'none'}`,
      ].join('\n'),
    );
  return 0;
}

function loadsCommand(path: string, options: Options): number {
  const athlete = athleteFrom(path, options.date);
  const shown = presentLoads(athlete.places.flatMap((place) => place.kit));
  if (options.json) printJson(shown);
  else for (const each of [...shown.loads, ...shown.also]) print(each.text);
  return 0;
}

function clockCommand(path: string, options: Options): number {
  const plan = planClock(workoutFrom(path, unitsFrom(options.rules)).workout);
  if (options.json) printJson(plan);
  else
    for (const cue of plan.cues)
      print(`${formatClock(cue.atSeconds).padStart(6)}  ${cue.kind.padEnd(8)} ${cue.text}${cue.lines.length > 0 ? `: ${cue.lines.join(', ')}` : ''}`);
  return 0;
}

function schemaCommand(name: string | undefined): number {
  if (!name || !(name in fileSchemas))
    throw new InputError([{ message: `${name ? `“${name}” is no schema; e` : 'E'}xpected one of ${Object.keys(fileSchemas).join(', ')}.` }]);
  printJson(jsonSchemaOf(name as FileSchemaName));
  return 0;
}

export const usage = `gambito COMMAND …
  parse WORKOUT [--words W] [--json]                       read workout text: model, totals, diagnostics
  read MESSAGE [--words W] [--json]                        a pasted message as plain notation, its questions, and what found no place
  format WORKOUT                                           canonical text
  adapt WORKOUT --athlete A [--rules R] [--tier T] [--json]  one version
  predict WORKOUT --athlete A [--json]                     the score as written
  compare WORKOUT --results CSV --people DIR [--json]      scores in different versions on one board
  loads ATHLETE [--json]                                   every load of the kit
  clock WORKOUT [--json]                                   the clock plan
  movements [--json] [NAME]                                the catalogue
  schema NAME                                              JSON Schema of a file
options: --date YYYY-MM-DD, --seed N; WORKOUT may be “-” for standard input`;

const examples: Readonly<Record<string, string>> = {
  parse: 'gambito parse breakwater.txt --json',
  read: 'echo "12 min amrap: 8 burpees, 12 air squats, 16 sit ups. have fun" | gambito read -',
  format: 'gambito format breakwater.txt',
  adapt: 'gambito adapt breakwater.txt --athlete tabrik.yaml --tier scaled',
  predict: 'gambito predict breakwater.txt --athlete tabrik.yaml',
  compare: 'gambito compare breakwater.txt --results week.csv --people people/',
  loads: 'gambito loads tabrik.yaml --json',
  clock: 'gambito clock breakwater.txt',
  movements: 'gambito movements "box jump"',
  schema: 'gambito schema athlete',
};
/** What a command takes, with an example; of none of them, all. */
export function help(command: string | undefined): string {
  const line = usage.split('\n').find((each) => command !== undefined && each.startsWith(`  ${command} `));
  const example = command === undefined ? undefined : examples[command];
  if (line && example) return `${line.trim().replace(/ {2,}/, ':  ')}\nexample:  ${example}\nexit codes: 0 done, 1 a failure of Gambito, 2 the input is wrong`;
  return `${usage}\nexamples:\n${Object.values(examples)
    .map((each) => `  ${each}`)
    .join('\n')}\nexit codes: 0 done, 1 a failure of Gambito, 2 the input is wrong`;
}

/** @returns the exit code */
export function runCommand(command: string | undefined, argument: string | undefined, options: Options): number {
  switch (command) {
    case 'parse':
      return parseCommand(need(argument, 'a workout file'), options);
    case 'read':
      return readCommand(need(argument, 'a file with a message'), options);
    case 'format':
      print(formatWorkout(workoutFrom(need(argument, 'a workout file'), unitsFrom(options.rules)).workout));
      return 0;
    case 'adapt':
      return adaptCommand(need(argument, 'a workout file'), options);
    case 'predict':
      return predictCommand(need(argument, 'a workout file'), options);
    case 'compare':
      return compareCommand(need(argument, 'a workout file'), options);
    case 'loads':
      return loadsCommand(need(argument, 'an athlete file'), options);
    case 'clock':
      return clockCommand(need(argument, 'a workout file'), options);
    case 'movements':
      return movementsCommand(argument, options);
    case 'schema':
      return schemaCommand(argument);
    case undefined:
    case 'help':
      print(usage);
      return 0;
    default:
      throw new InputError([{ message: `“${command}” is no command.\n${usage}` }]);
  }
}
