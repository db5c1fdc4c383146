/** One paragraph may hold several parts (`Part A:`, `B)`, "then", a second clock), and prose above its header. Here it is cut, before anything is read. */
import { findMovement, nearMovements } from '../movements/names';
import { readSectionLabel, readStation, readThen, type SectionLabel } from './labels';
import { cursorOf, restOfLine, type Line } from './lines';
import { isSetting } from './read-settings';
import { hasClock, isBlockHeader, type Header } from './header';
import { readHeader } from './read-header';
import { readRest } from './read-rest';

export interface Piece {
  readonly label: SectionLabel | null;
  readonly lines: readonly Line[];
  /** words above the header that are no work */
  readonly prose: readonly Line[];
}

const clocksOfWork = (header: Header): boolean => {
  const kind = header.clock?.kind;
  if (kind === 'rest' || kind === 'restUntil') return false;
  return hasClock(header) && !(kind === 'amrap' && header.clock?.kind === 'amrap' && header.clock.seconds === null);
};

/** Does a line in the middle of a paragraph begin another part? */
function beginsPart(line: Line): boolean {
  const cursor = cursorOf(line);
  if (readStation(cursor.part(0, cursor.end)) !== null) return false;
  const header = readHeader(cursor);
  if (!header || !clocksOfWork(header)) return false;
  // "every minute 5 squats" inside a part interrupts it; with a length of its own it is another part
  if (header.clock?.kind === 'every' && cursor.tokens[0]?.text === 'every' && header.clock.count === null && header.clock.totalSeconds === null && !cursor.done)
    return false;
  return header.end > 0;
}

const isHeaderLine = (line: Line): boolean => readHeader(cursorOf(line)) !== null;
/** Prose: no figure, no movement, no header. */
function isProse(line: Line): boolean {
  if (/\d/.test(line.text) || isHeaderLine(line) || readSectionLabel(cursorOf(line)) !== null) return false;
  const words = line.text.replace(/[:.!]+$/, '');
  return !/[@|+:]/.test(words) && findMovement(words) === null && !/^(?:max|rest|then|alternat|optional|no partition|buy|cash|odd|even)/i.test(words);
}

/** Words alone above all the rest, none of them nearly a movement: what the workout is called. */
export const isTitle = (paragraph: readonly Line[]): boolean =>
  paragraph.length <= 3 && paragraph.every((line) => isProse(line) && nearMovements(line.text).length === 0);

/** Prose above a header or a block goes before it; a paragraph of prose alone stays as it is. */
export function takeProse(lines: readonly Line[]): { prose: Line[]; lines: readonly Line[] } {
  let at = 0;
  while (at < lines.length && at < 3 && isProse(lines[at]!)) at++;
  const next = lines[at];
  const header = next ? readHeader(cursorOf(next)) : null;
  return at > 0 && header && (hasClock(header) || isBlockHeader(header)) ? { prose: lines.slice(0, at), lines: lines.slice(at) } : { prose: [], lines };
}

/** `Strength` alone above `A)`: what the parts below it are, no part of its own. */
export function isHeading(lines: readonly Line[]): boolean {
  const cursor = lines.length === 1 ? cursorOf(lines[0]!) : null;
  return cursor !== null && cursor.phrase('strength|weightlifting|lifting') && cursor.done;
}
/** The label of the part below a heading says both. Takes the heading's line out of the piece it stood in. */
function headed(label: SectionLabel, above: { label: SectionLabel | null; lines: Line[] }): SectionLabel {
  if (above.label !== null || !isHeading(above.lines)) return label;
  const [heading] = above.lines.splice(0);
  return { ...label, name: `${heading!.text.trim()} ${label.name}`, kind: label.kind ?? 'strength' };
}

/** s from which a rest on the last line of an AMRAP, where another part follows, is no rest of its rounds (round figure) */
const leastBetween = 60;
/** A rest below a max, or a long one below an AMRAP, where the next part begins under it: it stands between the two. */
function restBehind(lines: readonly Line[]): boolean {
  const [first, last] = [lines[0], lines.at(-1)];
  // a header, its work, and the rest
  if (!first || !last || lines.length < (cursorDone(first) ? 3 : 2)) return false;
  const clock = readHeader(cursorOf(first))?.clock?.kind;
  const cursor = cursorOf(last);
  const read = readRest(cursor);
  if (read?.kind !== 'rest' || read.between || !cursor.done) return false;
  return clock === 'maxLoad' || (clock === 'amrap' && read.rest.high >= leastBetween);
}

export function splitParagraph(paragraph: readonly Line[]): Piece[] {
  const pieces: { label: SectionLabel | null; lines: Line[] }[] = [];
  let current: { label: SectionLabel | null; lines: Line[] } = { label: null, lines: [] };
  const base = paragraph[0]?.indent ?? 0;
  let work = false;
  let afterThen = false;
  const close = (): void => {
    if (current.lines.length > 0 || current.label) pieces.push(current);
  };
  const start = (label: SectionLabel | null): void => {
    const rest = restBehind(current.lines) ? current.lines.splice(-1) : null;
    close();
    if (rest) pieces.push({ label: null, lines: rest });
    current = { label, lines: [] };
    work = false;
  };
  for (const line of paragraph) {
    const cursor = cursorOf(line);
    const label = line.indent <= base ? readSectionLabel(cursor) : null;
    const together = label?.superset && current.label?.superset && label.name[0] === current.label.name[0];
    if (label && !together) start(headed(label, current));
    if (label) {
      if (!cursor.done) current.lines.push(restOfLine(line, cursor, cursor.at));
      work ||= !cursor.done;
      continue;
    }
    const level = line.indent <= base;
    const then = level && readThen(cursor);
    const behind = then && !cursor.done ? restOfLine(line, cursor, cursor.at) : line;
    if (then && cursor.done) {
      afterThen = true;
      current.lines.push(line);
      continue;
    }
    if (afterThen && beginsPart(behind)) {
      current.lines.pop();
      start(null);
    }
    afterThen = false;
    if (level && work && beginsPart(behind)) start(null);
    current.lines.push(behind);
    work ||=
      !isSetting(behind) && !(current.lines.length === 1 + proseBefore(current.lines) && isProse(behind)) && (!isHeaderLine(behind) || !cursorDone(behind));
  }
  close();
  return pieces.map(({ label, lines }) => ({ label, ...takeProse(lines) }));
}
/** How many of the first lines are prose, the last one left out. */
function proseBefore(lines: readonly Line[]): number {
  const other = lines.findIndex((line) => !isProse(line));
  return other < 0 ? lines.length - 1 : lines.length;
}
/** The header is all that stands on the line. */
function cursorDone(line: Line): boolean {
  const cursor = cursorOf(line);
  readHeader(cursor);
  return cursor.done;
}
