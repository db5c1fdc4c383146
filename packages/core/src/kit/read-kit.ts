/**
 * Free text → kit: `15 kg dumbbell`, `pair of 20s`, `barbell 20 kg, plates 4x10 2x5 kg`, `box 20/24/30 in`, `run route 200 m, 800 m`.
 * A figure with a unit is a mass or a length, without one a count. What is not understood is a problem with what was expected; the rest of the line is kept,
 * and what had to be taken for granted (a bar's mass, the steps of a set, usual plates) is said.
 */
import { Cursor } from '../text/cursor';
import { mayDeny, readKitMessage } from '../message/kit-message';
import type { Category } from '../workout/workout';
import { readAmounts, type Amounts } from './amounts';
import { families, type Family } from './families';
import type { KitItem } from './kit';
import { describeItems } from './describe-items';
import { outsideOf } from './item-ranges';

export interface KitProblem {
  readonly code: 'unknown_item' | 'odd_plate' | 'no_mass' | 'assumed' | 'read_as' | 'unread_figure' | 'overdue';
  readonly line: number;
  readonly text: string;
  readonly message: string;
}
export interface KitOptions {
  /** whose bar, where its mass is not told: 20 kg for men, 15 kg for women */
  readonly category?: Category;
  /** what a mass without a unit is in, where it can only be a mass (`pair of 20s`) */
  readonly units?: 'kg' | 'lb';
  /** ISO date: what was lent until before it is asked about */
  readonly today?: string;
}
export interface ReadKit {
  readonly items: readonly KitItem[];
  readonly problems: readonly KitProblem[];
  /** for each line, what was understood of it, in words; empty where nothing was */
  readonly understood: readonly string[];
}
/** A set of this many steps or more is a slip of the pen. */
const mostSteps = 120;
const mostLines = 300;
const mostLength = 400;

/** `kettlebell 16 kg, lent until 2026-12-24`: it is there, and goes back. */
const lentUntil = /\s*[,;(]?\s*(?:lent|borrowed|on loan)\s+(?:until|till|to)\s+(\d{4}-\d{2}-\d{2})\)?\s*$/i;
function takeLoan(line: string): { text: string; until: string | null } {
  const found = lentUntil.exec(line);
  return { text: found ? line.slice(0, found.index) : line, until: found?.[1] ?? null };
}

interface Piece {
  readonly text: string;
  readonly cursor: Cursor;
}

/** Where a family's words stand in a piece; the longest, and of equal ones the first in the list. */
function familyOf(cursor: Cursor): Family | null {
  let best: { family: Family; length: number } | null = null;
  for (const family of families)
    for (let at = cursor.at; at < cursor.end; at++) {
      const ahead = cursor.part(at, cursor.end);
      const words = family.words.find((each) => ahead.part(at, cursor.end).phrase(...each));
      if (words && words.length > (best?.length ?? 0)) best = { family, length: words.length };
    }
  return best?.family ?? null;
}

/** Commas, semicolons and "and" part items; a fragment that names no implement, or only plates, collars or a step, goes on with the one before. */
function piecesOf(line: string): Piece[] {
  const whole = Cursor.over(line);
  const cuts = [whole.at];
  let depth = 0;
  for (let at = whole.at; at < whole.end; at++) {
    const token = whole.tokens[at]!;
    if (token.text === '(') depth++;
    if (token.text === ')') depth--;
    const decimal = token.text === ',' && !token.spaced && whole.tokens[at + 1]?.kind === 'number' && !whole.tokens[at + 1]!.spaced;
    const parts =
      (token.kind === 'sign' && [',', ';', '&'].includes(token.text) && !decimal) || (token.kind === 'word' && ['and', 'plus'].includes(token.text));
    if (parts && depth <= 0) cuts.push(at + 1);
  }
  const pieces: { from: number; to: number }[] = [];
  cuts.forEach((from, index) => {
    const to = index + 1 < cuts.length ? cuts[index + 1]! - 1 : whole.end;
    if (from >= to) return;
    const fragment = whole.part(from, to);
    const family = familyOf(fragment);
    const goesOn =
      family === null
        ? fragment.isNumber() || fragment.isWord(['step', 'steps', 'pair', 'pairs', 'each', 'up', 'in', 'light', 'medium', 'heavy', 'thin', 'thick'])
        : family.joins;
    const last = pieces[pieces.length - 1];
    if (last && goesOn && (family === null || familyOf(whole.part(last.from, last.to))?.takesPlates)) last.to = to;
    else pieces.push({ from, to });
  });
  return pieces.map(({ from, to }) => ({ text: whole.text(from, to), cursor: whole.part(from, to) }));
}

interface Told {
  readonly items: readonly KitItem[];
  readonly problems: readonly Omit<KitProblem, 'line' | 'text'>[];
}
const expectedItem = 'an implement, furniture or machine, such as “dumbbell 15 kg x 2”, “chair 45 cm” or “rope”';

function readPiece({ text, cursor }: Piece, options: KitOptions): Told {
  const amounts = readAmounts(cursor.part(cursor.at, cursor.end), options.units ?? 'kg');
  const family = familyOf(cursor) ?? (amounts.pairs && amounts.masses.length > 0 ? families.find(({ id }) => id === 'dumbbell')! : null);
  if (!family) return { items: [], problems: [{ code: 'unknown_item', message: `“${text}”: expected ${expectedItem}.` }] };
  if (amounts.negative) return { items: [], problems: [{ code: 'no_mass', message: `“${text}”: a mass below nothing; expected ${family.expected}.` }] };
  const made = family.make(amounts, { text: cursor.text(cursor.at, cursor.end).toLowerCase(), category: options.category ?? null });
  if (made.items.length > mostSteps)
    return {
      items: [],
      problems: [{ code: 'no_mass', message: `“${text}” makes ${made.items.length} loads; expected steps that are not finer than a plate.` }],
    };
  const outside = outsideOf(made.items);
  if (outside)
    return { items: [], problems: [{ code: 'no_mass', message: `“${text}”: a figure is outside of ${outside.said}; expected ${family.expected}.` }] };
  if (made.missing) return { items: [], problems: [{ code: 'no_mass', message: `“${text}”: expected ${family.expected}.` }] };
  return {
    items: made.items,
    problems: [
      ...made.assumed.map((said) => ({ code: 'assumed' as const, message: `“${text}”: ${said}.` })),
      ...unusedFigures(text, amounts, family),
      ...oddPlates(made.items),
    ],
  };
}

/** Figures that a family makes nothing of. */
function unusedFigures(text: string, amounts: Amounts, family: Family): Told['problems'] {
  const left = amounts.all.filter((amount) => !family.takes.includes(amount.what));
  return left.map((amount) => ({ code: 'unread_figure', message: `“${text}”: the figure ${amount.text} is not used; expected ${family.expected}.` }));
}
function oddPlates(items: readonly KitItem[]): Told['problems'] {
  const bars = items.filter((item) => item.kind === 'barbell');
  return bars.flatMap((bar) =>
    bar.plates
      .filter(({ pieces }) => pieces % 2 === 1)
      .map(({ grams }) => ({ code: 'odd_plate' as const, message: `One ${grams / 1000} kg plate has no partner and stays off the bar.` })),
  );
}

/** Plates on a line of their own go onto a bar that has none. */
function loadBars(items: readonly KitItem[]): KitItem[] {
  const loose = items.filter((item) => item.kind === 'plate').map(({ grams, count }) => ({ grams, pieces: count }));
  return items.map((item) => (item.kind === 'barbell' && item.plates.length === 0 && loose.length > 0 ? { ...item, plates: loose } : item));
}

interface ToldPiece extends Told {
  readonly piece: Piece;
}
/** not what was understood and cannot be, such as a mass below nothing */
const isUnread = ({ problems }: Told): boolean => problems.some(({ code }) => code === 'unknown_item' || code === 'unread_figure');

/** a name that stands in the line, and what would be made of it */
const named: readonly (readonly [RegExp, readonly KitItem['kind'][]])[] = [
  [/\b(?:kettlebells?|kbs?)\b/i, ['kettlebell']],
  [/\b(?:dumbbells?|dumbells?|dbs?)\b/i, ['dumbbell', 'adjustable', 'handles']],
  [/\bsandbags?\b/i, ['sandbag']],
  [/\bbarbells?\b/i, ['barbell']],
  [/\bclimb(?:ing)?[- ]?ropes?\b/i, ['climbingRope']],
];

/** Read without a remark, and yet as nobody means it: a bar that became plates alone, kettlebells of a kilogram, poods as kilograms, steps in another unit than their ends. */
function isOdd(line: string, told: readonly ToldPiece[]): boolean {
  // one thing that was understood, and refused with what was expected
  if (told.length === 1 && told.some(({ problems }) => problems.some(({ code }) => code === 'no_mass'))) return false;
  const items = told.flatMap((each) => each.items);
  const hasBar = items.some(({ kind }) => kind === 'barbell');
  return (
    (/^\W*(?:i have |i've |got )?(?:two|2) \w*bells\b/i.test(line) && items.length === 2 && items.every((item) => 'count' in item && item.count === 2)) ||
    (/\bbars?\b/i.test(line) && !hasBar && !items.some(({ kind }) => kind === 'bar' || kind === 'lowBar' || kind === 'dipBar')) ||
    items.some((item) => item.kind === 'kettlebell' && item.grams < 3000) ||
    /\bpoods?\b|\b3[- ]?(?:in[- ]?1|way)\b/i.test(line) ||
    /\d ?lbs? (?:in|by) \d/i.test(line) ||
    named.some(([pattern, kinds]) => pattern.test(line) && !items.some(({ kind }) => kinds.includes(kind)))
  );
}

/** a list under a name, or a table, of which no mass was read */
const isListed = (line: string, { problems }: Told): boolean => /[:\n\t]/.test(line) && problems.some(({ code }) => code === 'no_mass');
const loan = /\b(?:lent|borrowed|on loan)\s+(?:until|till)\b/i;
/** A sentence: something is denied, it comes out as nobody means it, or half of its pieces and more are not understood. */
const isSentence = (line: string, typed: readonly ToldPiece[]): boolean =>
  !loan.test(line) &&
  (mayDeny(line) || isOdd(line, typed) || 2 * typed.filter((each) => isUnread(each) || isListed(line, each)).length >= Math.max(1, typed.length));

/** A line as people type it; where it is a sentence, what it says is there. */
function toldOf(line: string, options: KitOptions): ToldPiece[] {
  const typed = piecesOf(line).map((piece) => ({ piece, ...readPiece(piece, options) }));
  if (!isSentence(line, typed)) return typed;
  const { lines, not, unclear, unused, aside } = readKitMessage(line);
  if (lines.length + not.length + unclear.length === 0) return typed;
  const said = lines.flatMap((each) => piecesOf(each)).map((piece) => ({ piece, ...readPiece(piece, options) }));
  const [whole] = piecesOf(line);
  const words = [
    lines.join('; ') || 'nothing',
    ...(not.length > 0 ? [`not there: ${not.join(', ')}`] : []),
    ...(unclear.length > 0 ? [`not clear: ${unclear.join(', ')} (say how heavy it is; a bar to hang from is a “pull-up bar”)`] : []),
    ...(unused.length > 0 ? [`not used: ${unused.join(', ')}`] : []),
    ...(aside.length > 0 ? [`left aside: “${aside.join('”, “')}”`] : []),
  ];
  const message = `“${line.trim().slice(0, 80)}” is read as: ${words.join('; ')}.`;
  return [...said, ...(whole ? [{ piece: whole, items: [], problems: [{ code: 'read_as' as const, message }] }] : [])];
}

/** @param lines kit lines as written; blank ones are passed over */
export function readKit(lines: readonly string[], options: KitOptions = {}): ReadKit {
  const items: KitItem[] = [];
  const problems: KitProblem[] = [];
  const understood: string[] = [];
  lines.slice(0, mostLines).forEach((raw, index) => {
    const { text: line, until } = takeLoan(raw.slice(0, mostLength).replace(/^\s*[-*•]\s+/, ''));
    if (raw.length > mostLength)
      problems.push({
        code: 'unknown_item',
        line: index + 1,
        text: raw.slice(0, 40),
        message: `Line ${index + 1} has ${raw.length} characters; the first ${mostLength} are read.`,
      });
    const told = toldOf(line, options);
    for (const { piece, ...each } of told) {
      items.push(...each.items);
      problems.push(...each.problems.map((problem) => ({ ...problem, line: index + 1, text: piece.text })));
    }
    if (until !== null && options.today !== undefined && until < options.today)
      problems.push({ code: 'overdue', line: index + 1, text: raw, message: `“${line.trim()}” was lent until ${until}: is it still there?` });
    const words = describeItems(told.flatMap((each) => each.items));
    understood.push(until !== null && words !== '' ? `${words}, lent until ${until}` : words);
  });
  if (lines.length > mostLines)
    problems.push({ code: 'unknown_item', line: mostLines, text: '', message: `A kit of ${lines.length} lines; the first ${mostLines} are read.` });
  return { items: loadBars(items), problems, understood };
}
