/** What every sentence about a slot starts from. */
import type { Option } from '../slot/option';
import type { AdaptContext, SlotQuestion } from '../slot/question';

/** What is known of a slot when it is told. */
export interface Told {
  readonly question: SlotQuestion;
  readonly option: Option;
  readonly context: AdaptContext;
  /** the untouched slot was a wall */
  readonly wall: boolean;
  /** how the untouched part stood to its band: + harder than meant, − easier, 0 inside */
  readonly beyond: number;
  /** the rungs of the part are others than the written ones: no count of a rung is the same */
  readonly rungsMoved: boolean;
}
