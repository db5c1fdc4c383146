/** What the clock tells beside the work itself: the sets that are planned, the laps of a run, where to turn, the attempts with their load. */
import type { Place } from '../kit/kit';
import type { Pacing, SlotPacing } from '../pacing/pacing';
import { formatClock } from '../units/duration';
import { formatMass, type MassUnit } from '../units/mass';
import { ticksOf, type Move, type WorkPiece } from '../workout/schedule';
import { slotsOfPart } from '../workout/walk';
import type { Category, Slot, Workout } from '../workout/workout';

/** Said when it is time, s after its piece began. */
export interface Prompt {
  readonly atSeconds: number;
  readonly text: string;
}
export interface ClockGuide {
  /** behind the line of a movement; blank: nothing */
  readonly behind: (move: Move) => string;
  /** @param part number of the part */
  readonly promptsIn: (part: number, piece: WorkPiece) => readonly Prompt[];
}
export const noGuide: ClockGuide = { behind: () => '', promptsIn: () => [] };

/** s; a shorter run needs no word at its half */
const shortestTurn = 60;

/** Whom it guides, where. */
export interface GuideFor {
  readonly pacing: Pacing;
  readonly place: Place;
  readonly category: Category;
  readonly units: MassUnit;
}

const sumOf = (sets: readonly number[]): number => sets.reduce((sum, reps) => sum + reps, 0);
const isRun = (slot: Slot): boolean => slot.movement === 'run';

/** `5 + 4`; `9, later 5 + 4` where it is broken only later. Nothing where it goes in one go, or the figures are of another count. */
function setsBehind({ sets, later, unit }: SlotPacing, count: number): string {
  if (unit !== 'reps' || sumOf(sets) !== count || sumOf(later) !== count || Math.max(sets.length, later.length) < 2) return '';
  const [first, then] = [sets.join(' + '), later.join(' + ')];
  return first === then ? first : `${first}, later ${then}`;
}
/** `2 laps of 200 m`; nothing where the route has the whole length, or no such part of it. */
function lapsBehind(metres: number, { kit }: Place): string {
  const points = kit.flatMap((item) => (item.kind === 'route' ? item.metres : []));
  if (points.includes(metres)) return '';
  const lap = points.filter((point) => metres % point === 0).sort((a, b) => b - a)[0];
  return lap === undefined ? '' : `${metres / lap} laps of ${lap} m`;
}

function behindOf(workout: Pick<Workout, 'parts'>, { pacing, place, category }: GuideFor): ClockGuide['behind'] {
  // a movement keeps what is planned for it wherever its round is begun
  const paced = new Map(pacing.slots.map((slot): [Slot | undefined, SlotPacing] => [slotsOfPart(workout.parts[slot.part]!)[slot.slot], slot]));
  return ({ slot, counts }) => {
    if (counts === null) return '';
    const count = counts[category];
    if (isRun(slot)) return slot.unit === 'm' ? lapsBehind(count, place) : '';
    const own = paced.get(slot);
    return own ? setsBehind(own, count) : '';
  };
}

/** Half of a run by time, where nothing else is in the piece. */
function turnIn(piece: WorkPiece, category: Category): Prompt[] {
  const moves = ticksOf(piece.items, piece.pass).flatMap(({ steps }) => steps.flatMap((step) => (step.kind === 'move' ? [step] : [])));
  const [only, ...more] = moves;
  if (!only || more.length > 0 || !isRun(only.slot)) return [];
  const seconds = only.slot.unit === 's' && only.counts !== null ? only.counts[category] : (piece.seconds ?? 0);
  return seconds < shortestTurn ? [] : [{ atSeconds: seconds / 2, text: 'Halfway: turn round' }];
}
function attemptsIn(part: number, { pacing, units }: GuideFor): Prompt[] {
  const list = pacing.attempts.find((attempts) => attempts.part === part)?.list ?? [];
  return list.map(({ atSeconds, kg }, at) => {
    const next = list[at + 1];
    const then = next ? `, next at ${formatClock(next.atSeconds)}` : '';
    return { atSeconds, text: `Attempt ${at + 1} of ${list.length}: ${formatMass(kg, units)}${then}` };
  });
}

/** @param workout a version @param guide its pacing, made for this athlete there */
export function clockGuide(workout: Pick<Workout, 'parts'>, guide: GuideFor): ClockGuide {
  return {
    behind: behindOf(workout, guide),
    promptsIn: (part, piece) => (workout.parts[part]?.kind === 'maxLoad' ? attemptsIn(part, guide) : turnIn(piece, guide.category)),
  };
}
