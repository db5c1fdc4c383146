/** Core values → the shapes of the contract. One place, so that the command line and the server cannot differ. */
import {
  describeItem,
  describeLoad,
  feasibleLoads,
  planPacing,
  predictWorkout,
  runWarnings,
  type Adapted,
  type Capacity,
  type KitItem,
  type Movement,
  type Workout,
} from '@gambito/core';
import type { z } from 'zod';
import type { adaptSchema, loadsSchema, movementSchema, predictSchema } from './file-schemas';

/** JSON carries at most six decimals: enough for every unit here, and stable to read. */
export function rounded<T>(value: T): T {
  return JSON.parse(JSON.stringify(value, (_key, each: unknown) => (typeof each === 'number' ? Math.round(each * 1e6) / 1e6 : each))) as T;
}

export function presentAdapted({
  version,
  intent,
  predicted,
  drift,
  insideWindow,
  insideBand,
  comparability,
  warnings,
  assumed,
}: Adapted): z.infer<typeof adaptSchema> {
  return rounded({ version, intent, predicted, drift, insideWindow, insideBand, comparability, warnings, assumed }) as unknown as z.infer<typeof adaptSchema>;
}

/** kinds that are told by their loads */
const loaded = new Set<KitItem['kind']>(['dumbbell', 'kettlebell', 'sandbag', 'can', 'plate', 'adjustable', 'handles', 'barbell', 'backpack', 'vest']);

export function presentLoads(kit: readonly KitItem[]): z.infer<typeof loadsSchema> {
  return {
    loads: feasibleLoads(kit).map((load) => ({
      implement: load.implement,
      count: load.count,
      kg: load.grams / 1000,
      text: describeLoad(load),
      ...(load.platesPerSideGrams ? { platesPerSideKg: load.platesPerSideGrams.map((grams) => grams / 1000) } : {}),
      ...(load.range ? { approximate: true as const, lowKg: load.range.lowGrams / 1000, highKg: load.range.highGrams / 1000 } : {}),
    })),
    also: kit.filter(({ kind }) => !loaded.has(kind)).map((item) => ({ text: describeItem(item) })),
  };
}

export function presentMovement(movement: Movement): z.infer<typeof movementSchema> {
  const { id, name, aliases, patterns, muscles, needsText, unit, side, skill, standards, noReps, cautions, easier, harder, avoid } = movement;
  const { load, floor, overhead, jumps, rise, joulesPerKg, cycleSeconds, limit, prepareOnly } = movement;
  return rounded({
    id,
    name,
    aliases: [...aliases],
    patterns: { ...patterns } as Record<string, number>,
    muscles: { ...muscles } as Record<string, number>,
    needs: needsText,
    unit,
    side,
    skill,
    standards: [...standards],
    noReps: [...noReps],
    cautions: [...cautions],
    easier: [...easier],
    harder: [...harder],
    avoid: [...avoid],
    load: load ? { ...load, implements: [...load.implements] } : null,
    floorM: [floor.lengthM, floor.widthM],
    overhead: overhead !== null,
    jumps,
    rise,
    joulesPerKg,
    cycleSeconds,
    limitedBy:
      limit.by === 'lift'
        ? `${limit.ratio} × ${limit.lift}`
        : limit.by === 'set'
          ? `${limit.ratio} × best ${limit.set}`
          : limit.by === 'engine'
            ? limit.engine
            : 'breathing',
    warmUpOnly: prepareOnly,
  });
}

export function presentPrediction(workout: Workout, capacity: Capacity, seed: number): z.infer<typeof predictSchema> {
  const { run, assumed, ...predicted } = predictWorkout(workout, capacity, { seed });
  const pacing = planPacing(workout, capacity);
  return rounded({
    predicted: predicted as unknown as z.infer<typeof predictSchema>['predicted'],
    pacing: {
      sets: pacing.slots.map(({ part, slot, movement, sets, later, seconds, lostSeconds, wonSeconds }) => ({
        part,
        slot,
        movement,
        first: [...sets],
        later: [...later],
        seconds,
        lostSeconds,
        wonSeconds,
      })),
      breaks: pacing.slots.map(({ part, slot, breakSeconds, planB }) => ({ part, slot, seconds: breakSeconds, planB })),
      limiting: pacing.limiting,
      neverReached: [...pacing.neverReached],
      attempts: pacing.attempts.map(({ part, list }) => ({ part, list: [...list] })),
    },
    warnings: runWarnings(workout.parts, run),
    assumed: [...assumed],
  });
}
