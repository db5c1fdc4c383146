/** Pieces of a line that mean something to a workout; everything else is a word, and can never become a movement. */
import type { Named } from './gazetteer';

export type Unit = 'kg' | 'lb' | 'm' | 'km' | 'mile' | 'foot' | 'cal' | 's' | 'in' | 'cm' | '%' | 'pood';
export type Once = 'buyIn' | 'cashOut';
export type Span =
  | { readonly k: 'clock'; readonly clock: 'amrap' | 'emom' | 'deathBy' | 'tabata'; readonly seconds: number | null }
  | { readonly k: 'every'; readonly each: number; readonly times: number | null; readonly seconds: number | null }
  | { readonly k: 'onOff'; readonly on: number; readonly off: number; readonly times: number | null }
  | { readonly k: 'rounds'; readonly count: number; readonly word: 'rounds' | 'times' }
  | { readonly k: 'sets'; readonly count: number }
  | { readonly k: 'setsReps'; readonly sets: number; readonly reps: string; readonly unit: Unit | null }
  | { readonly k: 'ladder'; readonly rungs: readonly number[] }
  /** so often the clock that follows */
  | { readonly k: 'repeat'; readonly count: number }
  | { readonly k: 'forTime' }
  | { readonly k: 'quality' }
  | { readonly k: 'heavy'; readonly seconds: number | null; readonly reps: number | null }
  | { readonly k: 'cap'; readonly seconds: number }
  | { readonly k: 'rest'; readonly seconds: number | null; readonly high: number | null; readonly between: boolean }
  | {
      readonly k: 'figure';
      readonly values: readonly number[];
      readonly high: number | null;
      readonly unit: Unit | null;
      readonly count: 1 | 2 | null;
      readonly at: boolean;
    }
  | { readonly k: 'columns'; readonly men: number; readonly women: number; readonly unit: Unit | null; readonly count: 1 | 2 | null }
  | { readonly k: 'bodyweight' }
  /** how hard, in words of the trade: `RPE 7` */
  | { readonly k: 'effort'; readonly text: string }
  | { readonly k: 'side' }
  | { readonly k: 'max' }
  | { readonly k: 'label'; readonly label: number }
  | { readonly k: 'head' }
  | { readonly k: 'team'; readonly size: number }
  /** null: as prescribed */
  | { readonly k: 'tier'; readonly name: string | null }
  | { readonly k: 'movement'; readonly named: Named }
  | { readonly k: 'part'; readonly hard: boolean }
  /** what follows comes once, when what stands above is done */
  | { readonly k: 'after' }
  /** what comes once, before or after all the rest of a part */
  | { readonly k: 'once'; readonly at: Once }
  | { readonly k: 'plus' }
  | { readonly k: 'unit'; readonly unit: Unit }
  | { readonly k: 'letter'; readonly at: number }
  | { readonly k: 'series'; readonly reps: readonly number[]; readonly loads: readonly number[]; readonly unit: Unit | null }
  | { readonly k: 'vest'; readonly text: string | null }
  | { readonly k: 'corrects' }
  | { readonly k: 'sameLoad' }
  | { readonly k: 'all' }
  /** hard and easy by turns, on one machine or on foot */
  | { readonly k: 'hardEasy'; readonly hard: number; readonly easy: number; readonly times: number | null; readonly easyWay: 'walk' | null }
  /** so long on the machine that was named */
  | { readonly k: 'steady'; readonly seconds: number; readonly way: 'run' | null }
  /** from one time of a running clock to another, s */
  | { readonly k: 'window'; readonly from: number; readonly to: number }
  /** the women's figure, where the men's stands before it */
  | { readonly k: 'women'; readonly value: number; readonly unit: Unit | null }
  /** a load of all that is done with one kind of thing */
  | { readonly k: 'columnsFor'; readonly thing: string; readonly men: number; readonly women: number; readonly unit: Unit | null }
  | { readonly k: 'word'; readonly text: string };
