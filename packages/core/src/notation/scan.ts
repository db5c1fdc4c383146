/** Text → lines: characters folded, bullets and comments gone, indentation counted, blank lines kept as paragraph breaks. */
export interface Line {
  /** from 1 */
  readonly number: number;
  /** characters before the text, bullets included */
  readonly indent: number;
  readonly text: string;
}

const folds: readonly [RegExp, string][] = [
  [/[×✕✖]/g, 'x'],
  [/[–—−‐‑]/g, '-'],
  [/[’‘′]/g, "'"],
  [/[“”″]/g, '"'],
  [/…/g, '...'],
  [/\u00a0/g, ' '],
];

/** Same length in and out except for the ellipsis, so that columns stay true. */
function fold(text: string): string {
  return folds.reduce((folded, [from, to]) => folded.replace(from, to), text);
}

/** @returns one entry a line; a blank line has empty text */
export function scanLines(source: string): Line[] {
  return source.split(/\r\n|\r|\n/).map((raw, index) => {
    const folded = fold(raw.replace(/\t/g, '    '));
    const lead = /^\s*(?:[-*•·]\s+)?/.exec(folded)![0].length;
    return { number: index + 1, indent: folded.trim() === '' ? 0 : lead, text: folded.slice(lead).trimEnd() };
  });
}

/** Lines → paragraphs, split at blank lines. */
export function paragraphsOf(lines: readonly Line[]): Line[][] {
  const paragraphs: Line[][] = [];
  let current: Line[] = [];
  for (const line of lines) {
    if (line.text !== '') current.push(line);
    else if (current.length > 0) {
      paragraphs.push(current);
      current = [];
    }
  }
  return current.length > 0 ? [...paragraphs, current] : paragraphs;
}

/** Splits at a sign outside brackets. `splitOutside('a | (b | c)', '|')` → `['a ', ' (b | c)']` */
export function splitOutside(text: string, sign: string): string[] {
  const pieces: string[] = [];
  let depth = 0;
  let from = 0;
  for (let at = 0; at < text.length; at++) {
    if (text[at] === '(') depth++;
    else if (text[at] === ')') depth--;
    else if (depth === 0 && text.startsWith(sign, at)) {
      pieces.push(text.slice(from, at));
      from = at + sign.length;
    }
  }
  return [...pieces, text.slice(from)];
}
