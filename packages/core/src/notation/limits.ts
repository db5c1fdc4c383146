/** How much is read. The same for the command line, the browser and the server: a text beyond these is answered with a sentence, never with a wait. Round figures. */
export const most = {
  /** characters of a text */
  length: 100_000,
  lines: 400,
  lineLength: 500,
  rounds: 300,
  intervals: 300,
  /** blocks inside blocks */
  nesting: 6,
  /** movements of one pass through a part, rounds unrolled */
  steps: 6_000,
  /** of a count: nobody skips a hundred thousand ropes, but somebody rows 42 km */
  figure: 100_000,
  /** seconds of one clock */
  seconds: 6 * 3600,
} as const;
