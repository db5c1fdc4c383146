/** One slot pays for another: what was taken, what was given, seconds a bout. */
import { wordsOf, type Adapted, type LedgerEntry } from '@gambito/core';

const entry = ({ movement, seconds }: LedgerEntry): string => `${wordsOf(movement)} ${seconds > 0 ? '+' : '−'}${Math.abs(Math.round(seconds))} s`;

export function Compensation({ adapted }: { adapted: Adapted }) {
  const { taken, given } = adapted.ledgers;
  if (taken.length === 0 && given.length === 0) return null;
  return (
    <section className="mt-3 text-sm" aria-label="Compensation">
      <h3 className="text-soft">Seconds a bout, against the original</h3>
      <dl className="mt-1 grid grid-cols-[max-content_1fr] gap-x-3">
        {taken.length > 0 && (
          <>
            <dt>Taken: shorter</dt>
            <dd>{taken.map(entry).join(', ')}</dd>
          </>
        )}
        {given.length > 0 && (
          <>
            <dt>Given: longer</dt>
            <dd>{given.map(entry).join(', ')}</dd>
          </>
        )}
      </dl>
    </section>
  );
}
