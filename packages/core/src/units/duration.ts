/** The clock notation of the trade: `8:00`, `0:40`, `1:02:30`. What is typed is read by text/figures.ts. */

/** `formatClock(521)` → `8:41`. Rounds to the whole second. @throws {RangeError} when not finite or negative. */
export function formatClock(seconds: number): string {
  if (!Number.isFinite(seconds) || seconds < 0) throw new RangeError(`formatClock: expected seconds >= 0, got ${seconds}`);
  const whole = Math.round(seconds);
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}
