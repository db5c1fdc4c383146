/** Cells as they go out and come in: what a spreadsheet would take for a formula goes out as text. */
import Papa from 'papaparse';

const formula = /^[=+\-@\t\r]/;
/** A cell that no spreadsheet computes. */
export const safeCell = (cell: string): string => (formula.test(cell) ? `'${cell}` : cell);
/** The cell as it was before it was made safe. */
export const plainCell = (cell: string): string => (cell.startsWith("'") && formula.test(cell.slice(1)) ? cell.slice(1) : cell);

export interface Sheet {
  /** as written in the first row */
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** what could not be read of the file as a whole */
  readonly problems: readonly string[];
}

/** A table as text: commas, semicolons or tabs, found out by themselves. Rows without any letter are left out. */
export function readSheet(text: string): Sheet {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { delimitersToGuess: [',', ';', '\t'], skipEmptyLines: 'greedy' });
  const [headings = [], ...rows] = data;
  const problems = errors.filter(({ type }) => type === 'Quotes').map(({ row, message }) => `Row ${(row ?? 0) + 1}: ${message}.`);
  return { headings: headings.map((heading) => heading.trim()), rows: rows.map((row) => row.map((cell) => plainCell(cell.trim()))), problems };
}

export const writeSheet = (headings: readonly string[], rows: readonly (readonly string[])[]): string =>
  Papa.unparse({ fields: [...headings], data: rows.map((row) => row.map(safeCell)) }, { newline: '\r\n' });

/** Hands a text to the browser as a file. */
export function download(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
