/** Days as ISO dates (2026-11-28), reckoned in UTC: no time of day, and so no zone, is in them. */
const day = 86_400_000;
const at = (iso: string): number => Date.parse(`${iso}T00:00:00Z`);
const iso = (time: number): string => new Date(time).toISOString().slice(0, 10);

export const addDays = (from: string, days: number): string => iso(at(from) + days * day);
/** Wall-clock time some hours after the midnight a day begins with: `2026-11-29T12:00`, 36 h after that of the 28th. */
export const hoursAfter = (from: string, hours: number): string => `${addDays(from, Math.floor(hours / 24))}T${String(hours % 24).padStart(2, '0')}:00`;
export const daysBetween = (from: string, to: string): number => Math.round((at(to) - at(from)) / day);
/** The first day of the week a day is in. @param firstDay 0 Sunday, 1 Monday */
export function weekOf(date: string, firstDay: number): string {
  const weekday = new Date(at(date)).getUTCDay();
  return addDays(date, -((weekday - firstDay + 7) % 7));
}
