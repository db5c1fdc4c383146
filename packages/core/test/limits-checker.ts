/**
 * An independent checker of hard limits: written from the contract's words on movement ids and kit alone, without the search, the catalogue's tags or `obstacles`.
 * It is strict where the words are plain and silent where they are not.
 */
import type { Adapted, Athlete, Place, VersionSlot } from '../src/index';

const runs = /^(?:run|shuttle-run)$/;
const jumps = /jump(?!-rope)|burpee|double-under|single-under|hop|jack|running-skip|broad/;
const notJumps = /step-back-burpee|raised-burpee|stepping-jack/;
const overhead = /press|snatch|jerk|thruster|overhead|handstand|burpee-dumbbell/;
const notOverhead = /floor-press|bench-press/;
const hanging = /pull-up|chin-up|toes-to-bar|hanging|bar-hang|muscle-up|shoulder-blade-pull/;
const fullSquats = /^(?!.*(?:chair|half|box-squat)).*(?:squat|thruster|pistol|lunge|kneel-to-stand)/;

export function brokenLimits(slot: VersionSlot, athlete: Athlete, place: Place): string[] {
  const found: string[] = [];
  const { movement: id } = slot;
  const isJump = jumps.test(id) && !notJumps.test(id);
  const avoids = (tag: string): boolean => (athlete.avoid as readonly string[]).includes(tag);
  if ((avoids('running') || avoids('high_impact')) && runs.test(id)) found.push(`${id} is running`);
  if ((avoids('jumping') || avoids('high_impact')) && isJump) found.push(`${id} jumps`);
  if (avoids('overhead') && overhead.test(id) && !notOverhead.test(id)) found.push(`${id} is overhead`);
  if (avoids('hanging') && hanging.test(id)) found.push(`${id} hangs`);
  if (avoids('inverted') && /handstand|piked|dive-through/.test(id)) found.push(`${id} is inverted`);
  if (avoids('deep_knee') && fullSquats.test(id)) found.push(`${id} bends the knee deeply`);
  if (avoids('spinal_loading') && /^(?:back-squat|good-morning|deadlift|sandbag-squat|bent-over-row)$/.test(id)) found.push(`${id} loads the spine`);
  if (avoids('kneeling') && /knee-push-up|kneel-to-stand|knee-plank/.test(id)) found.push(`${id} kneels`);
  if (
    avoids('wrists') &&
    /^(?:push-up|hand-release-push-up|knee-push-up|raised-push-up|(?:raised-|lateral-|step-back-)?burpee|bear-crawl|high-plank|shoulder-tap|front-squat|thruster|strict-press|clean|power-clean)$/.test(
      id,
    )
  )
    found.push(`${id} bends the wrists`);
  if (slot.original?.movement.startsWith('strict-') && /kipping/.test(id)) found.push(`${id} kips where strict was written`);
  if (
    athlete.level === 'new' &&
    /muscle-up|handstand|^pistol$|^snatch$|overhead-squat$/.test(id) &&
    !/box-handstand|stick/.test(id) &&
    !athlete.bestSets[id] &&
    !athlete.maxes[id]
  )
    found.push(`${id} is no movement for a new athlete`);
  if (place.noise === 'quiet' && (isJump || /under$/.test(id))) found.push(`${id} is loud`);
  const has = (kind: string): boolean => place.kit.some((item) => item.kind === kind);
  if (/^row$/.test(id) && !has('row')) found.push('no rowing machine');
  if (id === 'run' && !has('route')) found.push('no route');
  if (/pull-up|toes-to-bar|chin-up/.test(id) && !has('bar') && !has('rings')) found.push(`${id} without a bar`);
  if (/double-under|single-under/.test(id) && !has('rope')) found.push('no rope');
  if (/^box-jump/.test(id) && !has('box')) found.push('no box');
  const standing =
    /strict-press|push-press|single-arm-dumbbell-press|two-hand-dumbbell-press|push-jerk|^jerk|snatch|thruster|clean-and-press|clean-and-jerk|overhead-squat|overhead-hold/.test(
      id,
    );
  // grip reach and a bell's five centimetres and five more; dumbbells and bars ask for more
  const seated = /seated|kneeling/.test(id);
  if (standing && !seated && place.ceilingM < 1.195 * athlete.statureM + 0.1 - 1e-9) found.push(`${id} under ${place.ceilingM} m`);
  if (slot.load) {
    const grams = Math.round(slot.load.kg * 1000);
    const pieces = place.kit.reduce((sum, item) => {
      if (item.kind === slot.load!.implement && 'grams' in item && item.grams === grams) return sum + ('count' in item ? item.count : 1);
      if (
        item.kind === 'adjustable' &&
        slot.load!.implement === 'dumbbell' &&
        grams >= item.fromGrams &&
        grams <= item.toGrams &&
        (grams - item.fromGrams) % item.stepGrams === 0
      )
        return sum + item.count;
      if (item.kind === 'backpack' && slot.load!.implement === 'backpack' && grams <= item.toGrams && grams % 1000 === 0) return sum + 1;
      if (item.kind === 'barbell' && slot.load!.implement === 'barbell') return sum + (canMake(item.barGrams + item.collarGrams, item.plates, grams) ? 1 : 0);
      if (item.kind === 'band' && slot.load!.implement === 'band') return sum + 1;
      if (item.kind === 'barbell' && slot.load!.implement === 'plate')
        return sum + item.plates.filter((plate) => plate.grams === grams).reduce((total, plate) => total + plate.pieces, 0);
      return sum;
    }, 0);
    if (pieces < slot.load.count) found.push(`${slot.load.count} × ${slot.load.kg} kg ${slot.load.implement} is not owned`);
  }
  return found;
}

const pulls = /pull-up|chin-up/;
const notPulls = /pull-up-hold|jumping-pull-up-hold/;

/** What a newer athlete's version may not come to as a whole: a vest, or much pulling on the bar where the rounds of a part can be counted on one's fingers. */
export function brokenForNewer({ workout, version, run }: Pick<Adapted, 'workout' | 'version' | 'run'>, { level }: Athlete): string[] {
  const most = level === 'new' ? 30 : level === 'newer' ? 60 : null;
  if (most === null) return [];
  return version.parts.flatMap((part, at) => {
    const found = workout.parts[at]!.vest ? ['a vest'] : [];
    const plain = part.slots.every((slot) => slot.window === null && slot.station === null && slot.growth === null && slot.block === part.slots[0]!.block);
    if (!plain || (part.kind !== 'forTime' && part.kind !== 'amrap')) return found;
    const rounds = part.kind === 'amrap' ? run.parts[at]!.score : (part.rounds ?? 1);
    const reps = part.slots
      .filter((slot) => pulls.test(slot.movement) && !notPulls.test(slot.movement) && slot.unit === 'reps')
      .reduce((sum, slot) => sum + (slot.reps.length > 1 ? slot.reps.reduce((all, each) => all + each, 0) : (slot.reps[0] ?? 0) * rounds), 0);
    const whole = reps * (part.sets ?? 1);
    return whole > most + 1e-9 ? [...found, `${whole.toFixed(1)} pull-ups for a ${level} athlete`] : found;
  });
}

function canMake(bar: number, plates: readonly { grams: number; pieces: number }[], total: number): boolean {
  const side = (total - bar) / 2;
  if (side < 0) return false;
  const reach = (at: number, left: number): boolean => {
    if (left === 0) return true;
    const plate = plates[at];
    if (!plate || left < 0) return false;
    for (let used = 0; used <= Math.floor(plate.pieces / 2); used++) if (reach(at + 1, left - used * plate.grams)) return true;
    return false;
  };
  return reach(0, side);
}
