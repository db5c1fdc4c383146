/** Sending to many: a job on the server, its progress, and stopping it. A server or database that is away for a moment ends nothing: the job goes on, and we ask again. */
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { toast } from '../ui/toast';
import { api, ApiError, messageOf } from '../api/client';
import { nameOfPress } from '../api/press';
import type { SendJob, StoredSend } from '../api/types';

const pollMilliseconds = 250;
/** readings in a row that may fail before we say so */
const mostFailures = 20;

const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, pollMilliseconds));
const isPassing = (error: unknown): boolean => error instanceof ApiError && (error.problem.status === 0 || error.problem.status === 503);

async function progressOf(id: number): Promise<SendJob> {
  for (let failures = 0; ; failures++) {
    try {
      return await api<SendJob>(`/jobs/${id}`);
    } catch (error) {
      if (!isPassing(error) || failures >= mostFailures) throw error;
      await pause();
    }
  }
}

const versions = (count: number): string => `${count} ${count === 1 ? 'version is' : 'versions are'} ready behind ${count === 1 ? 'its link' : 'their links'}.`;

/** @param keep takes the sends as they are afterwards */
export function useSendJob(workoutId: number, keep: (answer: { sends: StoredSend[] }) => void) {
  const [progress, setProgress] = useState({ done: 0, of: 0 });
  const running = useRef<number | null>(null);
  // until it has ended, however often it is pressed, it is the same sending
  const press = useRef(nameOfPress());
  const send = useMutation({
    mutationFn: async (athleteIds: readonly number[]) => {
      setProgress({ done: 0, of: athleteIds.length });
      let job = await api<SendJob>(`/workouts/${workoutId}/send-jobs`, { body: { athleteIds, press: press.current } });
      running.current = job.id;
      while (!job.finished) {
        await pause();
        job = await progressOf(job.id);
        setProgress({ done: job.done, of: job.total });
      }
      keep(await api<{ sends: StoredSend[] }>(`/workouts/${workoutId}/sends`));
      if (job.failed.length > 0) throw new Error(`${job.failed.length} of ${job.total} could not be sent: ${job.failed[0]!.message}`);
      return job;
    },
    onSuccess: ({ total }) => toast(versions(total)),
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => {
      running.current = null;
      press.current = nameOfPress();
      setProgress({ done: 0, of: 0 });
    },
  });
  const stop = (): void => {
    if (running.current !== null)
      void api(`/jobs/${running.current}`, { method: 'DELETE' }).then(
        () => toast('Stopped. What was sent before stays sent.'),
        (failure: unknown) => toast.error(messageOf(failure)),
      );
  };
  return { progress, send: send.mutate, isSending: send.isPending, stop };
}
