/** What may stand where the cursor is: after a count a movement; at the start of a line a header or a statement of the coach's too. Tab takes it. */
import { movements, needsInWords, type Movement } from '@gambito/core';
import { shortDay } from '../shell/days';
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';

/** what comes first in a line: a bullet, a station's number, a count with its unit */
const line = /^(\s*(?:[-*•]\s+)?(?:\d+:\s+)?)((?:\d[\d.,/:+-]*\s*(?:x\s*)?(?:(?:m|km|cal|s|min)\s+)?)?)([a-z][a-z0-9 -]*)$/i;
const shortest = 2;
/** the latest day of each movement, by its id */
export type LastUsed = ReadonlyMap<string, string>;
const neverUsed: LastUsed = new Map();

const headers: readonly Completion[] = [
  { label: 'AMRAP 12:00', detail: 'as many rounds as possible' },
  { label: 'for time, cap 12:00', detail: 'with its cap' },
  { label: 'EMOM 12:00', detail: 'every minute' },
  { label: 'every 3:00 x 5', detail: 'every so often' },
  { label: 'max load in 15:00', detail: 'the heaviest' },
  { label: 'strength', detail: 'sets, not against the clock' },
  { label: 'for quality', detail: 'no score' },
  { label: 'rest 2:00', detail: 'between two parts' },
  { label: 'intent: 7-10 rounds, moderate', detail: 'what it is for' },
  { label: 'window: 8:00-12:00', detail: 'where the score should lie' },
  { label: 'score: each set', detail: 'what counts' },
].map((header) => ({ ...header, type: 'header', boost: 20 }));

/** Plurals and hyphens make no other name. */
const bare = (name: string): string => name.toLowerCase().replace(/[- ]/g, '').replace(/e?s$/, '');

const capitals = (text: string): boolean => text.length > 1 && text === text.toUpperCase();

/** A movement under its name and under what else it is called: taken is its name. What was used before comes first. */
function optionsOf({ id, name, aliases, needs, standards }: Movement, lastUsed: LastUsed): Completion[] {
  const need = needsInWords(needs);
  const last = lastUsed.get(id);
  const detail = [need === 'nothing' ? 'no kit' : `needs ${need}`, ...(last === undefined ? [] : [`last ${shortDay(last)}`])].join(', ');
  const boost = last === undefined ? 0 : usedBoost;
  const written = capitals(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
  const info = standards[0];
  const common = { apply: written, detail, type: 'movement', ...(info ? { info } : {}) };
  return [
    { label: written, ...common, boost },
    ...aliases
      .filter((alias) => bare(alias) !== bare(name))
      .map((alias) => ({ label: alias, displayLabel: `${alias} → ${written}`, ...common, boost: boost - 10 })),
  ];
}
/** how far a movement that was used goes before others */
const usedBoost = 5;
const known = new WeakMap<LastUsed, Completion[]>();
function movementOptions(lastUsed: LastUsed): Completion[] {
  const options =
    known.get(lastUsed) ?? movements.filter(({ anyOf, prepareOnly }) => !anyOf && !prepareOnly).flatMap((movement) => optionsOf(movement, lastUsed));
  known.set(lastUsed, options);
  return options;
}

/** @returns null where nothing is to be completed */
export function complete(
  { state, pos, explicit }: Pick<CompletionContext, 'state' | 'pos' | 'explicit'>,
  lastUsed: LastUsed = neverUsed,
): CompletionResult | null {
  const start = state.doc.lineAt(pos);
  const read = line.exec(state.doc.sliceString(start.from, pos));
  if (!read) return null;
  const [, , count = '', typed = ''] = read;
  if (typed.length < shortest && !explicit) return null;
  const options = count === '' ? [...headers, ...movementOptions(lastUsed)] : movementOptions(lastUsed);
  // what stands there already is no help
  if (options.some(({ label }) => label.toLowerCase() === typed.toLowerCase().trimEnd())) return null;
  return { from: pos - typed.length, options, validFor: /^[a-z][a-z0-9 -]*$/i };
}
