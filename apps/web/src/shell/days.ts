/** Days as the coach counts them: in the coach's time zone. */
import { format, parseISO } from 'date-fns';

export function todayIn(timeZone: string | undefined): string {
  try {
    return new Intl.DateTimeFormat('en-CA', { ...(timeZone ? { timeZone } : {}), year: 'numeric', month: '2-digit', day: '2-digit' }).format(new Date());
  } catch {
    return new Date().toISOString().slice(0, 10);
  }
}
/** A moment as the day it is. */
export const dayText = (moment: Date): string => format(moment, 'yyyy-MM-dd');
export const showDay = (day: string | null): string => (day ? format(parseISO(day), 'EEE d MMM') : 'no day yet');
/** Without its weekday, for narrow columns. */
export const shortDay = (day: string): string => format(parseISO(day), 'd MMM');
