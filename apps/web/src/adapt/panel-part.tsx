/** The slots of one part of a version: each with its mark and its sentence; a slot opens its figures and its ranked alternatives. */
import {
  formatSlot,
  slotsOfPart,
  wordsOf,
  type Adapted,
  type HouseRules,
  type Lock,
  type Slot,
  type VersionPart,
  type VersionSlot,
  type Workout,
} from '@gambito/core';
import { Lock as LockIcon } from 'lucide-react';
import { useState } from 'react';
import { MarkSign } from '../ui/mark';
import { SlotAlternatives } from './slot-alternatives';
import type { Version } from './use-versions';

interface Props {
  readonly index: number;
  readonly part: VersionPart;
  readonly text: string;
  readonly version: Version;
  readonly adapted: Adapted;
  readonly original: Workout;
  readonly rules: HouseRules;
  readonly today: string;
  readonly setLocks: ((locks: readonly Lock[]) => void) | null;
}

export function PanelPart({ index, part, text, version, adapted, original, rules, today, setLocks }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  if (part.slots.length === 0) return null;
  const slots = slotsOfPart(adapted.workout.parts[index]!);
  const writtenPart = part.from[0] ?? index;
  const originals = original.parts[writtenPart] ? slotsOfPart(original.parts[writtenPart]) : [];
  const change = (lock: Lock | null, slot: number): void => {
    const others = version.locks.filter((each) => each.part !== writtenPart || each.slot !== slot || each.scheme);
    setLocks?.(lock ? [...others, lock] : others);
  };
  return (
    <section className="mt-3" aria-label={`Part ${index + 1}`}>
      {adapted.version.parts.length > 1 && <h3 className="text-sm text-soft">Part {index + 1}</h3>}
      <ul className="divide-y divide-line border-y border-line">
        {part.slots.map((slot, at) => {
          const lock = version.locks.find((each) => each.part === writtenPart && each.slot === slot.written && !each.scheme);
          return (
            <li key={at} className="py-1.5">
              <SlotLine
                slot={slot}
                now={slots[at]!}
                then={originals[slot.written]}
                locked={lock !== undefined}
                open={open === at}
                toggle={() => setOpen(open === at ? null : at)}
              />
              {open === at && (
                <>
                  <Figures slot={slot} />
                  <SlotAlternatives
                    text={text}
                    who={version.who}
                    today={today}
                    rules={rules}
                    locks={version.locks}
                    part={writtenPart}
                    slot={slot.written}
                    locked={lock !== undefined}
                    choose={setLocks ? (next) => change(next, slot.written) : null}
                  />
                </>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function SlotLine({
  slot,
  now,
  then,
  locked,
  open,
  toggle,
}: {
  slot: VersionSlot;
  now: Slot;
  then: Slot | undefined;
  locked: boolean;
  open: boolean;
  toggle: () => void;
}) {
  const said = formatSlot(now);
  const written = then ? formatSlot({ ...then, alternatives: [] }) : null;
  return (
    <button type="button" className="w-full rounded text-left hover:bg-wash" aria-expanded={open} onClick={toggle}>
      <span className="flex items-baseline gap-2">
        <span className="font-medium">{said}</span>
        {locked && <LockIcon size={13} aria-label="locked" />}
        {slot.swapped && (
          <span className="ml-auto">
            <MarkSign mark={slot.mark} />
          </span>
        )}
      </span>
      {written && written !== said && <span className="block text-sm text-soft line-through">{written}</span>}
      <span className="block text-sm">{slot.reason}</span>
    </button>
  );
}

/** What stands behind the sentence: seconds a bout, shares of a max, what is given up, what comes next. */
function Figures({ slot }: { slot: VersionSlot }) {
  return (
    <div className="mt-1 text-xs text-soft">
      {slot.figures.map((figure) => (
        <p key={figure}>{figure}</p>
      ))}
      {slot.givesUp.length > 0 && <p>Gives up: {slot.givesUp.join(', ')}.</p>}
      {slot.swapped && slot.runnerUp && (
        <p>
          Runner-up: {slot.runnerUp.count} {wordsOf(slot.runnerUp.movement)}
        </p>
      )}
      {slot.fallback && (
        <p>
          Fallback {slot.fallback.when}: {slot.fallback.reps.join('-')} {wordsOf(slot.fallback.movement)}
        </p>
      )}
    </div>
  );
}
