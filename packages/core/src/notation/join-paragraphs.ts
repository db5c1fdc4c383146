/** Blank lines that part nothing: under a header or a label that stands alone, before a clause that stands alone, and in a text with a blank line after every line. */
import { isWork } from './is-work';
import { hasClock, isClause, type Header } from './header';
import { readSectionLabel } from './labels';
import { cursorOf, restOfLine, type Line } from './lines';
import { readHeader } from './read-header';
import { isSetting } from './read-settings';
import { isHeading, takeProse } from './split-paragraph';

type Paragraph = readonly Line[];

/** A line that is a header and no work, whatever else it says; one that begins with "then" is a piece of its own. */
function headerAlone(line: Line): Header | null {
  const cursor = cursorOf(line);
  if (cursor.isWord('then')) return null;
  const header = readHeader(cursor);
  return header !== null && (cursor.done || !isWork(restOfLine(line, cursor, cursor.at))) ? header : null;
}
const isRestClock = ({ clock }: Header): boolean => clock?.kind === 'rest' || clock?.kind === 'restUntil';

/** The line behind its label, where it has one; null where the label is all of it. */
function behindLabel(line: Line): { labelled: boolean; line: Line | null } {
  const cursor = cursorOf(line);
  if (readSectionLabel(cursor) === null) return { labelled: false, line };
  return { labelled: true, line: cursor.done ? null : restOfLine(line, cursor, cursor.at) };
}

/** A header or a label that waits for its work: the work may stand below a blank line. */
function opens(paragraph: Paragraph): { label: boolean; clock: boolean } | null {
  const [first, ...below] = takeProse(paragraph).lines;
  if (!first) return null;
  const { labelled, line } = behindLabel(first);
  const lines = (line ? [line, ...below] : below).filter((each) => !isSetting(each));
  const headers = lines.map(headerAlone);
  if (headers.some((header) => header === null || isRestClock(header))) return null;
  const clock = headers.some((header) => header !== null && hasClock(header));
  return labelled || headers.length > 0 ? { label: labelled, clock } : null;
}
/** Clauses alone, such as a cap or a rest between rounds. */
const isClauses = (paragraph: Paragraph): boolean =>
  paragraph.every((line) => {
    const header = headerAlone(line);
    return header !== null && isClause(header);
  });
/** Does a paragraph begin a part by itself? */
function begins(paragraph: Paragraph): 'label' | 'clock' | null {
  const { labelled, line } = behindLabel(paragraph[0]!);
  if (labelled) return 'label';
  const header = line && readHeader(cursorOf(line));
  return header && hasClock(header) ? 'clock' : null;
}

/** Whether the next paragraph is the work of the one above it. */
function belongs(above: Paragraph, next: Paragraph): boolean {
  const open = opens(above);
  const start = begins(next);
  if (start === 'label') return isHeading(above);
  return open !== null && !(open.clock && start === 'clock');
}

/** A line, a blank line, a line: blank lines say nothing there. */
const isSpacedOut = (paragraphs: readonly Paragraph[]): boolean => paragraphs.length > 2 && paragraphs.every(({ length }) => length === 1);

/** Paragraphs → paragraphs, each with its header, its work and its clauses. */
export function joinParagraphs(paragraphs: readonly Paragraph[]): Paragraph[] {
  const spacedOut = isSpacedOut(paragraphs);
  const joined: Paragraph[] = [];
  let waited = false;
  for (const paragraph of paragraphs) {
    const above: Paragraph | undefined = joined.at(-1);
    const goesOn: boolean = waited && spacedOut && begins(paragraph) === null;
    const joins: boolean = above !== undefined && (goesOn || belongs(above, paragraph) || (isClauses(paragraph) && opens(above) === null));
    if (above === undefined || !joins) joined.push(paragraph);
    else joined[joined.length - 1] = [...above, ...paragraph];
    waited = joins && (waited || opens(above ?? []) !== null);
  }
  return joined;
}
