/** What a line of the coach's says beside movement, count and load. */
import type { Slot } from '../workout/workout';

/** What the line does not say is left out. */
export type LineWords = Partial<Pick<Slot, 'said' | 'implement' | 'unit' | 'unitSaid' | 'perSide' | 'heightCm' | 'hold' | 'tempo' | 'effort' | 'side'>> &
  Pick<Slot, 'note' | 'own'>;
