import type { Drift } from '@gambito/core';

const driftWords = [
  ['time', 'time'],
  ['load', 'load feel'],
  ['pattern', 'pattern'],
  ['muscles', 'muscle groups'],
  ['volume', 'volume'],
  ['breathing', 'breathing'],
  ['grip', 'grip'],
  ['skill', 'skill'],
  ['rest', 'rest density'],
  ['comparability', 'another kind of score'],
] as const;
/** told in per cent; the others are differences of logarithms or of shares */
const shares = new Set<string>(['time', 'pattern', 'muscles', 'rest', 'comparability']);
const withSign = new Set<string>(['time', 'rest']);
const signed = (value: number, plus: boolean): string => `${value < 0 ? '−' : value > 0 && plus ? '+' : ''}${Math.abs(value)}`;
const shown = (key: string, value: number): string =>
  shares.has(key) ? `${signed(Math.round(value * 100), withSign.has(key))} %` : signed(Number(value.toFixed(2)), true);
const inWords = (total: number): string => (total < 0.15 ? 'small' : total < 0.35 ? 'some' : total < 0.6 ? 'large' : 'another workout');

/** How far a version is from the intent, in named parts. */
export function DriftFigures({ drift }: { drift: Drift }) {
  return (
    <details className="mt-3" aria-label="Drift">
      <summary className="text-sm text-soft">Drift from the intent: {inWords(drift.total)}</summary>
      <dl className="mt-1 grid grid-cols-2 gap-x-4 text-sm">
        {driftWords.map(([key, label]) => (
          <div key={key} className="flex justify-between border-b border-line">
            <dt>{label}</dt>
            <dd>{shown(key, drift[key])}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
