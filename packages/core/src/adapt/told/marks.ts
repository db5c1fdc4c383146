/** The mark of a swap says what a coach would say of it, not how many seconds differ. */
import { isMovementId, mainPattern, movementOf } from '../../movements/catalogue';
import type { Option } from '../slot/option';

export type Mark = '!' | '!?' | '?!' | '?';
export const markWords: Readonly<Record<Mark, string>> = { '!': 'good match', '!?': 'compromise', '?!': 'doubtful', '?': 'poor match' };

/**
 * `!` the written movement, the coach's own alternative, or the same with another implement at the effort meant, or what is set to fit; `!?` the usual substitutions of
 * the trade; `?!` what only likeness speaks for, or nobody knows; `?` what the coach said must hold is lost, or the whole pattern without need.
 */
export function markOf({ nearness, rank, coachRank, movement, rule, said }: Option, written: string): Mark {
  if (!isMovementId(movement)) return '?!';
  if (movement === written || coachRank !== null) return '!';
  if (rank.leaves > 0) return '?';
  switch (nearness) {
    case 'written':
      return '!';
    case 'implement':
      return rank.effort === 0 ? '!' : '!?';
    case 'range':
      return movementOf(movement).adjusts !== null || rule !== null || said !== null ? '!' : '!?';
    case 'position':
    case 'unloaded':
    case 'muscles':
    case 'breath':
      return '!?';
    case 'likeness':
      return (movementOf(movement).patterns[mainPattern(movementOf(written))] ?? 0) > 0.2 ? '!?' : '?!';
  }
}
