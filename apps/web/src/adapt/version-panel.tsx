/** One version beside the original: each slot with its mark, reason and what it gives up; the slot opens its ranked alternatives. */
import { formatSlot, formatWindow, slotsOfPart, wordsOf, type Adapted, type HouseRules, type Lock, type Workout } from '@gambito/core';
import { Lock as LockIcon, Undo2, X } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/button';
import { MarkSign } from '../ui/mark';
import { showScore } from '../ui/scores';
import { Compensation } from './compensation';
import { RulesAtWork } from './rules-at-work';
import type { Version } from './use-versions';
import { SlotAlternatives } from './slot-alternatives';

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
  const [open, setOpen] = useState<string | null>(null);
  const { drift, predicted, intent } = adapted;
  const change = (lock: Lock | null, part: number, slot: number): void => {
    const others = version.locks.filter((each) => each.part !== part || each.slot !== slot);
    setLocks?.(lock ? [...others, lock] : others);
  };
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
          <span className={`ml-2 rounded px-1.5 text-sm ${adapted.insideWindow === false ? 'border border-bad text-bad' : 'bg-amber-wash text-amber-ink'}`}>
            window {formatWindow(intent.window)}
          </span>
        )}
      </p>
      {adapted.version.parts.map((part, partIndex) => {
        const slots = slotsOfPart(adapted.workout.parts[partIndex]!);
        const writtenPart = part.from[0] ?? partIndex;
        const originals = original.parts[writtenPart] ? slotsOfPart(original.parts[writtenPart]) : [];
        if (part.slots.length === 0) return null;
        return (
          <section key={partIndex} className="mt-3" aria-label={`Part ${partIndex + 1}`}>
            {adapted.version.parts.length > 1 && <h3 className="text-sm text-soft">Part {partIndex + 1}</h3>}
            <ul className="divide-y divide-line border-y border-line">
              {part.slots.map((slot, slotIndex) => {
                const key = `${partIndex}.${slotIndex}`;
                const lock = version.locks.find((each) => each.part === writtenPart && each.slot === slotIndex);
                const written = originals[slotIndex];
                const now = formatSlot(slots[slotIndex]!);
                const then = written ? formatSlot({ ...written, alternatives: [] }) : null;
                return (
                  <li key={key} className="py-1.5">
                    <button
                      type="button"
                      className="w-full rounded text-left hover:bg-wash"
                      aria-expanded={open === key}
                      onClick={() => setOpen(open === key ? null : key)}
                    >
                      <span className="flex items-baseline gap-2">
                        <span className="font-medium">{now}</span>
                        {lock && <LockIcon size={13} aria-label="locked" />}
                        <span className="ml-auto">
                          <MarkSign mark={slot.mark} />
                        </span>
                      </span>
                      {then && then !== now && <span className="block text-sm text-soft line-through">{then}</span>}
                      <span className="block text-sm text-soft">{slot.reason}</span>
                      {slot.givesUp.length > 0 && <span className="block text-sm">Gives up: {slot.givesUp.join(', ')}.</span>}
                      {slot.swapped && slot.runnerUp && (
                        <span className="block text-xs text-soft">
                          Runner-up: {slot.runnerUp.count} {wordsOf(slot.runnerUp.movement)}
                        </span>
                      )}
                      {slot.fallback && (
                        <span className="block text-xs text-soft">
                          Fallback {slot.fallback.when}: {slot.fallback.reps.join('-')} {wordsOf(slot.fallback.movement)}
                        </span>
                      )}
                    </button>
                    {open === key && (
                      <SlotAlternatives
                        text={text}
                        who={version.who}
                        today={today}
                        rules={rules}
                        locks={version.locks}
                        part={writtenPart}
                        slot={slotIndex}
                        locked={lock !== undefined}
                        choose={setLocks ? (next) => change(next, writtenPart, slotIndex) : null}
                      />
                    )}
                  </li>
                );
              })}
            </ul>
          </section>
        );
      })}
      <section className="mt-3" aria-label="Drift">
        <h3 className="text-sm text-soft">
          Drift from the intent: {drift.total < 0.15 ? 'small' : drift.total < 0.35 ? 'some' : drift.total < 0.6 ? 'large' : 'another workout'}
        </h3>
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
      </section>
      <Compensation adapted={adapted} />
      <RulesAtWork text={text} who={version.who} today={today} rules={rules} locks={version.locks} />
      <p className="mt-3 text-sm text-soft">
        A usual day leaves {Math.round(adapted.comparability.uncertainty * 100)} % of fitness open in this version’s score. Nearest tier:{' '}
        {adapted.nearestTier.name}.
      </p>
      {adapted.warnings.length > 0 && (
        <ul className="mt-3 flex flex-col gap-1 text-sm" aria-label="Warnings">
          {adapted.warnings.map((each) => (
            <li key={each.code + each.message} className="border-l-4 border-amber pl-2">
              {each.message}
            </li>
          ))}
        </ul>
      )}
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
