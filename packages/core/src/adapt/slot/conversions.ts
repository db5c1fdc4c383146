/**
 * Conversions the trade states as counts (common practice, rows C1–C14 of docs/model.md; the schools contradict each other, so a house rule chooses).
 * Where no row speaks, the count stays or follows effort and time (`count.ts`). `perSide` means the count is for each side.
 */
import type { Capacity } from '../../capacity/capacity';
import type { HouseRules, RuleKey } from '../../rules/house-rules';

export interface Conversion {
  /** the new count is this many times the written one */
  readonly factor: number;
  readonly perSide: boolean;
  readonly rule: RuleKey | null;
  readonly said: string;
}
interface Row {
  readonly from: readonly string[];
  readonly to: readonly string[];
  readonly convert: (rules: HouseRules, capacity: Capacity) => Conversion | null;
}

const times = (factor: number, said: string, rule: RuleKey | null = null): Conversion => ({ factor, perSide: false, rule, said });
const pullUps = ['pull-up', 'strict-pull-up', 'kipping-pull-up', 'chin-up', 'strict-chin-up', 'chest-to-bar-pull-up', 'weighted-pull-up'];
const loadedSquats = [
  'thruster',
  'dumbbell-thruster',
  'goblet-thruster',
  'front-squat',
  'back-squat',
  'goblet-squat',
  'dumbbell-front-squat',
  'overhead-squat',
  'kettlebell-front-squat',
  'sandbag-squat',
];

const rows: readonly Row[] = [
  // C1: 200 m are about 100 singles, 75–100 jacks or double-unders
  { from: ['run'], to: ['single-under'], convert: () => times(0.5, 'a hundred singles for 200 m') },
  { from: ['run'], to: ['jumping-jack', 'double-under', 'hip-tap-hop'], convert: () => times(0.4, 'eighty for 200 m') },
  // C2
  {
    from: ['double-under'],
    to: ['single-under'],
    convert: (rules) => (rules.noDoubleUnders === 'sameTime' ? null : times(2, 'two singles for one double', 'noDoubleUnders')),
  },
  {
    from: ['double-under'],
    to: ['hip-tap-hop', 'hop-over', 'jumping-jack', 'stepping-jack', 'mountain-climber', 'calf-raise', 'lateral-shuffle'],
    convert: (rules) => (rules.noDoubleUnders === 'sameTime' ? null : times(1, 'one for one', 'noDoubleUnders')),
  },
  // C4
  {
    from: pullUps,
    to: ['dumbbell-row', 'kettlebell-row'],
    convert: (rules) =>
      rules.pullUpsToRows === 'eachSide'
        ? { factor: 1, perSide: true, rule: 'pullUpsToRows', said: 'the same count each side' }
        : { factor: 0.5, perSide: true, rule: 'pullUpsToRows', said: 'the same count in all' },
  },
  // C5
  { from: ['strict-toes-to-bar'], to: ['strict-leg-raise', 'v-up'], convert: () => times(1, 'one for one, strict stays strict', 'strictMissing') },
  { from: ['strict-toes-to-bar'], to: ['sit-up', 'anchored-sit-up'], convert: () => times(2, 'two plain sit-ups for one') },
  { from: ['toes-to-bar', 'kipping-toes-to-bar'], to: ['v-up', 'weighted-sit-up', 'hanging-leg-raise'], convert: () => times(1, 'one for one') },
  // C6
  { from: ['running-skip'], to: ['jog-on-the-spot', 'high-knees'], convert: () => times(1, 'one for one') },
  { from: ['running-skip'], to: ['jumping-jack', 'stepping-jack'], convert: () => times(0.5, 'one jack for two skips') },
  // C10
  { from: ['ring-dip', 'bar-dip'], to: ['bar-dip', 'chair-dip', 'hand-release-push-up'], convert: () => times(1, 'one for one') },
  {
    from: ['handstand-push-up', 'strict-handstand-push-up', 'kipping-handstand-push-up'],
    to: ['box-handstand-push-up', 'piked-push-up', 'raised-piked-push-up'],
    convert: () => times(1, 'one for one'),
  },
  // C12
  { from: ['kneel-to-stand'], to: ['reverse-lunge', 'step-up', 'low-step-up'], convert: () => times(1, 'one for one') },
  // C14
  {
    from: loadedSquats,
    to: ['air-squat', 'jumping-squat', 'lunge', 'reverse-lunge'],
    convert: (rules, { athlete: { level } }) => {
      if (rules.loadGone === 'sameReps') return times(1, 'the same reps', 'loadGone');
      if (rules.loadGone === 'tempo') return null;
      return level === 'new' || level === 'newer'
        ? times(1, 'the same reps for a newer athlete', 'loadGone')
        : times(2, 'about twice the reps for a strong athlete', 'loadGone');
    },
  },
  // a climb is three to five strict pull-ups; four of them
  { from: ['rope-climb'], to: ['towel-pull-up', 'strict-pull-up', 'pull-up', 'band-pull-up', 'jumping-pull-up'], convert: () => times(4, 'four for a climb') },
  {
    from: ['rope-climb'],
    to: ['ring-row', 'bar-row', 'table-row', 'door-row', 'bent-over-row', 'dumbbell-bent-over-row', 'band-row', 'backpack-row', 'supported-row'],
    convert: () => times(6, 'six rows for a climb'),
  },
  {
    from: ['rope-climb'],
    to: ['dumbbell-row', 'kettlebell-row'],
    convert: () => ({ factor: 3, perSide: true, rule: null, said: 'three rows each side for a climb' }),
  },
];

/** The stated conversion between two movements under the coach's rules; null where none is. */
export function statedConversion(from: string, to: string, rules: HouseRules, capacity: Capacity): Conversion | null {
  if (from === 'run' && rules.runToMachine === 'fixedMetres') {
    const men = capacity.athlete.category === 'men';
    const factor = to === 'row' ? (men ? 1.25 : 1) : to === 'bike' ? 2 : to === 'air-bike' ? (men ? 0.1 : 0.07) : null;
    if (factor !== null) return times(factor, 'fixed metres', 'runToMachine');
  }
  // C3, the other school: a machine shorter by a quarter, and another slot pays for it
  if (from === 'run' && rules.runToMachine === 'shorter' && to === 'row') return times(0.75, 'shorter on the machine, harder elsewhere', 'runToMachine');
  return rows.find((each) => each.from.includes(from) && each.to.includes(to))?.convert(rules, capacity) ?? null;
}
