/** Movements of the coach's own: `movement: lantern hop = burpee x 1.2; both feet land; https://…` on a line of its own, wherever it stands in the text. */
import { isMovementId } from '../movements/catalogue';
import { findMovement, foldName, nearMovements } from '../movements/names';
import type { DefinedMovement, OwnMovement } from '../workout/workout';
import { spanOfLine, type Line } from './lines';
import type { ReadProblem } from './problems';

/** by the folded name */
export type OwnMovements = ReadonlyMap<string, DefinedMovement>;

/** how much longer or shorter than its neighbour a rep may be said to be */
const [least, most] = [0.2, 5];
const definition = /^movements?\s*:\s*([^=;]+?)\s*=\s*(.+)$/i;

type Report = (problem: ReadProblem) => void;

function define(line: Line, name: string, meaning: string, report: Report): DefinedMovement | null {
  const [head = '', ...more] = meaning.split(';').map((piece) => piece.trim());
  const [, neighbour = '', figure = null] = /^(.*?)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?$/i.exec(head) ?? [];
  const as = findMovement(neighbour);
  if (as === null || !isMovementId(as)) {
    report({ code: 'unknown_movement', span: spanOfLine(line), text: neighbour, nearest: nearMovements(neighbour) });
    return null;
  }
  const share = figure === null ? 1 : Number(figure.replace(',', '.'));
  if (share < least || share > most) report({ code: 'share_cut', span: spanOfLine(line), text: figure!, low: least, high: most });
  const link = more.find((piece) => /^https?:\/\/\S+$/i.test(piece)) ?? null;
  const standard = more.filter((piece) => piece !== link && piece !== '').join('; ');
  return { as, own: { name: name.trim(), share: Math.min(most, Math.max(least, share)), link, standard: standard === '' ? null : standard } };
}

export interface OwnTaken {
  /** without the definitions */
  readonly lines: readonly Line[];
  readonly own: OwnMovements;
  /** definitions by a neighbour that nobody knows, as typed */
  readonly unread: readonly string[];
}
export function takeOwn(lines: readonly Line[], report: Report): OwnTaken {
  const own = new Map<string, DefinedMovement>();
  const unread: string[] = [];
  const left = lines.filter((line) => {
    const [, name, meaning] = definition.exec(line.text) ?? [];
    if (!name || !meaning) return true;
    const twice = own.has(foldName(name));
    if (twice) report({ code: 'unreadable', span: spanOfLine(line), text: line.text, expected: `one line that says what “${name}” is` });
    const defined = twice ? null : define(line, name, meaning, report);
    if (defined) own.set(foldName(name), defined);
    else unread.push(line.text);
    return false;
  });
  return { lines: left, own, unread };
}

const figure = (share: number): string => String(Number(share.toFixed(2)));
/** As `takeOwn` reads it. @param as words of the movement it is reckoned as */
export const ownLine = ({ name, share, link, standard }: OwnMovement, as: string): string =>
  [`movement: ${name} = ${as}${share === 1 ? '' : ` x ${figure(share)}`}`, ...(standard ? [standard] : []), ...(link ? [link] : [])].join('; ');

/** One line as a definition; null where it is none. */
export function definedIn(text: string): DefinedMovement | null {
  const { own } = takeOwn([{ number: 1, indent: 0, column: 0, text }], () => undefined);
  return [...own.values()][0] ?? null;
}
