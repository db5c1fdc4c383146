/** Two or more people, one bar: who begins when, planned on one axis and set for their clocks. */
import { formatClock, handOver } from '@gambito/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import type { Member } from './lanes';
import { sharedImplements, sharingPlan, startsWith, type SharingPlan } from './sharing';
import type { Starts } from './use-class-room';

interface Props {
  readonly lanes: readonly Member[];
  readonly set: (starts: Starts) => void;
}

export function SharePanel({ lanes, set }: Props) {
  const implementsShared = sharedImplements(lanes);
  const [implement, setImplement] = useState('');
  const [who, setWho] = useState<readonly number[]>([]);
  const chosen = implementsShared.includes(implement) ? implement : (implementsShared[0] ?? '');
  const users = lanes.filter(({ uses }) => uses.some((use) => use.implement === chosen));
  const plan = sharingPlan(
    users.filter(({ athleteId }) => who.includes(athleteId)),
    chosen,
  );
  const otherwise = lanes.filter(({ later, begin }) => later > 0 || begin !== null);
  if (implementsShared.length === 0) return null;
  return (
    <details className="mt-5 border-t border-line pt-2">
      <summary className="cursor-pointer font-serif text-lg font-semibold">
        Share an implement
        {otherwise.length > 0 && (
          <span className="ml-2 font-sans text-sm font-normal text-soft">{otherwise.map((lane) => `${lane.name} begins ${startWords(lane)}`).join(', ')}</span>
        )}
      </summary>
      <div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        <label className="flex items-center gap-2">
          One
          <select className={inputLook} value={chosen} onChange={(event) => setImplement(event.target.value)}>
            {implementsShared.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </select>
          for
        </label>
        {users.map(({ athleteId, name }) => (
          <label key={athleteId} className="flex items-center gap-1 rounded-full border border-line px-2.5 py-1">
            <input
              type="checkbox"
              checked={who.includes(athleteId)}
              onChange={(event) => setWho(event.target.checked ? [...who, athleteId] : who.filter((id) => id !== athleteId))}
            />
            {name}
          </label>
        ))}
        {otherwise.length > 0 && <Button onClick={() => set({ later: {}, begins: {} })}>All at once again</Button>}
      </div>
      {plan && <Plan plan={plan} implement={chosen} set={() => set(startsWith(lanes, plan))} />}
    </details>
  );
}

/** `0:30 later`, `at once`, with the movement where it is not the first */
function startWords({ later, begin }: Pick<Member, 'later' | 'begin'>): string {
  const when = later > 0 ? `${formatClock(later)} later` : 'at once';
  return begin === null ? when : `${when} with ${begin}, then around`;
}

function wordsOf({ people, totalSeconds, waitSeconds, aloneSeconds, changeSeconds }: SharingPlan, implement: string): string {
  const starts = people.map(({ person, begins, begin }) => `${person.lane.name} ${startWords({ later: begins, begin })}`).join(', ');
  const more = Math.max(0, Math.round(totalSeconds - aloneSeconds));
  const whole = `all done after about ${formatClock(Math.round(totalSeconds))}, ${more === 0 ? 'no' : formatClock(more)} more than with one each`;
  const waiting =
    waitSeconds < 1
      ? `The ${implement} is free whenever it is wanted.`
      : `They wait for the ${implement} now and then, about ${formatClock(Math.round(waitSeconds))} in all.`;
  const plates =
    changeSeconds > handOver
      ? ` Their loads differ: ${changeSeconds - handOver} s of plates at each change of hands, which one load for both would spare.`
      : '';
  return `${starts}; ${whole}. ${waiting}${plates}`;
}

function Plan({ plan, implement, set }: { plan: SharingPlan; implement: string; set: () => void }) {
  const share = (seconds: number): string => `${(100 * seconds) / plan.totalSeconds}%`;
  return (
    <div className="mt-3">
      <ul aria-label={`The ${implement}, by who has it`}>
        {plan.people.map(({ person: { lane }, uses, wholeSeconds, begins }) => (
          <li key={lane.athleteId} className="grid grid-cols-[9rem_1fr] items-center gap-x-3 py-0.5 text-sm">
            <span className="truncate">{lane.name}</span>
            <span className="relative block h-4">
              <span className="absolute inset-y-0 rounded bg-wash" style={{ left: share(begins), width: share(wholeSeconds) }} />
              {uses.map(({ startSeconds, endSeconds }) => (
                <span
                  key={startSeconds}
                  className="absolute inset-y-0 rounded bg-ink"
                  style={{ left: share(begins + startSeconds), width: share(endSeconds - startSeconds) }}
                />
              ))}
            </span>
          </li>
        ))}
      </ul>
      <p className="my-2 max-w-prose text-sm">{wordsOf(plan, implement)}</p>
      <Button look="main" onClick={set}>
        Set these starts
      </Button>
    </div>
  );
}
