/** "Today I only have …": another place, less kit, fewer minutes, something sore. A version for it comes in a second, the coach is told, and it is taken back with one tap. */
import type { TodayAsked } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { AthletePage } from '../api/types';
import { Button } from '../ui/button';
import { Chips } from '../ui/chip';

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
