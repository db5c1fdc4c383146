/** Send's own: who is shown, who waits for a version, the links, and what is under way. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { meantOf } from '../api/meant';
import { useMe, useRoster, useSends, useWorkout } from '../api/queries';
import type { StoredSend } from '../api/types';
import { arrangeRoster, rosterRow, type RosterRow } from '../people/roster';
import { todayIn } from '../shell/days';
import { useSendJob } from './use-send-job';

const linkOf = (token: string): string => `${window.location.origin}/a/${token}`;

/** @returns false where the browser does not let us write to the clipboard; the text is then shown to be copied by hand */
async function copied(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

/** Those it is meant for, or of them those whose file has the words that are asked for. */
function useShown(workoutId: number) {
  const { data: everybody, error, refetch } = useRoster();
  const { data: workout } = useWorkout(workoutId);
  const athletes = useMemo(() => everybody && workout && meantOf(everybody, workout.audience), [everybody, workout]);
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const [search, setSearch] = useState('');
  const rows = useMemo(() => athletes?.map((athlete) => rosterRow(athlete, today)), [athletes, today]);
  const shown = useMemo(() => arrangeRoster(rows ?? [], { search, group: null, order: 'name', backwards: false }), [rows, search]);
  return { rows, shown, notMeant: (everybody?.length ?? 0) - (rows?.length ?? 0), search, setSearch, error, refetch };
}

function useLinks(workoutId: number, names: readonly RosterRow[]) {
  const client = useQueryClient();
  const { data: sends, error, refetch } = useSends(workoutId);
  const keep = (answer: { sends: StoredSend[] }): void => void client.setQueryData(['workouts', workoutId, 'sends'], answer.sends);
  const [byHand, setByHand] = useState<string | null>(null);
  const copy = async (text: string, done: string): Promise<void> => {
    if (await copied(text)) toast(done);
    else setByHand(text);
  };
  const reopen = useMutation({
    mutationFn: (sendId: number) => api<{ sends: StoredSend[] }>(`/workouts/${workoutId}/sends/${sendId}/open`, { method: 'PUT' }),
    onSuccess: (answer) => {
      keep(answer);
      toast('The link opens again.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const revoke = useMutation({
    mutationFn: (sendId: number) => api<{ sends: StoredSend[] }>(`/workouts/${workoutId}/sends/${sendId}`, { method: 'DELETE' }),
    onSuccess: (answer, sendId) => {
      keep(answer);
      toast('The link is withdrawn. Sending again makes a new one.', { action: { label: 'Undo', onClick: () => reopen.mutate(sendId) } });
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const alive = (sends ?? []).filter(({ revoked, athleteId }) => !revoked && names.some(({ id }) => id === athleteId));
  const nameOf = (athleteId: number): string => names.find(({ id }) => id === athleteId)?.name ?? 'Athlete';
  return {
    sends,
    alive,
    error,
    refetch,
    keep,
    byHand,
    copyOne: (token: string) => copy(linkOf(token), 'Link copied.'),
    copyAll: () => copy(alive.map(({ athleteId, token }) => `${nameOf(athleteId)}: ${linkOf(token)}`).join('\n'), `${alive.length} links copied.`),
    withdraw: (sendId: number) => revoke.mutate(sendId),
    reopen: (sendId: number) => reopen.mutate(sendId),
  };
}
export type Links = ReturnType<typeof useLinks>;

export function useSend(workoutId: number) {
  const people = useShown(workoutId);
  const links = useLinks(workoutId, people.shown);
  const job = useSendJob(workoutId, links.keep);
  const waiting = people.shown.filter(({ id }) => !links.alive.some(({ athleteId, changed }) => athleteId === id && !changed));
  return { people, links, job, waiting };
}
