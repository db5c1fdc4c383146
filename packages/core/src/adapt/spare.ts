/**
 * Something hurt: what may be spared, and what then stands in a workout instead. Words → entries of the avoid-list is common practice, from memory; it is a proposal to
 * a coach, names no condition and clears nobody.
 */
import type { Athlete, AvoidName } from '../athlete/athlete';
import type { Place } from '../kit/kit';
import { violates } from '../limits/feasible';
import { movementOf, movements } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import { formatSlot } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import type { MassUnit } from '../units/mass';
import { slotsOfPart } from '../workout/walk';
import type { Slot, Workout } from '../workout/workout';
import { readLocks } from './line-lock';
import { isPartLock, type Lock } from './lock';
import { planVersion } from './planned';

/** What an athlete told. */
export interface Hurt {
  /** in their words: `low back` */
  readonly where: string;
  /** 1 noticed, 2 had to change something, 3 had to stop */
  readonly much: 1 | 2 | 3;
  /** the movement's name as it stood on the page; blank: none in particular */
  readonly movement: string;
  readonly note: string;
  /** what else was told of the same session, less grave */
  readonly also?: readonly Hurt[] | undefined;
}
export interface Spared {
  /** entries of the avoid-list that are not on the athlete's yet; empty where none stands for it */
  readonly spare: readonly AvoidName[];
  /** lines of the workout that would be others then */
  readonly swaps: readonly { readonly was: string; readonly now: string }[];
  /** whom to ask, in one sentence */
  readonly ask: string;
  /** it asks for a doctor now: no advice for training stands beside it */
  readonly urgent: boolean;
}

/** what each place may ask to be spared, the usual first */
const placesThatHurt: readonly (readonly [RegExp, readonly AvoidName[]])[] = [
  [/\bknee|patell|menisc/, ['deep_knee', 'high_impact', 'kneeling']],
  [/shoulder|rotator|collar ?bone/, ['overhead', 'hanging', 'inverted']],
  [/\bback\b|lumbar|spine|sacr|\bdis[ck]\b/, ['spinal_loading', 'high_impact']],
  [/wrist|thumb/, ['wrists', 'inverted']],
  [/\bhands?\b|palm|finger|grip|forearm|elbow|bicep/, ['hanging', 'wrists']],
  [/ankle|achilles|\bcal(?:f|ves)\b|\bshins?\b|foot\b|\bfeet\b|\bheels?\b|\btoes?\b|\barch\b/, ['high_impact']],
  [/\bhips?\b|groin|glute|adductor/, ['deep_knee', 'running', 'spinal_loading']],
  [/hamstring|thigh|quad/, ['running', 'spinal_loading', 'deep_knee']],
  [/\bneck\b/, ['inverted', 'overhead', 'spinal_loading']],
];
/** what is nobody's to train around */
const alarming =
  /\bchest(?![- ]to[- ])|\bheart|\bnumb(?!er)|tingl|pins and needles|dizz|\bfaint|black(?:ed)? ?out|\bvision|dark(?: |-)?(?:brown )?urine|(?:brown|cola|red|black) urine|sudden|collaps|passed out|breathless|could ?n.t breathe|swell|swollen|\bpop(?:s|ped|ping)?\b|\bsnap|sharp|\bstabb|shooting|short of breath/i;
/** `back of the knee` is no back */
const sideOf = /\b(?:back|front|side|inside|outside|top|bottom) of (?:the |my |her |his )?/g;

const movementNamed = (name: string): Movement | null => movements.find((movement) => movement.name.toLowerCase() === name.trim().toLowerCase()) ?? null;

/** @returns of what the place may ask, what the movement it was felt in does; the usual where it is of none of it, or none was told */
export function sparedFor({ where, movement }: Pick<Hurt, 'where' | 'movement'>): AvoidName[] {
  const place = where.toLowerCase().replace(sideOf, '');
  const asked = placesThatHurt.filter(([words]) => words.test(place)).map(([, tags]) => tags);
  const felt = movementNamed(movement);
  return [...new Set(asked.flatMap((tags) => tags.find((tag) => felt !== null && violates(felt, tag, null)) ?? tags[0]!))];
}

/** Words that ask for a doctor now, whatever was said of how much. */
export const isAlarming = ({ where, note }: Pick<Hurt, 'where' | 'note'>): boolean => alarming.test(`${where} ${note}`);
/** Of several reports the one that weighs most is told first: what is alarming, then how much it was. */
export const gravityOf = (hurt: Pick<Hurt, 'where' | 'note' | 'much'>): number => (isAlarming(hurt) ? 10 : 0) + hurt.much;

export function whomToAsk({ where, much, note }: Hurt): string {
  if (isAlarming({ where, note })) return 'Ask them to stop training and to see a doctor now.';
  if (much === 3) return 'Ask them to see a licensed professional before the next session.';
  return much === 2 ? 'If it is there again, ask them to see a licensed professional.' : 'Ask how it is before the next session.';
}

const lineOf = (slot: Slot): string => formatSlot({ ...slot, alternatives: [] });
/** What the coach decided stands, but where it is what hurts. */
const stillFit = (locks: readonly Lock[], spare: readonly AvoidName[]): Lock[] =>
  locks.filter((lock) => !isPartLock(lock) || lock.movement === undefined || !spare.some((tag) => violates(movementOf(lock.movement!), tag, null)));

interface Asked {
  readonly place: Place;
  readonly rules: HouseRules;
  readonly locks: readonly Lock[];
  /** of loads without a unit */
  readonly units: MassUnit;
}
/** The lines of an athlete's version, by the number of the written part. What was written by hand is computed here: nothing else can be asked to spare. */
function linesFor(workout: Workout, athlete: Athlete, spare: readonly AvoidName[], { place, rules, locks, units }: Asked): Map<number, Slot[]> {
  const read = readLocks(locks, athlete.category, { units, own: workout.own ?? [] });
  const { parts, from } = planVersion(workout, { ...athlete, avoid: [...athlete.avoid, ...spare] }, place, rules, stillFit(read, spare));
  return new Map(parts.map(({ part }, at) => [from[at]!, slotsOfPart(part)]));
}

/** @param workout as the coach wrote it: the lines are those of the athlete's version now, and as it would be */
export function spareIn(workout: Workout, athlete: Athlete, hurt: Hurt, asked: Asked): Spared {
  const ask = whomToAsk(hurt);
  // no advice for training stands beside what asks for a doctor now
  if (isAlarming(hurt)) return { spare: [], swaps: [], ask, urgent: true };
  const wanted = [hurt, ...(hurt.also ?? [])].flatMap(sparedFor);
  const spare = [...new Set(wanted)].filter((tag) => !athlete.avoid.includes(tag));
  if (spare.length === 0) return { spare, swaps: [], ask, urgent: false };
  const then = linesFor(workout, athlete, spare, asked);
  const swaps = [...linesFor(workout, athlete, [], asked)].flatMap(([part, slots]) =>
    slots.flatMap((slot, at) => {
      const instead = then.get(part)?.[at];
      return instead && instead.movement !== slot.movement ? [{ was: lineOf(slot), now: lineOf(instead) }] : [];
    }),
  );
  return { spare, swaps, ask, urgent: false };
}
