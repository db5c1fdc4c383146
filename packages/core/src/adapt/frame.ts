/** The frame of a part (rounds, ladder, clock, cap) as one line a coach reads and writes, and the part in another frame with the same work. */
import { formatItems } from '../notation/format-workout';
import { ownLine } from '../notation/read-own';
import { parseWorkout } from '../notation/parse-workout';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Block, DefinedMovement, Item, Part, Workout } from '../workout/workout';
import { scaleWindow } from './asked/shorter';
import { partLocks, type Lock } from './lock';

type OneLine = Extract<Part, { kind: 'forTime' | 'amrap' | 'every' }>;

/** The work of a part whose frame is one line; null where the frame is more than that. */
function workOf(part: Part): { readonly part: OneLine; readonly block: Block | null; readonly items: readonly Item[] } | null {
  if (part.kind !== 'forTime' && part.kind !== 'amrap' && part.kind !== 'every') return null;
  if (part.kind === 'every' ? part.stations.length !== 1 || part.untilFailure : part.sets !== 1) return null;
  const items = part.kind === 'every' ? part.stations[0]! : part.items;
  const [first] = items;
  if (part.kind !== 'forTime' || first?.kind !== 'block') return { part, block: null, items };
  return items.length === 1 && first.restBetween === null && first.rounds.low === first.rounds.high ? { part, block: first, items: first.items } : null;
}

const roundsOf = ({ ladder, rounds }: Block): string => (ladder ? ladder.join('-') : `${rounds.high} round${rounds.high === 1 ? '' : 's'}`);
const capOf = (seconds: number | null): string => (seconds === null ? '' : `, cap ${formatClock(seconds)}`);

/** `5 rounds for time, cap 12:00`, `AMRAP 9:00`; null where one line cannot say it */
export function frameOf(whole: Part): string | null {
  const work = workOf(whole);
  if (!work) return null;
  const { part, block } = work;
  if (part.kind === 'forTime') return `${block ? `${roundsOf(block)} ` : ''}for time${capOf(part.capSeconds)}`;
  if (part.kind === 'amrap') return part.seconds.low === part.seconds.high ? `AMRAP ${formatClock(part.seconds.high)}` : null;
  return `every ${formatClock(part.intervalSeconds)} x ${part.count}${capOf(part.capSeconds)}`;
}

const movementsOf = (part: Part): string =>
  slotsOfPart(part)
    .map(({ movement }) => movement)
    .join(' ');
const total = ({ ladder, rounds }: Block): number => (ladder ? ladder.reduce((sum, rung) => sum + rung, 0) : rounds.high);
/** How much of the work, or of the time for it, another frame leaves; null where what is scored is another thing. */
function shareOf(before: Part, after: Part): number | null {
  const [then, now] = [workOf(before)!, workOf(after)!];
  if (then.part.kind === 'amrap' && now.part.kind === 'amrap') return now.part.seconds.high / then.part.seconds.high;
  if (then.part.kind === 'forTime' && now.part.kind === 'forTime') return (now.block ? total(now.block) : 1) / (then.block ? total(then.block) : 1);
  return then.part.kind === now.part.kind ? 1 : null;
}

/** The same work in another frame; the window follows it, and what is said of the part besides stays. @returns null where the line is no frame, or would be other work */
export function inFrame(whole: Part, frame: string, own: readonly DefinedMovement[]): Part | null {
  const work = workOf(whole);
  if (!work || /[\r\n]/.test(frame.trim()) || frame.trim() === '') return null;
  const lines = [...own.map((each) => ownLine(each.own, each.as)), frame.trim(), ...formatItems(work.items, '')];
  const { workout, diagnostics } = parseWorkout(lines.join('\n'));
  const [read] = workout.parts;
  if (workout.parts.length !== 1 || !read || workOf(read) === null || diagnostics.some(({ level }) => level === 'error')) return null;
  const besides = [...workout.notes, ...read.notes, ...(workout.title ? [workout.title] : []), ...(read.name ? [read.name] : [])];
  if (besides.length > 0 || movementsOf(read) !== movementsOf(whole)) return null;
  return { ...read, ...saidOf(whole, shareOf(whole, read)) };
}
/** What is said of a part beside its frame and its work; a window in what is no longer scored says nothing. */
type Said = Pick<Part, 'name' | 'window' | 'intent' | 'optional' | 'noPartition' | 'vest' | 'startsAtFinishOrCap' | 'team' | 'interruption' | 'notes'> &
  Partial<Pick<Part, 'score' | 'scoreSaid'>>;
function saidOf(whole: Part, share: number | null): Said {
  const { name, window, intent, optional, noPartition, vest, startsAtFinishOrCap, team, interruption, notes } = whole;
  const scored = whole.scoreSaid && share !== null ? { score: whole.score, scoreSaid: true } : {};
  return {
    ...{ name, intent, optional, noPartition, vest, startsAtFinishOrCap, team, interruption, notes },
    ...scored,
    window: share === null ? null : share === 1 ? window : scaleWindow(window, share),
  };
}

export interface Framed {
  readonly workout: Workout;
  /** numbers of the parts that the coach framed */
  readonly framed: ReadonlySet<number>;
  /** frames that are none: they stand aside, and are told among the warnings */
  readonly unread: readonly string[];
}
/** The parts of a workout in the frames the coach gave them. */
export function inFrames(workout: Workout, locks: readonly Lock[]): Framed {
  const framed = new Set<number>();
  const unread: string[] = [];
  const parts = workout.parts.map((part, at) => {
    const frame = partLocks(locks).find((lock) => lock.part === at && lock.frame !== undefined)?.frame;
    if (frame === undefined) return part;
    const read = inFrame(part, frame, workout.own ?? []);
    if (read) framed.add(at);
    else unread.push(frame);
    return read ?? part;
  });
  return { workout: framed.size > 0 ? { ...workout, parts } : workout, framed, unread };
}
