/** Kinds of parts in words, as a coach asks for them. */
export const kindWords = {
  amrap: 'as many as possible',
  forTime: 'for time',
  every: 'every minute',
  intervals: 'work and rest',
  windows: 'fixed windows',
  strength: 'strength sets',
  maxLoad: 'max load',
  quality: 'for quality',
} as const;
export const wordsOfKind = (kind: string): string => (Object.hasOwn(kindWords, kind) ? kindWords[kind as keyof typeof kindWords] : kind);
