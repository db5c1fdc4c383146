/** What the coach states of a part, as fields that write its lines: the window, the feel, what must stay, what may stand for what. */
import { formatWindow, parseWorkout, slotsOfPart, windowAround, plainName, type Part } from '@gambito/core';
import { useEffect, useState } from 'react';
import { Chip } from '../ui/chip';
import { inputLook } from '../ui/field';
import { alternativesOf, hasOwnLine, isStated, phrases, withAlternatives, withPhrase, withSetting } from './intent-text';
import type { Writing } from './use-write';

interface Props {
  readonly index: number;
  readonly part: Part;
  readonly writing: Writing;
  /** there is room for it beside the reading */
  readonly open: boolean;
}
export function IntentCard({ index, part, writing, open }: Props) {
  const { reading } = writing;
  const [shown, setShown] = useState(open);
  const { places } = reading.parsed;
  if (!places[index]) return null;
  const intent = part.intent ?? '';
  return (
    <details className="mt-1 text-sm" open={open || undefined} onToggle={(event) => setShown(event.currentTarget.open)}>
      <summary className="cursor-default rounded py-0.5 font-medium hover:bg-wash">
        Intent <span className="font-normal text-soft">{intent || (part.window ? formatWindow(part.window) : 'nothing stated')}</span>
      </summary>
      {shown && <Fields index={index} part={part} writing={writing} intent={intent} />}
    </details>
  );
}

interface FieldsProps extends Omit<Props, 'open'> {
  /** as written */
  readonly intent: string;
}
function Fields({ index, part, writing, intent }: FieldsProps) {
  const chipOf = (phrase: string, words = phrase) => (
    <Chip key={phrase} on={isStated(intent, phrase)} tap={() => writeSetting(writing, index, 'intent', withPhrase(intent, phrase))}>
      {words}
    </Chip>
  );
  return (
    <div className="mt-1 flex flex-col gap-2 border-l-2 border-line pl-3">
      <WindowField index={index} part={part} writing={writing} />
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Feel">
        {phrases.feel.map((phrase) => chipOf(phrase))}
      </div>
      <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Must stay">
        <span className="text-soft">must stay</span>
        {[...phrases.stay, ...phrases.hold].map((phrase) => chipOf(phrase, phrase.split(' ')[0]))}
      </div>
      <Alternatives index={index} part={part} writing={writing} />
    </div>
  );
}

/** Into the text as it stands now, which may be ahead of what is read of it. */
function writeSetting({ text, change }: Writing, index: number, name: 'window' | 'intent', value: string): void {
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

/** What the reference comes to, as a window; the prediction is of the leading part, so that it is told for a lone part only. */
function aroundReference(part: Part, { reference, parsed }: Writing['reading']): string | null {
  const window = reference && parsed.workout.parts.length === 1 ? windowAround(part, reference.predicted) : null;
  return window && formatWindow(window);
}

/** An AMRAP’s window is in rounds, a time’s on the clock. */
function WindowField({ index, part, writing }: Omit<Props, 'open'>) {
  const { reading } = writing;
  const around = aroundReference(part, reading);
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
          <span className="w-44 truncate text-soft">{plainName(slot)}, or else</span>
          <LineInput
            label={`Instead of ${plainName(slot)}`}
            value={alternativesOf(reading.text, place, at)}
            hint="such as ring row | table row"
            take={(value) => change(withAlternatives(text, parseWorkout(text).places[index]!, at, value))}
          />
        </div>
      ))}
    </div>
  );
}
