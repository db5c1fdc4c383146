/** Reads the sentence beside a line of a version and compares it with the version's own data: counts, rungs, loads, what was swapped. Shares no code with what writes the sentence. */
import type { Adapted, VersionSlot, Workout } from '../src/index';
import { formatWorkout, parseWorkout, summarize } from '../src/index';

/** kg that a figure may differ by when it is told in tenths */
const rounding = 0.26;

function untrueOf(slot: VersionSlot): string[] {
  const { reason, because, original, reps, load, swapped } = slot;
  const said = `${reason} ${because ?? ''}`;
  // what a percentage comes to is told in whole kilograms
  const isShare = original?.loadKg === null && / for [\d.]+ kg|nearest to [\d.]+ kg/.test(reason);
  const masses = [load?.kg, original?.loadKg].filter((kg): kg is number => kg !== null && kg !== undefined);
  const lists = [reps, original?.reps ?? []].map((list) => list.join('-'));
  const first = /: (\d+)(?: (?:m|s|cal))? [a-z]/.exec(reason)?.[1];
  const pair = /(2 × )?[\d.]+ kg for (2 × )?[\d.]+ kg/.exec(reason);
  const isLighter = load && original?.loadKg ? load.kg < original.loadKg : true;
  const wrong: [boolean, string][] = [
    [[...said.matchAll(/([\d.]+) kg/g)].some(([, kg]) => !isShare && !masses.some((mass) => Math.abs(mass - Number(kg)) < rounding)), 'a load of nobody'],
    [isShare && /\d\.\d+ kg(?:\.|:)/.test(reason.replace(/^.*? (?:for|to) /, '')), 'tenths of a share'],
    [[...reason.matchAll(/\d+(?:-\d+)+/g)].some(([list]) => !lists.includes(list)), 'rungs of nobody'],
    [swapped && first !== undefined && Number(first) !== reps[0], 'another count'],
    [/same count/.test(reason) && original !== null && original.reps !== null && String(original.reps) !== String(reps), 'the same count, and it is not'],
    [pair !== null && pair[1] !== pair[2], 'a pair beside one'],
    [/lighter, so/.test(reason) && !isLighter, 'lighter, and it is not'],
    [/^As written/.test(reason) && swapped, 'as written, and it is another'],
  ];
  return wrong.filter(([is]) => is).map(([, what]) => `${what}: ${reason} (${reps.join('-')} ${slot.movement} ${load?.text ?? ''})`);
}

/** All of a version that is untrue of it: its text does not read back to itself, a round was added, or a sentence says what the data does not. */
export function untrueIn({ version, workout }: Adapted, written: Workout): string[] {
  const again = formatWorkout(parseWorkout(version.text).workout);
  const before = summarize(written).parts;
  const added = summarize(workout).parts.filter(({ rounds }, at) => (rounds ?? 0) > (before[at]?.rounds ?? Infinity));
  return [
    ...(again === version.text ? [] : [`reads back as ${again}`]),
    ...added.map(({ rounds }) => `${rounds} rounds`),
    ...version.parts.flatMap(({ slots }) => slots.flatMap(untrueOf)),
  ];
}
