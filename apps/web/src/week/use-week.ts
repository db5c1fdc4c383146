/** The week's own: its workouts with what they ask, moving and copying them, and what is new to whom. */
import { movementOf, type DayLoad } from '@gambito/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { meantOf } from '../api/meant';
import { useAthletes, useMe, useUndatedWorkouts, useWeekWorkouts } from '../api/queries';
import { saveDetails } from '../api/save-details';
import type { ListedWorkout, StoredAthlete } from '../api/types';
import { textsOf } from '../library/use-library-actions';
import { todayIn } from '../shell/days';
import { backgroundCore } from '../workers/core-client';
import { daysOfWeek, shifted, type Planned } from './week';

/** What workouts ask, by number; looked at behind the screen. */
function useLoads(workouts: readonly ListedWorkout[]): ReadonlyMap<number, DayLoad> {
  const key = workouts.map(({ id, revision }) => `${id}:${revision}`).join();
  const { data } = useQuery({
    queryKey: ['day-loads', key],
    queryFn: async () => {
      const texts = await textsOf(workouts.map(({ id }) => id));
      const loads = await backgroundCore().dayLoads(texts.map(({ text }) => text));
      return new Map(workouts.map(({ id }, at) => [id, loads[at]!]));
    },
    enabled: workouts.length > 0,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  return data ?? new Map<number, DayLoad>();
}

/** from here a movement is a skill that has to be practised first */
const skilled = 2;
export interface NewSkill {
  readonly movement: string;
  readonly names: readonly string[];
}
/** Skills of a workout, each with those it is meant for who have not done it: as far as past results tell. */
export function newSkills({ workout, load }: Planned, athletes: readonly StoredAthlete[]): NewSkill[] {
  const meant = meantOf(athletes, workout.audience).filter(({ results }) => results.length > 0);
  const done = meant.map(({ name, results }) => ({ name, movements: results.flatMap(({ result }) => ('movements' in result ? result.movements : [])) }));
  return (load?.movements ?? [])
    .filter((id) => movementOf(id).skill >= skilled)
    .map((movement) => ({ movement, names: done.filter(({ movements }) => !movements.includes(movement)).map(({ name }) => name) }))
    .filter(({ names }) => names.length > 0);
}

/** Moving is saved at once, and taken back by the message that follows. */
function useMoves(days: readonly string[], planned: readonly Planned[]) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['workouts'] });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const move = useMutation({
    mutationFn: ({ workout, day }: { workout: ListedWorkout; day: string | null }) => saveDetails(workout.id, { day }, workout.revision),
    onSuccess: (saved, { workout }) => {
      void refresh();
      const undo = (): void => void saveDetails(workout.id, { day: workout.day }, saved.revision).then(refresh, onError);
      toast(`${workout.title} moved.`, { action: { label: 'Undo', onClick: undo } });
    },
    onError,
  });
  const copyWeek = useMutation({
    mutationFn: async () => {
      const copies: { id: number }[] = [];
      for (const { workout } of planned) copies.push(await api(`/workouts/${workout.id}/duplicate`, { body: { day: shifted(workout.day!, 7) } }));
      return copies;
    },
    onSuccess: (copies) => {
      void refresh();
      const undo = (): void => void Promise.all(copies.map(({ id }) => api(`/workouts/${id}`, { method: 'DELETE' }))).then(refresh, onError);
      toast(`${copies.length} workouts copied onto the next week.`, { duration: 20_000, action: { label: 'Undo', onClick: undo } });
    },
    onError,
  });
  return {
    move: (workout: ListedWorkout, day: string | null) => (workout.day === day ? undefined : move.mutate({ workout, day })),
    /** a day earlier or later; over the edge it leaves this week */
    nudge: (workout: ListedWorkout, by: number) => move.mutate({ workout, day: shifted(workout.day ?? days[0]!, by) }),
    copyWeek: () => copyWeek.mutate(),
    copying: copyWeek.isPending,
  };
}

export function useWeek() {
  const { data: me } = useMe();
  const [params, setParams] = useSearchParams();
  const today = todayIn(me?.coach?.timeZone);
  const day = params.get('day') ?? today;
  const days = useMemo(() => daysOfWeek(day, me?.coach?.firstDay ?? 1), [day, me?.coach?.firstDay]);
  // the days beside the week count for what collides at its edges
  const week = useWeekWorkouts(me ? shifted(days[0]!, -1) : null, shifted(days[6]!, 1));
  const undated = useUndatedWorkouts();
  const { data: athletes = [] } = useAthletes();
  const listed = useMemo(() => [...(week.data ?? []), ...(undated.data ?? [])], [week.data, undated.data]);
  const loads = useLoads(listed);
  const all = useMemo(() => listed.map((workout): Planned => ({ workout, load: loads.get(workout.id) ?? null })), [listed, loads]);
  const inWeek = all.filter(({ workout }) => days.includes(workout.day ?? ''));
  return {
    today,
    days,
    all,
    inWeek,
    undated: all.filter(({ workout }) => workout.day === null),
    athletes,
    ready: week.data !== undefined && undated.data !== undefined,
    error: week.error ?? undated.error,
    again: () => void Promise.all([week.refetch(), undated.refetch()]),
    go: (to: string | null) => setParams(to === null ? {} : { day: to }, { replace: true }),
    ...useMoves(days, inWeek),
  };
}
export type Week = ReturnType<typeof useWeek>;
