/** The words beside an option: one sentence a coach would say aloud (what, why, what it costs), the figures behind it, what it gives up. */
import { describeLoad } from '../../kit/loads';
import { movementOf } from '../../movements/catalogue';
import { nameInHand, implementToSay } from '../../movements/in-hand';
import type { Movement } from '../../movements/movement';
import { ruleLabel, type RuleKey } from '../../rules/house-rules';
import { plainName, wordsOf } from '../../notation/format-workout';
import { demandOf } from '../../simulate/demand';
import { formatClock } from '../../units/duration';
import { formatMass, wholeMass } from '../../units/mass';
import type { Slot } from '../../workout/workout';
import { repsThatLeaveOne } from '../slot/count';
import { isHalfOwned, isSkill } from '../slot/half-skill';
import { withoutRack } from '../../limits/bar-without-rack';
import { hardLimits } from '../slot/hard-limits';
import { isAsWritten, ownedFor, totalKg, writtenKg } from '../slot/load';
import { writtenWith, type Option } from '../slot/option';
import type { AdaptContext } from '../slot/question';
import { isOpen } from '../../workout/walk';
import { isEasierPushUp } from '../slot/schools';
import { givesUpOf } from './gives-up';
import { isUnchecked, notChecked } from './not-checked';
import type { Told } from './told';
import { capital, whyLeft } from './why-left';
import { countText, massOfLoad } from './words';

/** Whole seconds below two minutes, clock notation above. */
const seconds = (value: number): string => (value < 120 ? `${Math.round(value)} s` : formatClock(value));
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** The name with what is in the hand. */
export const nameOf = ({ movement, load }: Option): string => {
  const say = load && implementToSay(movement, load.implement);
  return say ? nameInHand(movement, say) : wordsOf(movement);
};
const massOf = ({ load }: Option, { athlete }: AdaptContext): string => (load ? massOfLoad(load, athlete.units) : '');

/** The same figure as it is written, whatever the kind of count. */
export const sameCount = (option: Option, slot: Slot, category: 'men' | 'women'): boolean =>
  option.unit === slot.unit &&
  option.perSide === slot.perSide &&
  (option.count.kind === 'fixed' && slot.count.kind === 'fixed'
    ? option.count[category] === slot.count[category]
    : JSON.stringify(option.count) === JSON.stringify(slot.count));

/** share of a load that only its unit tells apart: 95 lb is 43 kg (round figure) */
const sameMass = 0.02;
/** How the load stands to the written one, in words; null where it is as written, or nothing was. */
function loadClause({ question: { slot }, option, context, beyond }: Told): string | null {
  const kg = writtenKg(slot, context, movementOf(slot.movement));
  if (!option.load || kg === null || Math.abs(totalKg(option.load) / kg - 1) < sameMass) return null;
  const now = massOf(option, context);
  // a share of a max is no load that anybody wrote: it is known to the kilogram
  const sayMass = slot.load?.kind === 'mass' ? formatMass : wholeMass;
  const then = `${option.load.count === 2 ? '2 × ' : ''}${sayMass(kg / option.load.count, context.athlete.units)}`;
  const mass = totalKg(option.load);
  const owned = ownedFor(movementOf(option.movement), context).map(totalKg);
  const nearest = !owned.some((other) => Math.abs(other - kg) < Math.abs(mass - kg));
  if (mass > kg && beyond < 0) return `${now} for ${then}, because the written load would be over too soon`;
  if (nearest && (mass > kg || isAsWritten(option.load, kg))) return `${now} is the nearest to ${then}`;
  if (mass > kg) return `${now} for ${then}`;
  if (owned.some((other) => other > mass)) return `${now} for ${then}: lighter, so that the sets stay whole`;
  const isLimited = option.load.implement === 'barbell' && withoutRack(movementOf(option.movement), kg, context.place, context.capacity) !== null;
  return `${now} for ${then}: ${isLimited ? 'without a rack the bar is lifted from the floor, and the clean decides' : 'the heaviest here'}`;
}

/** Why a count of the written movement was moved. */
function countClause({ question: { slot, strength }, option, context, wall, beyond }: Told): string | null {
  const { category } = context.athlete;
  const source = writtenWith(option, slot);
  if (!source || sameCount(option, source, category)) return null;
  const written = countText(source, category);
  if (strength && repsThatLeaveOne(source, option.load, option.repsToFailure, context) !== null)
    return `${countText(option, category)} for ${written}: the load is heavier than meant, and about one rep is left`;
  const why = wall
    ? 'the written count would end in singles'
    : beyond > 0
      ? 'the written count would take too long'
      : beyond < 0
        ? 'the written count would be over too soon'
        : (movementOf(source.movement).patterns.run ?? 0) > 0
          ? 'as the route gives it'
          : 'less with the rest of the piece';
  return `${countText(option, category)} for ${written}: ${why}`;
}

/** Why the written movement was left; null where nothing hinders it, and another is nearer to what is meant. */
export const becauseOf = ({ question, option, context, wall }: Told): string | null => whyLeft(question, option, context, wall);

/** What is done and how often, beside the written count. */
function countedOf({ question: { slot }, option, context, rungsMoved }: Told): string {
  const { category } = context.athlete;
  const at = option.load ? `${nameOf(option)} with ${massOf(option, context)}` : nameOf(option);
  if (isOpen(slot)) return `${at}, as ${option.unit === 'reps' ? 'many' : 'much'} as possible`;
  if (option.count.kind === 'rung') return [at, ...(rungsMoved ? [] : ['same count']), ...(option.perSide && !slot.perSide ? ['each side'] : [])].join(', ');
  if (slot.count.kind === 'rung') return rungsMoved ? at : `${countText(option, category)} ${at}`;
  return sameCount(option, slot, category) ? `${at}, same count` : `${countText(option, category)} ${at} for ${countText(slot, category)}`;
}

/** One sentence, true of the version beside it: "as written" only where movement, count and load are. */
export function reasonOf(told: Told): string {
  const { question, option, context } = told;
  const { slot } = question;
  const [load, count] = [loadClause(told), countClause(told)];
  if (option.movement === slot.movement) {
    if (isUnchecked(slot)) return notChecked(slot, context);
    const held = option.load && implementToSay(option.movement, option.load.implement);
    if (held && held !== slot.implement)
      return `${capital(held)} in hand, ${massOf(option, context)}${count ? `; ${count}` : told.rungsMoved ? '' : ', same count'}.`;
    if (!load && !count && slot.load?.kind === 'mass' && !option.load && !option.openLoad) return 'As written, without the load: nothing here to hold.';
    if (!load && !count) return option.load && slot.load ? `As written, ${massOf(option, context)}.` : 'As written.';
    return `${capital([count, load].filter(Boolean).join('; '))}.`;
  }
  const cost = givesUpOf(told)[0];
  return `${becauseOf(told) ?? `In place of ${plainName(slot)}`}: ${countedOf(told)}.${cost ? ` ${capital(cost)}.` : ''}`;
}

/** A squat that does not go deep: to a chair, or half of it. */
const isShortSquat = ({ patterns, avoid }: Movement): boolean => (patterns.squat ?? 0) >= 0.5 && !avoid.includes('deep_knee');

/** House rules that had a say in a choice and are not named with a conversion. */
function rulesBehind({ question: { slot, stimulus }, option, context }: Told): RuleKey[] {
  const [original, movement] = [movementOf(slot.movement), movementOf(option.movement)];
  const swapped = movement.id !== original.id;
  const { limits } = context.athlete;
  const behind: RuleKey[] = [];
  if (swapped && original.family === 'push-up' && isEasierPushUp(movement.id)) behind.push('easierPushUp');
  if (swapped && limits.squatDepth !== null && isShortSquat(movement)) behind.push('squatDepth');
  if (isSkill(original) && option.coachRank === null && hardLimits(original, context).length === 0) {
    const { repsToFailure } = demandOf(slot.movement, slot.unit, context.capacity, 0, null);
    if (isHalfOwned(original, repsToFailure, stimulus.count)) behind.push('halfSkill');
  }
  if (option.perSide && !slot.perSide) behind.push('sides');
  return behind;
}

/** What stands behind a click: seconds a bout, shares of a max, the house rules. */
export function figuresOf(told: Told): string[] {
  const { question, option, context } = told;
  const { stimulus, slot } = question;
  const conversion = option.said ? [`${option.said}${option.rule ? ` (house rule “${ruleLabel(option.rule, context.rules[option.rule])}”)` : ''}`] : [];
  const rules = rulesBehind(told).map((key) => `house rule “${ruleLabel(key, context.rules[key])}”`);
  const height =
    option.heightCm !== null && movementOf(option.movement).adjusts === 'height'
      ? [`hands at ${option.heightCm} cm, the lowest surface that stays unbroken`]
      : [];
  const meant = stimulus.maxShare === null ? '' : ` (${percent(stimulus.maxShare)} of the reference’s)`;
  const load = option.load && option.loadShare !== null ? [`${describeLoad(option.load)}: ${percent(option.loadShare)} of the max${meant}`] : [];
  const time = isOpen(slot) ? [] : [`about ${seconds(option.bout.seconds)} a bout, the reference ${seconds(stimulus.bout.seconds)}`];
  return [...conversion, ...rules, ...height, ...load, ...time];
}
