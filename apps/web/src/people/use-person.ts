/** One athlete's form: what was typed is kept in this browser until it is saved, and read at every key. */
import { feasibleLoads } from '@gambito/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../ui/toast';
import { api, ApiError, messageOf } from '../api/client';
import { useMe } from '../api/queries';
import type { StoredAthlete } from '../api/types';
import { todayIn } from '../shell/days';
import { emptyForm, emptyPlace, fileOf, formOf, type AthleteForm, type PlaceForm } from './athlete-form';
import { mergeForm, type Clash, type Merged } from './merge-form';
import { readForm } from './read-form';

const nothing: Record<string, unknown> = {};

/** What is kept of a form: what was typed, and the file it began from. */
interface Draft {
  readonly form: AthleteForm;
  /** null: kept by an older Gambito, which did not note it */
  readonly from: Record<string, unknown> | null;
}
function draftIn(key: string): Draft | null {
  const kept = localStorage.getItem(key);
  if (kept === null) return null;
  const draft = JSON.parse(kept) as Partial<Draft> & Partial<AthleteForm>;
  return draft.form ? { form: { ...emptyForm, ...draft.form }, from: draft.from ?? null } : { form: { ...emptyForm, ...draft }, from: null };
}
const unmerged: Pick<Merged, 'taken' | 'clashes'> = { taken: [], clashes: [] };

/** The form, whether somebody typed in it, and what came into it from elsewhere meanwhile: a draft never replaces what another window, an import or the athlete has changed. */
function useDraft(stored: StoredAthlete | null) {
  const { data: me } = useMe();
  const key = `gambito.person.${me?.coach?.email ?? ''}.${stored?.id ?? 'new'}`;
  const file = stored?.file ?? nothing;
  const begin = (): { form: AthleteForm; from: Record<string, unknown>; touched: boolean; merged: Pick<Merged, 'taken' | 'clashes'> } => {
    const draft = draftIn(key);
    if (!draft) return { form: stored ? formOf(file) : emptyForm, from: file, touched: false, merged: unmerged };
    if (!stored) return { form: draft.form, from: file, touched: true, merged: unmerged };
    const { form, ...merged } = mergeForm(draft.from && formOf(draft.from), draft.form, formOf(file));
    return { form, from: file, touched: true, merged };
  };
  const [state, setState] = useState(begin);
  // saved elsewhere while the form is open
  if (state.from !== file && JSON.stringify(state.from) !== JSON.stringify(file)) {
    const { form, ...merged } = state.touched ? mergeForm(formOf(state.from), state.form, formOf(file)) : { form: formOf(file), ...unmerged };
    setState({ ...state, form, from: file, merged });
  }
  const { form, touched, from, merged } = state;
  useEffect(() => {
    if (touched) localStorage.setItem(key, JSON.stringify({ form, from } satisfies Draft));
  }, [form, from, touched, key]);
  const change = (next: Partial<AthleteForm>): void => setState((before) => ({ ...before, touched: true, form: { ...before.form, ...next } }));
  const takeTheirs = ({ field, theirs }: Clash): void =>
    setState((before) => ({
      ...before,
      touched: true,
      form: { ...before.form, [field]: theirs },
      merged: { ...before.merged, clashes: before.merged.clashes.filter((clash) => clash.field !== field) },
    }));
  return { form, touched, merged, change, takeTheirs, forget: () => localStorage.removeItem(key) };
}

/** The places, and the one that is open. */
function usePlaces({ places }: AthleteForm, change: (next: Partial<AthleteForm>) => void) {
  const [open, setOpen] = useState(0);
  const at = Math.min(open, places.length - 1);
  const put = (next: readonly PlaceForm[], then: number): void => {
    change({ places: next });
    setOpen(then);
  };
  return {
    at,
    place: places[at]!,
    open: setOpen,
    changePlace: (next: Partial<PlaceForm>): void => change({ places: places.map((place, index) => (index === at ? { ...place, ...next } : place)) }),
    add: () => put([...places, { ...emptyPlace, name: 'another place' }], places.length),
    copy: () => put([...places, { ...places[at]!, name: `${places[at]!.name} (copy)` }], places.length),
    remove: () => put(places.toSpliced(at, 1), 0),
    /** where the athlete trains today */
    makeToday: () => put([places[at]!, ...places.toSpliced(at, 1)], 0),
  };
}

export function usePerson(stored: StoredAthlete | null) {
  const { form, touched, merged, change, takeTheirs, forget } = useDraft(stored);
  const places = usePlaces(form, change);
  const [busy, setBusy] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const before = stored?.file ?? nothing;
  const { athlete, problems } = useMemo(() => readForm(form, before, today, places.at), [form, before, today, places.at]);
  const kit = athlete.places[places.at]?.kit ?? [];
  const loads = useMemo(() => feasibleLoads(kit), [kit]);
  const leave = async (): Promise<void> => {
    forget();
    await navigate('/people');
  };
  const write = () =>
    api(stored ? `/athletes/${stored.id}` : '/athletes', {
      method: stored ? 'PUT' : 'POST',
      body: { file: fileOf(form, before), ...(stored ? { revision: stored.revision } : {}) },
    });
  const save = async (): Promise<void> => {
    if (problems['name']) return void toast.error('A name is needed; everything else may wait.');
    setBusy(true);
    try {
      await write();
      forget();
      void client.invalidateQueries({ queryKey: ['athletes'] });
      toast(`${form.name.trim()} saved.`);
      await navigate('/people');
    } catch (error) {
      // changed elsewhere: what stands there now is merged in, and saved when it was looked at
      if (stored && error instanceof ApiError && error.problem.status === 409) void client.invalidateQueries({ queryKey: ['athletes', stored.id] });
      toast.error(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  return {
    form,
    touched,
    merged,
    takeTheirs,
    change,
    coach: me?.coach?.name ?? 'coach',
    places,
    problems,
    athlete,
    kit,
    loads,
    today,
    busy,
    save,
    drop: () => void leave(),
  };
}
export type PersonForm = ReturnType<typeof usePerson>;
