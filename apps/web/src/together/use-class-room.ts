/** The coach's class: its clock, what the phones told, and what can be done with it. */
import type { ClassRoom, ClassRoomNews, ClassState } from '@gambito/contract';
import type { ClassMove } from '@gambito/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { axisOf, laneView, membersOf, type HeardRun } from './lanes';
import { useNews } from './use-news';
import { useOffset } from './use-offset';

/** ms between two drawings */
const redraw = 200;

function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), redraw);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** Who begins later, s, and who with another movement, by athlete. */
export interface Starts {
  readonly later: Readonly<Record<number, number>>;
  readonly begins: Readonly<Record<number, string>>;
}

/** @param workoutId whose class */
export function useClassRoom(workoutId: number) {
  const client = useQueryClient();
  const key = useMemo(() => ['workouts', workoutId, 'class'], [workoutId]);
  const { data: room, error, refetch } = useQuery({ queryKey: key, queryFn: () => api<ClassRoom>(`/workouts/${workoutId}/class`) });
  const [runs, setRuns] = useState<ReadonlyMap<number, HeardRun>>(new Map());
  const hear = useCallback(
    (news: ClassRoomNews): void => {
      client.setQueryData<ClassRoom>(key, (before) => before && { ...before, clock: news.clock, later: news.later, begins: news.begins });
      if (news.runs.length > 0) setRuns((before) => new Map([...before, ...news.runs.map(({ athleteId, ...heard }) => [athleteId, heard] as const)]));
    },
    [client, key],
  );
  const connected = useNews<ClassRoomNews>(`/workouts/${workoutId}/class/news`, hear);
  const offset = useOffset();
  const now = useNow() + (offset?.offsetMs ?? 0);
  const keep = (state: ClassState): void => void client.setQueryData<ClassRoom>(key, (before) => before && { ...before, ...state });
  const failed = (failure: unknown): void => void toast.error(messageOf(failure));
  const open = useMutation({ mutationFn: () => api<ClassState>(`/workouts/${workoutId}/class`, { method: 'PUT' }), onSuccess: keep, onError: failed });
  const move = useMutation({
    mutationFn: (what: ClassMove) => api<ClassState>(`/workouts/${workoutId}/class/moves`, { body: { move: what } }),
    onSuccess: keep,
    onError: failed,
  });
  const stagger = useMutation({
    mutationFn: (starts: Starts) => api<ClassState>(`/workouts/${workoutId}/class/later`, { method: 'PUT', body: starts }),
    onSuccess: keep,
    onError: failed,
  });
  const clock = room?.clock ?? null;
  const members = useMemo(() => (room ? membersOf(room) : []), [room]);
  const seconds = clock === null || clock.startedAt === null ? null : ((clock.pausedAt ?? now) - clock.startedAt - clock.pausedMs) / 1000;
  return {
    room,
    error,
    refetch,
    clock,
    /** s on the class's clock, the count-in negative; null before the start */
    seconds,
    connected,
    errorMs: offset?.errorMs ?? null,
    members,
    lanes: clock ? members.map((member) => laneView(member, clock, runs.get(member.athleteId), now)) : [],
    axis: axisOf(members, seconds ?? 0),
    busy: open.isPending || move.isPending,
    open: () => open.mutate(),
    move: (what: ClassMove) => move.mutate(what),
    stagger: (starts: Starts) => stagger.mutate(starts),
  };
}
export type ClassModel = ReturnType<typeof useClassRoom>;
