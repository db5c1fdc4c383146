/** A place in a line's tokens. Rules take from it, or leave it where it was and return null; what no rule took is still there to be told. */
import { lex, type Token } from './lexer';
import { remembered } from './remembered';

interface Pattern {
  readonly options: ReadonlySet<string>;
  readonly optional: boolean;
}
/** The patterns of `phrase`, taken apart once: as many as the grammar has. */
const patterns = new Map<string, Pattern>();
function patternOf(pattern: string): Pattern {
  const known = patterns.get(pattern);
  if (known) return known;
  const optional = pattern.endsWith('?');
  const made = { optional, options: new Set((optional ? pattern.slice(0, -1) : pattern).split('|')) };
  patterns.set(pattern, made);
  return made;
}

/** A line is looked at by many rules, and a text is read again at every key: its tokens, which nobody changes, are made once. */
const tokensOf = remembered<readonly Token[]>(lex, 1_000);

export class Cursor {
  private constructor(
    readonly source: string,
    readonly tokens: readonly Token[],
    public at: number,
    readonly end: number,
  ) {}

  static over(source: string): Cursor {
    const tokens = tokensOf(source);
    return new Cursor(source, tokens, 0, tokens.length);
  }

  /** The same line, from one token to another. */
  part(from: number, to: number): Cursor {
    return new Cursor(this.source, this.tokens, from, to);
  }

  get done(): boolean {
    return this.at >= this.end;
  }

  peek(ahead = 0): Token | null {
    const at = this.at + ahead;
    return at < this.end && at >= 0 ? this.tokens[at]! : null;
  }

  next(): Token | null {
    const token = this.peek();
    if (token) this.at++;
    return token;
  }

  isWord(words: readonly string[] | string, ahead = 0): boolean {
    const token = this.peek(ahead);
    return token !== null && token.kind === 'word' && (typeof words === 'string' ? token.text === words : words.includes(token.text));
  }

  isSign(sign: string, ahead = 0): boolean {
    const token = this.peek(ahead);
    return token !== null && token.kind === 'sign' && token.text === sign;
  }

  isNumber(ahead = 0): boolean {
    return this.peek(ahead)?.kind === 'number';
  }

  /** Takes the next token when it is one of these words. */
  word(...words: readonly string[]): boolean {
    if (!this.isWord(words)) return false;
    this.at++;
    return true;
  }

  /** Takes these words, one after the other, or none of them. A word may offer several: `'rest|pause'`; `'of?'` may be missing; hyphens between are passed over. */
  phrase(...words: readonly string[]): boolean {
    const start = this.at;
    for (const pattern of words) {
      const { options, optional } = patternOf(pattern);
      const hyphen = this.at > start && this.isSign('-') ? 1 : 0;
      const token = this.peek(hyphen);
      if (token?.kind === 'word' && options.has(token.text)) this.at += hyphen + 1;
      else if (!optional) {
        this.at = start;
        return false;
      }
    }
    return this.at > start;
  }

  sign(...signs: readonly string[]): boolean {
    const token = this.peek();
    if (!token || token.kind !== 'sign' || !signs.includes(token.text)) return false;
    this.at++;
    return true;
  }

  /** Runs a rule; where it gives null nothing was taken. */
  try<T>(rule: (cursor: Cursor) => T | null): T | null {
    const start = this.at;
    const found = rule(this);
    if (found === null) this.at = start;
    return found;
  }

  /** The text as written, from one token up to (not including) another. */
  text(from = this.at, to = this.end): string {
    if (from >= to) return '';
    return this.source.slice(this.tokens[from]!.at, this.tokens[to - 1]!.end);
  }
}
