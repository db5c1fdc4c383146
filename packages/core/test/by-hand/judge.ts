/** What a version has that its hand-written pair would not: each broken expectation in a few words. */
import { adapt, parseWorkout, readAthlete, type Adapted, type VersionSlot } from '../../src/index';
import type { Pair, SlotExpectation } from './pair';

const total = (slots: readonly VersionSlot[]): number =>
  slots.reduce((sum, slot) => sum + slot.reps.reduce((all, reps) => all + reps, 0) * (slot.perSide ? 2 : 1), 0);
const counted = (slots: readonly VersionSlot[]): string =>
  slots.map((slot) => `${slot.reps.join('-')}${slot.perSide ? ' a side' : ''} ${slot.movement}`).join(' and ');

/** Slots of the version by the written slot they stand for, in order. */
function standIns({ version }: Adapted): VersionSlot[][] {
  return version.parts.flatMap((part) => {
    const written = new Map<number, VersionSlot[]>();
    for (const slot of part.slots) written.set(slot.written, [...(written.get(slot.written) ?? []), slot]);
    return [...written.values()];
  });
}

function ofSlot({ of, nth = 0, is, reps, kg, implement }: SlotExpectation, all: readonly VersionSlot[][]): string[] {
  const found = all.filter(([slot]) => slot!.original?.movement === of)[nth];
  if (!found) return [`${of}: no slot`];
  const wrong = (what: boolean, say: string): string[] => (what ? [`${of}: ${counted(found)}${say}`] : []);
  const original = found[0]!.original!.reps ?? [];
  const half = found[0]!.perSide ? original.map((each) => each / 2) : original;
  const written =
    found.length === 1 && (JSON.stringify(found[0]!.reps) === JSON.stringify(original) || JSON.stringify(found[0]!.reps) === JSON.stringify(half));
  const loads = found.flatMap(({ load }) => (load ? [load] : []));
  return [
    ...wrong(is !== undefined && !found.every(({ movement }) => is.test(movement)), ''),
    ...wrong(reps === 'written' && !written, ', not as written'),
    ...wrong(Array.isArray(reps) && typeof reps[0] === 'number' && (total(found) < reps[0] || total(found) > (reps[1] as number)), `, not ${String(reps)}`),
    ...wrong(
      Array.isArray(reps) &&
        Array.isArray(reps[0]) &&
        !found.every((slot) => (reps as readonly (readonly number[])[]).some((rungs) => rungs.join() === slot.reps.join())),
      `, not ${String(reps)}`,
    ),
    ...wrong(kg !== undefined && loads.some((load) => load.kg < kg[0] - 0.05 || load.kg > kg[1] + 0.05), ` at ${loads.map((load) => load.kg).join()} kg`),
    ...wrong(
      implement !== undefined && !(loads.length > 0 && loads.every((load) => implement.test(load.implement))),
      ` with ${loads.map((load) => load.implement).join()}`,
    ),
  ];
}

/** @returns what does not hold; empty where a coach would send it */
export function broken(pair: Pair): { readonly adapted: Adapted; readonly wrong: readonly string[] } {
  const { athlete } = readAthlete(pair.athlete, '2026-11-27');
  const adapted = adapt(parseWorkout(pair.workout).workout, athlete, { runs: 1 });
  const all = standIns(adapted);
  const slots = all.flat();
  const seconds = adapted.version.parts.find((part) => part.seconds !== null)?.seconds ?? 0;
  const touched = slots.filter((slot) => slot.movement !== slot.original?.movement || JSON.stringify(slot.reps) !== JSON.stringify(slot.original.reps));
  const whole = adapted.version.parts.flatMap((part) => part.edits).filter(({ kind }) => kind !== 'load' && kind !== 'swap' && kind !== 'count');
  return {
    adapted,
    wrong: [
      ...(pair.untouched && touched.length + whole.length > 0 ? [`touched: ${[counted(touched), ...whole.map(({ text }) => text)].join(', ')}`] : []),
      ...(pair.slots ?? []).flatMap((each) => ofSlot(each, all)),
      ...slots.flatMap(({ movement }) => (pair.never?.test(movement) ? [`never ${movement}`] : [])),
      ...(pair.minutes && (seconds < pair.minutes[0] * 60 || seconds > pair.minutes[1] * 60) ? [`${seconds / 60} minutes`] : []),
      ...(pair.says && !pair.says.test(adapted.version.text) ? [`does not say ${pair.says.source}`] : []),
      ...(pair.neverSays?.test(adapted.version.text) ? [`says ${pair.neverSays.source}`] : []),
      ...adapted.warnings.filter(({ code }) => code === 'sense').map(({ message }) => message),
    ],
  };
}
