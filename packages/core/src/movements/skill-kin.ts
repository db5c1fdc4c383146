/** Skills whose proof in one movement proves others (common practice): a told strict handstand push-up tells the free one, a told snatch the power snatch. */
import type { MovementId } from './movement';

interface SkillKin {
  /** a max, a best set or a word about one of these … */
  readonly shownBy: readonly MovementId[];
  /** … tells all of these */
  readonly covers: readonly MovementId[];
}
const handstands = ['handstand-push-up', 'kipping-handstand-push-up', 'strict-handstand-push-up'];
const muscleUps = ['bar-muscle-up', 'ring-muscle-up', 'strict-ring-muscle-up'];
const snatches = ['snatch', 'power-snatch', 'hang-power-snatch', 'hang-snatch', 'muscle-snatch'];
const snatchesInHand = ['dumbbell-snatch', 'kettlebell-snatch', 'dumbbell-hang-snatch', 'double-dumbbell-snatch', 'burpee-dumbbell-snatch'];

const skillKin: readonly SkillKin[] = [
  { shownBy: handstands, covers: [...handstands, 'box-handstand-push-up'] },
  { shownBy: muscleUps, covers: muscleUps },
  { shownBy: snatches, covers: [...snatches, ...snatchesInHand] },
];

/** The movements whose proof tells this one, beside its own. */
export const toldBy = (id: MovementId): readonly MovementId[] => skillKin.flatMap(({ shownBy, covers }) => (covers.includes(id) ? shownBy : []));
