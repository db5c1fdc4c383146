/**
 * A warm-up that rehearses the version and ramps to its loads in 5–10 minutes: its steps, the lines that tell them, and the clock that plays them.
 * The shapes are common practice (three short rounds; the workout in miniature; pump and drills; an own ritual), by house rule.
 */
import type { Athlete } from '../athlete/athlete';
import { bareCue, type ClockPlan, type Cue, type CueTick } from '../clock/plan-clock';
import { violates } from '../limits/feasible';
import { movementOf } from '../movements/catalogue';
import { plainName, wordsOf } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { formatClock } from '../units/duration';
import { formatMass } from '../units/mass';
import type { Slot } from '../workout/workout';

export interface WarmUpStep {
  /** as it stands on the page */
  readonly text: string;
  /** over its sets; empty where the step is one line */
  readonly name: string;
  /** what is ticked off one after the other, each in its lines: rounds, or sets of a ramp; empty: the whole at once */
  readonly sets: readonly (readonly string[])[];
  /** s by the clock; null: the athlete ends it */
  readonly seconds: number | null;
  /** nothing is done in it */
  readonly isRest: boolean;
}
const open = (text: string): WarmUpStep => ({ text, name: '', sets: [], seconds: null, isRest: false });
const inSets = (text: string, name: string, sets: WarmUpStep['sets']): WarmUpStep => ({ ...open(text), name, sets });
const timed = (seconds: number, what: string): WarmUpStep => ({ ...open(`${formatClock(seconds)} ${what}`), seconds });
const off = (seconds: number, length = formatClock(seconds)): WarmUpStep => ({ ...open(`Then ${length} off`), seconds, isRest: true });
const times = (count: number, lines: readonly string[]): WarmUpStep['sets'] => Array.from({ length: count }, () => lines);

/** movements that are ramped up to, and that are rehearsed: more is a workout of its own (round figures) */
const mostRamps = 2;
const mostRehearsed = 3;
/** kg; a lighter bar is warmed up with as it is */
const lightBarKg = 25;
/** share of the load of the version on the way to it (common practice) */
const halfway = 0.6;

/** The easier form of a movement that this athlete may do with nothing. */
const easyOf = (id: string, athlete: Athlete): string =>
  movementOf(id).easier.find((each) => athlete.avoid.every((tag) => !violates(movementOf(each), tag, null)) && movementOf(each).needs.kind === 'none') ?? id;
function easyBout(id: string, athlete: Athlete): string {
  const easy = movementOf(easyOf(id, athlete));
  return easy.unit === 'reps' && easy.limit.by !== 'ease' ? `5 ${wordsOf(easy.id)}` : `20 s easy ${wordsOf(easy.id)}`;
}

/** Sets up to the load of a slot; fixed implements have no half load, a bar has. */
function rampOf(slot: Slot, { category, units }: Athlete): WarmUpStep[] {
  if (slot.load?.kind !== 'mass') return [];
  const kg = slot.load[category];
  const full = `3 at ${slot.load.count === 2 ? '2 × ' : ''}${formatMass(kg, units)}`;
  const isBar = movementOf(slot.movement).load?.implements[0] === 'barbell' && kg > lightBarKg;
  const sets = isBar
    ? ['5 with the empty bar', `5 at about ${formatMass(Math.round((kg * halfway) / 2.5) * 2.5, units)}`, full]
    : ['5 without load or with something lighter', full];
  return [
    inSets(
      `${plainName(slot)}: ${sets.join(isBar ? ', ' : ', then ')}`,
      plainName(slot),
      sets.map((set) => [set]),
    ),
  ];
}
function rampsOf(slots: readonly Slot[], athlete: Athlete): WarmUpStep[] {
  const loaded = slots.filter((slot) => slot.load?.kind === 'mass');
  const once = loaded.filter((slot, index) => loaded.findIndex((each) => each.movement === slot.movement) === index);
  return once.slice(0, mostRamps).flatMap((slot) => rampOf(slot, athlete));
}

/** What raises the pulse: the day's own engine, or on the spot as the athlete may. */
function pulseFor(ids: readonly string[], { avoid }: Athlete): string {
  if (ids.includes('run')) return 'easy jog';
  if (ids.includes('row')) return 'easy row';
  return avoid.includes('jumping') || avoid.includes('high_impact') ? 'march on the spot' : 'jog on the spot';
}
const reachFor = ({ avoid }: Athlete): string =>
  avoid.includes('wrists') || avoid.includes('inverted') ? 'lunge with reach, hands high' : 'walk-out to a plank and back';

/** @param slots of a version, in reading order: their loads are what the ramp leads to */
export function warmUpFor(slots: readonly Slot[], athlete: Athlete, rules: HouseRules): WarmUpStep[] {
  const ids = [...new Set(slots.map((slot) => slot.movement))];
  const pulse = pulseFor(ids, athlete);
  const ramps = rampsOf(slots, athlete);
  const rehearsed = ids.slice(0, mostRehearsed).map((id) => easyBout(id, athlete));
  switch (rules.warmUp) {
    case 'miniature': {
      const names = [...new Set(slots.map(plainName))];
      return [inSets(`One round at half the reps: ${names.join(', ')}`, 'One round at half the reps', [names]), ...ramps, off(300)];
    }
    case 'pump':
      return [timed(120, pulse), ...rehearsed.map((line) => inSets(`2 easy sets of ${line}`, '2 easy sets', times(2, [line]))), ...ramps, off(480, '8–10 min')];
    case 'own':
      return [open('Own ritual'), ...rehearsed.map((line) => open(`${line} for the movements of this version`)), ...ramps];
    default: {
      const round = [`30 s ${pulse}`, `3 ${reachFor(athlete)}`, rehearsed[0] ?? '5 air squats'];
      return [inSets(`3 rounds: ${round.join(', ')}`, '3 rounds', times(3, round)), ...rehearsed.slice(1).map(open), ...ramps];
    }
  }
}

function cueOf({ text, name, sets, seconds, isRest }: WarmUpStep, atSeconds: number): Cue {
  const kind = isRest ? 'rest' : seconds === null ? 'open' : 'work';
  const ticks = sets.length > 1 ? sets.map((lines, at): CueTick => ({ text: `${at + 1} of ${sets.length}`, lines })) : [];
  const lines = isRest ? [] : sets.length > 0 ? [...new Set(sets.flat())] : [text];
  return { ...bareCue, atSeconds, kind, text: isRest ? text : name, lengthSeconds: seconds, lines, ticks };
}

/** The warm-up as the clock plays it: what has a time runs down, the rest the athlete taps away. */
export function warmUpClock(steps: readonly WarmUpStep[]): ClockPlan {
  let at = 0;
  const cues = steps.map((step): Cue => {
    const cue = cueOf(step, at);
    at += step.seconds ?? 0;
    return cue;
  });
  return {
    cues: [...cues, { ...bareCue, atSeconds: at, kind: 'end', text: 'Ready' }],
    totalSeconds: steps.every(({ seconds }) => seconds !== null) ? at : null,
  };
}
