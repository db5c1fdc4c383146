/** One decision for everybody it fits: who can do it here, with what it would come to for each; who cannot, and why. */
import { isPartLock, wordsOf, type Alternative, type Lock, type PartLock } from '@gambito/core';
import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { useRoom } from '../api/room';
import { Button } from '../ui/button';
import { showScore } from '../ui/scores';
import { Progress } from '../ui/states';
import { core } from '../workers/core-client';
import type { VersionAsked } from '../workers/core-worker';
import type { LockHistory } from './use-lock-history';
import type { Version } from './use-versions';

interface Fit {
  readonly athleteId: number;
  readonly name: string;
  /** undefined until it is weighed */
  readonly found: Alternative | undefined;
}

/** What the movement of a lock would be in everybody else's version. */
function useFits({ lock, movement, others, text, today, rules }: Omit<Props, 'history' | 'close'>): { fits: Fit[]; weighed: number } {
  const units = useRoom();
  const { part, slot } = lock;
  const answers = useQueries({
    queries: others.map(({ who, locks }) => ({
      queryKey: ['alternatives', text, units, who, today, rules, locks, part, slot, movement],
      queryFn: () => core().alternatives({ text, units }, who, today, rules, locks, { part, slot }, movement ?? null),
      staleTime: Infinity,
    })),
  });
  return {
    weighed: answers.filter(({ data, error }) => data ?? error).length,
    fits: others.map(({ athleteId, name }, index) => ({
      athleteId: athleteId!,
      name,
      found: answers[index]?.data?.find((each) => each.movement === movement),
    })),
  };
}

const isOpen = ({ found }: Fit): boolean => found !== undefined && !found.blocked && !found.chosen;

interface Props extends Omit<VersionAsked, 'who' | 'locks'> {
  readonly lock: PartLock;
  /** that it fixes; undefined where it fixes none */
  readonly movement: string | undefined;
  readonly others: readonly Version[];
  readonly history: LockHistory;
  readonly close: () => void;
}

export function ForOthers({ history, close, ...asked }: Props) {
  const { lock, movement, others } = asked;
  const { fits, weighed } = useFits(asked);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const open = fits.filter(isOpen);
  const taken = open.filter(({ athleteId }) => !left.has(athleteId));
  const turn = (athleteId: number): void => setLeft(new Set(left.has(athleteId) ? [...left].filter((id) => id !== athleteId) : [...left, athleteId]));
  const take = (): void => {
    const { part, slot, reps, line } = lock;
    const decision: Lock = { part, slot, ...(line ? { line } : { ...(movement ? { movement } : {}), ...(reps ? { reps } : {}) }) };
    history.decide(
      taken.map(({ athleteId }) => ({
        athleteId,
        locks: [...history.locksOf(athleteId).filter((own) => !isPartLock(own) || own.part !== part || own.slot !== slot || own.scheme), decision],
      })),
    );
    close();
  };
  return (
    <section aria-label="For others too" className="mt-2 border-l-2 border-ink pl-3 text-sm">
      <p className="font-medium">{movement ? wordsOf(movement) : 'This'} for others too</p>
      <Progress done={weighed} of={others.length} what="Weighing" />
      <ul className="my-1 max-h-64 overflow-auto">
        {fits
          .filter(({ found }) => found && !found.chosen)
          .map((fit) => (
            <FitLine key={fit.athleteId} fit={fit} checked={!left.has(fit.athleteId)} turn={() => turn(fit.athleteId)} />
          ))}
      </ul>
      {weighed >= others.length && open.length === 0 && <p className="text-soft">It fits nobody else here, or everybody has it.</p>}
      <div className="flex gap-2">
        <Button look="main" disabled={taken.length === 0 || weighed < others.length} onClick={take}>
          Take it for {taken.length}
        </Button>
        <Button onClick={close}>Leave them</Button>
      </div>
    </section>
  );
}

function FitLine({ fit: { name, found }, checked, turn }: { fit: Fit; checked: boolean; turn: () => void }) {
  if (!found) return null;
  const blocked = found.blocked !== null;
  return (
    <li>
      <label className={`flex min-h-7 items-baseline gap-2 ${blocked ? 'text-soft' : ''}`}>
        <input type="checkbox" checked={checked && !blocked} disabled={blocked} onChange={turn} />
        <span className="font-medium">{name}</span>
        <span className="min-w-0">
          {blocked ? found.blocked : `${found.count} ${wordsOf(found.movement)}${found.load ? ` · ${found.load}` : ''} · ${showScore(found.score, found.unit)}`}
        </span>
      </label>
    </li>
  );
}
