/** What the week works on, by pattern and day: minutes of work of the reference athlete. */
import { patternWords } from '@gambito/core';
import { format, parseISO } from 'date-fns';
import { Glyph } from '../ui/glyph';
import type { Week } from './use-week';
import { balanceOf } from './week';

const minutes = (seconds: number): string => (seconds < 30 ? '' : String(Math.max(1, Math.round(seconds / 60))));

export function Balance({ week: { days, all } }: { week: Week }) {
  const rows = balanceOf(days, all);
  if (rows.length === 0) return null;
  const most = Math.max(...rows.map(({ total }) => total));
  return (
    <section aria-label="What the week works on" className="mt-5 overflow-x-auto">
      <h2 className="text-base">What the week works on</h2>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-b border-line text-left">
            <th className="font-medium">minutes of work</th>
            {days.map((day) => (
              <th key={day} className="w-16 text-right font-medium">
                {format(parseISO(day), 'EEE')}
              </th>
            ))}
            <th className="w-1/4 pl-4 font-medium">in all</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ pattern, byDay, total }) => (
            <tr key={pattern} className="border-b border-line">
              <th className="py-0.5 text-left font-normal" scope="row">
                <Glyph pattern={pattern} /> {patternWords[pattern]}
              </th>
              {byDay.map((seconds, at) => (
                <td key={days[at]} className="text-right tabular-nums">
                  {minutes(seconds)}
                </td>
              ))}
              <td className="pl-4">
                <span className="flex items-center gap-2">
                  <span className="h-1.5 rounded bg-block" style={{ width: `${(80 * total) / most}%` }} />
                  <span className="tabular-nums">{minutes(total)}</span>
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
