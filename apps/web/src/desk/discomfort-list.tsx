/** What hurt somebody, on the desk until it is settled: what they said, whom to ask, and what would be spared at a click. */
import { feltSentence, type Discomfort, type SparedAnswer } from '@gambito/contract';
import { Link } from 'react-router';
import { showDay } from '../shell/days';
import { Button } from '../ui/button';
import { useDiscomforts, useSettleDiscomfort, useSpared } from './use-discomforts';

export function DiscomfortList() {
  const { data: discomforts = [] } = useDiscomforts();
  if (discomforts.length === 0) return null;
  return (
    <section aria-label="Something hurt" className="border-l-4 border-bad pl-3">
      <h2 className="text-lg">Something hurt</h2>
      <ul className="divide-y divide-line">
        {discomforts.map((discomfort) => (
          <DiscomfortLine key={discomfort.id} discomfort={discomfort} />
        ))}
      </ul>
    </section>
  );
}

const wordsOf = (tags: SparedAnswer['spare']): string => tags.map((tag) => tag.replaceAll('_', ' ')).join(', ');

function DiscomfortLine({ discomfort }: { discomfort: Discomfort }) {
  const { athleteId, name, felt, title, day, workoutId } = discomfort;
  const { data: spared } = useSpared(discomfort);
  const settle = useSettleDiscomfort();
  return (
    <li className="py-2">
      <p>
        <Link to={`/people/${athleteId}`} className="font-medium hover:underline">
          {name}
        </Link>
        : {feltSentence(felt)}{' '}
        {workoutId === null ? (
          <span className="whitespace-nowrap text-sm text-soft">
            {title}, {showDay(day)}
          </span>
        ) : (
          <Link to={`/workouts/${workoutId}/adapt?who=${athleteId}`} className="whitespace-nowrap text-sm text-soft hover:underline">
            {title}, {showDay(day)}
          </Link>
        )}
      </p>
      {spared && <Proposal spared={spared} />}
      <div className="mt-1 flex flex-wrap gap-2">
        {spared && spared.spare.length > 0 && (
          <Button look="main" disabled={settle.isPending} onClick={() => settle.mutate({ discomfort, spare: spared.spare })}>
            Spare {wordsOf(spared.spare)} from now on
          </Button>
        )}
        <Button disabled={settle.isPending} onClick={() => settle.mutate({ discomfort, spare: [] })} aria-label={`Settle it: ${felt.where}, ${name}`}>
          It is settled
        </Button>
      </div>
    </li>
  );
}

/** What would stand instead in the version it was told of, and whom to ask. */
function Proposal({ spared: { spare, swaps, ask, urgent } }: { spared: SparedAnswer }) {
  return (
    <div className="text-sm">
      {swaps.length > 0 && (
        <ul>
          {swaps.map(({ was, now }, at) => (
            <li key={at}>
              <span className="text-soft">{was} →</span> {now}
            </li>
          ))}
        </ul>
      )}
      {swaps.length === 0 && !urgent && (
        <p className="text-soft">
          {spare.length > 0 ? 'No line of this version would be another.' : 'Nothing more on the avoid-list stands for it: choose other movements by hand.'}
        </p>
      )}
      <p>{ask} Gambito clears nobody.</p>
    </div>
  );
}
