/** Ranked alternatives of one slot, each with its effect on time and drift; and "why not …" for any movement asked about. */
import { findMovement, formatClock, wordsOf, type Alternative, type Lock } from '@gambito/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent, type RefObject } from 'react';
import { core } from '../workers/core-client';
import type { VersionAsked } from '../workers/core-worker';
import { useDeskKeys } from '../ui/use-desk-keys';
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

/** The ranked list, and what the coach asked about. */
function useAlternatives({ text, who, today, rules, locks, part, slot }: Props) {
  const units = useRoom();
  const [question, setQuestion] = useState<string | null>(null);
  const { data: list } = useQuery({
    queryKey: ['alternatives', text, units, who, today, rules, locks, part, slot, question],
    queryFn: () => core().alternatives({ text, units }, who, today, rules, locks, { part, slot }, question),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return { list, question, setQuestion };
}

function differenceFrom(now: Alternative | undefined, other: Alternative): string {
  if (!now || other.chosen) return 'chosen';
  const time = Math.round((other.timeDrift - now.timeDrift) * 100);
  const drift = other.drift - now.drift;
  return `time ${time >= 0 ? '+' : ''}${time} %, drift ${drift >= 0 ? '+' : ''}${drift.toFixed(2)}`;
}

export function SlotAlternatives(props: Props) {
  const { part, slot, locked, choose } = props;
  const { list, question, setQuestion } = useAlternatives(props);
  const why = useRef<HTMLInputElement>(null);
  const now = list?.find(({ chosen }) => chosen);
  const turnLock = (): void => now && choose?.(locked ? null : lockOf(now, part, slot));
  useDeskKeys({ w: () => why.current?.focus(), l: turnLock });
  if (!list) return <Loading what="Weighing alternatives" />;
  return (
    <div className="mt-1 border-l-2 border-ink pl-3">
      <ul className="divide-y divide-line">
        {list.map((alternative) => (
          <li key={alternative.movement} className="flex items-center gap-2 py-1">
            <About alternative={alternative} now={now} asked={alternative.movement === question} />
            <MarkSign mark={alternative.mark} words={false} />
            {choose && !alternative.chosen && (
              <Button onClick={() => choose({ part, slot, movement: alternative.movement })} aria-label={`Use ${wordsOf(alternative.movement)}`}>
                Use this
              </Button>
            )}
            {choose && alternative.chosen && (
              <Button look="bare" onClick={turnLock}>
                {locked ? 'Unlock' : 'Lock'}
              </Button>
            )}
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
      <WhyNot field={why} ask={setQuestion} />
    </div>
  );
}

/** As it is now, to the last figure. */
const lockOf = ({ movement, reps, loadKg }: Alternative, part: number, slot: number): Lock => ({
  part,
  slot,
  movement,
  ...(reps !== null ? { reps } : {}),
  ...(loadKg !== null ? { loadKg } : {}),
});

function About({ alternative, now, asked }: { alternative: Alternative; now: Alternative | undefined; asked: boolean }) {
  const { count, movement, load, score, unit, blocked, reason, chosen, boutSeconds, boutKilojoules } = alternative;
  return (
    <span className="min-w-0 flex-1">
      <span className={chosen ? 'font-semibold' : ''}>
        {count} {wordsOf(movement)}
      </span>
      {load && <span className="text-soft"> · {load}</span>}
      <span className="block text-xs text-soft">
        {showScore(score, unit)} · {differenceFrom(now, alternative)}
        <span title="one bout: how long it takes, and its effort as metabolic work">
          {' '}
          · a bout {formatClock(boutSeconds)}, {Math.round(boutKilojoules)} kJ
        </span>
      </span>
      {blocked && <span className="block text-xs text-bad">Breaks a limit: {blocked}.</span>}
      {asked && <span className="block text-xs">{reason}</span>}
    </span>
  );
}

/** Any movement can be asked about. */
function WhyNot({ field, ask }: { field: RefObject<HTMLInputElement | null>; ask: (movement: string | null) => void }) {
  const [typed, setTyped] = useState('');
  const [unknown, setUnknown] = useState<string | null>(null);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const movement = findMovement(typed);
    setUnknown(!movement && typed.trim() !== '' ? typed : null);
    ask(movement);
  };
  return (
    <>
      <form className="mt-2 flex items-center gap-2" onSubmit={submit}>
        <input
          ref={field}
          aria-label="Why not another movement?"
          placeholder="why not … (any movement)"
          className={`${inputLook} min-w-0 flex-1 text-sm`}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit">Ask</Button>
      </form>
      {unknown && (
        <p role="alert" className="text-sm text-bad">
          “{unknown}” is not a movement Gambito knows.
        </p>
      )}
    </>
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
