/** A figure with the day it is of: `88 kg, 2026-09-14`, `88 kg in Sep 2026`, `24 (2025)`. */

const monthNames = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];
const before = String.raw`\s*(?:[,;(]\s*(?:on|in|from|of)?|\s(?:on|in|from|of))\s*`;
const numbers = String.raw`(?<year>\d{4})(?:-(?<month>\d{1,2})(?:-(?<day>\d{1,2}))?)?`;
const words = String.raw`(?:(?<dayOf>\d{1,2})\s+)?(?<name>[a-z]{3,9})\s+(?<yearOf>\d{4})`;
const dated = new RegExp(`${before}(?:${numbers}|${words})\\)?$`, 'i');

/** A day, a month or a year: what is not said is null. */
export interface SaidDay {
  readonly year: number;
  readonly month: number | null;
  readonly day: number | null;
}
export interface DatedFigure {
  /** as typed, without the day */
  readonly figure: string;
  readonly on: SaidDay | null;
}

const numberOf = (text: string | undefined): number | null => (text === undefined ? null : Number(text));

/** What stands in front where it is a day; the whole text where there is none, or none that is on a calendar. */
export function datedFigure(text: string): DatedFigure {
  const found = dated.exec(text.trim());
  const { year, month, day, dayOf, name, yearOf } = found?.groups ?? {};
  const named = name === undefined ? -1 : monthNames.findIndex((month) => month.startsWith(name.toLowerCase()));
  const on: SaidDay = { year: Number(year ?? yearOf), month: name === undefined ? numberOf(month) : named + 1, day: numberOf(day ?? dayOf) };
  const isOne =
    found !== null && on.year >= 1950 && on.year <= 2100 && (on.month ?? 1) >= 1 && (on.month ?? 1) <= 12 && (on.day ?? 1) >= 1 && (on.day ?? 1) <= 31;
  return isOne ? { figure: text.trim().slice(0, found.index), on } : { figure: text.trim(), on: null };
}

/** in years; in the middle of what is not said */
const inYears = ({ year, month, day }: SaidDay): number => year + (month === null ? 0.5 : (month - 1 + (day === null ? 0.5 : (day - 0.5) / 31)) / 12);

/** Years from a said day to another, below nothing where it is yet to come; the present month or year is now. @param today ISO date */
export function yearsSince(on: SaidDay, today: string): number {
  const [year = 0, month = 1, day = 1] = today.slice(0, 10).split('-').map(Number);
  const isPresent = on.year === year && (on.month === null || (on.month === month && on.day === null));
  return isPresent ? 0 : inYears({ year, month, day }) - inYears(on);
}
/** `2026-09`, as it is told again */
export const dayText = ({ year, month, day }: SaidDay): string =>
  [String(year), ...(month === null ? [] : [String(month).padStart(2, '0')]), ...(day === null ? [] : [String(day).padStart(2, '0')])].join('-');
