/** What the search is asked: who, where, under which rules; and for each slot, what it was meant to be. */
import type { Athlete } from '../athlete/athlete';
import type { Capacity } from '../capacity/capacity';
import type { Place } from '../kit/kit';
import type { FeasibleLoad } from '../kit/loads';
import type { HouseRules } from '../rules/house-rules';
import type { PartIntent } from '../stimulus/intent';
import type { SlotStimulus } from '../stimulus/stimulus';
import type { Slot } from '../workout/workout';

export interface AdaptContext {
  readonly athlete: Athlete;
  readonly capacity: Capacity;
  readonly place: Place;
  readonly rules: HouseRules;
  readonly loads: readonly FeasibleLoad[];
}
export interface SlotQuestion {
  readonly slot: Slot;
  readonly stimulus: SlotStimulus;
  readonly intent: PartIntent;
  /** how often the slot comes in the whole part, as the original is meant to go */
  readonly bouts: number;
  /** wanted seconds of a bout ÷ the reference athlete's */
  readonly timeScale: number;
  /** mean of the block ladder, where the slot follows one */
  readonly ladder: readonly number[] | null;
  readonly vestKg: number;
  readonly strength: boolean;
  /** an interval with a tempo in it would read as strength sets */
  readonly mayTempo: boolean;
}
