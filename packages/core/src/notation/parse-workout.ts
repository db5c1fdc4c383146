/**
 * Whiteboard text → workout, with a diagnostic for whatever is missing or doubtful. Never throws and never refuses: what is not understood is kept as a note and said.
 * lines → paragraphs → pieces (one a part) → header and settings → items, by indentation.
 */
import { movementOf } from '../movements/catalogue';
import { movementNamedIn } from '../movements/names';
import { slotsOfPart } from '../workout/walk';
import { summarize, type WorkoutSummary } from '../workout/summary';
import type { MassUnit } from '../units/mass';
import type { Part, Tier, Workout } from '../workout/workout';
import { ItemReader } from './item-reader';
import { joinParagraphs } from './join-paragraphs';
import { paragraphsOf, scanLines, spanOfLine, type Line } from './lines';
import type { Diagnostic, ReadProblem } from './problems';
import { readPart } from './read-part';
import { takeOwn } from './read-own';
import { bothIntents, takeSettings } from './read-settings';
import { diagnose } from './sentences';
import { isTitle, splitParagraph } from './split-paragraph';

export interface ParsedWorkout {
  readonly workout: Workout;
  readonly summary: WorkoutSummary;
  readonly diagnostics: readonly Diagnostic[];
  /** for each part of the workout above the tiers: the line of its first row, and the line of each slot in reading order */
  readonly places: readonly { readonly line: number; readonly slotLines: readonly number[] }[];
}
export interface ReadOptions {
  /** what a load without a unit is taken in */
  readonly units?: MassUnit;
}

interface Section {
  title: string | null;
  readonly parts: Part[];
  intent: string | null;
  readonly notes: string[];
  readonly starts: number[];
}

function readSection(lines: readonly Line[], reader: ItemReader, title: string | null): Section {
  const section: Section = { title, parts: [], intent: null, notes: [], starts: [] };
  const [above, ...below] = paragraphsOf(lines);
  const titled = title === null && above !== undefined && below.length > 0 && isTitle(above);
  if (titled) takeProse(above, section);
  for (const paragraph of joinParagraphs(titled ? below : paragraphsOf(lines)))
    for (const piece of splitParagraph(paragraph)) {
      const first = piece.lines[0] ?? piece.prose[0];
      const name = takeProse(piece.prose, section);
      const part = piece.lines.length > 0 ? readPart(piece.lines, piece.label, reader) : null;
      if (part) {
        section.parts.push(name && part.name === null ? { ...part, name } : part);
        section.starts.push(first!.number);
      } else addLoose(section, piece.lines, reader);
    }
  return section;
}

/** Words above the first header are the title; above another one they name its part. */
function takeProse(prose: readonly Line[], section: Section): string | null {
  const [first, ...more] = prose.map((line) => line.text.replace(/^"|"$/g, '').replace(/[:.\s]+$/, ''));
  section.notes.push(...more);
  if (first === undefined) return null;
  if (section.title !== null || section.parts.length > 0) return first;
  section.title = first;
  return null;
}

/** Settings and words that stand apart from any part belong to the part before them, or to the workout. */
function addLoose(section: Section, lines: readonly Line[], reader: ItemReader): void {
  const { settings } = takeSettings(lines, () => undefined);
  const notes = [...settings.notes, ...reader.notes.filter((note) => !settings.notes.includes(note))];
  reader.notes = [];
  const previous = section.parts[section.parts.length - 1];
  if (!previous) {
    section.intent = bothIntents(section.intent, settings.intent);
    section.notes.push(...notes);
    return;
  }
  section.parts[section.parts.length - 1] = {
    ...previous,
    score: settings.score ?? previous.score,
    scoreSaid: previous.scoreSaid || settings.score !== null,
    window: settings.window ?? previous.window,
    intent: bothIntents(previous.intent, settings.intent),
    notes: [...previous.notes, ...notes],
    ...(previous.kind === 'forTime' ? { capSeconds: settings.capSeconds ?? previous.capSeconds } : {}),
  };
}

interface Document {
  title: string | null;
  readonly main: Line[];
  readonly tiers: { name: string; lines: Line[] }[];
}
/** `# title`, a first line in quotes, and `## tier name`. */
function splitDocument(lines: readonly Line[]): Document {
  const document: Document = { title: null, main: [], tiers: [] };
  for (const line of lines) {
    const tier = /^##+\s*(?:tier\s*:?\s+)?(.+)$/i.exec(line.text);
    const heading = /^#\s*([^#].*)$/.exec(line.text) ?? (document.main.every(({ text }) => text === '') ? quotedTitle(line) : null);
    if (tier) document.tiers.push({ name: tier[1]!.trim(), lines: [] });
    else if (heading && document.tiers.length === 0 && document.title === null) {
      document.title = heading[1]!.trim();
      document.main.push({ ...line, text: '' });
    } else (document.tiers[document.tiers.length - 1]?.lines ?? document.main).push(line);
  }
  return document;
}
const quotedTitle = (line: Line): RegExpExecArray | null => /^["“„']([^"“”']+)["”“']$/.exec(line.text);

/** Where nothing was read as work, a line that names a movement was meant as some. */
function tellUnreadWork(lines: readonly Line[], { parts }: Section, report: ItemReader['report']): void {
  if (parts.length === 0 || parts.some((part) => slotsOfPart(part).length > 0)) return;
  for (const line of lines) {
    const id = movementNamedIn(line.text);
    if (id) report({ code: 'unread_work', span: spanOfLine(line), text: line.text, movement: movementOf(id).name });
  }
}

const samePlace = (a: Diagnostic, b: Diagnostic): boolean => a.line === b.line && a.column === b.column && a.code === b.code && a.message === b.message;
function toDiagnostics(problems: readonly ReadProblem[]): Diagnostic[] {
  const all = problems.map(diagnose).sort((a, b) => a.line - b.line || a.column - b.column);
  return all.filter((each, index) => index === 0 || !samePlace(each, all[index - 1]!));
}

/**
 * Reads a workout as it stands on a whiteboard, in a chat or in a spreadsheet.
 * @param source the text; `# title`, parts separated by blank lines, `## tier name` for tiers
 * @returns the workout, its totals and the diagnostics, in the order of the lines; an empty text gives a workout without parts and one error
 */
export function parseWorkout(source: string, { units = 'kg' }: ReadOptions = {}): ParsedWorkout {
  const early: ReadProblem[] = [];
  const { lines, own, unread } = takeOwn(
    scanLines(source.replace(/^\uFEFF/, ''), (problem) => early.push(problem)),
    (problem) => early.push(problem),
  );
  const reader = new ItemReader(units, own);
  early.forEach(reader.report);
  const document = splitDocument(lines);
  const section = readSection(document.main, reader, document.title);
  const tiers: Tier[] = document.tiers.map((each) => ({ name: each.name, parts: readSection(each.lines, reader, each.name).parts }));
  tellUnreadWork(document.main, section, reader.report);
  if (section.parts.length === 0) reader.report({ code: 'empty', span: { line: 1, column: 1, length: 1 } });
  const workout: Workout = {
    title: section.title,
    intent: section.intent,
    notes: [...section.notes, ...unread],
    parts: section.parts,
    tiers,
    ...(own.size > 0 ? { own: [...own.values()] } : {}),
  };
  const places = section.parts.map((part, index) => ({
    line: section.starts[index]!,
    slotLines: slotsOfPart(part).map((slot) => reader.lines.get(slot) ?? section.starts[index]!),
  }));
  return { workout, summary: summarize(workout), diagnostics: toDiagnostics(reader.problems), places };
}
