/** The whiteboard: a plain text editor that underlines what cannot be read, with a suggestion one click away. Undo is the editor's own. */
import { acceptCompletion, autocompletion, closeCompletion, completionStatus, moveCompletionSelection } from '@codemirror/autocomplete';
import { isolateHistory } from '@codemirror/commands';
import { forEachDiagnostic, linter, lintGutter, lintKeymap, nextDiagnostic, setDiagnostics, type Action, type Diagnostic } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, placeholder, type Command, type KeyBinding } from '@codemirror/view';
import { parseWorkout, type Diagnostic as ReadDiagnostic, type MassUnit } from '@gambito/core';
import { minimalSetup } from 'codemirror';
import { useEffect, useRef, type RefObject } from 'react';
import { complete, nothingKnown } from './completions';
import { scrubFigures } from './scrub-figures';
import { useKnown } from './use-known';

const look = EditorView.theme({
  '&': { fontSize: '17px', height: '100%', backgroundColor: 'var(--sheet)', color: 'var(--ink)' },
  '.cm-content': { fontFamily: 'var(--font-sans)', lineHeight: '1.65', padding: '12px 14px', caretColor: 'var(--ink)' },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '&.cm-focused': { outline: 'none' },
  '.cm-selectionBackground, &.cm-focused .cm-selectionBackground': { backgroundColor: 'var(--amber-wash) !important' },
  '.cm-gutters': { backgroundColor: 'transparent', border: 'none' },
  '.cm-tooltip': { backgroundColor: 'var(--sheet)', color: 'var(--ink)', border: '1px solid var(--line)', fontFamily: 'var(--font-sans)' },
  '.cm-diagnostic': { borderLeft: '3px solid var(--amber)' },
  '.cm-diagnosticAction': { backgroundColor: 'var(--ink)', color: 'var(--paper)', borderRadius: '4px' },
  '.cm-placeholder': { color: 'var(--soft)' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul': { fontFamily: 'var(--font-sans)', fontSize: '15px', maxHeight: '17em' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li': { padding: '3px 10px', lineHeight: '1.4' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]': { background: 'var(--ink)', color: 'var(--paper)' },
  '.cm-completionMatchedText': { textDecoration: 'none', fontWeight: '700' },
  '.cm-completionDetail': { fontStyle: 'normal', opacity: '0.75', marginLeft: '0.8em' },
  '.cm-completionInfo': { maxWidth: '22em', padding: '4px 8px' },
});

/** What can be done about a remark with a key or a click: its fix; for a movement nobody knows, the line that says what it is like. */
function actionsFor({ code, fix }: ReadDiagnostic, text: string): Action[] {
  const take: Action[] = fix
    ? [
        {
          name: `Take “${fix.replaceAll('\n', ' · ')}”`,
          apply: (view, from, to) => view.dispatch({ changes: { from, to, insert: fix } }),
        },
      ]
    : [];
  if (code !== 'unknown_movement' || text.includes('=')) return take;
  const define: Action = {
    name: 'Say what it is like',
    apply: (view) => {
      const { doc } = view.state;
      const insert = `${doc.line(doc.lines).text.trim() === '' ? '' : '\n'}\nmovement: ${text} = `;
      view.dispatch({ changes: { from: doc.length, insert }, selection: { anchor: doc.length + insert.length }, scrollIntoView: true });
      view.focus();
    },
  };
  return [...take, define];
}

function remarksOn({ doc }: EditorState, units: MassUnit): Diagnostic[] {
  return parseWorkout(doc.toString(), { units })
    .diagnostics.filter((each) => each.line <= doc.lines && each.code !== 'empty')
    .map((each): Diagnostic => {
      const line = doc.line(each.line);
      const from = Math.min(line.to, line.from + each.column - 1);
      const to = Math.min(line.to, Math.max(from + 1, from + each.length));
      const actions = actionsFor(each, doc.sliceString(from, to));
      return { from, to, severity: each.level, message: each.message, ...(actions.length > 0 ? { actions } : {}) };
    });
}
/** ms after the last key */
const readAfter = 250;

/** A key about remarks is about those of the text that stands there, however quick the hand. */
const onRemarks = (units: MassUnit, run: Command): Command => {
  return (view) => {
    view.dispatch(setDiagnostics(view.state, remarksOn(view.state, units)));
    return run(view);
  };
};

/** Alt Enter: takes the first fix on the line of the cursor. */
function takeFix(view: EditorView): boolean {
  const line = view.state.doc.lineAt(view.state.selection.main.head);
  let taken = false;
  forEachDiagnostic(view.state, (diagnostic, from, to) => {
    const action = diagnostic.actions?.[0];
    if (taken || !action || to < line.from || from > line.to) return;
    taken = true;
    action.apply(view, from, to);
  });
  return taken;
}

/** Tab takes what is offered, also where it comes a moment after the key; where nothing is, Tab goes on to the next field. */
function takeOffered(view: EditorView): boolean {
  if (acceptCompletion(view)) return true;
  if (completionStatus(view.state) !== 'pending') return false;
  setTimeout(() => acceptCompletion(view), offeredWithin);
  return true;
}
/** ms that offers take to come */
const offeredWithin = 200;

/** What is offered a moment after the last key is not offered to somebody who has gone on: it would lie over what they press. (The editor's own closing on blur knows an open list only.) */
const withoutLateOffers = EditorView.domEventHandlers({
  blur: (_event, view) => void setTimeout(() => !view.hasFocus && closeCompletion(view)),
});

/** Enter is a new line whatever is offered: Tab takes it. */
const completionKeys = [
  { key: 'Tab', run: takeOffered },
  { key: 'ArrowDown', run: moveCompletionSelection(true) },
  { key: 'ArrowUp', run: moveCompletionSelection(false) },
  { key: 'Escape', run: closeCompletion },
];

const editorKeys = (units: MassUnit, save: () => void): KeyBinding[] => [
  ...completionKeys,
  { key: 'F8', run: onRemarks(units, nextDiagnostic) },
  { key: 'Alt-Enter', run: onRemarks(units, takeFix) },
  { key: 'Mod-s', run: () => (save(), true) },
  ...lintKeymap,
];

function markLine(view: EditorView, line: number): void {
  if (line >= view.state.doc.lines) return;
  const { from, to } = view.state.doc.line(line + 1);
  view.dispatch({ selection: { anchor: from, head: to }, scrollIntoView: true });
  view.focus();
}

const offers = { defaultKeymap: false, icons: false, maxRenderedOptions: 8, interactionDelay: 0 };

/** What the reader says of the text, unless it is a message; and the line that is shown. */
function useMarks(
  view: RefObject<EditorView | null>,
  quiet: RefObject<boolean>,
  { units, shown, isMessage }: { units: MassUnit; shown: { readonly line: number } | null; isMessage: boolean },
): void {
  useEffect(() => {
    quiet.current = isMessage;
    if (view.current) view.current.dispatch(setDiagnostics(view.current.state, isMessage ? [] : remarksOn(view.current.state, units)));
  }, [view, quiet, isMessage, units]);
  useEffect(() => {
    if (view.current && shown) markLine(view.current, shown.line);
  }, [view, shown]);
}

interface EditorProps {
  readonly text: string;
  readonly units: MassUnit;
  readonly onChange: (text: string) => void;
  readonly save: () => void;
  /** the cursor waits at the end of it */
  readonly startHere: boolean;
  /** a line that is marked, from 0; a new value marks again */
  readonly shown?: { readonly line: number } | null;
  /** no notation: what the strict reader would say of it is not said */
  readonly isMessage?: boolean;
}

export function WorkoutEditor({ text, units, onChange, save, startHere, shown = null, isMessage = false }: EditorProps) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const changed = useRef(onChange);
  changed.current = onChange;
  const saved = useRef(save);
  saved.current = save;
  const quiet = useRef(isMessage);
  const known = useRef(nothingKnown);
  known.current = useKnown();
  useEffect(() => {
    if (!host.current) return;
    const created = new EditorView({
      parent: host.current,
      state: EditorState.create({
        doc: text,
        extensions: [
          scrubFigures,
          keymap.of(editorKeys(units, () => saved.current())),
          autocompletion({ override: [(context) => complete(context, known.current)], ...offers }),
          withoutLateOffers,
          minimalSetup,
          look,
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': 'Workout text', spellcheck: 'false' }),
          placeholder('AMRAP 12:00\n6 power clean @ 50/35 kg\n…'),
          lintGutter(),
          linter((view) => (quiet.current ? [] : remarksOn(view.state, units)), { delay: readAfter }),
          EditorView.updateListener.of((update) => update.docChanged && changed.current(update.state.doc.toString())),
        ],
      }),
    });
    if (startHere) {
      created.dispatch({ selection: { anchor: text.length } });
      created.focus();
    }
    view.current = created;
    return () => created.destroy();
    // the editor owns its text after it is made
  }, []);
  useMarks(view, quiet, { units, shown, isMessage });
  useEffect(() => {
    const current = view.current;
    // what comes from outside (tidied, taken from the other window) is one step of undo of its own
    const shown = current?.state.doc.toString();
    if (!current || shown === text) return;
    current.dispatch({ changes: { from: 0, to: current.state.doc.length, insert: text }, annotations: isolateHistory.of('full') });
    // what was put in at the end is written on
    if (text.startsWith(shown!.trimEnd())) {
      current.dispatch({ selection: { anchor: text.length }, scrollIntoView: true });
      current.focus();
    }
  }, [text]);
  return <div ref={host} className="h-full min-h-72 overflow-auto rounded-md border border-line focus-within:border-ink" />;
}
