/** What an invitation opens: one more coach, with a desk of their own. */
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api } from '../api/client';
import { Failed, Loading } from '../ui/states';
import { Door } from './door';
import { NewCoachForm } from './new-coach-form';
import { useEntering } from './use-entering';

export function JoinScreen() {
  const token = useParams()['token']!;
  const { data, error, refetch } = useQuery({ queryKey: ['join', token], queryFn: () => api<{ open: boolean }>(`/join/${token}`) });
  const { enter, busy, problem } = useEntering();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  return (
    <Door problem={problem}>
      {data.open ? (
        <NewCoachForm title="You are invited: set up your desk" busy={busy} enter={(body) => void enter(`/join/${token}`, body)} />
      ) : (
        <p>This invitation was used, withdrawn, or ran out. Ask for a new one.</p>
      )}
    </Door>
  );
}
