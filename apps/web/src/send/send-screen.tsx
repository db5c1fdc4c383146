/** Send: one link an athlete, copied all at once; who has it, who got an older text, and how to withdraw it. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useParams } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useAthletes, useSends } from '../api/queries';
import type { SendJob, StoredSend } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { Failed, Loading, Progress } from '../ui/states';

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

const pollMilliseconds = 250;

export function SendScreen() {
  const id = Number(useParams()['id']);
  const client = useQueryClient();
  const { data: athletes } = useAthletes();
  const { data: sends, error, refetch } = useSends(id);
  const [progress, setProgress] = useState({ done: 0, of: 0 });
  const [byHand, setByHand] = useState<string | null>(null);
  const keep = (answer: { sends: StoredSend[] }): void => {
    client.setQueryData(['workouts', id, 'sends'], answer.sends);
  };
  const sendTo = useMutation({
    mutationFn: async (ids: readonly number[]) => {
      setProgress({ done: 0, of: ids.length });
      let job = await api<SendJob>(`/workouts/${id}/send-jobs`, { body: { athleteIds: ids } });
      while (!job.finished) {
        await new Promise((resolve) => setTimeout(resolve, pollMilliseconds));
        job = await api<SendJob>(`/jobs/${job.id}`);
        setProgress({ done: job.done, of: job.total });
      }
      keep(await api<{ sends: StoredSend[] }>(`/workouts/${id}/sends`));
      if (job.failed.length > 0) throw new Error(`${job.failed.length} of ${job.total} could not be sent: ${job.failed[0]!.message}`);
    },
    onSuccess: (_answer, ids) =>
      toast(`${ids.length} ${ids.length === 1 ? 'version is' : 'versions are'} ready behind ${ids.length === 1 ? 'its link' : 'their links'}.`),
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => setProgress({ done: 0, of: 0 }),
  });
  const revoke = useMutation({
    mutationFn: (sendId: number) => api<{ sends: StoredSend[] }>(`/workouts/${id}/sends/${sendId}`, { method: 'DELETE' }),
    onSuccess: (answer) => {
      keep(answer);
      toast('The link is withdrawn. Sending again makes a new one.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
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
          <Button onClick={() => void copyAll()} disabled={live.length === 0}>
            Copy all links
          </Button>
          <Button look="main" onClick={() => sendTo.mutate(waiting.map((each) => each.id))} disabled={waiting.length === 0 || sendTo.isPending}>
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
                    <Button look="bare" onClick={() => sendTo.mutate([athlete.id])} disabled={sendTo.isPending} aria-label={`Send to ${athlete.name}`}>
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
