/** A person's record: what was kept and missed, load and volume by week, what came back, and what each score taught, with the coach's word against it. */
import { useQuery } from '@tanstack/react-query';
import type { PersonRecord } from '@gambito/contract';
import { attendance, trainingWeeks, weekWarnings, wordsOf } from '@gambito/core';
import { Link, useParams } from 'react-router';
import { api } from '../api/client';
import { useAthlete, useMe } from '../api/queries';
import { todayIn } from '../shell/days';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';
import { Again } from './again';
import { Calendar } from './calendar';
import { ModelCard } from './model-card';
import { plannedOf, sessionsOf } from './sessions';
import { Weeks } from './weeks';

/** ms after which is looked again while scores are being read */
const soon = 3_000;
/** weeks that are shown */
const shown = 8;

export function RecordScreen() {
  const id = Number(useParams()['id']);
  const { data: stored } = useAthlete(id);
  const { data: me } = useMe();
  const {
    data: record,
    error,
    refetch,
  } = useQuery({
    queryKey: ['athletes', id, 'record'],
    queryFn: () => api<PersonRecord>(`/athletes/${id}/record`),
    refetchInterval: ({ state }) => (state.data?.sessions.some(({ read }) => !read) ? soon : false),
  });
  const unread = record?.sessions.filter(({ read }) => !read).length ?? 0;
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!record || !stored || !me?.coach) return <Loading />;
  const today = todayIn(me.coach.timeZone);
  return (
    <Page
      wide
      title={`${stored.name}: the record`}
      aside={
        <>
          {unread > 0 && <span className="text-sm text-soft">{unread} still being read …</span>}
          <Button asChild>
            <Link to={`/people/${id}`}>The person</Link>
          </Button>
        </>
      }
    >
      {record.sessions.length + record.missed.length + record.open.length === 0 ? (
        <Empty title="Nothing yet">
          <p>What is sent to {stored.name} and scored stands here, week by week.</p>
        </Empty>
      ) : (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
          <Kept record={record} today={today} firstDay={me.coach.firstDay} />
          <ModelCard record={record} stored={stored} today={today} />
        </div>
      )}
    </Page>
  );
}

function Kept({ record, today, firstDay }: { record: PersonRecord; today: string; firstDay: number }) {
  const sessions = sessionsOf(record);
  const weeks = trainingWeeks(sessions, today, firstDay, shown);
  const warnings = weekWarnings(sessions, weeks, today, wordsOf);
  const { kept, missed, streak, silent, longest } = attendance(plannedOf(record));
  return (
    <div>
      <h2 className="text-lg">Kept and missed</h2>
      <p className="mb-2 text-sm">
        {kept} kept, {missed} missed{streak > 1 && `, ${streak} in a row now`}
        {silent > 1 && `, ${silent} in a row without a score`}
        {longest > streak && longest > 1 && `, ${longest} at best`}.
      </p>
      <Calendar record={record} today={today} firstDay={firstDay} weeks={shown} />
      {warnings.length > 0 && (
        <ul className="mt-3 border-l-4 border-amber pl-3 text-sm" aria-label="To look at twice">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
      <Weeks weeks={weeks} />
      <Again record={record} />
    </div>
  );
}
