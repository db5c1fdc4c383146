/**
 * A line of whiteboard text → tokens with their places. The one lexer of the house: workout, kit, scores and figures are all read from its tokens.
 * Linear in the length of the line: every pattern is anchored, none can go back over what it took.
 */
import moo from 'moo';

export interface Token {
  /** `quote`: words in double quotes, taken as they stand */
  readonly kind: 'number' | 'clock' | 'word' | 'sign' | 'quote';
  /** folded: lower case, plain dashes, quotes and times signs */
  readonly text: string;
  /** of a number or, in seconds, of a clock; NaN for the rest */
  readonly value: number;
  /** characters from the start of the line */
  readonly at: number;
  readonly end: number;
  /** white space stands before it */
  readonly spaced: boolean;
}

const folds: Readonly<Record<string, string>> = {
  '×': 'x',
  '✕': 'x',
  '✖': 'x',
  '–': '-',
  '—': '-',
  '−': '-',
  '‐': '-',
  '‑': '-',
  '’': "'",
  '‘': "'",
  '′': "'",
  '“': '"',
  '”': '"',
  '„': '"',
  '″': '"',
  '\u00a0': ' ',
  '\u2009': ' ',
  '\t': ' ',
};
/** Lower case and plain signs, every character as long as before, so that places stay true. */
export function fold(text: string): string {
  let folded = '';
  for (const sign of text) {
    const lower = folds[sign] ?? sign.toLowerCase();
    folded += lower.length === sign.length ? lower : sign;
  }
  return folded;
}

const fractions: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 };

const machine = moo.compile({
  space: /[ ]+/u,
  quote: /(?<=^|[ (,:])"[^"]+"(?=$|[ ,;):])/u,
  clock: /\d{1,3}:\d{2}(?::\d{2})?(?!\d)|:\d{2}(?![\d:])/u,
  number: /\d+(?:\.\d+)?|(?<!\.)\.\d+|[½¼¾⅓⅔]/u,
  // t2b, k2e, e2mom, a1: a figure inside a word; an x before a figure is "times"
  mixed: { match: /(?!x\d)\p{L}{1,2}\d{1,2}(?:\p{L}+|(?![\p{L}\d.:]))/u, value: (text) => text },
  word: /\p{L}[\p{L}\p{M}]*(?:'\p{L}+)*/u,
  sign: { match: /[^]/u, lineBreaks: true },
});

/** `8:41` → 521, `:30` → 30, `1:02:30` → 3750. */
function secondsOf(clock: string): number {
  return clock.split(':').reduce((sum, figure) => sum * 60 + Number(figure === '' ? 0 : figure), 0);
}

/** a figure beyond it is read as this one, and told (notation/lines.ts): nothing is computed with what is not finite */
export const mostFigure = 1e9;
const valueOf = (text: string): number => Math.min(mostFigure, fractions[text] ?? Number(text));

/** @param line one line, raw */
export function lex(line: string): Token[] {
  const tokens: Token[] = [];
  let spaced = false;
  for (const { type, text, offset } of machine.reset(fold(line))) {
    if (type === 'space') {
      spaced = true;
      continue;
    }
    const kind = type === 'mixed' ? 'word' : (type as Token['kind']);
    const value = kind === 'clock' ? secondsOf(text) : kind === 'number' ? valueOf(text) : NaN;
    const before = tokens[tokens.length - 1];
    // 1½ is one figure
    if (before?.kind === 'number' && !spaced && fractions[text] !== undefined)
      tokens[tokens.length - 1] = { ...before, text: `${before.text}${text}`, value: before.value + value, end: offset + text.length };
    else tokens.push({ kind, text, value, at: offset, end: offset + text.length, spaced });
    spaced = false;
  }
  return tokens;
}
