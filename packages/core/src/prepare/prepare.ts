/**
 * Before and after: a warm-up that rehearses the version and ramps to its loads in 5–10 minutes, movement standards, cautions, a cool-down.
 * The shapes are common practice (three short rounds; or the workout in miniature), by house rule.
 */
import { violates } from '../limits/feasible';
import type { Athlete } from '../athlete/athlete';
import { movementOf, movements } from '../movements/catalogue';
import { muscles, type Muscle } from '../movements/movement';
import { plainName, wordsOf } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { formatMass } from '../units/mass';
import { slotsOfWorkout } from '../workout/walk';
import type { Slot, Workout } from '../workout/workout';

/** What counts as a rep of one movement. */
export interface Standards {
  readonly movement: string;
  /** the coach's own, where the movement stands for one */
  readonly name: string;
  readonly points: readonly string[];
  readonly noReps: readonly string[];
  /** a demonstration of the coach's; null without one */
  readonly link: string | null;
}
export interface Preparation {
  readonly warmUp: readonly string[];
  readonly coolDown: readonly string[];
  readonly standards: readonly Standards[];
  readonly cautions: readonly string[];
}

/** The usual cautions, on every page; Gambito clears nobody. */
export const usualCautions: readonly string[] = [
  'Stop at once with chest pain or pressure, faintness, sudden breathlessness or a sharp pain, and get medical help.',
  'New pain, a heart, eye or blood-pressure condition, pregnancy or a recent operation: ask a licensed professional before you train. Gambito clears nobody.',
];
const improvised = 'Improvised kit: test table, chair, door bar and bag with a light pull before you trust them.';

const easyOf = (id: string, athlete: Athlete): string =>
  movementOf(id).easier.find((each) => athlete.avoid.every((tag) => !violates(movementOf(each), tag, null)) && movementOf(each).needs.kind === 'none') ?? id;

/** @param workout a version: its slots carry the loads the ramp leads to */
export function prepare(workout: Pick<Workout, 'parts'>, athlete: Athlete, rules: HouseRules): Preparation {
  const slots = slotsOfWorkout(workout).map((each) => each.value);
  const ids = [...new Set(slots.map((slot) => slot.movement))];
  const main = ids[0];
  const impact = athlete.avoid.includes('jumping') || athlete.avoid.includes('high_impact');
  const pulse = ids.includes('run') ? 'easy jog' : ids.includes('row') ? 'easy row' : impact ? 'march on the spot' : 'jog on the spot';
  const reach = athlete.avoid.includes('wrists') || athlete.avoid.includes('inverted') ? 'lunge with reach, hands high' : 'walk-out to a plank and back';
  const ramp = slots
    .filter((slot) => slot.load?.kind === 'mass')
    .filter((slot, index, all) => all.findIndex((each) => each.movement === slot.movement) === index)
    .slice(0, 2)
    .map((slot) => {
      const kg = slot.load?.kind === 'mass' ? slot.load[athlete.category] : 0;
      const full = `3 at ${slot.load?.kind === 'mass' && slot.load.count === 2 ? '2 × ' : ''}${formatMass(kg, athlete.units)}`;
      // fixed implements have no half load; a bar has
      return movementOf(slot.movement).load?.implements[0] === 'barbell' && kg > 25
        ? `${plainName(slot)}: 5 with the empty bar, 5 at about ${formatMass(Math.round((kg * 0.6) / 2.5) * 2.5, athlete.units)}, ${full}`
        : `${plainName(slot)}: 5 without load or with something lighter, then ${full}`;
    });
  const easyBout = (id: string): string => {
    const easy = movementOf(easyOf(id, athlete));
    return easy.unit === 'reps' && easy.limit.by !== 'ease' ? `5 ${wordsOf(easy.id)}` : `20 s easy ${wordsOf(easy.id)}`;
  };
  const rehearse = ids.slice(0, 3).map(easyBout);
  const warmUp =
    rules.warmUp === 'miniature'
      ? [`One round at half the reps: ${[...new Set(slots.map(plainName))].join(', ')}`, ...ramp, 'Then 5:00 off']
      : rules.warmUp === 'pump'
        ? [`2:00 ${pulse}`, ...rehearse.map((line) => `2 easy sets of ${line}`), ...ramp, 'Then 8–10 min off']
        : rules.warmUp === 'own'
          ? ['Own ritual', ...rehearse.map((line) => `${line} for the movements of this version`), ...ramp]
          : [`3 rounds: 30 s ${pulse}, 3 ${reach}, ${main ? easyBout(main) : '5 air squats'}`, ...rehearse.slice(1), ...ramp];
  const worked = new Map<Muscle, number>();
  for (const id of ids) for (const muscle of muscles) worked.set(muscle, Math.max(worked.get(muscle) ?? 0, movementOf(id).muscles[muscle] ?? 0));
  const used = [...worked.entries()]
    .filter(([, weight]) => weight > 0.5)
    .sort((a, b) => b[1] - a[1])
    .map(([muscle]) => muscle);
  const stretches = movements.filter(
    (each) =>
      each.prepareOnly &&
      each.id.includes('stretch') &&
      used.some((muscle) => (each.muscles[muscle] ?? 0) >= 0.5) &&
      athlete.avoid.every((tag) => !violates(each, tag, null)),
  );
  const cautions = [
    ...new Set([
      ...ids.flatMap((id) => movementOf(id).cautions),
      ...(ids.some((id) => /table|chair|door|couch|box|bag|pack/.test(movementOf(id).needsText)) ? [improvised] : []),
      ...usualCautions,
    ]),
  ];
  return {
    warmUp,
    coolDown: [
      '5:00 easy walk or easy cycling',
      ...stretches.slice(0, 3).map((each) => `1:00 ${each.side === 'perSide' ? 'each side ' : ''}${each.name.toLowerCase()}`),
    ],
    standards: standardsOf(slots),
    cautions,
  };
}

/** Each movement once; of the coach's own what the coach says of it, else what its neighbour asks. */
function standardsOf(slots: readonly Slot[]): Standards[] {
  const byName = new Map<string, Standards>();
  for (const { movement, own } of slots) {
    const { name, standards, noReps } = movementOf(movement);
    const known = own === null || own.standard === null ? { points: standards, noReps } : { points: [own.standard], noReps: [] };
    byName.set(own?.name ?? movement, { movement, name: own?.name ?? name, ...known, link: own?.link ?? null });
  }
  return [...byName.values()];
}
