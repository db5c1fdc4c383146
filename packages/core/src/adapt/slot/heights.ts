/** Surfaces of a place by height: boxes to jump and step on, edges for the hands. */
import { headroomNeeded } from '../../limits/headroom';
import { violates } from '../../limits/feasible';
import type { Movement } from '../../movements/movement';
import type { Slot } from '../../workout/workout';
import { roomFor, type AdaptContext } from './question';

const stepsUp = [1, 2, 3] as const;
/** a step that is stepped on as on a box: two stairs (common practice) */
const boxOfStairs = 2;
/** a low step is at most so high */
const lowStepCm = 40;
/** where the coach wrote no height */
const usualBoxCm = 50;
const usualEdgeCm = 45;
/** hands on a wall, chest high */
export const wallCm = 110;

function furniture({ kit }: AdaptContext['place'], ...kinds: string[]): number[] {
  return kit.flatMap((item) => ('heightCm' in item && item.kind !== 'stairs' && kinds.includes(item.kind) ? [item.heightCm] : []));
}
const stairOf = ({ kit }: AdaptContext['place']): number | null => {
  const stairs = kit.find((item) => item.kind === 'stairs');
  return stairs && 'heightCm' in stairs ? stairs.heightCm : null;
};
const ascending = (heights: readonly number[]): number[] => [...new Set(heights)].sort((a, b) => a - b);
const nearestTo = (wanted: number, heights: readonly number[]): number =>
  heights.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best));

/** Edges for the hands, lowest first. */
function edges(context: AdaptContext): number[] {
  const stair = stairOf(context.place);
  const wall = context.place.kit.some((item) => item.kind === 'wall') ? [wallCm] : [];
  return ascending([
    ...furniture(context.place, 'box', 'chair', 'table', 'couch', 'bench'),
    ...(stair === null ? [] : stepsUp.map((steps) => steps * stair)),
    ...wall,
  ]);
}

/** Boxes under the feet, without those under which the head meets the ceiling or the knee bends too deep, while others are left. */
function boxes(movement: Movement, context: AdaptContext): number[] {
  const { athlete } = context;
  const place = roomFor(movement, context);
  const stair = stairOf(place);
  const steps = movement.family === 'step' ? [...furniture(place, 'bench', 'chair'), ...(stair === null ? [] : [boxOfStairs * stair])] : [];
  const all = ascending([...furniture(place, 'box'), ...steps]);
  const fitting = all.filter(
    (height) =>
      (headroomNeeded(movement, athlete, place, null, height) ?? 0) <= place.ceilingM && !athlete.avoid.some((tag) => violates(movement, tag, height)),
  );
  return fitting.length > 0 ? fitting : all;
}

/** Heights worth trying, the first one first; `[null]` where the movement has none. */
export function heightsFor(movement: Movement, slot: Slot, context: AdaptContext): readonly (number | null)[] {
  const written = slot.heightCm?.[context.athlete.category] ?? null;
  if (movement.heightOf === 'surface') return orNone(edges(context));
  if (movement.heightOf === 'edge') {
    const all = edges(context).filter((height) => height !== wallCm);
    return all.length > 0 ? [nearestTo(usualEdgeCm, all)] : [null];
  }
  if (movement.heightOf === 'lowStep') {
    const stair = stairOf(context.place);
    const low = furniture(context.place, 'box').filter((height) => height <= lowStepCm);
    return orNone(ascending([...(stair === null ? [] : [stair]), ...low])).slice(0, 1);
  }
  if (movement.heightOf === 'box') {
    const all = movement.needs.kind === 'none' ? [] : boxes(movement, context);
    return all.length > 0 ? [nearestTo(written ?? usualBoxCm, all)] : [null];
  }
  return [movement.id === slot.movement ? written : null];
}
const orNone = (heights: readonly number[]): readonly (number | null)[] => (heights.length > 0 ? heights : [null]);
