/** What the coach states of a part, as fields that write its lines: the window, the feel, what must stay, what may stand for what. */
import { formatWindow, parseWorkout, slotsOfPart, wordsOf, type Part } from '@gambito/core';
import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { inputLook } from '../ui/field';
import { feels, hasOwnLine, alternativesOf, readStated, settingOf, stays, withAlternatives, withSetting, writeStated, type Stated } from './intent-text';
import type { Writing } from './use-write';
import { windowAround } from './window-around';

interface Props {
  readonly index: number;
  readonly part: Part;
  readonly writing: Writing;
  /** there is room for it beside the reading */
  readonly open: boolean;
}
const chip = (on: boolean): string =>
  clsx('min-h-7 rounded-full border px-2.5 text-sm', on ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet hover:bg-wash');

export function IntentCard({ index, part, writing, open }: Props) {
  const { reading } = writing;
  const [shown, setShown] = useState(open);
  const { places } = reading.parsed;
  if (!places[index]) return null;
  const intent = settingOf(reading.text, places, index, 'intent') ?? '';
  const stated = readStated(intent);
  const state = (next: Partial<Stated>): void => writeSetting(writing, index, 'intent', writeStated({ ...stated, ...next }));
  return (
    <details className="mt-1 text-sm" open={open || undefined} onToggle={(event) => setShown(event.currentTarget.open)}>
      <summary className="cursor-default rounded py-0.5 font-medium hover:bg-wash">
        Intent <span className="font-normal text-soft">{intent || (part.window ? formatWindow(part.window) : 'nothing stated')}</span>
      </summary>
      {shown && <Fields index={index} part={part} writing={writing} stated={stated} state={state} />}
    </details>
  );
}

interface FieldsProps extends Omit<Props, 'open'> {
  readonly stated: Stated;
  readonly state: (next: Partial<Stated>) => void;
}
function Fields({ index, part, writing, stated, state }: FieldsProps) {
  return (
    <div className="mt-1 flex flex-col gap-2 border-l-2 border-line pl-3">
      <WindowField index={index} part={part} writing={writing} />
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Feel">
        {feels.map((feel) => (
          <button
            key={feel}
            type="button"
            aria-pressed={stated.feel === feel}
            className={chip(stated.feel === feel)}
            onClick={() => state({ feel: stated.feel === feel ? null : feel })}
          >
            {feel}
          </button>
        ))}
        <button type="button" aria-pressed={stated.unbroken} className={chip(stated.unbroken)} onClick={() => state({ unbroken: !stated.unbroken })}>
          unbroken
        </button>
        <button type="button" aria-pressed={stated.oneLoad} className={chip(stated.oneLoad)} onClick={() => state({ oneLoad: !stated.oneLoad })}>
          one load
        </button>
      </div>
      <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Must stay">
        <span className="text-soft">must stay</span>
        {stays.map((stay) => (
          <button
            key={stay}
            type="button"
            aria-pressed={stated.stay.includes(stay)}
            className={chip(stated.stay.includes(stay))}
            onClick={() => state({ stay: stated.stay.includes(stay) ? stated.stay.filter((other) => other !== stay) : [...stated.stay, stay] })}
          >
            {stay}
          </button>
        ))}
      </div>
      <Alternatives index={index} part={part} writing={writing} />
    </div>
  );
}

/** Into the text as it stands now, which may be ahead of what is read of it. */
function writeSetting({ text, change }: Writing, index: number, name: string, value: string): void {
  change(withSetting(text, parseWorkout(text).places, index, name, value));
}

/** Takes what is typed when it is left, or on Enter. */
function LineInput({ label, value, hint, list, take }: { label: string; value: string; hint: string; list?: string; take: (value: string) => void }) {
  const [typed, setTyped] = useState(value);
  useEffect(() => setTyped(value), [value]);
  const done = (): void => {
    if (typed.trim() !== value) take(typed.trim());
  };
  return (
    <input
      aria-label={label}
      placeholder={hint}
      list={list}
      className={`${inputLook} min-w-32 flex-1 !py-1 !text-sm`}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => event.key === 'Enter' && done()}
    />
  );
}

/** An AMRAP’s window is in rounds, a time’s on the clock. */
function WindowField({ index, part, writing }: Omit<Props, 'open'>) {
  const { reading } = writing;
  const around = windowAround(part, reading.reference?.predicted, reading.parsed.workout.parts.length);
  const set = (value: string): void => writeSetting(writing, index, 'window', value);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-soft">window</span>
      <LineInput
        label={`Window of part ${index + 1}`}
        value={part.window ? formatWindow(part.window) : ''}
        hint={part.kind === 'amrap' ? 'such as 8-10 rounds' : 'such as 8:00-11:00'}
        take={set}
      />
      {around && around !== (part.window ? formatWindow(part.window) : '') && (
        <button type="button" className="rounded border border-line px-2 py-1 hover:bg-wash" onClick={() => set(around)}>
          {around}, as the reference does it
        </button>
      )}
    </div>
  );
}

function Alternatives({ index, part, writing: { text, change, reading } }: Omit<Props, 'open'>) {
  const place = reading.parsed.places[index]!;
  const slots = slotsOfPart(part)
    .map((slot, at) => ({ slot, at }))
    .filter(({ at }) => hasOwnLine(place, at));
  if (slots.length === 0) return null;
  return (
    <div className="flex flex-col gap-1" role="group" aria-label="May be instead">
      {slots.map(({ slot, at }) => (
        <div key={at} className="flex items-center gap-2">
          <span className="w-44 truncate text-soft">{wordsOf(slot.movement)}, or else</span>
          <LineInput
            label={`Instead of ${wordsOf(slot.movement)}`}
            value={alternativesOf(reading.text, place, at)}
            hint="such as ring row | table row"
            take={(value) => change(withAlternatives(text, parseWorkout(text).places[index]!, at, value))}
          />
        </div>
      ))}
    </div>
  );
}
