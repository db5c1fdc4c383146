/** Ranked alternatives of one slot, each with its effect on time and drift; and "why not …" for any movement asked about. */
import { findMovement, wordsOf, type Alternative, type Lock } from '@gambito/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { core } from '../workers/core-client';
import type { VersionAsked } from '../workers/core-worker';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { MarkSign } from '../ui/mark';
import { showScore } from '../ui/scores';
import { Loading } from '../ui/states';
import { useRoom } from '../api/room';

interface Props extends VersionAsked {
  readonly part: number;
  readonly slot: number;
  readonly locked: boolean;
  readonly choose: ((lock: Lock | null) => void) | null;
}

export function SlotAlternatives({ text, who, today, rules, locks, part, slot, locked, choose }: Props) {
  const units = useRoom();
  const [asked, setAsked] = useState('');
  const [question, setQuestion] = useState<string | null>(null);
  const [unknown, setUnknown] = useState(false);
  const { data: list } = useQuery({
    queryKey: ['alternatives', text, units, who, today, rules, locks, part, slot, question],
    queryFn: () => core().alternatives({ text, units }, who, today, rules, locks, { part, slot }, question),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  if (!list) return <Loading what="Weighing alternatives" />;
  const now = list.find((each) => each.chosen);
  const difference = (each: Alternative): string => {
    if (!now || each.chosen) return 'chosen';
    const time = Math.round((each.timeDrift - now.timeDrift) * 100);
    const drift = each.drift - now.drift;
    return `time ${time >= 0 ? '+' : ''}${time} %, drift ${drift >= 0 ? '+' : ''}${drift.toFixed(2)}`;
  };
  return (
    <div className="mt-1 border-l-2 border-ink pl-3">
      <ul className="divide-y divide-line">
        {list.map((each) => (
          <li key={each.movement} className="py-1">
            <div className="flex items-center gap-2">
              <span className="min-w-0 flex-1">
                <span className={each.chosen ? 'font-semibold' : ''}>
                  {each.count} {wordsOf(each.movement)}
                </span>
                {each.load && <span className="text-soft"> · {each.load}</span>}
                <span className="block text-xs text-soft">
                  {showScore(each.score, each.unit)} · {difference(each)}
                </span>
                {each.blocked && <span className="block text-xs text-bad">Breaks a limit: {each.blocked}.</span>}
                {each.movement === question && <span className="block text-xs">{each.reason}</span>}
              </span>
              <MarkSign mark={each.mark} words={false} />
              {choose && !each.chosen && (
                <Button onClick={() => choose({ part, slot, movement: each.movement })} aria-label={`Take ${wordsOf(each.movement)}`}>
                  Take
                </Button>
              )}
              {choose && each.chosen && (
                <Button
                  look="bare"
                  onClick={() =>
                    choose(
                      locked
                        ? null
                        : {
                            part,
                            slot,
                            movement: each.movement,
                            ...(each.reps !== null ? { reps: each.reps } : {}),
                            ...(each.loadKg !== null ? { loadKg: each.loadKg } : {}),
                          },
                    )
                  }
                >
                  {locked ? 'Unlock' : 'Lock'}
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
      {choose && now && now.reps !== null && (
        <label className="mt-1 flex items-center gap-2 text-sm">
          Count
          <CountInput reps={now.reps} set={(reps) => choose({ part, slot, movement: now.movement, reps })} />
          <span className="text-xs text-soft">locks it; the rest re-balances</span>
        </label>
      )}
      <form
        className="mt-2 flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const id = findMovement(asked);
          setUnknown(!id && asked.trim() !== '');
          setQuestion(id);
        }}
      >
        <input
          aria-label="Why not another movement?"
          placeholder="why not … (any movement)"
          className={`${inputLook} min-w-0 flex-1 text-sm`}
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
        />
        <Button type="submit">Ask</Button>
      </form>
      {unknown && (
        <p role="alert" className="text-sm text-bad">
          “{asked}” is not a movement Gambito knows.
        </p>
      )}
    </div>
  );
}

/** Takes a count on Enter and on leaving; the focus stays where it is while the version follows. */
function CountInput({ reps, set }: { reps: number; set: (reps: number) => void }) {
  const [typed, setTyped] = useState(String(reps));
  // what was asked for last: leaving the field after Enter does not ask again
  const asked = useRef(reps);
  useEffect(() => {
    asked.current = reps;
    setTyped(String(reps));
  }, [reps]);
  const take = (): void => {
    const wanted = Math.round(Number(typed));
    if (!(wanted >= 1)) setTyped(String(reps));
    else if (wanted !== asked.current) {
      asked.current = wanted;
      set(wanted);
    }
  };
  return (
    <input
      type="number"
      min={1}
      max={9999}
      value={typed}
      className={`${inputLook} w-24`}
      onChange={(event) => setTyped(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && take()}
      onBlur={take}
    />
  );
}
