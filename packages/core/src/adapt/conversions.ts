/**
 * Conversions the trade states as counts (common practice; the schools contradict each other, so a house rule chooses).
 * Where no row says otherwise the model matches time and effort. `perSide` means the count is for each side.
 */
import type { Capacity } from '../capacity/capacity';
import type { HouseRules, RuleKey } from '../rules/house-rules';

export interface Conversion {
  /** the new count is this many times the written one */
  readonly factor: number;
  readonly perSide: boolean;
  readonly rule: RuleKey | null;
  readonly said: string;
  /** this is what the school would do first, not only how it would count */
  readonly preferred: boolean;
  /** place in the school's own order, from 0 */
  readonly rank?: number;
}
interface Row {
  readonly from: readonly string[];
  readonly to: readonly string[];
  readonly convert: (rules: HouseRules, capacity: Capacity) => Conversion | null;
}

const same = (said: string, rule: RuleKey | null = null, factor = 1, preferred = false): Conversion => ({ factor, perSide: false, rule, said, preferred });
const pullUps = ['pull-up', 'strict-pull-up', 'kipping-pull-up', 'chin-up', 'chest-to-bar-pull-up', 'weighted-pull-up'];
const loadedSquats = [
  'thruster',
  'front-squat',
  'back-squat',
  'goblet-squat',
  'dumbbell-front-squat',
  'dumbbell-thruster',
  'overhead-squat',
  'kettlebell-front-squat',
  'sandbag-squat',
];

const rows: readonly Row[] = [
  {
    from: ['double-under'],
    to: ['single-under'],
    convert: (rules) =>
      rules.noDoubleUnders === 'sameTime' ? null : same('two singles for one double', 'noDoubleUnders', 2, rules.noDoubleUnders === 'twiceSingles'),
  },
  {
    from: ['double-under'],
    to: ['hip-tap-hop', 'hop-over', 'jumping-jack', 'stepping-jack'],
    convert: (rules) => same('one for one', 'noDoubleUnders', 1, rules.noDoubleUnders === 'hops'),
  },
  {
    from: pullUps,
    to: ['dumbbell-row'],
    convert: (rules) =>
      rules.pullUpsToRows === 'eachSide'
        ? { factor: 1, perSide: true, rule: 'pullUpsToRows', said: 'the same count each side', preferred: true }
        : { factor: 0.5, perSide: true, rule: 'pullUpsToRows', said: 'the same count in all', preferred: true },
  },
  {
    from: ['strict-toes-to-bar'],
    to: ['strict-leg-raise', 'v-up'],
    convert: (rules) => same('one for one, strict stays strict', 'strictMissing', 1, rules.strictMissing !== 'kipping'),
  },
  { from: ['strict-toes-to-bar', 'toes-to-bar'], to: ['sit-up', 'anchored-sit-up'], convert: () => same('two plain sit-ups for one', null, 2) },
  { from: ['toes-to-bar', 'kipping-toes-to-bar'], to: ['v-up', 'weighted-sit-up', 'hanging-leg-raise'], convert: () => same('one for one') },
  { from: ['running-skip'], to: ['jog-on-the-spot'], convert: () => same('one for one', null, 1, true) },
  { from: ['running-skip'], to: ['jumping-jack'], convert: () => same('one jack for two skips', null, 0.5) },
  { from: ['ring-dip', 'bar-dip'], to: ['bar-dip', 'chair-dip', 'hand-release-push-up'], convert: () => same('one for one', null, 1, true) },
  {
    from: ['handstand-push-up', 'strict-handstand-push-up', 'kipping-handstand-push-up'],
    to: ['box-handstand-push-up', 'piked-push-up'],
    convert: () => same('one for one', null, 1, true),
  },
  { from: ['kneel-to-stand'], to: ['reverse-lunge', 'step-up', 'low-step-up'], convert: () => same('one for one', null, 1, true) },
  {
    from: loadedSquats,
    to: ['air-squat', 'jumping-squat', 'lunge', 'reverse-lunge'],
    convert: (rules, capacity) =>
      rules.loadGone === 'sameReps'
        ? same('the same reps', 'loadGone', 1, true)
        : rules.loadGone === 'tempo'
          ? null
          : capacity.athlete.level === 'new' || capacity.athlete.level === 'newer'
            ? same('the same reps for a newer athlete', 'loadGone', 1, true)
            : same('about twice the reps for a strong athlete', 'loadGone', 2),
  },
];

/** The stated conversion between two movements under the coach's rules; null where the model is to decide. */
export function statedConversion(from: string, to: string, rules: HouseRules, capacity: Capacity): Conversion | null {
  if (from === 'run' && rules.runToMachine === 'fixedMetres') {
    const men = capacity.athlete.category === 'men';
    const factor = to === 'row' ? (men ? 1.25 : 1) : to === 'bike' ? 2 : to === 'air-bike' ? (men ? 0.1 : 0.07) : null;
    return factor === null ? null : same('fixed metres', 'runToMachine', factor, true);
  }
  // C3, the other school: a machine shorter by a quarter, and another slot pays for it
  if (from === 'run' && rules.runToMachine === 'shorter' && to === 'row') return same('shorter on the machine, harder elsewhere', 'runToMachine', 0.75, true);
  const row = rows.find((each) => each.from.includes(from) && each.to.includes(to));
  const conversion = row ? row.convert(rules, capacity) : null;
  return conversion && { ...conversion, rank: row!.to.indexOf(to) };
}
