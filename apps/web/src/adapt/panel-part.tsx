/** The slots of one part of a version: each with its mark and its sentence; a slot opens its figures and its ranked alternatives. */
import {
  byHandOf,
  formatSlot,
  isPartLock,
  partLocks,
  slotInLine,
  slotsOfPart,
  swapMark,
  wordsOf,
  type Adapted,
  type HouseRules,
  type Lock,
  type PartLock,
  type Slot,
  type VersionPart,
  type VersionSlot,
  type Workout,
  fallbackText,
} from '@gambito/core';
import { Lock as LockIcon } from 'lucide-react';
import { useState } from 'react';
import { useRoom } from '../api/room';
import { MarkSign } from '../ui/mark';
import { Button } from '../ui/button';
import { ForOthers } from './for-others';
import { LineField } from './line-field';
import { PartFrame } from './part-frame';
import { SlotAlternatives } from './slot-alternatives';
import type { LockHistory } from './use-lock-history';
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
  readonly others: readonly Version[];
  readonly history: LockHistory;
  readonly setLocks: ((locks: readonly Lock[]) => void) | null;
}

export function PanelPart(props: Props) {
  const { index, part, version, adapted, original, setLocks } = props;
  const [open, setOpen] = useState<number | null>(null);
  const byHand = byHandOf(version.locks) !== null;
  if (part.slots.length === 0) return null;
  const slots = slotsOfPart(adapted.workout.parts[index]!);
  const written = part.from[0] ?? index;
  const originals = original.parts[written] ? slotsOfPart(original.parts[written]) : [];
  return (
    <section className="mt-3" aria-label={`Part ${index + 1}`}>
      {adapted.version.parts.length > 1 && <h3 className="text-sm text-soft">Part {index + 1}</h3>}
      {setLocks && !byHand && <PartFrame {...{ index, written, adapted, original, setLocks }} locks={version.locks} />}
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {part.slots.map((slot, at) => {
          const lock = partLocks(version.locks).find((each) => each.part === written && each.slot === slot.written && !each.scheme);
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
              {open === at && !byHand && <OpenSlot {...props} slot={slot} now={slots[at]!} written={written} lock={lock} />}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** The figures of a line, what else it could be, and the decision for others too. */
function OpenSlot({ slot, now, written, lock, ...props }: Props & { slot: VersionSlot; now: Slot; written: number; lock: PartLock | undefined }) {
  const { text, version, rules, today, others, history, setLocks } = props;
  const [forOthers, setForOthers] = useState(false);
  const units = useRoom();
  const own = props.original.own ?? [];
  const fixed = lock?.movement ?? (lock?.line === undefined ? undefined : slotInLine(lock.line, { units, own })?.movement);
  const change = (next: Lock | null): void => {
    const kept = version.locks.filter((each) => !isPartLock(each) || each.part !== written || each.slot !== slot.written || each.scheme);
    setLocks?.(next ? [...kept, next] : kept);
  };
  return (
    <>
      <Figures slot={slot} />
      {setLocks && (
        <LineField
          label="This line"
          line={lock?.line ?? formatSlot(now)}
          byHand={lock?.line !== undefined}
          canBeRead={(typed) => slotInLine(typed, { units, own }) !== null}
          expected="one movement Gambito knows, such as “12 goblet squat @ 16 kg, tempo 31X1”"
          set={(line) => change({ part: written, slot: slot.written, line })}
          lift={() => change(null)}
        />
      )}
      <SlotAlternatives
        {...{ text, rules, today }}
        who={version.who}
        locks={version.locks}
        part={written}
        slot={slot.written}
        locked={lock !== undefined}
        choose={setLocks ? change : null}
      />
      {fixed && others.length > 0 && !forOthers && (
        <Button className="mt-2" onClick={() => setForOthers(true)}>
          For others too …
        </Button>
      )}
      {lock && forOthers && <ForOthers {...{ lock, others, history, text, rules, today }} movement={fixed} close={() => setForOthers(false)} />}
    </>
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
  const mark = swapMark(slot);
  const written = then ? formatSlot({ ...then, alternatives: [] }) : null;
  return (
    <button type="button" className="w-full rounded text-left hover:bg-wash" aria-expanded={open} onClick={toggle}>
      <span className="flex items-baseline gap-2">
        <span className="font-medium">{said}</span>
        {locked && <LockIcon size={13} aria-label="locked" />}
        {mark && (
          <span className="ml-auto">
            <MarkSign mark={mark} />
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
          Second choice: {slot.runnerUp.count} {wordsOf(slot.runnerUp.movement)}
        </p>
      )}
      {slot.fallback && <p>Plan B, {fallbackText(slot.fallback)}</p>}
    </div>
  );
}
