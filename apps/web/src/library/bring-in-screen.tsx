/** Workouts from elsewhere: pasted, dropped or a file; looked at before they are taken, all of them or none. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Page } from '../shell/frame';
import { showDay } from '../shell/days';
import { Button } from '../ui/button';
import { FileDrop } from '../ui/file-drop';
import { readLibrary, type ReadWorkout } from './portable';

function useTakeIn() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (workouts: readonly ReadWorkout[]) =>
      api<{ ids: number[] }>('/workouts/many', { body: { workouts: workouts.map(({ text, day, tags }) => ({ text, day, tags })) } }),
    onSuccess: async ({ ids }) => {
      void client.invalidateQueries({ queryKey: ['workouts'] });
      const undo = (): void =>
        void Promise.all(ids.map((id) => api(`/workouts/${id}`, { method: 'DELETE' }))).then(() => client.invalidateQueries({ queryKey: ['workouts'] }));
      toast(`${ids.length === 1 ? 'One workout' : `${ids.length} workouts`} taken in.`, { duration: 20_000, action: { label: 'Undo', onClick: undo } });
      await navigate('/workouts');
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}

export function BringInScreen() {
  const [text, setText] = useState('');
  const { workouts, problems } = useMemo(() => readLibrary(text), [text]);
  const take = useTakeIn();
  return (
    <Page
      title="Import workouts"
      aside={
        <Button look="main" disabled={workouts.length === 0 || take.isPending} onClick={() => take.mutate(workouts)}>
          {workouts.length === 0 ? 'Nothing to take in' : `Take in ${workouts.length}`}
        </Button>
      }
    >
      <FileDrop
        label="Workouts"
        rows={10}
        hint="Texts one after the other, each beginning with “# Its title” or cut off by a line of dashes; or a table with a column “text”; or what was saved from a library as JSON or Markdown."
        text={text}
        change={setText}
      />
      {problems.map((problem) => (
        <p key={problem} role="alert" className="mt-2 text-sm text-bad">
          {problem}
        </p>
      ))}
      <ul className="mt-4 divide-y divide-line" aria-label="What will be taken in">
        {workouts.map((workout, index) => (
          <Preview key={index} workout={workout} />
        ))}
      </ul>
    </Page>
  );
}

function Preview({ workout: { title, text, day, tags, remarks } }: { workout: ReadWorkout }) {
  return (
    <li className="grid gap-x-6 py-2 sm:grid-cols-[14rem_1fr]">
      <div>
        <p className="font-serif text-lg">{title}</p>
        <p className="text-sm text-soft">{[showDay(day), ...tags].join(' · ')}</p>
      </div>
      <div className="text-sm">
        <pre className="max-h-40 overflow-auto whitespace-pre-wrap font-sans">{text.replace(/^#.*\n/, '').trim()}</pre>
        {remarks.map((remark) => (
          <p key={remark} className="text-amber-ink">
            {remark}
          </p>
        ))}
      </div>
    </li>
  );
}
