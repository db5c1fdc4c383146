/** Send: one link an athlete, copied all at once; who has it, who got an older text, and how to withdraw it. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useParams } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useRoster, useSends } from '../api/queries';
import type { StoredSend } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { Failed, Loading, Progress } from '../ui/states';
import { useSendJob } from './use-send-job';

const linkOf = (token: string): string => `${window.location.origin}/a/${token}`;

/** @returns false where the browser does not let us write to the clipboard; the text is then shown to be copied by hand */
async function copy(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

export function SendScreen() {
  const id = Number(useParams()['id']);
  const client = useQueryClient();
  const { data: athletes, error: noAthletes, refetch: askAthletes } = useRoster();
  const { data: sends, error, refetch } = useSends(id);
  const [byHand, setByHand] = useState<string | null>(null);
  const keep = (answer: { sends: StoredSend[] }): void => {
    client.setQueryData(['workouts', id, 'sends'], answer.sends);
  };
  const { progress, send, isSending, stop } = useSendJob(id, keep);
  const revoke = useMutation({
    mutationFn: (sendId: number) => api<{ sends: StoredSend[] }>(`/workouts/${id}/sends/${sendId}`, { method: 'DELETE' }),
    onSuccess: (answer) => {
      keep(answer);
      toast('The link is withdrawn. Sending again makes a new one.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (noAthletes) return <Failed error={noAthletes} retry={() => void askAthletes()} />;
  if (!sends || !athletes) return <Loading />;
  const live = sends.filter((each) => !each.revoked);
  const waiting = athletes.filter((athlete) => !live.some((each) => each.athleteId === athlete.id && !each.changed));
  const copyAll = async (): Promise<void> => {
    const text = live.map((each) => `${athletes.find((athlete) => athlete.id === each.athleteId)?.name ?? 'Athlete'}: ${linkOf(each.token)}`).join('\n');
    if (await copy(text)) toast(`${live.length} links copied.`);
    else setByHand(text);
  };
  return (
    <Page
      title="Send"
      aside={
        <>
          <Progress done={progress.done} of={progress.of} what="Preparing" />
          {isSending && <Button onClick={stop}>Stop</Button>}
          <Button onClick={() => void copyAll()} disabled={live.length === 0}>
            Copy all links
          </Button>
          <Button look="main" onClick={() => send(waiting.map((each) => each.id))} disabled={waiting.length === 0 || isSending}>
            {waiting.length === 0 ? 'All sent' : `Send ${waiting.length === athletes.length ? 'all' : `the other ${waiting.length}`}`}
          </Button>
        </>
      }
    >
      {byHand && (
        <div className="mb-4">
          <p className="text-sm">The browser does not let Gambito copy; select and copy by hand:</p>
          <textarea
            aria-label="Links"
            readOnly
            className="mt-1 h-40 w-full rounded border border-line bg-sheet p-2 text-sm"
            value={byHand}
            onFocus={(event) => event.currentTarget.select()}
          />
        </div>
      )}
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-sm">
            <th className="py-1 font-medium">Athlete</th>
            <th className="py-1 font-medium">State</th>
            <th className="py-1 font-medium">Link</th>
            <th className="py-1">
              <span className="sr-only">Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {athletes.map((athlete) => {
            const sent = sends.find((each) => each.athleteId === athlete.id);
            const alive = sent && !sent.revoked;
            return (
              <tr key={athlete.id} className="border-b border-line">
                <td className="py-1.5 pr-3 font-medium">{athlete.name}</td>
                <td className="py-1.5 pr-3 text-sm">
                  {!sent && <span className="text-soft">not sent</span>}
                  {sent?.revoked && <span className="text-soft">withdrawn</span>}
                  {alive && !sent.changed && <span className="text-good">sent {format(parseISO(sent.sentAt), 'd MMM HH:mm')}</span>}
                  {alive && sent.changed && <span className="rounded bg-amber-wash px-1.5 text-amber-ink">the workout changed after sending</span>}
                </td>
                <td className="py-1.5 pr-3 text-sm">
                  {alive && (
                    <a href={`/a/${sent.token}`} target="_blank" rel="noreferrer" className="underline">
                      open page
                    </a>
                  )}
                </td>
                <td className="py-1 text-right">
                  {alive && (
                    <Button
                      look="bare"
                      onClick={() => void copy(linkOf(sent.token)).then((fine) => (fine ? toast('Link copied.') : setByHand(linkOf(sent.token))))}
                    >
                      Copy
                    </Button>
                  )}
                  {alive && (
                    <Button look="bare" onClick={() => revoke.mutate(sent.id)} aria-label={`Withdraw the link of ${athlete.name}`}>
                      Withdraw
                    </Button>
                  )}
                  {(!alive || sent.changed) && (
                    <Button look="bare" onClick={() => send([athlete.id])} disabled={isSending} aria-label={`Send to ${athlete.name}`}>
                      {sent ? 'Send again' : 'Send'}
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {athletes.length === 0 && <p className="mt-4 text-soft">Nobody to send to yet.</p>}
    </Page>
  );
}
