/**
 * Text that is never lost: kept in this browser at every key, sent to the server after a pause, and on leaving.
 * When another window saved in between, both changes stand where they are of different lines; else both texts are shown and the coach chooses. Either way each of them is kept under “Earlier”.
 */
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { api, messageOf } from '../api/client';
import { workoutLists } from '../api/queries';
import { standingIn } from '../api/save-details';
import type { StoredWorkout } from '../api/types';
import { toast } from '../ui/toast';
import { forgetDraft, isBehind, keepDraft, readDraft, type KeptDraft } from './kept-draft';
import { mergeTexts } from './merge-texts';

export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'conflict'; readonly theirs: StoredWorkout };

const pauseMs = 600;

/**
 * Saves. Where the answer to an earlier try was lost on its way, what stands there is what we sent; where a day or a tag was changed meanwhile, the text is still the one ours began from: neither is a
 * conflict.
 * @param before the text ours began from
 */
async function put(id: number, sent: Sent, before: string, revision: number): Promise<StoredWorkout> {
  try {
    return await api<StoredWorkout>(`/workouts/${id}`, { method: 'PUT', body: { ...sent, revision } });
  } catch (error) {
    const standing = standingIn(error);
    if (standing?.text === sent.text) return standing;
    if (standing?.text === before) return put(id, sent, before, standing.revision);
    throw error;
  }
}
interface Sent {
  readonly text: string;
  /** kept under “Earlier”, and so is what it replaces: two windows met */
  readonly aside?: string;
}

const bothStand = (): unknown =>
  toast('Another window changed other lines. Both changes are in the text now; each text alone is under “Earlier”.', { duration: 12_000 });

/** Sends the text that stands, one at a time; what was typed meanwhile goes out after it. */
function useSaver(workout: StoredWorkout, latest: RefObject<string>, aside: RefObject<string | null>, { setState, adopt }: Shown) {
  const client = useQueryClient();
  const revision = useRef(workout.revision);
  const saved = useRef(workout.text);
  const running = useRef(false);
  const save = useCallback(async (): Promise<void> => {
    if (running.current || latest.current === saved.current) return;
    running.current = true;
    const sending = latest.current;
    let met = false;
    setState({ kind: 'saving' });
    try {
      const answer = await put(workout.id, { text: sending, ...(aside.current === null ? {} : { aside: aside.current }) }, saved.current, revision.current);
      aside.current = null;
      revision.current = answer.revision;
      saved.current = sending;
      client.setQueryData(['workouts', workout.id], answer);
      void client.invalidateQueries({ queryKey: workoutLists });
      void client.invalidateQueries({ queryKey: ['workouts', workout.id, 'sends'] });
      if (latest.current === sending) {
        forgetDraft(workout.id);
        setState({ kind: 'saved' });
      }
    } catch (error) {
      const current = standingIn(error);
      const merged = current ? mergeTexts(saved.current, latest.current, current.text) : null;
      if (current && merged !== null) {
        met = true;
        aside.current = latest.current;
        [revision.current, saved.current] = [current.revision, current.text];
        adopt(merged);
        bothStand();
      } else setState(current ? { kind: 'conflict', theirs: current } : { kind: 'failed', message: messageOf(error) });
    } finally {
      running.current = false;
    }
    if (met || (latest.current !== sending && latest.current !== saved.current)) void save();
  }, [client, workout.id, latest, aside, setState, adopt]);
  /** The other window's text stands; ours is kept under “Earlier”. @returns whether it is */
  const putAside = async (mine: string, theirs: StoredWorkout): Promise<boolean> => {
    running.current = true;
    const answer = await put(workout.id, { text: theirs.text, aside: mine }, theirs.text, theirs.revision).catch(() => null);
    if (answer) revision.current = answer.revision;
    running.current = false;
    if (latest.current !== saved.current) void save();
    return answer !== null;
  };
  return { save, putAside, revision, saved, running };
}
interface Shown {
  readonly setState: (state: SaveState) => void;
  /** puts a text where one types */
  readonly adopt: (text: string) => void;
}

/** What was kept here and what another window wrote since, in one text; null: it stands alone, or a person decides. */
const mergedDraft = (draft: KeptDraft | null, standing: string): string | null =>
  draft !== null && draft.from !== null && isBehind(draft, standing) ? mergeTexts(draft.from, draft.text, standing) : null;

interface Choosing {
  readonly latest: RefObject<string>;
  readonly aside: RefObject<string | null>;
  /** what a draft began from that another window has gone past */
  readonly origin: RefObject<string | null | undefined>;
  readonly change: (text: string) => void;
  readonly forget: () => void;
  readonly setState: (state: SaveState) => void;
}
const takenWords = (isKept: boolean): string =>
  isKept
    ? 'The other text was taken; yours is under “Earlier”.'
    : 'The other text was taken. Yours could not be put under “Earlier” just now: Undo brings it back.';

/** Both texts are shown, and one is taken: the other one is not lost by it. */
function choiceOf({ save, putAside, revision, saved }: ReturnType<typeof useSaver>, { latest, aside, origin, change, forget, setState }: Choosing) {
  const goOnFrom = (theirs: StoredWorkout): void => {
    origin.current = undefined;
    [revision.current, saved.current] = [theirs.revision, theirs.text];
  };
  return {
    takeTheirs: (theirs: StoredWorkout): void => {
      const mine = latest.current;
      goOnFrom(theirs);
      change(theirs.text);
      forget();
      setState({ kind: 'saved' });
      void putAside(mine, theirs).then((isKept) => toast(takenWords(isKept), { duration: 20_000, action: { label: 'Undo', onClick: () => change(mine) } }));
    },
    keepMine: (theirs: StoredWorkout): void => {
      goOnFrom(theirs);
      // theirs stands there no more, and is kept whatever was kept of this spell of typing
      aside.current = '';
      setState({ kind: 'waiting' });
      void save();
    },
  };
}

export function useAutosave(workout: StoredWorkout) {
  const [draft] = useState(() => readDraft(workout.id));
  const [merged] = useState(() => mergedDraft(draft, workout.text));
  const [text, setText] = useState(merged ?? draft?.text ?? workout.text);
  // what was kept here does not go over what another window wrote since: both stand, or both are shown
  const isAskedFirst = merged === null && isBehind(draft, workout.text);
  const [state, setState] = useState<SaveState>(isAskedFirst ? { kind: 'conflict', theirs: workout } : { kind: 'saved' });
  /** what a draft began from that another window has gone past; undefined: there is none */
  const origin = useRef(isAskedFirst ? draft!.from : undefined);
  const latest = useRef(text);
  const aside = useRef(merged === null ? null : draft!.text);
  const adopt = useCallback((next: string): void => {
    latest.current = next;
    setText(next);
  }, []);
  const saver = useSaver(workout, latest, aside, { setState, adopt });
  const { save, saved, running } = saver;
  useEffect(() => void (merged !== null && bothStand()), [merged]);

  const change = useCallback(
    (next: string): void => {
      latest.current = next;
      setText(next);
      // typed back to what the server has: there is nothing to save
      if (next === saved.current && !running.current) {
        forgetDraft(workout.id);
        setState((before) => (before.kind === 'conflict' ? before : { kind: 'saved' }));
        return;
      }
      keepDraft(workout.id, { text: next, from: origin.current === undefined ? saved.current : origin.current });
      setState((before) => (before.kind === 'conflict' ? before : { kind: 'waiting' }));
    },
    [workout.id, saved, running],
  );

  useEffect(() => {
    if (text === saved.current || state.kind === 'conflict') return;
    const timer = setTimeout(() => void save(), pauseMs);
    return () => clearTimeout(timer);
  }, [text, save, saved, state.kind]);
  // what stands unsaved when the page is left goes out at once; the draft stays until the server has it
  const isAsked = useRef(false);
  isAsked.current = state.kind === 'conflict';
  useEffect(() => () => void (isAsked.current || save()), [save]);

  return { text, change, state, save, ...choiceOf(saver, { latest, aside, origin, change, forget: () => forgetDraft(workout.id), setState }) };
}
