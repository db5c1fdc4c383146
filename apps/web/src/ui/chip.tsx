/** A word to tap on or off: one of a few, or several of them. */
import clsx from 'clsx';
import type { ReactNode } from 'react';

interface ChipProps {
  readonly on: boolean;
  readonly tap: () => void;
  /** for a thumb */
  readonly large?: boolean;
  readonly children: ReactNode;
}
export const Chip = ({ on, tap, large = false, children }: ChipProps) => (
  <button
    type="button"
    aria-pressed={on}
    className={clsx(
      'rounded-full border',
      large ? 'min-h-11 px-3.5 text-base' : 'min-h-7 px-2.5 text-sm',
      on ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet hover:bg-wash',
    )}
    onClick={tap}
  >
    {children}
  </button>
);

interface ChipsProps {
  readonly label: string;
  readonly all: readonly string[];
  readonly on: (value: string) => boolean;
  readonly tap: (value: string) => void;
}
/** A labelled group of them, as an athlete has it on a phone. */
export function Chips({ label, all, on, tap }: ChipsProps) {
  return (
    <div role="group" aria-label={label}>
      <p className="mb-1 text-sm text-soft">{label}</p>
      <div className="flex flex-wrap gap-1.5">
        {all.map((value) => (
          <Chip key={value} large on={on(value)} tap={() => tap(value)}>
            {value}
          </Chip>
        ))}
      </div>
    </div>
  );
}
