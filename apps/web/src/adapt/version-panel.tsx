/** One version beside the original: what was changed, what a coach must hear of it, its parts, and the figures behind a click. */
import { formatWindow, type Adapted, type HouseRules, type Lock, type Workout } from '@gambito/core';
import { Undo2, X } from 'lucide-react';
import { Button } from '../ui/button';
import { showScore } from '../ui/scores';
import { Compensation } from './compensation';
import { EditChips } from './edit-chips';
import { PanelPart } from './panel-part';
import { RulesAtWork } from './rules-at-work';
import type { Version } from './use-versions';

interface Props {
  readonly workoutId: number;
  readonly text: string;
  readonly version: Version;
  readonly adapted: Adapted;
  readonly original: Workout;
  readonly rules: HouseRules;
  readonly today: string;
  /** null for a tier: nobody to lock it for */
  readonly setLocks: ((locks: readonly Lock[]) => void) | null;
  readonly canUndo: boolean;
  readonly undo: () => void;
  readonly close: () => void;
}

const driftWords = [
  ['time', 'time'],
  ['load', 'load feel'],
  ['pattern', 'pattern'],
  ['muscles', 'muscle groups'],
  ['volume', 'volume'],
  ['breathing', 'breathing'],
  ['grip', 'grip'],
  ['skill', 'skill'],
  ['rest', 'rest density'],
  ['comparability', 'told by the score'],
] as const;
/** told in per cent; the others are differences of logarithms or of shares */
const signed = (value: number, plus: boolean): string => `${value < 0 ? '−' : value > 0 && plus ? '+' : ''}${Math.abs(value)}`;
const shares = new Set<string>(['time', 'pattern', 'muscles', 'rest', 'comparability']);

export function VersionPanel({ text, version, adapted, original, rules, today, setLocks, canUndo, undo, close }: Props) {
  const { drift, predicted, intent } = adapted;
  return (
    <aside aria-label={`Version of ${version.name}`} className="max-h-[calc(100dvh-120px)] overflow-auto border-l border-line pl-5 xl:sticky xl:top-2">
      <div className="flex items-start gap-2">
        <div>
          <h2 className="text-xl">{version.name}</h2>
          <p className="text-sm text-soft">{version.sub}</p>
        </div>
        <div className="ml-auto flex gap-1">
          {setLocks && (
            <Button look="bare" onClick={undo} disabled={!canUndo} aria-label="Undo the last choice">
              <Undo2 size={16} /> Undo
            </Button>
          )}
          <Button look="bare" onClick={close} aria-label="Close this version">
            <X size={16} />
          </Button>
        </div>
      </div>
      <p className="mt-2">
        <b className="font-serif text-xl">{showScore(predicted.median, predicted.unit)}</b>{' '}
        <span className="text-sm text-soft">
          {showScore(predicted.low, predicted.unit)} to {showScore(predicted.high, predicted.unit)}
        </span>
        {intent.window && (
          <span className={`ml-2 rounded px-1.5 text-sm ${adapted.insideBand === false ? 'border border-bad text-bad' : 'bg-amber-wash text-amber-ink'}`}>
            window {formatWindow(intent.window)}
          </span>
        )}
      </p>
      <EditChips adapted={adapted} takeBack={setLocks && ((lock) => setLocks([...version.locks, lock]))} />
      {adapted.warnings.length > 0 && (
        <ul className="mt-3 flex flex-col gap-1 text-sm" aria-label="Warnings">
          {adapted.warnings.map((each) => (
            <li key={each.code + each.message} className="border-l-4 border-amber pl-2">
              {each.message}
            </li>
          ))}
        </ul>
      )}
      {adapted.version.parts.map((part, index) => (
        <PanelPart key={index} index={index} part={part} {...{ text, version, adapted, original, rules, today, setLocks }} />
      ))}
      <details className="mt-3" aria-label="Drift">
        <summary className="text-sm text-soft">
          Drift from the intent: {drift.total < 0.15 ? 'small' : drift.total < 0.35 ? 'some' : drift.total < 0.6 ? 'large' : 'another workout'}
        </summary>
        <dl className="mt-1 grid grid-cols-2 gap-x-4 text-sm">
          {driftWords.map(([key, label]) => (
            <div key={key} className="flex justify-between border-b border-line">
              <dt>{label}</dt>
              <dd>
                {shares.has(key) ? `${signed(Math.round(drift[key] * 100), key === 'time' || key === 'rest')} %` : signed(Number(drift[key].toFixed(2)), true)}
              </dd>
            </div>
          ))}
        </dl>
      </details>
      <Compensation adapted={adapted} />
      <RulesAtWork text={text} who={version.who} today={today} rules={rules} locks={version.locks} />
      <p className="mt-3 text-sm text-soft">
        A usual day leaves {Math.round(adapted.comparability.uncertainty * 100)} % of fitness open in this version’s score. Nearest tier:{' '}
        {adapted.nearestTier.name}.
      </p>
      {adapted.assumed.length > 0 && (
        <details className="mt-3 text-sm text-soft">
          <summary>Assumed ({adapted.assumed.length})</summary>
          <ul className="list-disc pl-5">
            {adapted.assumed.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </details>
      )}
    </aside>
  );
}
