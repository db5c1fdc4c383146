/** One field a scored part; under each stands what was read of it before it is sent, or why it cannot be. Used by the athlete's page and by the coach's board. */
import { doubtOf, type CheckedScores } from '@gambito/core';
import { useMemo } from 'react';
import { inputLook } from '../ui/field';
import { readEntry, withField, type Entry } from './entry';

export function ScoreFields({
  entry,
  typed,
  change,
  autoFocus = false,
  label,
  compact = false,
}: {
  entry: Entry;
  typed: string;
  change: (typed: string) => void;
  autoFocus?: boolean;
  label: string;
  compact?: boolean;
}) {
  const checked = useMemo(() => readEntry(entry, typed), [entry, typed]);
  const several = checked.fields.length > 1;
  return (
    <div className={`flex min-w-0 flex-1 flex-col ${compact ? 'gap-1' : 'gap-2'}`}>
      {checked.fields.map((field, at) => (
        <label key={field.part} className="block min-w-0">
          {several && <span className={`block truncate ${compact ? 'text-xs' : 'text-sm'} text-soft`}>{field.label}</span>}
          <input
            aria-label={several ? `${label}, ${field.label}` : label}
            aria-invalid={field.checked.status === 'bad'}
            className={`${inputLook} w-full min-w-24 ${compact ? 'text-sm' : 'text-lg'}`}
            placeholder={field.placeholder}
            value={field.typed}
            autoFocus={autoFocus && at === 0}
            autoComplete="off"
            onChange={(event) => change(withField(entry, typed, at, event.target.value))}
          />
          <Told field={field} />
        </label>
      ))}
    </div>
  );
}

function Told({ field }: { field: CheckedScores['fields'][number] }) {
  const { checked } = field;
  if (checked.status === 'empty') return null;
  if (checked.status === 'bad') return <span className="block text-xs text-bad">{checked.message}</span>;
  return <span className="block text-xs text-good">{checked.told}</span>;
}

/** Questions before an unlikely entry is taken: one a part. */
export function doubtsOf(entry: Entry, typed: string): string[] {
  return readEntry(entry, typed).fields.flatMap((field) => {
    if (field.checked.status !== 'ok') return [];
    const doubt = doubtOf(field.checked.score, entry.parts[field.part]!, entry.expected(field.part), entry.category);
    return doubt ? [doubt] : [];
  });
}
