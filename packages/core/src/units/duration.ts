/** Durations in seconds, and the clock notation of the trade: `8:00`, `0:40`, `1:02:30`. */

/** `formatClock(521)` → `8:41`. Rounds to the whole second. @throws {RangeError} when not finite or negative. */
export function formatClock(seconds: number): string {
  if (!Number.isFinite(seconds) || seconds < 0) throw new RangeError(`formatClock: expected seconds >= 0, got ${seconds}`);
  const whole = Math.round(seconds);
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

/** Reads `8:41`, `1:02:30`, `45 s`, `90`, `12 min`, `12'`, `2 h`, `1.5 min`; null when it is none of these. A bare number is seconds. */
export function readDuration(text: string): number | null {
  const cleaned = text.trim().toLowerCase();
  const clock = /^(?:(\d{1,2}):)?(\d{1,3}):(\d{2})(?:\.\d+)?$/.exec(cleaned);
  if (clock) {
    if (Number(clock[3]) > 59) return null;
    return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3]);
  }
  const figure = /^(\d+(?:\.\d+)?)\s*(s|sec|secs|second|seconds|"|m|min|mins|minute|minutes|'|h|hour|hours)?$/.exec(cleaned);
  if (!figure) return null;
  const value = Number(figure[1]);
  const unit = figure[2] ?? 's';
  const factor = unit.startsWith('h') ? 3600 : unit.startsWith('m') || unit === "'" ? 60 : 1;
  return Math.round(value * factor);
}
