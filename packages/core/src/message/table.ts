/** Rows of a spreadsheet → sentences: a table is known by its columns, with a head row or without. */

type Column = 'set' | 'name' | 'sets' | 'reps' | 'setsReps' | 'load' | 'rest' | 'other';
const heads: readonly (readonly [RegExp, Column])[] = [
  [/^(?:ex(?:ercise)?|movement|lift|name|what)s?$/i, 'name'],
  [/^sets? ?(?:x|×|\*|by) ?reps?$/i, 'setsReps'],
  [/^s(?:et)? ?\d+$/i, 'set'],
  [/^(?:sets?|series|rds|rounds)$/i, 'sets'],
  [/^(?:reps?|repetitions)$/i, 'reps'],
  [/^(?:load|weight|kg|lb|lbs|intensity|%)$/i, 'load'],
  [/^(?:rest|pause|break)$/i, 'rest'],
];
const headOf = (cell: string): Column => heads.find(([pattern]) => pattern.test(cell.trim()))?.[1] ?? 'other';

const looksLike = (cell: string): Column => {
  const text = cell.trim().toLowerCase();
  if (/^\d+ ?[x×] ?\d/.test(text) && !/kg|lb|#/.test(text)) return 'setsReps';
  if (/kg|lb|#|%|^bw$|^bodyweight$/.test(text)) return 'load';
  if (/^\d+:\d\d$|^\d+ ?(?:s|sec|min|')|^\d+"$/.test(text)) return 'rest';
  if (/^\d+$/.test(text)) return 'sets';
  if (/^\d+|^max/.test(text)) return 'reps';
  return /\p{L}{2}/u.test(text) ? 'name' : 'other';
};

/** Columns of rows without a head: two bare figures are sets and reps. */
function columnsOf(row: readonly string[]): Column[] {
  let sets = false;
  let name = false;
  return row.map((cell) => {
    const like = looksLike(cell);
    if (like === 'name' && name) return 'other';
    if (like === 'name') name = true;
    if (like === 'sets' && sets) return 'reps';
    if (like === 'sets') sets = true;
    return like;
  });
}

/** A column a set: `BS  5@100  5@110  3@120`. */
function setsSentence(row: readonly string[], columns: readonly Column[]): string {
  const cells = (wanted: Column): string[] => row.filter((cell, at) => columns[at] === wanted && cell.trim() !== '').map((cell) => cell.trim());
  const [rest] = cells('rest');
  return `${cells('name').join(' ')} ${cells('set').join(' ')}${rest ? ` , rest ${rest} between sets` : ''}`;
}

function sentenceOf(row: readonly string[], columns: readonly Column[]): string {
  const cell = (column: Column): string => row[columns.indexOf(column)]?.trim() ?? '';
  const said = (text: string): string => (/^(?:-|–|—|)$/.test(text) ? '' : text);
  const load = said(cell('load'));
  const implement = /\b(db|kb|bb)s?\b/i.exec(load)?.[1] ?? '';
  const side = /\d ?(?:e|ea|each)\b|\/ ?side|per side/i.test(`${cell('reps')} ${cell('setsReps')}`) ? ' each side' : '';
  const plain = (reps: string): string => reps.replace(/ ?(?:\/ ?side|per side|each|ea|e)\b.*/i, '');
  const scheme = cell('setsReps') === '' ? `${cell('sets') || 1}x${plain(cell('reps')) || 'max'}` : plain(cell('setsReps')).replace('×', 'x');
  const rest = said(cell('rest'));
  return [
    `${implement} ${cell('name')} ${scheme}${side}`,
    load === '' ? '' : `@ ${load.replace(/\b(?:db|kb|bb|bar|dumbbells?)\b/gi, '')}`,
    rest === '' ? '' : `, rest ${rest} between sets`,
  ]
    .join(' ')
    .trim();
}

/** @returns the message with its table as sentences; null where there is none */
export function tableAsSentences(message: string): string | null {
  const lines = message.split(/\r?\n/).filter((line) => line.trim() !== '');
  const mark = ['\t', ';', ','].find((each) => lines.length > 1 && lines.every((line) => line.split(each).length >= 3));
  if (mark === undefined) return null;
  const rows = lines.map((line) => line.split(mark));
  const head = rows[0]!.map(headOf);
  const hasHead =
    head.filter((column) => column !== 'other').length >= 2 &&
    head.includes('name') &&
    (head.includes('setsReps') || head.includes('sets') || head.includes('reps') || head.includes('set'));
  const body = hasHead ? rows.slice(1) : rows;
  const columns = hasHead ? head : columnsOf(body[0] ?? []);
  if (columns.filter((column) => column === 'set').length > 1 && body.every((row) => row.some((cell) => cell.includes('@'))))
    return body.map((row) => setsSentence(row, columns)).join('\n\n');
  const isWhole = columns.includes('name') && (columns.includes('setsReps') || columns.includes('reps') || columns.includes('sets'));
  return isWhole ? body.map((row) => sentenceOf(row, columns)).join('\n\n') : null;
}
