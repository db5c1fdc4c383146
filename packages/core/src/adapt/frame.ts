/** The frame of a part (rounds, ladder, clock, cap) as one line a coach reads and writes, and the part in another frame with the same work. */
import { formatItems } from '../notation/format-workout';
import { ownLine } from '../notation/read-own';
import { parseWorkout } from '../notation/parse-workout';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Block, Item, Part } from '../workout/workout';
import type { LineTerms } from './line-terms';

type Framed = Extract<Part, { kind: 'forTime' | 'amrap' | 'every' }>;

/** The work of a part whose frame is one line; null where the frame is more than that. */
function workOf(part: Part): { readonly part: Framed; readonly block: Block | null; readonly items: readonly Item[] } | null {
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
/** The same work in another frame; what is said of the part besides stays. @returns null where the line is no frame, or would be other work */
export function inFrame(whole: Part, frame: string, { units, own }: LineTerms): Part | null {
  const work = workOf(whole);
  if (!work || /[\r\n]/.test(frame.trim()) || frame.trim() === '') return null;
  const lines = [...own.map((each) => ownLine(each.own, each.as)), frame.trim(), ...formatItems(work.items, '')];
  const { workout, diagnostics } = parseWorkout(lines.join('\n'), { units });
  const [read] = workout.parts;
  if (workout.parts.length !== 1 || !read || workOf(read) === null || diagnostics.some(({ level }) => level === 'error')) return null;
  const besides = [...workout.notes, ...read.notes, ...(workout.title ? [workout.title] : []), ...(read.name ? [read.name] : [])];
  if (besides.length > 0 || movementsOf(read) !== movementsOf(whole)) return null;
  const { name, window, intent, optional, noPartition, vest, startsAtFinishOrCap, team, interruption, notes } = whole;
  const scored = whole.scoreSaid ? { score: whole.score, scoreSaid: true } : {};
  return { ...read, name, window, intent, optional, noPartition, vest, startsAtFinishOrCap, team, interruption, notes, ...scored };
}
