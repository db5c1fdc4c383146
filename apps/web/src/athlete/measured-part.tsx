/** What was measured, beside the score: by devices on the clock, or a run from a watch. */
import type { Measured } from '@gambito/contract';
import { formatClock, trackOf } from '@gambito/core';
import { useRef, useState } from 'react';
import { measuredWords } from '../scores/measured-words';
import { Button } from '../ui/button';

interface Props {
  readonly measured: Measured | null;
  readonly keep: (measured: Measured | null) => void;
  /** takes a time as the score, where none is typed; null where one is */
  readonly propose: ((score: string) => void) | null;
}
/** bytes of a file that is read: a day of a point a second */
const largest = 20_000_000;

export function MeasuredPart({ measured, keep, propose }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setProblem(null);
    try {
      if (file.size > largest) throw new RangeError('This file is too large: expected the track of one run, at most 20 MB.');
      const { readGpx } = await import('./gpx');
      const { metres, seconds } = trackOf(readGpx(await file.text()));
      keep({ ...measured, run: { metres: Math.round(metres), seconds: seconds === null ? null : Math.round(seconds) } });
    } catch (error) {
      setProblem(error instanceof RangeError ? error.message : 'This file could not be read.');
    }
  };
  const time = measured?.run?.seconds ?? null;
  return (
    <div className="mt-2 text-sm">
      {measured && (
        <p>
          Measured: {measuredWords(measured)}.{' '}
          <Button look="bare" onClick={() => keep(null)}>
            Leave it out
          </Button>
          {propose && time !== null && <Button onClick={() => propose(formatClock(time))}>Take {formatClock(time)} as the score</Button>}
        </p>
      )}
      <input
        ref={input}
        type="file"
        accept=".gpx,application/gpx+xml"
        className="sr-only"
        tabIndex={-1}
        aria-label="A run from a watch"
        onChange={(event) => void take(event.target.files?.[0])}
      />
      <Button look="bare" className="min-h-11" onClick={() => input.current?.click()}>
        Add a run from your watch (GPX)
      </Button>
      {problem && (
        <p role="alert" className="text-bad">
          {problem}
        </p>
      )}
    </div>
  );
}
