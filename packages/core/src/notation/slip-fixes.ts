/** What may stand in the place of a line that does not add up: the line as it was written with one figure changed; undefined where no figure of it says it. */
import { formatClock } from '../units/duration';

const replaced = (line: string, pattern: RegExp, by: string): string | undefined => (pattern.test(line) ? line.replace(pattern, by) : undefined);
const clock = '\\d+(?::\\d{2})+';

/** `EMOM 16:00` → `EMOM 15:00`, `every 1:00 x 16` → `every 1:00 x 15` */
export function otherCount(line: string, before: number, after: number, intervalSeconds: number): string | undefined {
  const whole = formatClock(before * intervalSeconds).replace(':', '\\:');
  return (
    replaced(line, new RegExp(`([x×]\\s*)${before}\\b`, 'i'), `$1${after}`) ??
    replaced(line, new RegExp(`\\b${whole}`), formatClock(after * intervalSeconds)) ??
    replaced(line, new RegExp(`\\b${(before * intervalSeconds) / 60}(?=\\s*(?:min|$))`, 'i'), String((after * intervalSeconds) / 60))
  );
}
export const otherCap = (line: string, seconds: number): string | undefined =>
  replaced(line, new RegExp(`(cap\\s*(?:of\\s*)?)(?:${clock}|\\d+\\s*(?:minutes?|mins?)?)`, 'i'), `$1${formatClock(seconds)}`);

/** `EMOM 10:00` → `every 1:30 x 10`; `every 1:00 x 10` → `every 1:30 x 10` */
export const otherInterval = (line: string, intervals: number, seconds: number): string | undefined =>
  replaced(line, /^\s*emom\b[\s:]*(?:\d+(?::\d{2})?(?:\s*min(?:utes?)?)?)?\s*$/i, `every ${formatClock(seconds)} x ${intervals}`) ??
  replaced(line, new RegExp(`^(\\s*every\\s*)${clock}`, 'i'), `$1${formatClock(seconds)}`);

/** `rest 90 min between` → `rest 1:30 between`: what was written in minutes, in seconds */
export function minutesAsSeconds(line: string): string | undefined {
  const minutes = /(\d+(?:[.,]\d+)?)\s*(?:minutes?|mins?|m)\b/i;
  const found = minutes.exec(line);
  return found ? line.replace(minutes, formatClock(Math.round(Number(found[1]!.replace(',', '.'))))) : undefined;
}

const ladder = /\d+(?:\s*[-–]\s*\d+)+/;
/** The line with another ladder, or without one: then it follows the ladder it stands under. */
export const otherLadder = (line: string, rungs: readonly number[] | null): string | undefined =>
  rungs ? replaced(line, ladder, rungs.join('-')) : replaced(line, new RegExp(`\\s*${ladder.source}\\s*:?\\s*`), ' ')?.trim();
