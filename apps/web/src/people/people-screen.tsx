/** The people: who they are, where they train, what to mind. */
import { readAthlete, formatMass } from '@gambito/core';
import { Trash2 } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { useRoster, useDelete, useMe } from '../api/queries';
import { Page } from '../shell/frame';
import { todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';

export function PeopleScreen() {
  const { data: athletes, error, refetch } = useRoster();
  const { data: me } = useMe();
  const navigate = useNavigate();
  const remove = useDelete('/athletes', 'Athlete', ['athletes']);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!athletes) return <Loading />;
  const today = todayIn(me?.coach?.timeZone);
  return (
    <Page
      title="People"
      aside={
        <Button look="main" onClick={() => void navigate('/people/new')}>
          Add an athlete
        </Button>
      }
    >
      {athletes.length === 0 && (
        <Empty title="Nobody yet">
          <p className="text-soft">A name and a level are enough for a first version; what is missing is estimated and said.</p>
          <Button onClick={() => void navigate('/people/new')}>Add the first one</Button>
        </Empty>
      )}
      <ul className="divide-y divide-line">
        {athletes.map((each) => {
          const { athlete } = readAthlete(each.file, today);
          const place = athlete.places[0]!;
          return (
            <li key={each.id} className="flex items-center gap-3 py-2">
              <Link to={`/people/${each.id}`} className="grid min-w-0 flex-1 gap-x-4 hover:bg-wash sm:grid-cols-[170px_210px_1fr]">
                <span>
                  <span className="font-serif text-lg">{each.name}</span>
                  <span className="block text-sm text-soft">{typeof each.file['notes'] === 'string' ? each.file['notes'] : ''}</span>
                </span>
                <span className="text-sm">
                  {athlete.level}, {athlete.category}
                  {athlete.ageYears === null ? '' : `, ${athlete.ageYears}`}
                  <span className="block text-soft">
                    {formatMass(athlete.bodyMassKg, athlete.units)}, {Math.round(athlete.statureM * 100)} cm
                  </span>
                </span>
                <span className="min-w-0 text-sm">
                  <b>{place.name}</b>, {place.floor.lengthM} × {place.floor.widthM} m, ceiling {place.ceilingM} m{place.noise === 'quiet' && ', quiet'}
                  {athlete.avoid.length > 0 && (
                    <span className="text-amber-ink"> · avoids {athlete.avoid.map((tag) => tag.replaceAll('_', ' ')).join(', ')}</span>
                  )}
                  <span className="block truncate text-soft">
                    {Array.isArray((each.file['place'] as { kit?: unknown } | undefined)?.kit)
                      ? (each.file['place'] as { kit: string[] }).kit.join(', ') || 'no kit'
                      : 'no kit'}
                  </span>{' '}
                </span>
              </Link>
              <Button look="danger" onClick={() => remove.mutate(each.id)} aria-label={`Delete ${each.name}`}>
                <Trash2 size={16} />
              </Button>
            </li>
          );
        })}
      </ul>
    </Page>
  );
}
