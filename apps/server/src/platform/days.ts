/** The day it is where the coach is, as YYYY-MM-DD. */
export function todayIn(timeZone: string, now: Date): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now);
}

/** days that something deleted lies in the bin */
const binDays = 30;
export const binnedSince = (now: Date): Date => new Date(now.getTime() - binDays * 24 * 3600 * 1000);
