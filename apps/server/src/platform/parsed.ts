/** A JSON column as a raw query gives it: parsed already, or its text. */
export const parsed = <T>(value: unknown): T => (typeof value === 'string' ? (JSON.parse(value) as T) : (value as T));
