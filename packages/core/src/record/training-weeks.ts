/**
 * What somebody did, week by week: load, volume by pattern against the four weeks before, what jumped, what was new, and what was kept and missed.
 * Load is the session rating × minutes (Foster et al. 2001). The limits are round figures: they are for a coach to look, and clear nobody.
 */
import { addDays, daysBetween, weekOf } from './days';
import { patternWords } from '../adapt/told/words';
import { patterns, type Pattern } from '../movements/movement';
import { sessionLoad } from '../scoring/session-load';

export interface Session {
  /** ISO date */
  readonly day: string;
  /** how hard it was said to be, 0–10; null where nobody said */
  readonly rating: number | null;
  /** s it took, or is expected to have taken */
  readonly seconds: number;
  /** counted reps by pattern */
  readonly reps: Readonly<Partial<Record<Pattern, number>>>;
  /** movement ids */
  readonly movements: readonly string[];
}
export interface TrainingWeek {
  /** ISO date of its first day */
  readonly from: string;
  readonly sessions: number;
  readonly minutes: number;
  /** of rated sessions; those without a rating are counted in `unrated` */
  readonly load: number;
  readonly unrated: number;
  readonly reps: Readonly<Partial<Record<Pattern, number>>>;
}
export const weekLimits = {
  /** weeks that a week is held against */
  before: 4,
  /** this week ÷ the mean of those before, above which it is said */
  jump: 1.5,
  /** reps below which a jump is nothing to speak of */
  leastReps: 60,
  /** reps of vertical pulling in a week from which soreness, and in rare cases worse, is to be expected in who is not used to them */
  pulling: 100,
  /** weeks of a history before which nothing of it is a jump: a beginning is none */
  leastBefore: 2,
  /** new movements that are named */
  named: 5,
  /** days after which a movement counts as new again */
  novel: 42,
} as const;

const sumOf = (weeks: readonly Pick<TrainingWeek, 'reps'>[], pattern: Pattern): number => weeks.reduce((sum, { reps }) => sum + (reps[pattern] ?? 0), 0);

/** @param firstDay of the week: 0 Sunday, 1 Monday @returns `count` weeks up to the one of `today`, the oldest first */
export function trainingWeeks(sessions: readonly Session[], today: string, firstDay: number, count: number): TrainingWeek[] {
  const last = weekOf(today, firstDay);
  return Array.from({ length: count }, (_, at) => {
    const from = addDays(last, -7 * (count - 1 - at));
    const within = sessions.filter(({ day }) => weekOf(day, firstDay) === from);
    const reps: Partial<Record<Pattern, number>> = {};
    for (const pattern of patterns) {
      const sum = within.reduce((total, session) => total + (session.reps[pattern] ?? 0), 0);
      if (sum > 0) reps[pattern] = Math.round(sum);
    }
    const rated = within.filter((session): session is Session & { rating: number } => session.rating !== null);
    return {
      from,
      sessions: within.length,
      minutes: Math.round(within.reduce((sum, { seconds }) => sum + seconds, 0) / 60),
      load: Math.round(rated.reduce((sum, { seconds, rating }) => sum + sessionLoad(seconds, rating), 0)),
      unrated: within.length - rated.length,
      reps,
    };
  });
}

export interface PatternVolume {
  readonly pattern: Pattern;
  readonly now: number;
  /** mean of the weeks before */
  readonly usual: number;
  /** this week far above the usual */
  readonly jumps: boolean;
}
/** The weeks that the last one is held against: of those before it, none from before there was anything. */
function weeksBefore(weeks: readonly TrainingWeek[]): TrainingWeek[] {
  const first = weeks.findIndex(({ sessions }) => sessions > 0);
  return weeks.slice(Math.max(0, first), -1).slice(-weekLimits.before);
}

/** The last week against those before it, patterns with most first. */
export function patternVolumes(weeks: readonly TrainingWeek[]): PatternVolume[] {
  const [now, before] = [weeks.slice(-1), weeksBefore(weeks)];
  return patterns
    .map((pattern) => {
      const [sum, usual] = [sumOf(now, pattern), sumOf(before, pattern) / Math.max(1, before.length)];
      return { pattern, now: sum, usual, jumps: before.length >= weekLimits.leastBefore && sum >= weekLimits.leastReps && sum > weekLimits.jump * usual };
    })
    .filter(({ now: sum, usual }) => sum > 0 || usual > 0)
    .sort((a, b) => b.now - a.now || b.usual - a.usual);
}

/** What a coach would look at twice, a sentence each. @param names of movements, by id */
export function weekWarnings(sessions: readonly Session[], weeks: readonly TrainingWeek[], today: string, names: (id: string) => string): string[] {
  const volumes = patternVolumes(weeks);
  const week = weeks.at(-1)!;
  const before = weeksBefore(weeks);
  // a week with sessions that nobody rated has no load to hold another against
  const rated = before.filter(({ sessions: many, unrated }) => many > 0 && unrated === 0);
  const usualLoad = rated.reduce((sum, { load }) => sum + load, 0) / Math.max(1, rated.length);
  const heard: string[] = volumes
    .filter(({ jumps }) => jumps)
    .map(
      ({ pattern, now, usual }) =>
        `${now} reps of ${patternWords[pattern]} this week, ${usual < 1 ? 'none' : `about ${Math.round(usual)} a week`} in the weeks before`,
    );
  if (rated.length >= weekLimits.leastBefore && usualLoad > 0 && week.load > weekLimits.jump * usualLoad)
    heard.push(`load ${week.load} this week, about ${Math.round(usualLoad)} a week before`);
  const pulled = week.reps.verticalPull ?? 0;
  const pulledBefore = sumOf(before, 'verticalPull') / Math.max(1, before.length);
  if (pulled >= weekLimits.pulling && pulledBefore < weekLimits.pulling / 2)
    heard.push(`${pulled} pull-ups or their like after weeks with few: soreness comes days later; dark urine or swelling is for a doctor, at once`);
  const fresh = newMovements(sessions, week.from, today);
  const more = fresh.length - weekLimits.named;
  if (fresh.length > 0)
    heard.push(`new or not done for six weeks: ${fresh.slice(0, weekLimits.named).map(names).join(', ')}${more > 0 ? ` and ${more} more` : ''}`);
  return heard;
}

/** Movements of this week that were not done in the six before it. Empty in somebody's first week: there all of it is new. */
function newMovements(sessions: readonly Session[], from: string, today: string): string[] {
  const earlier = sessions.filter(({ day }) => day < from);
  if (earlier.length === 0) return [];
  const known = new Set(earlier.filter(({ day }) => daysBetween(day, today) <= weekLimits.novel).flatMap(({ movements }) => movements));
  const now = sessions.filter(({ day }) => day >= from && day <= today).flatMap(({ movements }) => movements);
  return [...new Set(now)].filter((id) => !known.has(id)).sort();
}

export interface Attendance {
  readonly kept: number;
  readonly missed: number;
  /** in a row, up to now, that were kept, or of which none was */
  readonly streak: number;
  readonly silent: number;
  /** ISO date of the first of those; null: the last was kept */
  readonly silentSince: string | null;
  readonly longest: number;
}
/** @param planned what was sent and is due, each with whether something was logged for it */
export function attendance(planned: readonly { readonly day: string; readonly kept: boolean }[]): Attendance {
  const due = [...planned].sort((a, b) => (a.day < b.day ? -1 : 1));
  let [streak, longest] = [0, 0];
  for (const { kept } of due) {
    streak = kept ? streak + 1 : 0;
    longest = Math.max(longest, streak);
  }
  const kept = due.filter((sent) => sent.kept).length;
  const silence = due.slice(due.findLastIndex((sent) => sent.kept) + 1);
  return { kept, missed: due.length - kept, streak, silent: silence.length, silentSince: silence[0]?.day ?? null, longest };
}
/** sendings in a row without a score from which a coach is told (round figure) */
export const silentFrom = 3;
