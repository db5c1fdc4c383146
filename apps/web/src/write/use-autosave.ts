/**
 * Text that is never lost: kept in this browser at every key, sent to the server after a pause, and on leaving.
 * When another window saved in between, both texts are shown and the coach chooses.
 */
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { api, messageOf } from '../api/client';
import { workoutLists } from '../api/queries';
import { standingIn } from '../api/save-details';
import type { StoredWorkout } from '../api/types';
import { toast } from '../ui/toast';
import { forgetDraft, isBehind, keepDraft, readDraft } from './kept-draft';

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
async function put(id: number, text: string, before: string, revision: number): Promise<StoredWorkout> {
  try {
    return await api<StoredWorkout>(`/workouts/${id}`, { method: 'PUT', body: { text, revision } });
  } catch (error) {
    const standing = standingIn(error);
    if (standing?.text === text) return standing;
    if (standing?.text === before) return put(id, text, before, standing.revision);
    throw error;
  }
}

/** Sends the text that stands, one at a time; what was typed meanwhile goes out after it. */
function useSaver(workout: StoredWorkout, latest: RefObject<string>, setState: (state: SaveState) => void) {
  const client = useQueryClient();
  const revision = useRef(workout.revision);
  const saved = useRef(workout.text);
  const running = useRef(false);
  const save = useCallback(async (): Promise<void> => {
    if (running.current || latest.current === saved.current) return;
    running.current = true;
    const sending = latest.current;
    setState({ kind: 'saving' });
    try {
      const answer = await put(workout.id, sending, saved.current, revision.current);
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
      setState(current ? { kind: 'conflict', theirs: current } : { kind: 'failed', message: messageOf(error) });
    } finally {
      running.current = false;
    }
    if (latest.current !== sending && latest.current !== saved.current) void save();
  }, [client, workout.id, latest, setState]);
  return { save, revision, saved, running };
}

export function useAutosave(workout: StoredWorkout) {
  const [draft] = useState(() => readDraft(workout.id));
  const [text, setText] = useState(draft?.text ?? workout.text);
  // what was kept here does not go over what another window wrote since: both are shown
  const [state, setState] = useState<SaveState>(isBehind(draft, workout.text) ? { kind: 'conflict', theirs: workout } : { kind: 'saved' });
  /** what a draft began from that another window has gone past; undefined: there is none */
  const origin = useRef(draft !== null && isBehind(draft, workout.text) ? draft.from : undefined);
  const latest = useRef(text);
  const { save, revision, saved, running } = useSaver(workout, latest, setState);

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

  const takeTheirs = (theirs: StoredWorkout): void => {
    origin.current = undefined;
    const mine = latest.current;
    revision.current = theirs.revision;
    saved.current = theirs.text;
    change(theirs.text);
    forgetDraft(workout.id);
    setState({ kind: 'saved' });
    // nothing typed is gone by one click
    toast('The other text was taken; yours is put aside.', { duration: 20_000, action: { label: 'Undo', onClick: () => change(mine) } });
  };
  const keepMine = (theirs: StoredWorkout): void => {
    origin.current = undefined;
    revision.current = theirs.revision;
    saved.current = theirs.text;
    setState({ kind: 'waiting' });
    void save();
  };
  return { text, change, state, save, takeTheirs, keepMine };
}
