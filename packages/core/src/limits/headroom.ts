/**
 * How high a ceiling a movement asks for. Grip reach standing is about 1.195 × stature (Pheasant, Bodyspace: 2060 mm at 1740 mm; the segments of Drillis and Contini
 * give the same; from memory), or what the athlete measured. What sticks out above the hand, the margin and the leg drive are round figures (common practice).
 */
import type { Athlete } from '../athlete/athlete';
import { heights } from '../movements/heights';
import type { Movement } from '../movements/movement';
import type { Place } from '../kit/kit';

export const gripReachShare = 1.195;
/** m above the hand: a bell behind the wrist, half a full-size plate, a can or a bag on the palm */
const aboveHandM: Readonly<Record<string, number>> = {
  kettlebell: 0.05,
  dumbbell: 0.08,
  barbell: 0.225,
  plate: 0.2,
  can: 0.3,
  sandbag: 0.25,
  backpack: 0.3,
  band: 0,
  stick: 0.02,
};
const marginM = 0.05;
/** m more where the load flies: push press, jerk, thruster, a fast snatch */
const fastM = 0.08;
/** m above the head of a jump over a rope or out of a burpee */
const jumpM = 0.2;
/** m the hip joint is above a seat, and the knee joint above the floor it kneels on */
const hipAboveSeatM = 0.09;
const kneeAboveFloorM = 0.05;

const seats = new Set(['chair', 'box', 'bench', 'couch']);
const lowestSeatM = ({ kit }: Place): number =>
  Math.min(0.45, ...kit.flatMap((item) => ('heightCm' in item && seats.has(item.kind) ? [item.heightCm / 100] : [])));

/** Height of the gripping hand, arms straight overhead, in the stance of the movement. */
function handM(stance: NonNullable<Movement['overhead']>['from'], athlete: Athlete, place: Place): number {
  const reach = athlete.reachM ?? gripReachShare * athlete.statureM;
  switch (stance) {
    case 'standing':
      return reach;
    case 'seated':
      return reach - heights.hip * athlete.statureM + hipAboveSeatM + lowestSeatM(place);
    case 'kneeling':
      return reach - heights.knee * athlete.statureM + kneeAboveFloorM;
  }
}

/**
 * @param implement in the hands; null: the lowest of those the movement may be done with
 * @returns m, or null where no ceiling matters
 */
export function headroomNeeded(movement: Movement, athlete: Athlete, place: Place, implement: string | null, heightCm: number | null): number | null {
  const { overhead, load } = movement;
  if (overhead) {
    const held = implement === null ? (load?.implements ?? []) : [implement];
    const above = held.length === 0 ? 0 : Math.min(...held.map((each) => aboveHandM[each] ?? 0.1));
    return handM(overhead.from, athlete, place) + above + marginM + (overhead.fast ? fastM : 0);
  }
  if ((movement.family === 'box' || movement.family === 'step') && heightCm !== null) return athlete.statureM + heightCm / 100;
  return movement.jumps ? athlete.statureM + jumpM : null;
}
