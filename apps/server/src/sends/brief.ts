/** The brief an athlete gets: made once when it is sent, kept as it was sent. */
import {
  adapt,
  contextFor,
  capacityOf,
  clockGuide,
  barePlace,
  formatClock,
  formatLoad,
  formatMass,
  formatSlot,
  noteOf,
  otherOrders,
  pacingSentence,
  readWorkoutText,
  planClock,
  implementUses,
  barPlan,
  pageOf,
  planPacing,
  prepare,
  restAdvice,
  scoreFields,
  slotsOfPart,
  forTheAthlete,
  trimNumber,
  fallbackText,
  type Adapted,
  type Athlete,
  type Capacity,
  type ClockGuide,
  type HouseRules,
  type ImplementUses,
  type InHand,
  type Lock,
  type MassUnit,
  type Pacing,
  type Preparation,
  type Slot,
  type FeasibleLoad,
  type VersionSlot,
  type Window,
  type Workout,
  unansweredSentence,
} from '@gambito/core';
import { rounded, type Brief } from '@gambito/contract';
import { Problem } from '../platform/errors';
import { madeForNow } from './still-safe';

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

/** What of the coach's a version is made with. */
export interface BriefTerms {
  readonly rules: HouseRules;
  readonly locks?: readonly Lock[];
  /** the room's: what a load without a unit is taken in */
  readonly units?: MassUnit;
  /** lines of the coach's own warm-up */
  readonly ritual?: string | null;
}

export function makeBrief(text: string, athlete: Athlete, { rules, locks = [], units = 'kg', ritual = null }: BriefTerms): MadeBrief {
  const { workout, diagnostics, readAs } = readWorkoutText(text, { units });
  if (readAs !== null) throw new Problem('unreadable_workout', 'It reads like a message. Take what Gambito reads it as, on Write; then it can be sent.');
  const error = diagnostics.find((each) => each.level === 'error');
  if (error || workout.parts.length === 0) throw new Problem('unreadable_workout', error ? `Line ${error.line}: ${error.message}` : 'It has no parts yet.');
  if (athlete.unanswered.length > 0) throw new Problem('unreadable_athlete', unansweredSentence(athlete));
  const place = athlete.places[0] ?? barePlace;
  const adapted = adapt(workout, athlete, { place, rules, locks, units });
  return { versionText: adapted.version.text, brief: rounded({ ...briefOf(workout, adapted, athlete, { rules, locks, ritual }), note: noteOf(locks) }) };
}

function briefOf(original: Workout, adapted: Adapted, athlete: Athlete, { rules, locks, ritual }: Required<Omit<BriefTerms, 'units'>>): Omit<Brief, 'note'> {
  const place = athlete.places[0] ?? barePlace;
  const pacing = planPacing(adapted.workout, capacityOf(athlete), place, rules.breaks);
  const guide = clockGuide(adapted.workout, { pacing, place, category: athlete.category, units: athlete.units });
  const { window } = adapted.intent;
  const { unit, low, median, high } = adapted.predicted;
  return {
    title: original.title ?? 'Workout',
    athlete: athlete.name,
    place: place.name,
    category: athlete.category,
    units: athlete.units,
    parts: partsOf(original, adapted, athlete, contextFor(athlete, place, rules).loads),
    predicted: { unit, low, median, high },
    window: window ? windowText(window) : null,
    ...besideOf(prepare(adapted.workout, athlete, rules, { place, workoutSeconds: adapted.run.totalSeconds, ritual, locks })),
    pacing: [...pacingLines(pacing, athlete.units), ...restAdvice(adapted.workout), ...barPlan(adapted.workout, place, athlete.category, athlete.units)],
    warnings: forTheAthlete(adapted.warnings).map(({ message }) => message),
    madeFor: madeForNow(adapted.version.text, athlete, place, locks),
    clock: planClock(adapted.workout, guide),
    wholeSeconds: adapted.run.totalSeconds,
    ...sharedOf(adapted, capacityOf(athlete), guide),
    fields: scoreFields(adapted.workout),
  };
}

/** Each part as it stands on the page, with what its version expects. */
function partsOf(original: Workout, adapted: Adapted, athlete: Athlete, loads: readonly FeasibleLoad[]): Brief['parts'] {
  return adapted.workout.parts.map((part, index) => {
    const told = adapted.version.parts[index];
    const written = original.parts[told?.from[0] ?? index];
    const page = pageOf(part);
    return {
      ...page,
      rows: page.rows.map((row) => ({ ...row })),
      grid: page.grid.map(({ label, boxes }) => ({ label, boxes: [...boxes] })),
      notes: [...page.notes],
      window: part.window ? windowText(part.window) : null,
      predicted: expectationOf(adapted.predicted.perPart.filter((row) => row.part === index)),
      lines: slotsOfPart(part).map((slot, at) =>
        lineOf(slot, told?.slots[at], written ? slotsOfPart(written)[told?.slots[at]?.written ?? at] : undefined, loads, athlete),
      ),
    };
  });
}

/** What stands before, beside and after the work. */
const besideOf = ({
  warmUp,
  warmUpClock,
  warmUpSeconds,
  coolDown,
  standards,
  cautions,
}: Preparation): Pick<Brief, 'warmUp' | 'warmUpClock' | 'warmUpSeconds' | 'coolDown' | 'standards' | 'cautions'> => ({
  warmUp: [...warmUp],
  warmUpClock,
  warmUpSeconds,
  coolDown: [...coolDown],
  standards: standards.map(({ name, points, noReps, link }) => ({ movement: name, points: [...points], noReps: [...noReps], link })),
  cautions: [...cautions],
});

const pacingLines = ({ slots, limiting, attempts }: Pacing, units: MassUnit): string[] => [
  ...slots.map((slot, index) => `${pacingSentence(slot)}${limiting === index ? ' (this one decides the score)' : ''}${slot.planB ? `; ${slot.planB}` : ''}`),
  ...attempts.map(({ list }) => `attempts: ${list.map(({ atSeconds, kg }) => `${formatClock(atSeconds)} ${formatMass(kg, units)}`).join(', ')}`),
];

/** When each implement is in use, in the order that is written and begun with each other movement. */
function sharedOf({ workout, version, run }: Adapted, capacity: Capacity, guide: ClockGuide): Pick<Brief, 'uses' | 'orders'> {
  const inHand: InHand = (part, slot) => version.parts[part]?.slots[slot]?.load ?? undefined;
  return {
    uses: usesOf(implementUses(workout, run, inHand)),
    orders: otherOrders(workout, capacity, inHand).map(({ begin, wholeSeconds, uses, parts }) => ({
      begin,
      wholeSeconds,
      uses: usesOf(uses),
      clock: planClock({ parts }, guide),
    })),
  };
}

const usesOf = (all: readonly ImplementUses[]): Brief['uses'] =>
  all.map(({ implement, uses, kg }) => ({ implement, kg, spans: uses.map(({ startSeconds, endSeconds }): [number, number] => [startSeconds, endSeconds]) }));

/** What a part expects: its own row, or the span of its sets. */
function expectationOf(rows: Adapted['predicted']['perPart']): Brief['parts'][number]['predicted'] {
  const [first] = rows;
  if (!first) return null;
  const { unit, low, median, high } = rows.find((row) => row.set === null) ?? first;
  const sets = rows.filter((row) => row.set !== null);
  if (sets.length === 0 || sets.length < rows.length) return { unit, low, median, high, each: false };
  const mean = sets.reduce((sum, row) => sum + row.median, 0) / sets.length;
  return { unit, low: Math.min(...sets.map((row) => row.low)), median: mean, high: Math.max(...sets.map((row) => row.high)), each: true };
}

/** `8–11 rounds`, `3:00–4:30 a set`, `under 8:00`. */
function windowText(window: Window): string {
  const bound = (value: number): string => (window.unit === 'seconds' ? formatClock(value) : trimNumber(value, 1));
  const unit = window.unit === 'seconds' ? '' : ` ${window.unit}`;
  const per = window.per === 'set' || window.per === 'round' ? ` a ${window.per}` : '';
  if (window.low === null) return `under ${bound(window.high ?? 0)}${unit}${per}`;
  return `${bound(window.low)}${window.high === null ? '+' : `–${bound(window.high)}`}${unit}${per}`;
}

/** One movement of the version: the line, its load and plates, and what it stands for. */
function lineOf(
  slot: Slot,
  told: VersionSlot | undefined,
  original: Slot | undefined,
  loads: readonly FeasibleLoad[],
  athlete: Athlete,
): Brief['parts'][number]['lines'][number] {
  const load =
    told?.load &&
    loads.find((each) => each.implement === told.load!.implement && each.count === told.load!.count && Math.abs(each.grams / 1000 - told.load!.kg) < 0.001);
  const fallback = told?.fallback;
  return {
    text: formatSlot({ ...slot, load: null }),
    load: loadText(slot, athlete),
    plates: load?.platesPerSideGrams?.length ? `${load.platesPerSideGrams.map((grams) => formatMass(grams / 1000, athlete.units)).join(' + ')} a side` : null,
    reason: told?.swapped ? told.because : null,
    original: told?.swapped && original ? formatSlot({ ...original, alternatives: [] }) : null,
    fallback: fallback ? fallbackText(fallback) : null,
  };
}
