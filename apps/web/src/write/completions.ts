/** What may stand where the cursor is: after a count a movement; at the start of a line a header or a statement of the coach's too. Tab takes it. */
import { definedIn, movements, needsInWords, ownLine, wordsOf, type DefinedMovement, type Movement } from '@gambito/core';
import { shortDay } from '../shell/days';
import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete';

/** what comes first in a line: a bullet, a station's number, a count with its unit */
const line = /^(\s*(?:[-*•]\s+)?(?:\d+:\s+)?)((?:\d[\d.,/:+-]*\s*(?:x\s*)?(?:(?:m|km|cal|s|min)\s+)?)?)([a-z][a-z0-9 -]*)$/i;
const shortest = 2;
/** What the coach used before, and made up. */
export interface Known {
  /** the latest day of each movement, by its id */
  readonly lastUsed: ReadonlyMap<string, string>;
  readonly own: readonly DefinedMovement[];
}
export const nothingKnown: Known = { lastUsed: new Map(), own: [] };

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
function optionsOf({ id, name, aliases, needs, standards }: Movement, { lastUsed }: Known): Completion[] {
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
const made = new WeakMap<Known, Completion[]>();
function movementOptions(known: Known): Completion[] {
  const options = made.get(known) ?? [
    ...known.own.map(ownOption),
    ...movements.filter(({ anyOf, prepareOnly }) => !anyOf && !prepareOnly).flatMap((movement) => optionsOf(movement, known)),
  ];
  made.set(known, options);
  return options;
}

/** A movement of the coach's own: its name, and at the end of the text the line that defines it, unless it stands there. */
const ownOption = ({ own, as }: DefinedMovement): Completion => ({
  label: own.name,
  detail: `your own, as ${wordsOf(as)}`,
  type: 'movement',
  boost: usedBoost,
  apply: (view, _completion, from, to) => {
    const { doc } = view.state;
    const stands = doc
      .toString()
      .split('\n')
      .some((text) => definedIn(text)?.own.name.toLowerCase() === own.name.toLowerCase());
    const line = `${doc.line(doc.lines).text.trim() === '' ? '' : '\n'}\n${ownLine(own, wordsOf(as))}`;
    view.dispatch({
      changes: [{ from, to, insert: own.name }, ...(stands ? [] : [{ from: doc.length, insert: line }])],
      selection: { anchor: from + own.name.length },
    });
  },
});

/** @returns null where nothing is to be completed */
export function complete(
  { state, pos, explicit }: Pick<CompletionContext, 'state' | 'pos' | 'explicit'>,
  known: Known = nothingKnown,
): CompletionResult | null {
  const start = state.doc.lineAt(pos);
  const read = line.exec(state.doc.sliceString(start.from, pos));
  if (!read) return null;
  const [, , count = '', typed = ''] = read;
  if (typed.length < shortest && !explicit) return null;
  const options = count === '' ? [...headers, ...movementOptions(known)] : movementOptions(known);
  // what stands there already is no help
  if (options.some(({ label }) => label.toLowerCase() === typed.toLowerCase().trimEnd())) return null;
  return { from: pos - typed.length, options, validFor: /^[a-z][a-z0-9 -]*$/i };
}
