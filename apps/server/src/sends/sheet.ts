/** A sent version as a sheet: its blocks once, and three faces of them: plain text, Markdown, and pages (PDF). */
import type { Brief } from '@gambito/contract';
import PDFDocument from 'pdfkit';

export interface SheetBlock {
  readonly kind: 'title' | 'heading' | 'line' | 'item' | 'quiet';
  /** how far a line of work stands in */
  readonly depth: number;
  readonly text: string;
}
const block = (kind: SheetBlock['kind'], text: string, depth = 0): SheetBlock => ({ kind, text, depth });

function partBlocks({ name, header, rows, lines, notes, window }: Brief['parts'][number]): SheetBlock[] {
  const row = ({ kind, depth, text, slot }: Brief['parts'][number]['rows'][number]): SheetBlock[] => {
    const line = slot === undefined ? undefined : lines[slot];
    const plates = kind === 'line' && line?.plates ? [block('quiet', line.plates, depth + 1)] : [];
    return [block('line', text, depth), ...plates];
  };
  const work = rows.length > 0 ? rows.flatMap(row) : lines.map(({ text, load }) => block('line', load ? `${text}, ${load}` : text));
  return [
    block('heading', [name, header].filter(Boolean).join(': ')),
    ...work,
    ...notes.map((note) => block('quiet', note)),
    ...(window ? [block('quiet', `Window ${window}`)] : []),
  ];
}
const listBlocks = (heading: string, lines: readonly string[]): SheetBlock[] =>
  lines.length === 0 ? [] : [block('heading', heading), ...lines.map((line) => block('item', line))];

/** Everything an athlete needs on paper, in the order it is needed. */
export function sheetOf(brief: Brief, day: string): SheetBlock[] {
  const { title, athlete, place, note, parts, warmUp, pacing, standards, cautions, warnings, coolDown } = brief;
  return [
    block('title', title),
    block('quiet', [athlete, place, day].filter(Boolean).join(', ')),
    ...(note ? [block('line', note)] : []),
    ...listBlocks('Warm-up', warmUp),
    ...parts.flatMap(partBlocks),
    ...listBlocks('Pacing', pacing),
    ...listBlocks('Cautions', [...warnings, ...cautions]),
    ...listBlocks(
      'Standards',
      standards.map(({ movement, points, noReps }) => `${movement}: ${points.join('; ')}${noReps.length > 0 ? `. No rep: ${noReps.join('; ')}` : ''}`),
    ),
    ...listBlocks('Cool-down', coolDown),
  ];
}

export function sheetText(blocks: readonly SheetBlock[]): string {
  const face: Readonly<Record<SheetBlock['kind'], (block: SheetBlock) => string>> = {
    title: ({ text }) => `${text}\n${'='.repeat(text.length)}`,
    heading: ({ text }) => `\n${text}`,
    line: ({ text, depth }) => `${'  '.repeat(depth + 1)}${text}`,
    item: ({ text }) => `  - ${text}`,
    quiet: ({ text, depth }) => `${'  '.repeat(depth)}${text}`,
  };
  return `${blocks.map((each) => face[each.kind](each)).join('\n')}\n`;
}

/** What Markdown would take for a mark of its own stays a letter. */
const plain = (text: string): string => text.replaceAll(/([\\`*_#<>[\]|])/g, '\\$1');
export function sheetMarkdown(blocks: readonly SheetBlock[]): string {
  const face: Readonly<Record<SheetBlock['kind'], (block: SheetBlock) => string>> = {
    title: ({ text }) => `# ${plain(text)}\n`,
    heading: ({ text }) => `\n## ${plain(text)}\n`,
    line: ({ text, depth }) => `${'  '.repeat(depth)}- ${plain(text)}`,
    item: ({ text }) => `- ${plain(text)}`,
    quiet: ({ text, depth }) => (depth > 0 ? `${'  '.repeat(depth)}- _${plain(text)}_` : `_${plain(text)}_\n`),
  };
  return `${blocks.map((each) => face[each.kind](each)).join('\n')}\n`;
}

/** points */
const looks: Readonly<Record<SheetBlock['kind'], { readonly font: string; readonly size: number; readonly before: number; readonly colour: string }>> = {
  title: { font: 'Times-Bold', size: 24, before: 0, colour: '#1f2933' },
  heading: { font: 'Times-Bold', size: 14, before: 9, colour: '#1f2933' },
  line: { font: 'Helvetica', size: 12, before: 2, colour: '#1f2933' },
  item: { font: 'Helvetica', size: 10, before: 1.5, colour: '#1f2933' },
  quiet: { font: 'Helvetica', size: 9.5, before: 1, colour: '#5b6570' },
};
const step = 14;
/** what the fonts of every reader have; anything else is shown as such a letter is where it is missing */
const drawable = (text: string): string => text.replaceAll(/[^\u0020-\u007E\u00A0-\u00FF\u2013\u2014\u2018\u2019\u201C\u201D\u2022\u2026\u20AC]/g, '?');

/** A4, one sheet or two. */
export function sheetPdf(blocks: readonly SheetBlock[]): Promise<Buffer> {
  const document = new PDFDocument({
    size: 'A4',
    margins: { top: 46, bottom: 46, left: 54, right: 54 },
    info: { Title: blocks[0]?.text ?? '', Creator: 'Gambito' },
  });
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
  });
  const { left } = document.page.margins;
  for (const { kind, depth, text } of blocks) {
    const { font, size, before, colour } = looks[kind];
    const inset = depth * step + (kind === 'item' ? step : 0);
    document.y += before;
    document.font(font).fontSize(size).fillColor(colour);
    // a heading stands with what follows it
    if (kind === 'heading' && document.y > document.page.height - 110) document.addPage();
    document.text(drawable(kind === 'item' ? `\u2022 ${text}` : text), left + inset, document.y, { width: document.page.width - 2 * left - inset });
  }
  document.end();
  return whole;
}
