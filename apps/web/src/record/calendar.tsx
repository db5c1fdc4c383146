/** Weeks as rows, days as squares: filled where something was done, hollow where something was missed. */
import type { PersonRecord } from '@gambito/contract';
import { format, parseISO } from 'date-fns';
import { calendarOf, type CalendarDay } from './sessions';

export function Calendar({ record, today, firstDay, weeks }: { record: PersonRecord; today: string; firstDay: number; weeks: number }) {
  const rows = calendarOf(record, today, firstDay, weeks);
  return (
    <table className="text-xs" aria-label="Training days">
      <thead>
        <tr className="text-soft">
          <th className="pr-2 text-left font-normal">week of</th>
          {rows[0]!.map(({ day }) => (
            <th key={day} className="w-8 font-normal">
              {format(parseISO(day), 'EEEEEE')}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((days) => (
          <tr key={days[0]!.day}>
            <th className="pr-2 text-left font-normal text-soft">{format(parseISO(days[0]!.day), 'd MMM')}</th>
            {days.map((each) => (
              <td key={each.day} className="p-0.5">
                <Square {...each} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function lookOf({ done, missed, open, ahead }: Omit<CalendarDay, 'day'>): string {
  if (done.length > 0) return 'bg-ink border-ink';
  if (missed.length > 0) return 'border-2 border-amber';
  if (open.length > 0) return 'border-dashed border-ink';
  return ahead ? 'border-transparent' : 'bg-wash border-transparent';
}

function Square({ day, done, missed, open, ahead }: CalendarDay) {
  const words = [...done, ...missed.map((title) => `missed: ${title}`), ...open.map((title) => `not due yet: ${title}`)].join(', ');
  return (
    <span className={`block h-5 w-7 rounded border ${lookOf({ done, missed, open, ahead })}`} title={words === '' ? day : `${day}: ${words}`}>
      {words !== '' && <span className="sr-only">{words}</span>}
    </span>
  );
}
