/** How much is read. The same for the command line, the browser and the server: a text beyond these is answered with a sentence, never with a wait. Round figures. */
import { ranges } from '../units/ranges';

export const most = {
  /** characters of a text */
  length: 100_000,
  lines: 400,
  lineLength: 500,
  rounds: ranges.rounds.most,
  intervals: ranges.intervals.most,
  /** blocks inside blocks */
  nesting: 6,
  /** movements of one pass through a part, rounds unrolled */
  steps: 6_000,
  /** of a count: nobody skips a hundred thousand ropes, but somebody rows 42 km */
  figure: ranges.count.most,
  /** seconds of one clock */
  seconds: ranges.clockSeconds.most,
} as const;
