/** One athlete and one place: a short form, a free-text kit that shows at once the loads it makes. */
import { useQueryClient } from '@tanstack/react-query';
import { avoidNames, feasibleLoads, type KitItem } from '@gambito/core';
import { Understood } from './understood';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useAthletes, useMe } from '../api/queries';
import type { StoredAthlete } from '../api/types';
import { Page } from '../shell/frame';
import { todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';
import { Failed, Loading } from '../ui/states';
import { emptyForm, fileOf, formOf, readForm, type AthleteForm } from './athlete-form';
import { LoadList } from './load-list';
import { PastResults } from './past-results';

export function PersonScreen() {
  const id = useParams()['id'];
  const { data: athletes, error } = useAthletes();
  if (error) return <Failed error={error} />;
  if (!athletes) return <Loading />;
  const stored = id === 'new' ? null : athletes.find((each) => String(each.id) === id);
  if (stored === undefined) return <p className="p-6">This athlete was deleted or never here.</p>;
  return <Person key={id} stored={stored} />;
}

function Person({ stored }: { stored: StoredAthlete | null }) {
  const draftKey = `gambito.person.${stored?.id ?? 'new'}`;
  const before = stored?.file ?? {};
  const [draft] = useState(() => localStorage.getItem(draftKey));
  const [form, setForm] = useState<AthleteForm>(() =>
    draft ? { ...emptyForm, ...(JSON.parse(draft) as Partial<AthleteForm>) } : stored ? formOf(stored.file) : emptyForm,
  );
  const [touched, setTouched] = useState(draft !== null);
  const [busy, setBusy] = useState(false);
  const [asking, setAsking] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const { athlete, problems } = useMemo(() => readForm(form, before, today), [form, before, today]);
  const loads = useMemo(() => feasibleLoads(athlete.places[0]?.kit ?? []), [athlete]);
  useEffect(() => {
    if (touched) localStorage.setItem(draftKey, JSON.stringify(form));
  }, [form, touched, draftKey]);
  const set = (key: keyof AthleteForm) => (event: React.ChangeEvent<HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement>) => {
    setTouched(true);
    setForm({ ...form, [key]: event.target.value });
  };
  const toggle = (tag: string): void => {
    setTouched(true);
    setForm({ ...form, avoid: form.avoid.includes(tag) ? form.avoid.filter((each) => each !== tag) : [...form.avoid, tag] });
  };
  const save = async (): Promise<void> => {
    if (problems['name']) {
      toast.error('A name is needed; everything else may wait.');
      return;
    }
    setBusy(true);
    try {
      const file = fileOf(form, before);
      await api(stored ? `/athletes/${stored.id}` : '/athletes', {
        method: stored ? 'PUT' : 'POST',
        body: { file, ...(stored ? { revision: stored.revision } : {}) },
      });
      localStorage.removeItem(draftKey);
      await client.invalidateQueries({ queryKey: ['athletes'] });
      toast(`${form.name.trim()} saved.`);
      await navigate('/people');
    } catch (error) {
      toast.error(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  const drop = (): void => {
    localStorage.removeItem(draftKey);
    void navigate('/people');
  };
  const input = (key: keyof AthleteForm, label: string, hint: string, props: React.ComponentProps<'input'> = {}) => (
    <Field label={label} hint={hint} problem={problems[key] ?? null}>
      {(bound) => <input {...bound} {...props} className={inputLook} value={form[key] as string} onChange={set(key)} />}
    </Field>
  );
  const select = (key: keyof AthleteForm, label: string, options: readonly string[], hint = '') => (
    <Field label={label} hint={hint}>
      {(bound) => (
        <select {...bound} className={inputLook} value={form[key] as string} onChange={set(key)}>
          {options.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      )}
    </Field>
  );
  const area = (key: keyof AthleteForm, label: string, hint: string, rows: number) => (
    <Field label={label} hint={hint} problem={problems[key] ?? null}>
      {(bound) => (
        <textarea {...bound} rows={rows} spellCheck={false} className={`${inputLook} leading-snug`} value={form[key] as string} onChange={set(key)} />
      )}
    </Field>
  );
  return (
    <Page
      title={stored ? stored.name : 'New athlete'}
      aside={
        <>
          {touched && <span className="text-sm text-soft">kept in this browser until saved</span>}
          {asking ? (
            <span role="alertdialog" aria-label="Drop changes" className="flex items-center gap-2 text-sm">
              Drop what you typed?
              <Button look="danger" onClick={drop} autoFocus>
                Drop it
              </Button>
              <Button onClick={() => setAsking(false)}>Keep it</Button>
            </span>
          ) : (
            <Button onClick={() => (touched ? setAsking(true) : drop())}>{touched ? 'Drop changes' : 'Back'}</Button>
          )}
          <Button look="main" onClick={() => void save()} disabled={busy}>
            Save
          </Button>
        </>
      }
    >
      <form
        className="grid gap-x-8 gap-y-4 lg:grid-cols-[1fr_1fr_300px]"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <section className="flex flex-col gap-2" aria-label="Person">
          {input('name', 'Name', '', { required: true })}
          <div className="grid grid-cols-2 gap-3">
            {select('category', 'Column', ['women', 'men'], 'of a prescription')}
            {select('level', 'Level', ['new', 'newer', 'trained', 'competitive'])}
            {input('bodyMass', 'Body mass', 'kg or lb')}
            {input('stature', 'Stature', 'cm')}
            {input('born', 'Born', 'year')}
            {select('units', 'Units', ['kg', 'lb'])}
          </div>
          {input('timeAvailable', 'Time available', 'such as 40 min')}
          {input('notes', 'Notes', '')}
          <fieldset>
            <legend className="text-sm font-medium">Avoids</legend>
            <div className="mt-1 flex flex-wrap gap-1.5">
              {[...avoidNames, ...form.avoid.filter((tag) => !(avoidNames as readonly string[]).includes(tag))].map((tag) => (
                <button
                  key={tag}
                  type="button"
                  aria-pressed={form.avoid.includes(tag)}
                  onClick={() => toggle(tag)}
                  className={`rounded-full border px-2.5 py-1 text-sm ${!(avoidNames as readonly string[]).includes(tag) ? 'border-bad text-bad line-through' : form.avoid.includes(tag) ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet'}`}
                >
                  {tag.replaceAll('_', ' ')}
                </button>
              ))}
            </div>
            {problems['avoid'] && (
              <p role="alert" className="mt-1 text-sm text-bad">
                {problems['avoid']} No version is sent to this athlete before it is settled.
              </p>
            )}
          </fieldset>
        </section>
        <section className="flex flex-col gap-2" aria-label="Place and ability">
          {area('kit', 'Kit', 'one a line: dumbbell 10 kg x 2 · barbell 20 kg, plates 2x10 2x5 kg · chair 45 cm · rope', 7)}
          <Understood kit={form.kit} category={form.category} units={form.units} />
          <div className="grid grid-cols-2 gap-3">
            {input('placeName', 'Place', '')}
            {select('noise', 'Noise', ['free', 'normal', 'quiet'], 'quiet: no jumps, no drops')}
            {input('floor', 'Floor', 'such as 3 x 2 m')}
            {input('ceiling', 'Ceiling', 'such as 2.5 m')}
          </div>
          {area('lifts', 'Lifts', 'one a line: back squat 88 kg, or 80 kg x 5', 3)}
          {area('bestSets', 'Best sets', 'one a line: strict pull-up 6', 3)}
          {area('times', 'Times', 'one a line: run 400 m 1:36', 2)}
        </section>
        <div>
          {stored && <PastResults stored={stored} today={today} />}
          <LoadList loads={loads} others={othersOf(athlete.places[0]?.kit ?? [])} assumed={athlete.assumed} />
        </div>
      </form>
    </Page>
  );
}

const plainWords: Readonly<Record<string, string>> = {
  bar: 'pull-up bar',
  lowBar: 'low bar',
  dipBar: 'dip bars',
  row: 'rowing machine',
  airBike: 'air bike',
  anchor: 'something to anchor to',
};

/** What the kit holds besides loads, as it was understood. */
function othersOf(kit: readonly KitItem[]): string[] {
  return [
    ...new Set(
      kit.flatMap((item) => {
        if ('heightCm' in item) return [`${item.kind} ${item.heightCm} cm${item.count > 1 ? ` × ${item.count}` : ''}`];
        if (item.kind === 'route') return [item.metres.length > 0 ? `run route ${item.metres.join(', ')} m` : 'run route'];
        return ['grams', 'plates', 'fromGrams', 'toGrams', 'lowGrams'].some((key) => key in item) ? [] : [plainWords[item.kind] ?? item.kind];
      }),
    ),
  ];
}
