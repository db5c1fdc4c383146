/** A figure in the text is a dial: hold Alt and drag it sideways, or Alt with the arrow keys up and down. One drag is one step of undo. */
import { isolateHistory } from '@codemirror/commands';
import { Prec, type Extension } from '@codemirror/state';
import { EditorView, keymap, type Command } from '@codemirror/view';

export interface Figure {
  readonly from: number;
  readonly to: number;
  readonly value: number;
  readonly step: number;
}

const pixelsPerStep = 7;

/** The figure that touches a column of a line; halves step by a half. */
export function figureAt(line: string, column: number): Figure | null {
  for (const found of line.matchAll(/\d+(?:\.\d+)?/g)) {
    const from = found.index;
    const to = from + found[0].length;
    if (column >= from && column <= to) return { from, to, value: Number(found[0]), step: found[0].includes('.') ? 0.5 : 1 };
  }
  return null;
}

/** The figure some steps on, never below one step. */
export function stepped(figure: Figure, steps: number): string {
  return String(Math.max(figure.step, figure.value + steps * figure.step));
}

const nudge =
  (steps: number): Command =>
  (view) => {
    const { head } = view.state.selection.main;
    const line = view.state.doc.lineAt(head);
    const figure = figureAt(line.text, head - line.from);
    if (!figure) return false;
    view.dispatch({ changes: { from: line.from + figure.from, to: line.from + figure.to, insert: stepped(figure, steps) } });
    return true;
  };

function startDrag(event: MouseEvent, view: EditorView): boolean {
  const position = event.altKey && event.button === 0 ? view.posAtCoords({ x: event.clientX, y: event.clientY }) : null;
  if (position === null) return false;
  const line = view.state.doc.lineAt(position);
  const figure = figureAt(line.text, position - line.from);
  if (!figure) return false;
  event.preventDefault();
  view.focus();
  const from = line.from + figure.from;
  let shown = line.text.slice(figure.from, figure.to);
  let first = true;
  const move = (moved: MouseEvent): void => {
    const next = stepped(figure, Math.round((moved.clientX - event.clientX) / pixelsPerStep));
    if (next === shown) return;
    view.dispatch({ changes: { from, to: from + shown.length, insert: next }, ...(first ? { annotations: isolateHistory.of('before') } : {}) });
    first = false;
    shown = next;
  };
  const end = (): void => {
    window.removeEventListener('mousemove', move);
    window.removeEventListener('mouseup', end);
  };
  window.addEventListener('mousemove', move);
  window.addEventListener('mouseup', end);
  return true;
}

export const scrubFigures: Extension = [
  EditorView.domEventHandlers({ mousedown: startDrag }),
  Prec.high(
    keymap.of([
      { key: 'Alt-ArrowUp', run: nudge(1) },
      { key: 'Alt-ArrowDown', run: nudge(-1) },
    ]),
  ),
];
