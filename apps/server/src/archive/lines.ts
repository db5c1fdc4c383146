/** Lines of a gzipped text of a file, one after the other; nothing longer than a line is ever held. */
import { pipeline, type Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { Problem } from '../platform/errors';

/** letters of a line: a version with its page */
const longestLine = 400_000;
/** more lines than a desk of years has */
const mostLines = 2_000_000;

export const bad = (detail: string): Problem => new Problem('bad_archive', detail);

export interface NumberedLine {
  readonly text: string;
  /** from 1 */
  readonly at: number;
}

/** @throws {Problem} bad_archive where it cannot be unpacked, is cut short, or a line has no end */
export async function* linesOf(file: Readable): AsyncGenerator<NumberedLine> {
  const unzipped = createGunzip();
  // what fails in the file or in unpacking it ends the loop below
  pipeline(file, unzipped, () => undefined);
  unzipped.setEncoding('utf8');
  let rest = '';
  let at = 0;
  try {
    for await (const chunk of unzipped as AsyncIterable<string>) {
      const lines = `${rest}${chunk}`.split('\n');
      rest = lines.pop()!;
      if (rest.length > longestLine || at > mostLines) throw bad(`Line ${at + lines.length + 1} has no end.`);
      for (const text of lines) {
        at++;
        if (text.trim() !== '') yield { text, at };
      }
    }
    if (rest.trim() !== '') yield { text: rest, at: at + 1 };
  } catch (error) {
    throw error instanceof Problem ? error : bad('It cannot be unpacked: it is no gzip file, or was cut short.');
  }
}
