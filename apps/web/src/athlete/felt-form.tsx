/** Where it hurt, in which movement, how much: lands with the coach, and says whom to ask. */
import { feltSentence, feltWords, type Felt, type Report } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { AthletePage } from '../api/types';
import { Button } from '../ui/button';
import { Chips } from '../ui/chip';
import { inputLook } from '../ui/field';

const nothingYet: Report = { where: '', much: 1, movement: '', note: '' };
/** What is being told, and the telling of it. */
function useFelt(token: string) {
  const client = useQueryClient();
  const [felt, setFelt] = useState<Report>(nothingYet);
  const send = useMutation({
    mutationFn: (body: Report | null) => api(`/a/${token}/felt`, { body }),
    onSuccess: async () => {
      void client.invalidateQueries({ queryKey: ['a', token] });
      setFelt(nothingYet);
      toast('Your coach sees it.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  return { felt, change: (next: Partial<Report>): void => setFelt((now) => ({ ...now, ...next })), send };
}

/** Reports add up: what was told stands, and more can be told. */
function Told({ felt, doctorNow }: { felt: Felt; doctorNow: boolean }) {
  return (
    <p className="border-l-4 border-bad pl-2 text-sm" role="status">
      You told your coach: {feltSentence(felt)}
      {doctorNow && <b className="block text-base">Stop training now and see a doctor. Do not wait for your coach’s answer.</b>}
    </p>
  );
}

export function FeltForm({ token, page }: { token: string; page: AthletePage }) {
  const { felt, change, send } = useFelt(token);
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
      {page.felt && <Told felt={page.felt} doctorNow={page.doctorNow} />}
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
