/** One athlete's form: what was typed is kept in this browser until it is saved, and read at every key. */
import { feasibleLoads } from '@gambito/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useMe } from '../api/queries';
import type { StoredAthlete } from '../api/types';
import { todayIn } from '../shell/days';
import { emptyForm, emptyPlace, fileOf, formOf, type AthleteForm, type PlaceForm } from './athlete-form';
import { readForm } from './read-form';

const nothing: Record<string, unknown> = {};

/** The form, and whether somebody typed in it. */
function useDraft(stored: StoredAthlete | null) {
  const key = `gambito.person.${stored?.id ?? 'new'}`;
  const [draft] = useState(() => localStorage.getItem(key));
  const [form, setForm] = useState<AthleteForm>(() =>
    draft ? { ...emptyForm, ...(JSON.parse(draft) as Partial<AthleteForm>) } : stored ? formOf(stored.file) : emptyForm,
  );
  const [touched, setTouched] = useState(draft !== null);
  useEffect(() => {
    if (touched) localStorage.setItem(key, JSON.stringify(form));
  }, [form, touched, key]);
  const change = (next: Partial<AthleteForm>): void => {
    setTouched(true);
    setForm((before) => ({ ...before, ...next }));
  };
  return { form, touched, change, forget: () => localStorage.removeItem(key) };
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
  const { form, touched, change, forget } = useDraft(stored);
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
      toast.error(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  return { form, touched, change, places, problems, athlete, kit, loads, today, busy, save, drop: () => void leave() };
}
export type PersonForm = ReturnType<typeof usePerson>;
