/**
 * A warm-up that rehearses the version and ramps to its loads in 5–10 minutes, as many as there are: its lines, by the coach's school or in the coach's own words.
 * The shapes are common practice (three short rounds; the workout in miniature; pump and drills; an own ritual), by house rule.
 */
import type { Athlete } from '../athlete/athlete';
import type { Place } from '../kit/kit';
import { violates } from '../limits/feasible';
import { movementOf } from '../movements/catalogue';
import { plainName, wordsOf } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Part, Slot, Workout } from '../workout/workout';
import { rampsOf } from './ramp';
import { lengthOfSteps, readStep, readSteps, type WarmUpStep } from './warm-up-step';

/** s: no warm-up is shorter or longer, and what the minutes there are keep for it (common practice: five to ten, six with getting ready) */
export const warmUpLimits = { least: 300, most: 600, kept: 360 } as const;
/** s of an easy beginning that is put before a short warm-up */
const longestLeadIn = 180;
/** s a rest after the warm-up is shortened to at most */
const shortestOff = 60;

/** How much of it there is. */
interface Size {
  readonly rounds: number;
  /** movements that are rehearsed, and that are ramped up to: more is a workout of its own (round figures) */
  readonly rehearsed: number;
  readonly ramps: number;
}
/** as one would have it, then what goes first where there are fewer minutes: rehearsals, rounds, and the ramps last */
const sizes: readonly Size[] = [
  { rounds: 3, rehearsed: 3, ramps: 2 },
  { rounds: 3, rehearsed: 1, ramps: 2 },
  { rounds: 2, rehearsed: 1, ramps: 2 },
  { rounds: 1, rehearsed: 1, ramps: 2 },
  { rounds: 1, rehearsed: 1, ramps: 1 },
];

/** Who warms up where, by which school, in how many minutes. */
export interface WarmUpFor {
  readonly athlete: Athlete;
  readonly place: Place;
  readonly rules: HouseRules;
  /** the coach's own ritual, a line a step; null: none was written */
  readonly ritual: string | null;
  /** what the coach wrote for this athlete and workout; null: nothing, it is made */
  readonly written: string | null;
  /** s there are before the workout; null: nobody said */
  readonly room: number | null;
}

/** The easier form of a movement that this athlete may do with nothing. */
const easyOf = (id: string, athlete: Athlete): string =>
  movementOf(id).easier.find((easier) => athlete.avoid.every((tag) => !violates(movementOf(easier), tag, null)) && movementOf(easier).needs.kind === 'none') ??
  id;
function easyBout(id: string, athlete: Athlete): string {
  const easy = movementOf(easyOf(id, athlete));
  return easy.unit === 'reps' && easy.limit.by !== 'ease' ? `5 ${wordsOf(easy.id)}` : `20 s easy ${wordsOf(easy.id)}`;
}

/** What raises the pulse: the day's own engine, or on the spot as the athlete and the neighbours may. */
function pulseFor(ids: readonly string[], { avoid }: Athlete, { noise }: Place): string {
  if (ids.includes('run')) return 'easy jog';
  if (ids.includes('row')) return 'easy row';
  return noise === 'quiet' || avoid.includes('jumping') || avoid.includes('high_impact') ? 'march on the spot' : 'jog on the spot';
}
const reachFor = ({ avoid }: Athlete): string =>
  avoid.includes('wrists') || avoid.includes('inverted') ? 'lunge with the hands high' : 'walk-out to a plank and back';

/** What a version gives a warm-up to rehearse and to ramp to. */
interface Material {
  readonly pulse: string;
  readonly reach: string;
  readonly rehearsed: readonly string[];
  readonly ramps: readonly string[];
  readonly names: readonly string[];
}
function materialOf(slots: readonly Slot[], { athlete, place }: WarmUpFor): Material {
  const ids = [...new Set(slots.map((slot) => slot.movement))];
  return {
    pulse: pulseFor(ids, athlete, place),
    reach: reachFor(athlete),
    // the pulse is raised with the engine already
    rehearsed: ids.filter((id) => id !== 'run' && id !== 'row').map((id) => easyBout(id, athlete)),
    ramps: rampsOf(slots, athlete, place),
    names: [...new Set(slots.map(plainName))],
  };
}

/** where a coach keeps a ritual that nobody wrote down */
const nothingWritten = 'Own ritual';
const easySetsOf = (line: string): string => `2 easy sets of ${line}`;
const forThisVersion = (line: string): string => `${line} for the movements of this version`;
const halfRoundOf = (names: readonly string[]): string => `One round at half the reps: ${names.join(', ')}`;

/** The lines of a school in one size. */
function linesOf({ warmUp }: HouseRules, { pulse, reach, names, ...all }: Material, size: Size, ritual: string | null): string[] {
  const [rehearsed, ramps] = [all.rehearsed.slice(0, size.rehearsed), all.ramps.slice(0, size.ramps)];
  switch (warmUp) {
    case 'miniature':
      return [halfRoundOf(names), ...ramps, 'Then 5:00 off'];
    case 'pump':
      return [`2:00 ${pulse}`, ...rehearsed.map(easySetsOf), ...ramps, 'Then 8–10 min off'];
    case 'own':
      return [...(ritual ?? nothingWritten).split('\n'), ...rehearsed.map(forThisVersion), ...ramps];
    default: {
      const round = [`30 s ${pulse}`, `3 ${reach}`, rehearsed[0] ?? '5 air squats'].join(', ');
      return [size.rounds === 1 ? `1 round of ${round}` : `${size.rounds} rounds: ${round}`, ...rehearsed.slice(1), ...ramps];
    }
  }
}

/** An easy beginning where the rest is too short to be warm after it. */
function withLeadIn(steps: readonly WarmUpStep[], pulse: string, room: number): WarmUpStep[] {
  const missing = Math.min(warmUpLimits.least, room) - lengthOfSteps(steps);
  const seconds = Math.min(longestLeadIn, Math.ceil(missing / 30) * 30);
  if (seconds < 30) return [...steps];
  const begun = steps[0]?.text.endsWith(pulse) ? steps[0].seconds : null;
  return [readStep(`${formatClock(seconds + (begun ?? 0))} ${pulse}`), ...steps.slice(begun === null ? 0 : 1)];
}
/** The rest after it takes what is left of the minutes. */
const withRestThatFits = (steps: readonly WarmUpStep[], room: number | null): WarmUpStep[] =>
  steps.map((step) => {
    if (!step.isRest || room === null || step.seconds === null) return step;
    const left = Math.max(shortestOff, Math.floor((room - lengthOfSteps(steps)) / 30) * 30);
    return left < step.seconds ? readStep(`Then ${formatClock(left)} off`) : step;
  });

const isWarmUp = ({ name }: Part): boolean => name !== null && /^w(?:arm)?[\s-]*u(?:p)?$/i.test(name.trim());

/** Of all parts but a warm-up that stands in the text. */
const materialFor = (parts: readonly Part[], asked: WarmUpFor): Material =>
  materialOf(
    parts.filter((part) => !isWarmUp(part)).flatMap((part) => slotsOfPart(part)),
    asked,
  );

/** What a coach wrote stands; where the workout has a warm-up of its own, only its loads are ramped up to. @param workout a version: its loads are what is ramped to */
export function warmUpFor({ parts }: Pick<Workout, 'parts'>, asked: WarmUpFor): WarmUpStep[] {
  if (asked.written !== null) return readSteps(asked.written);
  const material = materialFor(parts, asked);
  if (parts.some(isWarmUp)) return material.ramps.slice(0, sizes[0]!.ramps).map(readStep);
  // however little is left, half of the least
  const left = asked.room === null ? null : Math.max(asked.room, warmUpLimits.least / 2);
  const room = Math.min(warmUpLimits.most, left ?? Infinity);
  const all = sizes.map((size) => linesOf(asked.rules, material, size, asked.ritual).map(readStep));
  const steps = all.find((lines) => lengthOfSteps(lines) <= room) ?? all.at(-1)!;
  // the coach's own words are not lengthened
  return withRestThatFits(asked.rules.warmUp === 'own' && asked.ritual !== null ? steps : withLeadIn(steps, material.pulse, room), left);
}

/** Of what a coach wrote, what is not this version's alone: what may be kept as the own ritual. */
export function ritualOf(written: string, { parts }: Pick<Workout, 'parts'>, asked: WarmUpFor): string {
  const { rehearsed, ramps, names } = materialFor(parts, asked);
  const ofTheVersion = new Set([...ramps, ...rehearsed.flatMap((line) => [line, easySetsOf(line), forThisVersion(line)]), halfRoundOf(names), nothingWritten]);
  return readSteps(written)
    .map(({ text }) => text)
    .filter((text) => !ofTheVersion.has(text))
    .join('\n');
}
