import { useId, type ReactNode } from 'react';

/** A labelled input with its hint and its problem, tied together for screen readers. */
export function Field({
  label,
  hint,
  problem,
  children,
}: {
  label: string;
  hint?: ReactNode;
  problem?: string | null;
  children: (props: { id: string; 'aria-describedby': string; 'aria-invalid': boolean }) => ReactNode;
}) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-sm font-medium">
        {label}
      </label>
      {children({ id, 'aria-describedby': `${id}-hint`, 'aria-invalid': Boolean(problem) })}
      <div id={`${id}-hint`} className="min-h-0 text-xs">
        {problem ? (
          <span role="alert" className="text-bad">
            {problem}
          </span>
        ) : (
          <span className="text-soft">{hint}</span>
        )}
      </div>
    </div>
  );
}
export const inputLook = 'rounded-md border border-line bg-sheet px-2.5 py-1.5 text-base text-ink placeholder:text-soft aria-[invalid=true]:border-bad';
