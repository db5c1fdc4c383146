/** Whether words are work: a figure or a name that is moved. */
import { findMovement } from '../movements/names';
import { cursorOf, type Line } from './lines';

/** Does a text behind a header name work? */
export function isWork(line: Line): boolean {
  const cursor = cursorOf(line);
  const token = cursor.peek();
  if (token === null) return false;
  if (cursor.isWord(['rounds', 'round', 'sets', 'set'], 1) && !cursor.isWord('of', 2) && !cursor.isSign(':', 2)) return false;
  if (token.kind === 'number' || token.kind === 'clock' || token.text === '(') return cursor.tokens.some(({ kind }) => kind === 'word');
  return cursor.isWord(['max', 'rest', 'maximum', 'every']) || slotNames(line);
}
/** Words that begin with a movement's name. */
function slotNames(line: Line): boolean {
  const words = line.text.split(/[\s,:]+/).slice(0, 5);
  return words.some((_, index) => isKnown(words.slice(0, index + 1).join(' ')));
}
const isKnown = (text: string): boolean => findMovement(text) !== null;
