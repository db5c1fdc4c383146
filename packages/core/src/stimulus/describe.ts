/** The inferred stimulus in words and figures, as the coach reads it beside the text. Derived from the reference athlete's run of the workout as written. */
import { referenceCapacity } from '../capacity/reference-athlete';
import { patterns, type Pattern } from '../movements/movement';
import { wordsOf } from '../notation/format-workout';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Category, Workout } from '../workout/workout';
import { insideWindow } from './window';
import { stimulusOf } from './stimulus';

export interface StimulusLine {
  readonly label: string;
  readonly value: string;
}
export interface PartDescription {
  readonly part: number;
  readonly lines: readonly StimulusLine[];
  readonly patterns: readonly { readonly pattern: Pattern; readonly share: number }[];
  /** a coach's window the reference athlete would miss */
  readonly outsideWindow: boolean;
}

const feelWords: readonly (readonly [number, string])[] = [
  [0.35, 'very light: far from failure'],
  [0.7, 'light: unbroken'],
  [1, 'moderate: unbroken while fresh'],
  [1.6, 'heavy: broken once or twice'],
  [Infinity, 'very heavy: small sets'],
];
const domainWords: readonly (readonly [number, string])[] = [
  [180, 'short and hard'],
  [480, 'middle'],
  [960, 'long'],
  [Infinity, 'very long'],
];
const pick = (table: readonly (readonly [number, string])[], value: number): string => table.find(([upTo]) => value <= upTo)![1];

export function describeStimulus(workout: Pick<Workout, 'parts'>, category: Category): PartDescription[] {
  const capacity = referenceCapacity(category);
  const program = compile(workout, capacity);
  const run = walkProgram(program);
  return workout.parts.flatMap((part, index): PartDescription[] => {
    if (part.kind === 'rest' || slotsOfPart(part).length === 0) return [];
    const result = run.parts[index]!;
    const stimulus = stimulusOf(program, index, result);
    const seconds = result.endSeconds - result.startSeconds;
    const hardest = stimulus.slots.reduce((best, each) => (each.bout.setShare > best.bout.setShare ? each : best), stimulus.slots[0]!);
    const score =
      result.unit === 'seconds'
        ? formatClock(result.score)
        : result.unit === 'kg'
          ? `${result.score.toFixed(0)} kg`
          : `${result.score.toFixed(1)} ${result.unit}`;
    const lines: StimulusLine[] = [
      { label: 'Time', value: `${pick(domainWords, seconds)}, ${formatClock(seconds)}` },
      { label: 'Reference score', value: score },
      { label: 'Load feel', value: pick(feelWords, Math.exp(stimulus.feel)) },
      {
        label: 'Hardest set',
        value: `${wordsOf(hardest.movement)}: ${Math.round(hardest.count)} of about ${Math.max(1, Math.round(hardest.count / Math.max(0.05, hardest.bout.setShare)))} at hand`,
      },
      { label: 'Breathing', value: `${Math.round((100 * stimulus.breathing) / capacity.criticalPower)} % of sustainable power while working` },
      { label: 'Grip', value: stimulus.gripShare > 0.45 ? 'much' : stimulus.gripShare > 0.2 ? 'some' : 'little' },
    ];
    const shares = patterns
      .map((pattern) => ({ pattern, share: stimulus.patterns[pattern] }))
      .filter((each) => each.share >= 0.05)
      .sort((a, b) => b.share - a.share);
    return [{ part: index, lines, patterns: shares, outsideWindow: insideWindow(part, part.kind, result.score) === false }];
  });
}
