/** The lines of a part that are no work: score, window, intent, cap, notes. A value that cannot be read is said and kept as a note. */
import type { Part, QualityPart, ScoreKind, Window } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { readDuration } from '../text/figures';
import { cursorOf, spanOfLine, type Line } from './lines';
import type { ReadProblem } from './problems';
import { readWindow } from './read-window';

export interface Settings {
  name: string | null;
  score: ScoreKind | null;
  window: Window | null;
  intent: string | null;
  capSeconds: number | null;
  startsAtFinishOrCap: boolean;
  vest: Part['vest'];
  noPartition: boolean;
  optional: boolean;
  team: Part['team'];
  interruption: Part['interruption'];
  notes: string[];
}
const emptySettings = (): Settings => ({
  name: null,
  score: null,
  window: null,
  intent: null,
  capSeconds: null,
  startsAtFinishOrCap: false,
  vest: null,
  noPartition: false,
  optional: false,
  team: null,
  interruption: null,
  notes: [],
});

const scoreWords: readonly [readonly string[], ScoreKind][] = [
  [['each|every|per', 'set|round|window|interval'], 'eachSet'],
  [['slowest|fastest', 'and?', 'slowest|fastest?', 'set|round|window?'], 'eachSet'],
  [['sum'], 'sum'],
  [['total', 'of', 'sets'], 'sum'],
  [['total?', 'reps|repetitions'], 'reps'],
  [['rounds'], 'rounds'],
  [['total?', 'time'], 'time'],
  [['max?', 'load|weight'], 'load'],
  [['distance|metres|meters'], 'distance'],
  [['cal|cals|calories'], 'calories'],
  [['done|none|completed|completion'], 'done'],
  [['no', 'score'], 'done'],
];
function readScoreKind(cursor: Cursor): ScoreKind | null {
  return scoreWords.find(([words]) => cursor.phrase(...words))?.[1] ?? null;
}

/** A window in a sentence of intent: `8-10 rounds, light`. */
function windowInside(text: string): Window | null {
  for (const clause of text.split(/[,;]/)) {
    const window = readWindow(cursorOf({ number: 0, indent: 0, column: 0, text: clause }));
    if (window) return window;
  }
  return null;
}

/** An intent may stand in several lines. */
export const bothIntents = (before: string | null, after: string | null): string | null => (before && after ? `${before}; ${after}` : (after ?? before));

type Take = (value: Cursor, settings: Settings, text: string) => string | null;
/** A label and what it does with its value. @returns what was expected, where the value is none */
const labels: readonly [readonly string[], Take][] = [
  [
    ['score'],
    (value, settings) => {
      settings.score = readScoreKind(value) ?? settings.score;
      return settings.score ? null : 'time, rounds, reps, load, distance, calories, each set, sum or done';
    },
  ],
  [
    ['window|goal|target'],
    (value, settings) => {
      settings.window = readWindow(value) ?? settings.window;
      return settings.window ? null : 'a window such as “8:00-11:00” or “7-10 rounds”';
    },
  ],
  [
    ['intent|stimulus'],
    (_, settings, text) => {
      settings.intent = bothIntents(settings.intent, text);
      settings.window ??= windowInside(text);
      return null;
    },
  ],
  [
    ['note|notes|coach|nb'],
    (_, settings, text) => {
      settings.notes.push(text);
      return null;
    },
  ],
  [
    ['time?', 'cap|limit'],
    (value, settings) => {
      settings.capSeconds = readDuration(value, 'minutes', true) ?? settings.capSeconds;
      return settings.capSeconds === null ? 'a time such as “cap: 12:00”' : null;
    },
  ],
  [
    ['part'],
    (_, settings, text) => {
      settings.name = text;
      return null;
    },
  ],
];

/** @returns true where the line was a setting */
function takeSetting(line: Line, settings: Settings, report: (problem: ReadProblem) => void): boolean {
  const cursor = cursorOf(line);
  for (const [words, take] of labels) {
    const start = cursor.at;
    if (!cursor.phrase(...words) || !cursor.sign(':', '=')) {
      cursor.at = start;
      continue;
    }
    if (cursor.done || (words[0] === 'window|goal|target' && cursor.isNumber() && cursor.peek(1) === null)) return false;
    const text = cursor.text();
    const expected = take(cursor, settings, text.replace(/\s+/g, ' '));
    if (expected !== null) {
      report({ code: 'unreadable', span: spanOfLine(line), text: line.text, expected });
    }
    return true;
  }
  if (!cursor.phrase('starts|start', 'at', 'the?', 'finish', 'or', 'cap')) return false;
  settings.startsAtFinishOrCap = true;
  return true;
}

/** A setting rather than work or a header. */
export const isSetting = (line: Line): boolean => takeSetting(line, emptySettings(), () => undefined);

/** Takes the settings lines out of a paragraph. */
export function takeSettings(lines: readonly Line[], report: (problem: ReadProblem) => void): { settings: Settings; body: Line[] } {
  const settings = emptySettings();
  const body = lines.filter((line) => !takeSetting(line, settings, report));
  return { settings, body };
}

export function baseOf(settings: Settings, score: ScoreKind): Omit<QualityPart, 'kind' | 'seconds' | 'items'> {
  const said = settings.score ?? score;
  const window = settings.window && said === 'sum' && settings.window.per === 'part' ? { ...settings.window, per: 'workout' as const } : settings.window;
  return {
    name: settings.name,
    score: said,
    scoreSaid: settings.score !== null,
    window,
    intent: settings.intent,
    optional: settings.optional,
    noPartition: settings.noPartition,
    vest: settings.vest,
    startsAtFinishOrCap: settings.startsAtFinishOrCap,
    team: settings.team,
    interruption: settings.interruption,
    notes: settings.notes,
  };
}
