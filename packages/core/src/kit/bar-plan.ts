/** What to hang on one's bar for a version, load after load, in a sentence a load. */
import { movementOf } from '../movements/catalogue';
import { formatMass, type MassUnit } from '../units/mass';
import { slotsOfPart } from '../workout/walk';
import type { Category, Workout } from '../workout/workout';
import type { Place } from './kit';
import { planPlateChanges } from './plate-changes';

/** @returns no line when no bar is used, or this bar cannot make the loads */
export function barPlan(workout: Pick<Workout, 'parts'>, place: Place, category: Category, units: MassUnit): string[] {
  const bar = place.kit.find((item) => item.kind === 'barbell');
  if (bar?.kind !== 'barbell') return [];
  const wanted = workout.parts
    .flatMap((part) => slotsOfPart(part))
    .flatMap((slot) =>
      slot.load?.kind === 'mass' && movementOf(slot.movement).load?.implements[0] === 'barbell' ? [Math.round(slot.load[category] * 1000)] : [],
    );
  const totals = wanted.filter((grams, index) => grams !== wanted[index - 1]);
  const steps = planPlateChanges(
    bar.barGrams + bar.collarGrams,
    bar.plates.map(({ grams, pieces }) => ({ grams, pairs: Math.floor(pieces / 2) })),
    totals,
  );
  if (!steps) return [];
  const kg = (grams: number): string => formatMass(grams / 1000, units);
  const plates = (list: readonly number[]): string => list.map(kg).join(' + ');
  return steps.map(({ totalGrams, sideGrams, off, on, seconds }, index) =>
    index === 0
      ? `Bar: ${kg(totalGrams)}${sideGrams.length > 0 ? `, ${plates(sideGrams)} a side` : ', empty'}`
      : `Bar to ${kg(totalGrams)}: ${[off.length > 0 ? `${plates(off)} off` : '', on.length > 0 ? `${plates(on)} on` : ''].filter((each) => each !== '').join(', ')} a side, about ${seconds} s`,
  );
}
