/** What can be done with the people who are chosen. */
import { avoidNames } from '@gambito/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { bulkChange, bulkKinds, bulkWords, type BulkKind } from './bulk';
import { choiceWords } from './choice-words';
import type { RosterRow } from './roster';
import { useSaveMany } from './use-save-many';

const options: Readonly<Partial<Record<BulkKind, readonly string[]>>> = {
  level: ['new', 'newer', 'trained', 'competitive'],
  avoid: avoidNames,
  spare: avoidNames,
};

export function BulkBar({ chosen, groups, clear }: { chosen: readonly RosterRow[]; groups: readonly string[]; clear: () => void }) {
  const [kind, setKind] = useState<BulkKind>('join');
  const [typed, setTyped] = useState('');
  const save = useSaveMany((count) => `${count === 1 ? 'One person' : `${count} people`} changed.`);
  const offered = options[kind];
  const value = offered && !offered.includes(typed) ? offered[0]! : typed;
  const changes = chosen.flatMap(({ stored }) => {
    const file = value.trim() === '' ? null : bulkChange(stored.file, kind, value);
    return file ? [{ before: stored, file }] : [];
  });
  const apply = (): void => {
    if (changes.length > 0) save.mutate(changes, { onSuccess: clear });
  };
  return (
    <form
      aria-label="Change the chosen people"
      className="mb-2 flex flex-wrap items-center gap-2 rounded-md border border-line bg-wash px-3 py-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        apply();
      }}
    >
      <b>{chosen.length} chosen</b>
      <select aria-label="Change" className={inputLook} value={kind} onChange={(event) => setKind(event.target.value as BulkKind)}>
        {bulkKinds.map((other) => (
          <option key={other} value={other}>
            {bulkWords[other]}
          </option>
        ))}
      </select>
      <BulkValue kind={kind} value={value} change={setTyped} offered={offered} groups={groups} />
      <Button look="main" type="submit" disabled={changes.length === 0 || save.isPending}>
        {changes.length === 0 ? 'Changes nobody' : `Change ${changes.length}`}
      </Button>
      <Button look="bare" onClick={clear}>
        Choose nobody
      </Button>
    </form>
  );
}

interface ValueProps {
  readonly kind: BulkKind;
  readonly value: string;
  readonly change: (value: string) => void;
  readonly offered: readonly string[] | undefined;
  readonly groups: readonly string[];
}
function BulkValue({ kind, value, change, offered, groups }: ValueProps) {
  if (offered)
    return (
      <select aria-label={bulkWords[kind]} className={inputLook} value={value} onChange={(event) => change(event.target.value)}>
        {offered.map((option) => (
          <option key={option} value={option}>
            {choiceWords(option)}
          </option>
        ))}
      </select>
    );
  return (
    <>
      <input
        aria-label={bulkWords[kind]}
        className={`${inputLook} w-44`}
        list="bulk-groups"
        placeholder={kind === 'time' ? 'such as 30 min' : 'such as ferry crew'}
        value={value}
        onChange={(event) => change(event.target.value)}
      />
      <datalist id="bulk-groups">{kind !== 'time' && groups.map((group) => <option key={group} value={group} />)}</datalist>
    </>
  );
}
