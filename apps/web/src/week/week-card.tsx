/** A workout of the week: how long, what kind, what collides, whom it is new to, and where it would not collide. */
import { useDraggable } from '@dnd-kit/core';
import { mainOf, patternWords, wordsOf, type Pattern } from '@gambito/core';
import clsx from 'clsx';
import { format, parseISO } from 'date-fns';
import type { KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { Glyph } from '../ui/glyph';
import { newSkills, type Week } from './use-week';
import { clashesOn, freeDays, type Clash, type Planned } from './week';

const kindWords: Readonly<Record<Clash['kind'], string>> = { grip: 'grip on grip', lowBack: 'low back on low back', pattern: 'the same again' };
const whenWords: Readonly<Record<Clash['days'], string>> = { [-1]: 'the day before', 0: 'that day', 1: 'the day after' };
const namesOf = ({ kind, names }: Clash): string => (kind === 'pattern' ? patternWords[names[0] as Pattern] : names.slice(0, 3).map(wordsOf).join(', '));

export function WeekCard({ planned, week }: { planned: Planned; week: Week }) {
  const { workout, load } = planned;
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id: workout.id });
  const navigate = useNavigate();
  const open = (): void => void navigate(`/workouts/${workout.id}/write`);
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (event.altKey && by !== 0) {
      event.preventDefault();
      week.nudge(workout, by);
    } else if (event.key === 'Enter') open();
  };
  const main = load && mainOf(load);
  return (
    <div
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      role="button"
      aria-label={`${workout.title}, open`}
      onClick={open}
      onKeyDown={onKeyDown}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      className={clsx('cursor-grab rounded border border-line bg-paper p-2 text-sm hover:border-ink', isDragging && 'relative z-30 shadow-lg')}
    >
      <p className="font-serif text-base leading-tight">{workout.title}</p>
      <p className="text-xs text-soft">
        {workout.facts?.minutes ? `${workout.facts.minutes} min` : ''} {main && <Glyph pattern={main} label />}
      </p>
      <Clashes planned={planned} week={week} />
      <NewSkills planned={planned} week={week} />
    </div>
  );
}

function Clashes({ planned, week: { days, all } }: { planned: Planned; week: Week }) {
  const { day } = planned.workout;
  const clashes = day ? clashesOn(day, planned, all) : [];
  const free = day && clashes.length === 0 ? [] : freeDays(planned, days, all);
  return (
    <>
      {clashes.map((clash) => (
        <p key={`${clash.kind}${clash.with}`} className="mt-1 border-l-2 border-amber pl-1.5 text-xs" title={namesOf(clash)}>
          {kindWords[clash.kind]}: {clash.with} {whenWords[clash.days]} <span className="text-soft">({namesOf(clash)})</span>
        </p>
      ))}
      {free.length > 0 && free.length < days.length && (
        <p className="mt-1 text-xs text-soft">Free days: {free.map((each) => format(parseISO(each), 'EEE')).join(', ')}</p>
      )}
    </>
  );
}

const mostNames = 2;
const fewWords = (names: readonly string[]): string => (names.length <= mostNames ? names.join(' and ') : String(names.length));

function NewSkills({ planned, week }: { planned: Planned; week: Week }) {
  // what was done is new no more
  if (planned.workout.day !== null && planned.workout.day < week.today) return null;
  return newSkills(planned, week.athletes).map(({ movement, names }) => (
    <p key={movement} className="mt-1 text-xs text-soft" title={names.join(', ')}>
      {wordsOf(movement)}: not done yet by {fewWords(names)}
    </p>
  ));
}
