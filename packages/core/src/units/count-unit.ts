/** What work is counted in. */
export type CountUnit = 'reps' | 'm' | 'cal' | 's';
