/** The brief an athlete gets: made once when it is sent, kept as it was sent. */
import {
  adapt,
  contextFor,
  capacityOf,
  barePlace,
  formatClock,
  formatLoad,
  formatMass,
  formatSlot,
  movementOf,
  pacingSentence,
  parseWorkout,
  planClock,
  barPlan,
  planPacing,
  prepare,
  slotsOfPart,
  trimNumber,
  wordsOf,
  type Adapted,
  type Athlete,
  type HouseRules,
  type Lock,
  type Slot,
  type Workout,
} from '@gambito/core';
import { rounded, type Brief } from '@gambito/contract';
import { Problem } from '../platform/errors';

export interface MadeBrief {
  readonly brief: Brief;
  readonly versionText: string;
}

/** The text of a load in the athlete's own units, both where the coach wrote the other. */
function loadText(slot: Slot, athlete: Athlete): string | null {
  if (slot.load?.kind !== 'mass') return slot.load ? formatLoad(slot.load) : null;
  const kg = slot.load[athlete.category];
  const count = slot.load.count === 2 ? '2 × ' : '';
  const other = athlete.units === 'kg' ? '' : ` (${trimNumber(kg)} kg)`;
  return `${count}${formatMass(kg, athlete.units)}${other}`;
}

export function makeBrief(text: string, athlete: Athlete, rules: HouseRules, locks: readonly Lock[]): MadeBrief {
  const { workout, diagnostics } = parseWorkout(text);
  const error = diagnostics.find((each) => each.level === 'error');
  if (error || workout.parts.length === 0) throw new Problem('unreadable_workout', error ? `Line ${error.line}: ${error.message}` : 'It has no parts yet.');
  const place = athlete.places[0] ?? barePlace;
  const adapted = adapt(workout, athlete, { place, rules, locks });
  return { versionText: adapted.version.text, brief: rounded(briefOf(workout, adapted, athlete, rules)) };
}

function briefOf(original: Workout, adapted: Adapted, athlete: Athlete, rules: HouseRules): Brief {
  const place = athlete.places[0] ?? barePlace;
  const { loads } = contextFor(athlete, place, rules);
  const preparation = prepare(adapted.workout, athlete, rules);
  const pacing = planPacing(adapted.workout, capacityOf(athlete), place, rules.breaks);
  const clock = planClock(adapted.workout);
  const scored = adapted.predicted.perPart[0]?.part ?? 0;
  const parts = adapted.workout.parts.map((part, index) => {
    const written = original.parts[adapted.version.parts[index]?.from[0] ?? index];
    const originals = written ? slotsOfPart(written) : [];
    const header = clock.cues.find((cue) => cue.part === index);
    return {
      header: headerOf(part.kind, header?.text ?? '', adapted.version.parts[index]),
      lines: slotsOfPart(part).map((slot, at) => {
        const told = adapted.version.parts[index]?.slots[at];
        const load = told?.load
          ? loads.find(
              (each) => each.implement === told.load!.implement && each.count === told.load!.count && Math.abs(each.grams / 1000 - told.load!.kg) < 0.001,
            )
          : undefined;
        const fallback = told?.fallback;
        return {
          text: formatSlot({ ...slot, load: null }),
          load: loadText(slot, athlete),
          plates: load?.platesPerSideGrams?.length
            ? `${load.platesPerSideGrams.map((grams) => formatMass(grams / 1000, athlete.units)).join(' + ')} a side`
            : null,
          mark: told?.swapped ? told.mark : null,
          reason: told?.swapped ? told.reason : null,
          original: told?.swapped && originals[at] ? formatSlot({ ...originals[at], alternatives: [] }) : null,
          fallback: fallback ? `${fallback.when}: ${fallback.reps.join('-')} ${wordsOf(fallback.movement)}` : null,
        };
      }),
    };
  });
  const window = adapted.intent.window;
  const bound = (value: number): string => (window!.unit === 'seconds' ? formatClock(value) : trimNumber(value, 1));
  return {
    title: original.title ?? 'Workout',
    athlete: athlete.name,
    place: place.name,
    parts,
    predicted: { unit: adapted.predicted.unit, low: adapted.predicted.low, median: adapted.predicted.median, high: adapted.predicted.high },
    window: window
      ? `${window.low === null ? 'under ' : bound(window.low)}${window.low !== null && window.high !== null ? '–' : ''}${window.high === null ? '+' : bound(window.high)}${window.unit === 'seconds' ? '' : ` ${window.unit}`}${window.per === 'set' ? ' a set' : ''}`
      : null,
    warmUp: [...preparation.warmUp],
    coolDown: [...preparation.coolDown],
    pacing: [
      ...pacing.slots.map(
        (each, index) => `${pacingSentence(each)}${pacing.limiting === index ? ' (this one decides the score)' : ''}${each.planB ? `; ${each.planB}` : ''}`,
      ),
      ...pacing.attempts.map(
        ({ list }) => `attempts: ${list.map(({ atSeconds, kg }) => `${formatClock(atSeconds)} ${formatMass(kg, athlete.units)}`).join(', ')}`,
      ),
      ...barPlan(adapted.workout, place, athlete.category, athlete.units),
    ],
    standards: preparation.standards.map((each) => ({ movement: movementOf(each.movement).name, points: [...each.points], noReps: [...each.noReps] })),
    cautions: [...preparation.cautions],
    warnings: adapted.warnings.map((each) => each.message),
    clock: { cues: clock.cues, totalSeconds: clock.totalSeconds },
    scoreKind: adapted.workout.parts[scored]?.score ?? 'done',
  };
}

function headerOf(kind: string, text: string, part: Adapted['version']['parts'][number] | undefined): string {
  if (!part) return text;
  if (kind === 'every') return `Every ${formatClock(part.setSeconds ?? 60)}, ${part.sets ?? 1} times`;
  if (kind === 'forTime' && (part.rounds ?? 1) > 1 && part.sets === 1) return `${text} — ${part.rounds} rounds or rungs`;
  if (kind === 'forTime' && (part.sets ?? 1) > 1) return `${part.sets} sets for time`;
  if (kind === 'intervals') return `Intervals, ${formatClock(part.seconds ?? 0)} in all`;
  if (kind === 'windows') return `${part.sets} windows of ${formatClock(part.setSeconds ?? 0)}`;
  if (kind === 'strength') return `Strength, ${part.sets} sets`;
  if (kind === 'amrap' && (part.sets ?? 1) > 1) return `AMRAP ${formatClock(part.setSeconds ?? 0)}, ${part.sets} times`;
  return text;
}
