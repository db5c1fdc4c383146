/** Lists of an athlete file as a form has them: plain functions, for screens that need no schemas. */
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

/** `back squat: 88 kg` for each entry of a record; nothing where it is none */
export const entryLines = (record: unknown): string[] =>
  typeof record === 'object' && record !== null && !Array.isArray(record)
    ? Object.entries(record).map(([key, value]) => `${key.replaceAll('_', ' ')}: ${text(value)}`)
    : [];
/** A list, or words between commas. */
export const listedWords = (list: unknown): string[] =>
  (Array.isArray(list) ? list.map(text) : text(list).split(',')).map((word) => word.trim()).filter((word) => word !== '');
