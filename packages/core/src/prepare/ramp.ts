/** Sets up to the loads of a version, with what is owned: the empty bar, about 60 %, the load, each with its plates a side; a lighter pair before the pair (common practice). */
import type { Athlete } from '../athlete/athlete';
import type { Place } from '../kit/kit';
import { feasibleLoads, type FeasibleLoad } from '../kit/loads';
import { movementOf } from '../movements/catalogue';
import { plainName } from '../notation/format-workout';
import { formatMass, type MassUnit } from '../units/mass';
import type { Slot } from '../workout/workout';

/** kg; a lighter bar is warmed up with as it is */
const lightBarKg = 25;
/** share of the load on the way to it, and between which shares of it what is owned will do */
const halfway = 0.6;
const stepping = { least: 0.4, most: 0.85 } as const;

/** g that plates in pounds are off the figure they add up to */
const nearGrams = 5;

/** What a slot's load is made with; undefined where the kit does not say. */
function madeWith(slot: Slot, kg: number, loads: readonly FeasibleLoad[]): FeasibleLoad | undefined {
  const implementsOf = movementOf(slot.movement).load?.implements ?? [];
  const count = slot.load?.kind === 'mass' ? slot.load.count : 1;
  const same = loads.filter((load) => Math.abs(load.grams - kg * 1000) <= nearGrams && load.count === count);
  return implementsOf.flatMap((implement) => same.filter((load) => load.implement === implement))[0];
}
/** What is owned of the same kind, nearest to a share of the load. */
function stepTo(full: FeasibleLoad, loads: readonly FeasibleLoad[]): FeasibleLoad | undefined {
  const between = loads.filter(
    ({ implement, count, grams }) =>
      implement === full.implement && count === full.count && grams >= stepping.least * full.grams && grams <= stepping.most * full.grams,
  );
  const away = ({ grams }: FeasibleLoad): number => Math.abs(grams - halfway * full.grams);
  return between.reduce<FeasibleLoad | undefined>((nearest, load) => (!nearest || away(load) < away(nearest) ? load : nearest), undefined);
}

/** `60 kg (20 a side)`, `2 × 15 kg` */
function loadWords({ count, grams, platesPerSideGrams }: FeasibleLoad, units: MassUnit): string {
  const mass = `${count === 2 ? '2 × ' : ''}${formatMass(grams / 1000, units)}`;
  const plates = (platesPerSideGrams ?? []).map((plate) => formatMass(plate / 1000, units).replace(/ .*/, ''));
  return plates.length === 0 ? mass : `${mass} (${plates.join(' + ')} a side)`;
}

function rampOf(slot: Slot, { category, units }: Athlete, loads: readonly FeasibleLoad[]): string[] {
  if (slot.load?.kind !== 'mass') return [];
  const kg = slot.load[category];
  const full = madeWith(slot, kg, loads);
  const step = full && stepTo(full, loads);
  const last = `3 at ${full ? loadWords(full, units) : `${slot.load.count === 2 ? '2 × ' : ''}${formatMass(kg, units)}`}`;
  const isBar = movementOf(slot.movement).load?.implements[0] === 'barbell' && kg > lightBarKg && (full === undefined || full.implement === 'barbell');
  const half = step ? loadWords(step, units) : `about ${formatMass(Math.round((kg * halfway) / 2.5) * 2.5, units)}`;
  if (isBar) return [`${plainName(slot)}: 5 with the empty bar, ${step || !full ? `5 at ${half}, ` : ''}${last}`];
  if (step) return [`${plainName(slot)}: 5 at ${half}, ${last}`];
  return [`${plainName(slot)}: 5 ${full ? 'without load' : 'without load or with something lighter'}, then ${last}`];
}

/** Of each loaded movement once, in the order they come. */
export function rampsOf(slots: readonly Slot[], athlete: Athlete, { kit }: Place): string[] {
  const loads = feasibleLoads(kit);
  const loaded = slots.filter((slot) => slot.load?.kind === 'mass');
  return loaded
    .filter((slot, index) => loaded.findIndex((other) => other.movement === slot.movement) === index)
    .flatMap((slot) => rampOf(slot, athlete, loads));
}
