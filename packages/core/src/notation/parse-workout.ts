/**
 * Whiteboard text → workout, with a diagnostic for whatever is missing or doubtful. Never throws and never refuses: what cannot be read is left out and said.
 * scan (lines) → paragraphs (parts) → header and settings → items, by indentation.
 */
import { slotsOfPart } from '../workout/walk';
import { summarize, type WorkoutSummary } from '../workout/summary';
import type { Part, Tier, Workout } from '../workout/workout';
import { ItemReader } from './item-reader';
import { diagnose, type Diagnostic } from './problems';
import { readPart } from './read-part';
import { takeSettings } from './read-settings';
import { paragraphsOf, scanLines, type Line } from './scan';

export interface ParsedWorkout {
  readonly workout: Workout;
  readonly summary: WorkoutSummary;
  readonly diagnostics: readonly Diagnostic[];
  /** for each part of the workout above the tiers: the line of its first row, and the line of each slot in reading order */
  readonly places: readonly { readonly line: number; readonly slotLines: readonly number[] }[];
}

interface Section {
  readonly parts: Part[];
  readonly intent: string | null;
  readonly notes: string[];
  readonly starts: number[];
}

function readSection(lines: readonly Line[], reader: ItemReader): Section {
  const parts: Part[] = [];
  const starts: number[] = [];
  const notes: string[] = [];
  let intent: string | null = null;
  for (const paragraph of paragraphsOf(lines)) {
    const part = readPart(paragraph, reader);
    if (part) {
      parts.push(part);
      starts.push(paragraph[0]!.number);
      continue;
    }
    const { settings } = takeSettings(paragraph, () => undefined);
    const previous = parts[parts.length - 1];
    if (!previous) {
      intent = settings.intent ?? intent;
      notes.push(...settings.notes);
    } else
      parts[parts.length - 1] = {
        ...previous,
        score: settings.score ?? previous.score,
        scoreSaid: previous.scoreSaid || settings.score !== null,
        window: settings.window ?? previous.window,
        intent: settings.intent ?? previous.intent,
        notes: [...previous.notes, ...settings.notes],
        ...(previous.kind === 'forTime' ? { capSeconds: settings.capSeconds ?? previous.capSeconds } : {}),
      };
  }
  return { parts, intent, notes, starts };
}

/**
 * Reads a workout as it stands on a whiteboard.
 * @param source the text; `# title`, parts separated by blank lines, `## tier name` for tiers
 * @returns the workout, its totals and the diagnostics, in the order of the lines; an empty text gives a workout without parts and one error
 */
export function parseWorkout(source: string): ParsedWorkout {
  const reader = new ItemReader();
  const lines = scanLines(source.replace(/^\uFEFF/, ''));
  let title: string | null = null;
  const main: Line[] = [];
  const tierLines: { name: string; lines: Line[] }[] = [];
  for (const line of lines) {
    const tier = /^##+\s*(?:tier\s*:?\s+)?(.+)$/i.exec(line.text);
    const heading = /^#\s*(.+)$/.exec(line.text);
    if (tier) tierLines.push({ name: tier[1]!.trim(), lines: [] });
    else if (heading && tierLines.length === 0) {
      title ??= heading[1]!.trim();
      main.push({ ...line, text: '' });
    } else (tierLines[tierLines.length - 1]?.lines ?? main).push(line);
  }
  const section = readSection(main, reader);
  const tiers: Tier[] = tierLines.map((each) => ({ name: each.name, parts: readSection(each.lines, reader).parts }));
  if (section.parts.length === 0 && reader.problems.length === 0) reader.report({ code: 'empty', span: { line: 1, column: 1, length: 1 } });
  const workout: Workout = { title, intent: section.intent, notes: section.notes, parts: section.parts, tiers };
  const diagnostics = reader.problems.map(diagnose).sort((a, b) => a.line - b.line || a.column - b.column);
  const places = section.parts.map((part, index) => ({
    line: section.starts[index]!,
    slotLines: slotsOfPart(part).map((slot) => reader.lines.get(slot) ?? section.starts[index]!),
  }));
  return { workout, summary: summarize(workout), diagnostics, places };
}
