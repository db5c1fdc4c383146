/** An athlete file as plain values, and how what cannot be read of it is told. */
export interface AthleteProblem {
  readonly level: 'error' | 'warning' | 'info';
  readonly key: string;
  readonly message: string;
}
export type Tell = (level: AthleteProblem['level'], key: string, message: string) => void;
export type Plain = Readonly<Record<string, unknown>>;
export const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value);
/** entries of a list or record that are read; a file with more is no athlete */
export const mostEntries = 300;
export const entriesOf = (value: unknown): [string, unknown][] => (isPlain(value) ? Object.entries(value).slice(0, mostEntries) : []);
