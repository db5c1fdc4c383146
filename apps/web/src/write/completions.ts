/** What may stand where the cursor is: after a count a movement; at the start of a line a header or a statement of the coach's too. Tab takes it. */
import { movements, needsInWords, type Movement } from '@gambito/core';
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';

/** what comes first in a line: a bullet, a station's number, a count with its unit */
const line = /^(\s*(?:[-*•]\s+)?(?:\d+:\s+)?)((?:\d[\d.,/:+-]*\s*(?:x\s*)?(?:(?:m|km|cal|s|min)\s+)?)?)([a-z][a-z0-9 -]*)$/i;
const shortest = 2;

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

/** A movement under its name and under what else it is called: taken is its name. */
function optionsOf({ name, aliases, needs, standards }: Movement): Completion[] {
  const need = needsInWords(needs);
  const detail = need === 'nothing' ? 'no kit' : `needs ${need}`;
  const written = capitals(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
  const info = standards[0];
  const common = { apply: written, detail, type: 'movement', ...(info ? { info } : {}) };
  return [
    { label: written, ...common },
    ...aliases.filter((alias) => bare(alias) !== bare(name)).map((alias) => ({ label: alias, displayLabel: `${alias} → ${written}`, ...common, boost: -10 })),
  ];
}
let known: Completion[] | null = null;
const movementOptions = (): Completion[] => (known ??= movements.filter(({ anyOf, prepareOnly }) => !anyOf && !prepareOnly).flatMap(optionsOf));

/** @returns null where nothing is to be completed */
export function complete({ state, pos, explicit }: Pick<CompletionContext, 'state' | 'pos' | 'explicit'>): CompletionResult | null {
  const start = state.doc.lineAt(pos);
  const read = line.exec(state.doc.sliceString(start.from, pos));
  if (!read) return null;
  const [, , count = '', typed = ''] = read;
  if (typed.length < shortest && !explicit) return null;
  const options = count === '' ? [...headers, ...movementOptions()] : movementOptions();
  // what stands there already is no help
  if (options.some(({ label }) => label.toLowerCase() === typed.toLowerCase().trimEnd())) return null;
  return { from: pos - typed.length, options, validFor: /^[a-z][a-z0-9 -]*$/i };
}
