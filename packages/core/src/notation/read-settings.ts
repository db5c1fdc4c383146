/** The lines of a part that are no work: score, window, intent, cap, vest, notes. */
import { poundsToKilograms } from '../units/mass';
import type { Part, QualityPart, ScoreKind, Window } from '../workout/workout';
import { readColumns, readWindow } from './figures';
import { spanOfLine } from './item-reader';
import type { ReadProblem } from './problems';
import { readClauses } from './read-header';
import type { Line } from './scan';

export interface Settings {
  name: string | null;
  score: ScoreKind | null;
  window: Window | null;
  intent: string | null;
  capSeconds: number | null;
  optional: boolean;
  noPartition: boolean;
  startsAtFinishOrCap: boolean;
  alternate: boolean;
  vest: Part['vest'];
  notes: string[];
}

const scoreWords: readonly [RegExp, ScoreKind][] = [
  [/^(?:each|every|per) (?:set|round|window)/i, 'eachSet'],
  [/^(?:sum|total(?: of sets)?$)/i, 'sum'],
  [/^(?:total )?reps/i, 'reps'],
  [/^rounds/i, 'rounds'],
  [/^(?:total )?time/i, 'time'],
  [/^(?:max )?load|^weight/i, 'load'],
  [/^distance|^metres/i, 'distance'],
  [/^cal/i, 'calories'],
  [/^(?:done|none|no score|completed)/i, 'done'],
];

/** Takes the settings lines out of a paragraph. */
export function takeSettings(lines: readonly Line[], report: (problem: ReadProblem) => void): { settings: Settings; body: Line[] } {
  const settings: Settings = {
    name: null,
    score: null,
    window: null,
    intent: null,
    capSeconds: null,
    optional: false,
    noPartition: false,
    startsAtFinishOrCap: false,
    alternate: false,
    vest: null,
    notes: [],
  };
  const body: Line[] = [];
  for (const line of lines) {
    const labelled = /^(score|window|intent|stimulus|note|notes|cap|time cap|part)\s*:\s*(.+)$/i.exec(line.text);
    const label = labelled?.[1]?.toLowerCase();
    const value = labelled?.[2]?.trim() ?? '';
    const vest = /^with (?:a )?vest(?:\s*@?\s*(\d+(?:\.\d+)?(?:\s*\/\s*\d+(?:\.\d+)?)?)\s*(kg|lb|lbs)?)?$/i.exec(line.text);
    if (label === 'score') {
      const found = scoreWords.find(([pattern]) => pattern.test(value));
      if (found) settings.score = found[1];
      else
        report({
          code: 'unreadable',
          span: spanOfLine(line),
          text: line.text,
          expected: 'time, rounds, reps, load, distance, calories, each set, sum or done',
        });
    } else if (label === 'window' && !/^\d+$/.test(value)) {
      const window = readWindow(value, null);
      if (window) settings.window = window;
      else report({ code: 'unreadable', span: spanOfLine(line), text: line.text, expected: 'a window such as “8:00-11:00” or “7-10 rounds”' });
    } else if (label === 'intent' || label === 'stimulus') {
      settings.intent = settings.intent ? `${settings.intent}; ${value}` : value;
      settings.window ??=
        value
          .split(/[,;]/)
          .map((clause) => readWindow(clause, null))
          .find(Boolean) ?? null;
    } else if (label === 'note' || label === 'notes') settings.notes.push(value);
    else if (label === 'cap' || label === 'time cap' || /^(?:time )?cap \d/i.test(line.text))
      settings.capSeconds = readClauses(line.text.replace(':', ' ')).capSeconds ?? readClauses(`cap ${value}`).capSeconds;
    else if (label === 'part') settings.name = value;
    else if (/^optional\s*:?$/i.test(line.text)) settings.optional = true;
    else if (/^no partition(?:ing)?$/i.test(line.text)) settings.noPartition = true;
    else if (/^starts? at (?:the )?finish or cap$/i.test(line.text)) settings.startsAtFinishOrCap = true;
    else if (/^alternat(?:e|ing)\s*:?$/i.test(line.text)) settings.alternate = true;
    else if (vest) {
      const columns = readColumns(vest[1] ?? '9/6')!;
      const pounds = vest[2]?.toLowerCase().startsWith('lb') ?? false;
      settings.vest = {
        men: pounds ? poundsToKilograms(columns.men) : columns.men,
        women: pounds ? poundsToKilograms(columns.women) : columns.women,
        unit: pounds ? 'lb' : 'kg',
      };
    } else body.push(line);
  }
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
    notes: settings.notes,
  };
}
