/** Load a week as bars, and volume by pattern: this week against the four before. */
import { patternVolumes, type TrainingWeek } from '@gambito/core';
import { format, parseISO } from 'date-fns';
import { Glyph } from '../ui/glyph';

export function Weeks({ weeks }: { weeks: readonly TrainingWeek[] }) {
  const most = Math.max(1, ...weeks.map(({ load }) => load));
  const volumes = patternVolumes(weeks);
  return (
    <>
      <section aria-label="Load" className="mt-5">
        <h2 className="text-lg">Load</h2>
        <p className="mb-1 text-sm text-soft">Rating × minutes, a week. Sessions without a rating are counted beside it.</p>
        <ul>
          {weeks.map(({ from, load, sessions, minutes, unrated }) => (
            <li key={from} className="grid grid-cols-[4rem_1fr_14rem] items-center gap-x-3 text-sm">
              <span className="text-soft">{format(parseISO(from), 'd MMM')}</span>
              <span className="block h-3.5 bg-wash">
                <span className="block h-full bg-block" style={{ width: `${(100 * load) / most}%` }} />
              </span>
              <span className="tabular-nums">
                {sessions === 0 ? <span className="text-soft">nothing</span> : `${load} · ${sessions} × · ${minutes} min`}
                {unrated > 0 && <span className="text-soft">, {unrated} unrated</span>}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {volumes.length > 0 && (
        <table className="mt-5 w-full text-sm">
          <caption className="text-left font-serif text-lg font-semibold">Reps by pattern</caption>
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 font-medium">Pattern</th>
              <th className="py-1 text-right font-medium">This week</th>
              <th className="py-1 text-right font-medium">A week, before</th>
            </tr>
          </thead>
          <tbody>
            {volumes.map(({ pattern, now, usual, jumps }) => (
              <tr key={pattern} className="border-b border-line">
                <td className="py-0.5">
                  <Glyph pattern={pattern} label />
                </td>
                <td className="py-0.5 text-right tabular-nums">
                  {jumps && <span className="mr-2 rounded bg-amber-wash px-1.5 text-amber-ink">jump</span>}
                  {Math.round(now)}
                </td>
                <td className="py-0.5 text-right tabular-nums">{Math.round(usual)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
