/** "Today I only have …": another place, less kit, fewer minutes, something sore. A version for it comes in a second, the coach is told, and it is taken back with one tap. */
import { feltWords, type Felt, type TodayAsked } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import type { AthletePage } from '../api/types';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';

/** what is sore, as an athlete says it, and what is then spared */
const sore: readonly (readonly [string, TodayAsked['spare'][number]])[] = [
  ['knees', 'deep_knee'],
  ['shoulder', 'overhead'],
  ['back', 'spinal_loading'],
  ['wrists', 'wrists'],
  ['hands, hanging', 'hanging'],
  ['no running', 'running'],
  ['no jumping', 'jumping'],
];
const minutes = [10, 15, 20, 30, 45] as const;
const chip = (on: boolean): string => clsx('min-h-11 rounded-full border px-3.5 text-base', on ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet');
const turned = <T,>(list: readonly T[], value: T): T[] => (list.includes(value) ? list.filter((other) => other !== value) : [...list, value]);

function useToday(token: string) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['a', token] });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const back = useMutation({ mutationFn: () => api(`/a/${token}/today`, { method: 'DELETE' }), onSuccess: refresh, onError });
  const ask = useMutation({
    mutationFn: (asked: Partial<TodayAsked>) => api(`/a/${token}/today`, { body: asked }),
    onSuccess: async () => {
      await refresh();
      toast('A version for today. Your coach sees it.', { action: { label: 'Undo', onClick: () => back.mutate() } });
    },
    onError,
  });
  return { ask, back };
}

export function TodayPart({ token, page }: { token: string; page: AthletePage }) {
  const { ask, back } = useToday(token);
  const [open, setOpen] = useState(false);
  if (page.today)
    return (
      <section aria-label="Today" className="no-print my-3 flex flex-wrap items-center gap-3 border-l-4 border-ink bg-wash p-2">
        <span>
          Made for today: <b className="font-medium">{page.today}</b>
        </span>
        <Button onClick={() => back.mutate()} disabled={back.isPending}>
          Back to the first version
        </Button>
      </section>
    );
  if (!open)
    return (
      <Button className="no-print my-2 min-h-11" onClick={() => setOpen(true)}>
        Today I only have …
      </Button>
    );
  return <TodayForm page={page} busy={ask.isPending} ask={(asked) => ask.mutate(asked, { onSuccess: () => setOpen(false) })} leave={() => setOpen(false)} />;
}

interface FormProps {
  readonly page: AthletePage;
  readonly busy: boolean;
  readonly ask: (asked: Partial<TodayAsked>) => void;
  readonly leave: () => void;
}
function TodayForm({ page: { places }, busy, ask, leave }: FormProps) {
  const [place, setPlace] = useState(0);
  const [missing, setMissing] = useState<readonly string[]>([]);
  const [time, setTime] = useState<number | null>(null);
  const [spare, setSpare] = useState<TodayAsked['spare']>([]);
  const kit = places[place]?.kit ?? [];
  const there = kit.filter((line) => !missing.includes(line));
  const says = place > 0 || missing.length > 0 || time !== null || spare.length > 0;
  return (
    <section aria-label="Today I only have" className="no-print my-3 flex flex-col gap-3 border-l-4 border-amber pl-3">
      {places.length > 1 && (
        <Chips
          label="Where"
          all={places.map(({ name }) => name)}
          on={(name) => places[place]?.name === name}
          tap={(name) => setPlace(places.findIndex((other) => other.name === name))}
        />
      )}
      {kit.length > 0 && (
        <Chips label="What is there (tap off what is not)" all={kit} on={(line) => there.includes(line)} tap={(line) => setMissing(turned(missing, line))} />
      )}
      <Chips
        label="How long"
        all={minutes.map((each) => `${each} min`)}
        on={(each) => `${time} min` === each}
        tap={(each) => setTime(`${time} min` === each ? null : Number.parseInt(each, 10))}
      />
      <Chips
        label="Sore today"
        all={sore.map(([words]) => words)}
        on={(words) => spare.includes(sore.find(([other]) => other === words)![1])}
        tap={(words) => setSpare(turned(spare, sore.find(([other]) => other === words)![1]))}
      />
      <div className="flex gap-2">
        <Button
          look="main"
          className="min-h-11"
          disabled={!says || busy}
          onClick={() => ask({ place, kit: missing.length > 0 ? there : null, minutes: time, spare })}
        >
          {busy ? 'Making it …' : 'Make my version'}
        </Button>
        <Button className="min-h-11" onClick={leave}>
          As it was
        </Button>
      </div>
    </section>
  );
}

interface ChipsProps {
  readonly label: string;
  readonly all: readonly string[];
  readonly on: (value: string) => boolean;
  readonly tap: (value: string) => void;
}
function Chips({ label, all, on, tap }: ChipsProps) {
  return (
    <div role="group" aria-label={label}>
      <p className="mb-1 text-sm text-soft">{label}</p>
      <div className="flex flex-wrap gap-1.5">
        {all.map((value) => (
          <button key={value} type="button" aria-pressed={on(value)} className={chip(on(value))} onClick={() => tap(value)}>
            {value}
          </button>
        ))}
      </div>
    </div>
  );
}

/** Where it hurt, in which movement, how much: lands with the coach, and says whom to ask. */
export function FeltForm({ token, page }: { token: string; page: AthletePage }) {
  const client = useQueryClient();
  const [felt, setFelt] = useState<Felt>(page.felt ?? { where: '', much: 1, movement: '', note: '' });
  const send = useMutation({
    mutationFn: (body: Felt | null) => api(`/a/${token}/felt`, { body }),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ['a', token] });
      toast('Your coach sees it.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const change = (next: Partial<Felt>): void => setFelt((before) => ({ ...before, ...next }));
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate(felt);
      }}
    >
      <p className="text-sm">
        Stop when something hurts. Sharp pain, numbness, pain in the chest, dizziness, dark urine or a swelling: stop, and see a doctor. Nobody here can tell
        what it is.
      </p>
      <input
        aria-label="Where it hurt"
        className={inputLook}
        placeholder="Where, such as low back"
        value={felt.where}
        maxLength={80}
        onChange={(event) => change({ where: event.target.value })}
      />
      <select aria-label="In which movement" className={inputLook} value={felt.movement} onChange={(event) => change({ movement: event.target.value })}>
        <option value="">in no movement in particular</option>
        {[...new Set(page.brief.standards.map(({ movement }) => movement))].map((movement) => (
          <option key={movement}>{movement}</option>
        ))}
      </select>
      <Chips
        label="How much"
        all={Object.values(feltWords)}
        on={(words) => feltWords[felt.much] === words}
        tap={(words) => change({ much: ([1, 2, 3] as const).find((much) => feltWords[much] === words)! })}
      />
      <input
        aria-label="More about it"
        className={inputLook}
        placeholder="More about it"
        value={felt.note}
        maxLength={500}
        onChange={(event) => change({ note: event.target.value })}
      />
      <div className="flex gap-2">
        <Button type="submit" look="main" className="min-h-11" disabled={felt.where.trim() === '' || send.isPending}>
          Tell the coach
        </Button>
        {page.felt && (
          <Button className="min-h-11" onClick={() => send.mutate(null)}>
            Take it back
          </Button>
        )}
      </div>
    </form>
  );
}
