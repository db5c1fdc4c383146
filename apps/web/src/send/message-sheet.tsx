/** Writing to athletes: every message as it would go out, before it does. */
import type { Draft } from '@gambito/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/button';
import { Modal } from '../ui/modal';
import { Failed, Loading } from '../ui/states';
import { useDrafts, useWriting } from './use-messages';

const reasons: Readonly<Record<NonNullable<Draft['reason']>, string>> = {
  'no contact': 'no contact in the file',
  'contact too long': 'the contact in the file is longer than any address',
  'not sent': 'no version was sent',
  'told already': 'told of this version already',
};

export function MessageSheet({ workoutId, athleteIds }: { workoutId: number; athleteIds: readonly number[] }) {
  const [open, setOpen] = useState(false);
  return (
    <Modal
      open={open}
      setOpen={setOpen}
      title="Write to them"
      className="w-[min(46rem,94vw)]"
      trigger={
        <Button disabled={athleteIds.length === 0} title="Look at the messages before they go out">
          Write to them …
        </Button>
      }
    >
      {open && <Drafts workoutId={workoutId} athleteIds={athleteIds} close={() => setOpen(false)} />}
    </Modal>
  );
}

function Drafts({ workoutId, athleteIds, close }: { workoutId: number; athleteIds: readonly number[]; close: () => void }) {
  const { data: drafts, error, refetch } = useDrafts(workoutId, athleteIds);
  const writing = useWriting(workoutId, close);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!drafts) return <Loading what="Drafting" />;
  const going = drafts.filter(({ reason }) => reason === null);
  const staying = drafts.filter(({ reason }) => reason !== null);
  return (
    <>
      <p className="mt-1 text-sm text-soft">
        One message for each version that was sent, never twice for the same one. The messenger that ships with Gambito sends nothing anywhere: it plays the
        part, so that you see what would happen.
      </p>
      <ul className="mt-3 divide-y divide-line border-y border-line text-sm" aria-label="Messages">
        {going.map(({ athleteId, recipient, subject, body }) => (
          <li key={athleteId} className="py-1.5">
            <details>
              <summary className="cursor-pointer">
                <b className="font-medium">{recipient}</b> <span className="text-soft">{subject}</span>
              </summary>
              <p className="mt-1 whitespace-pre-wrap break-words border-l-2 border-line pl-3">{body}</p>
            </details>
          </li>
        ))}
      </ul>
      {staying.length > 0 && (
        <ul className="mt-3 text-sm text-soft" aria-label="Not written to">
          {staying.map(({ athleteId, name, reason }) => (
            <li key={athleteId}>
              <Link className="underline" to={`/people/${athleteId}`}>
                {name}
              </Link>
              : {reasons[reason!]}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-4 flex gap-2">
        <Button look="main" disabled={going.length === 0 || writing.isPending} onClick={() => writing.mutate(going.map(({ athleteId }) => athleteId))}>
          {going.length === 0 ? 'Nothing to write' : going.length === 1 ? 'Send this message' : `Send these ${going.length} messages`}
        </Button>
        <Button onClick={close}>Not now</Button>
      </div>
    </>
  );
}
