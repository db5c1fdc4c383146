/** Hard limits: may this movement be done by this athlete in this place? Each "no" carries its reason as data. */
import type { Athlete, AvoidName } from '../athlete/athlete';
import type { Movement } from '../movements/movement';
import { missingOf, type NeedAtom, type Needs } from '../movements/needs';
import { headroomNeeded } from './headroom';
import type { KitItem, Place } from '../kit/kit';

export type Obstacle =
  | { readonly code: 'needs'; readonly text: string }
  | { readonly code: 'avoid'; readonly tag: AvoidName }
  | { readonly code: 'ceiling'; readonly needM: number; readonly haveM: number }
  | { readonly code: 'floor'; readonly needM: readonly [number, number] }
  | { readonly code: 'noise' }
  | { readonly code: 'skill'; readonly skill: number }
  | { readonly code: 'limit'; readonly limit: string };

const atomWords: Readonly<Record<NeedAtom, string>> = {
  barbell: 'a barbell',
  dumbbell: 'a dumbbell',
  kettlebell: 'a kettlebell',
  sandbag: 'a sandbag',
  backpack: 'a backpack',
  can: 'a water can',
  plate: 'a plate',
  stick: 'a stick',
  vest: 'a vest',
  band: 'a band',
  bar: 'a bar to hang from',
  lowBar: 'a low bar',
  rings: 'rings',
  dipBar: 'dip bars',
  box: 'a box',
  rope: 'a rope',
  row: 'a rowing machine',
  bike: 'a bike',
  airBike: 'an air bike',
  ski: 'a ski machine',
  route: 'a run route',
  wall: 'a wall',
  table: 'a sturdy table',
  chair: 'a chair',
  couch: 'a couch',
  stairs: 'stairs',
  bench: 'a bench',
  anchor: 'something to anchor to',
  object: 'an object to pass over',
  sled: 'a sled',
  sliders: 'sliders',
  climbingRope: 'a climbing rope',
};

/** `a dumbbell or a kettlebell`, `two dumbbells and a bench`; brackets only where both joints meet. */
export function needsInWords(needs: Needs): string {
  switch (needs.kind) {
    case 'none':
      return 'nothing';
    case 'atom':
      return needs.count === 1 ? atomWords[needs.atom] : `two ${atomWords[needs.atom].replace(/^an? /, '')}s`;
    case 'any':
      return needs.of.map(needsInWords).join(' or ');
    case 'all':
      return needs.of.map((each) => (each.kind === 'any' ? `(${needsInWords(each)})` : needsInWords(each))).join(' and ');
  }
}

export function sentenceForObstacle(obstacle: Obstacle): string {
  switch (obstacle.code) {
    case 'needs':
      return `needs ${obstacle.text}`;
    case 'avoid':
      return `on the avoid-list: ${obstacle.tag.replaceAll('_', ' ')}`;
    case 'ceiling':
      return `needs ${obstacle.needM.toFixed(2)} m of ceiling, there are ${obstacle.haveM.toFixed(2)} m`;
    case 'floor':
      return `needs ${obstacle.needM[0]} × ${obstacle.needM[1]} m of floor`;
    case 'noise':
      return 'too loud for a quiet place';
    case 'skill':
      return 'a skill this athlete does not have yet';
    case 'limit':
      return `outside the range this athlete works in: ${obstacle.limit}`;
  }
}

/** How many of an atom the kit holds. A box is something to step on, to sit on and to put hands on; stairs are low steps; a couch anchors the feet. */
export function countOfAtom(kit: readonly KitItem[], atom: NeedAtom): number {
  let count = 0;
  for (const item of kit) {
    if (item.kind === 'adjustable' || item.kind === 'handles') count += atom === 'dumbbell' ? item.count : 0;
    else if (item.kind === atom) count += 'count' in item ? item.count : 1;
    else if (atom === 'lowBar' && item.kind === 'rack') count += kit.some(({ kind }) => kind === 'barbell') ? 1 : 0;
    else if (atom === 'anchor' && (item.kind === 'couch' || item.kind === 'bar')) count += 1;
    else if (
      atom === 'object' &&
      (item.kind === 'dumbbell' || item.kind === 'kettlebell' || item.kind === 'rope' || item.kind === 'backpack' || item.kind === 'box')
    )
      count += 1;
    else if (atom === 'plate' && item.kind === 'barbell') count += item.plates.reduce((sum, plate) => sum + plate.pieces, 0);
  }
  return count;
}

/** Runs and carries have the way outside for a floor, where there is one. */
export const goesOutside = ({ family }: Movement, { kit }: Place): boolean => (family === 'run' || family === 'carry') && countOfAtom(kit, 'route') > 0;

export function obstacles(
  movement: Movement,
  athlete: Athlete,
  place: Place,
  loadChosen: { implement: string } | null = null,
  heightCm: number | null = null,
): Obstacle[] {
  const found: Obstacle[] = [];
  const missing = missingOf(movement.needs, (atom, count) => countOfAtom(place.kit, atom) >= count);
  if (missing.kind !== 'none') found.push({ code: 'needs', text: needsInWords(missing) });
  for (const tag of athlete.avoid) if (violates(movement, tag, heightCm)) found.push({ code: 'avoid', tag });
  const needM = headroomNeeded(movement, athlete, place, loadChosen?.implement ?? null, heightCm);
  if (needM !== null && place.ceilingM < needM) found.push({ code: 'ceiling', needM, haveM: place.ceilingM });
  const { lengthM, widthM } = movement.floor;
  const long = Math.max(place.floor.lengthM, place.floor.widthM);
  const short = Math.min(place.floor.lengthM, place.floor.widthM);
  if (!goesOutside(movement, place) && (long < lengthM || short < widthM)) found.push({ code: 'floor', needM: [lengthM, widthM] });
  if (place.noise === 'quiet' && (movement.jumps || movement.drops || (movement.patterns.rope !== undefined && movement.impact > 0)))
    found.push({ code: 'noise' });
  const range = outsideRange(movement, athlete);
  if (range) found.push({ code: 'limit', limit: range });
  return found;
}

/** A shortened range is not avoidance: half squats and pulls from the knee stay open. */
function outsideRange(movement: Movement, athlete: Athlete): string | null {
  if (athlete.limits.squatDepth && movement.avoid.includes('deep_knee') && (movement.patterns.squat ?? 0) > 0) return `squat to ${athlete.limits.squatDepth}`;
  const fromFloor =
    movement.load !== null &&
    movement.avoid.includes('spinal_loading') &&
    !movement.id.includes('hang') &&
    (movement.patterns.hinge ?? 0) + (movement.patterns.groundToOverhead ?? 0) > 0.4;
  return athlete.limits.reach && fromFloor && movement.family !== 'swing' ? `reach to the ${athlete.limits.reach}` : null;
}

/** Whether a movement breaks an entry of the avoid-list. A step-up on 40 cm or less spares the knee; high impact is running and jumping, too. */
export function violates(movement: Movement, tag: AvoidName, heightCm: number | null): boolean {
  if (tag === 'high_impact') return movement.impact > 0 || movement.avoid.includes('running');
  if (tag === 'deep_knee' && movement.family === 'step' && heightCm !== null && heightCm <= 40) return false;
  return movement.avoid.includes(tag);
}
