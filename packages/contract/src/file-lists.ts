/** Lists of an athlete file as a form has them: plain functions, for screens that need no schemas. */
const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

/** `back squat: 88 kg` for each entry of a record; nothing where it is none */
export const entryLines = (record: unknown): string[] =>
  typeof record === 'object' && record !== null && !Array.isArray(record)
    ? Object.entries(record).map(([key, value]) => `${key.replaceAll('_', ' ')}: ${text(value)}`)
    : [];
/** Each figure of a file by its name: maxes, best sets, times, body mass. As they were typed. */
export function figuresOf(file: Readonly<Record<string, unknown>>): Map<string, string> {
  const mass = text(file['body_mass']).trim();
  // a movement may have a max and a best set
  const told = (['maxes', 'best_sets', 'times'] as const).flatMap((key) =>
    entryLines(file[key]).map((line): [string, string] => {
      const end = line.indexOf(': ');
      return [`${line.slice(0, end)}${key === 'best_sets' ? ', best set' : ''}`, line.slice(end + 2)];
    }),
  );
  return new Map([...told, ...(mass === '' ? [] : [['body mass', mass] as [string, string]])]);
}
/** A list, or words between commas. */
export const listedWords = (list: unknown): string[] =>
  (Array.isArray(list) ? list.map(text) : text(list).split(',')).map((word) => word.trim()).filter((word) => word !== '');
