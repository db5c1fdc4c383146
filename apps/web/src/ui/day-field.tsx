/** The day of a workout. Only a whole date is saved: while the year is being typed the field holds “0002”, “0020”, “0202”, which nobody means. */
import { useState } from 'react';
import { inputLook } from './field';

export const firstYear = 2000;
export const lastYear = 2100;
/** @param day as a date field gives it, `2027-03-04` */
export const isWholeDay = (day: string): boolean => {
  const year = Number(/^(\d{4,})-\d{2}-\d{2}$/.exec(day)?.[1] ?? Number.NaN);
  return year >= firstYear && year <= lastYear;
};

/** What stands in the field while it is typed in, and what is saved of it. */
function useDayTyped(day: string | null, save: (day: string | null) => void) {
  // what is typed stands until the saved day moves, by this field, another window or an undo
  const [typed, setTyped] = useState<string | null>(null);
  const [known, setKnown] = useState(day);
  const [problem, setProblem] = useState(false);
  if (known !== day) {
    setKnown(day);
    setTyped(null);
  }
  const shown = typed ?? day ?? '';
  return {
    shown,
    problem,
    type: (value: string): void => {
      setTyped(value);
      setProblem(false);
      if (isWholeDay(value) && value !== day) save(value);
    },
    leave: (field: HTMLInputElement): void => {
      const empty = field.value === '' && !field.validity.badInput;
      const partial = !empty && !isWholeDay(field.value);
      if (empty && day !== null) save(null);
      setProblem(partial);
    },
  };
}

export function DayField({ label, day, save, className = '' }: { label: string; day: string | null; save: (day: string | null) => void; className?: string }) {
  const { shown, problem, type, leave } = useDayTyped(day, save);
  return (
    <span className="inline-flex flex-col">
      <input
        type="date"
        aria-label={label}
        aria-invalid={problem}
        className={`${inputLook} ${className}`}
        value={shown}
        onChange={(event) => type(event.target.value)}
        onBlur={(event) => leave(event.target)}
      />
      {problem && (
        <span role="alert" className="text-sm text-bad">
          Expected a whole date between {firstYear} and {lastYear}. {day === null ? 'No day is saved yet.' : `The saved day is still ${day}.`}
        </span>
      )}
    </span>
  );
}
