/** What was changed of the text, each as a chip that can be taken back alone, with the score it costs or wins. */
import { movementOf } from '../../movements/catalogue';
import { plainName, wordsOf } from '../../notation/format-workout';
import { formatClock } from '../../units/duration';
import { formatMass } from '../../units/mass';
import { itemLists, slotsOfPart } from '../../workout/walk';
import type { Block, Part, Slot } from '../../workout/workout';
import { evaluatePoint } from '../part/evaluate';
import type { PlannedPart } from '../part/plan-parts';
import { replaced } from '../part/edits-of';
import { isAsWritten, loadFor, writtenKg } from '../slot/load';
import { noLever, type Option } from '../slot/option';
import { withLoad } from '../part/share-loads';
import { withCount } from '../part/edits-of';
import type { AdaptContext } from '../slot/question';
import { nameOf, sameCount } from './explain';
import { countText } from './words';

export interface VersionEdit {
  readonly kind: 'load' | 'swap' | 'count' | 'rounds' | 'scheme' | 'clock' | 'part';
  /** slot of the version's part, null where the part as a whole is changed */
  readonly slot: number | null;
  /** `24 kg for 40`, `4 rounds of 5` */
  readonly text: string;
  /** the part's score without this edit, in its unit; null where it cannot be taken back */
  readonly without: number | null;
  /** what takes it back: a lock of the part as it was written; null where nothing can */
  readonly undo: { readonly slot: number; readonly reps?: number; readonly loadKg?: number; readonly movement?: string; readonly scheme?: true } | null;
}

const outer = (part: Part): Block | undefined => itemLists(part)[0]?.find((item): item is Block => item.kind === 'block');

/** @param written the part as the coach wrote it, before the cuts for newer athletes and minutes */
export function editsOfPart(written: Part, planned: PlannedPart, context: AdaptContext): VersionEdit[] {
  const { plan, searched } = planned;
  if (!plan) return [];
  return [
    ...partEdits(written, planned),
    ...slotsOfPart(searched)
      .flatMap((_, slot) => slotEdits(written, planned, slot, context))
      .filter((edit, at, all) => isFirst(edit, at, all)),
  ];
}
/** Slots written alike were changed alike: one chip for all. */
const isFirst = (edit: VersionEdit, at: number, all: readonly VersionEdit[]): boolean =>
  all.findIndex((each) => each.kind === edit.kind && each.text === edit.text) === at;

function partEdits(written: Part, { part, plan }: PlannedPart): VersionEdit[] {
  const edits: VersionEdit[] = [];
  if (part.kind !== written.kind)
    edits.push({ kind: 'part', slot: null, text: part.kind === 'strength' ? 'hard sets for a max' : 'sets by the clock', without: null, undo: null });
  const clocks = clockOf(written) !== clockOf(part) && part.kind === written.kind;
  if (clocks)
    edits.push({
      kind: 'clock',
      slot: null,
      text: clockOf(written) === null ? `${clockOf(part)}, none written` : `${clockOf(part)} for ${clockOf(written)}`,
      without: null,
      undo: null,
    });
  const [before, after] = [outer(written), outer(part)];
  const pulled = plan!.lever !== noLever && (plan!.lever.rounds !== null || plan!.lever.ladder !== null);
  const without = pulled ? evaluatePoint(plan!.space, plan!.options, noLever).result.score : null;
  const undo = pulled ? ({ slot: 0, scheme: true } as const) : null;
  if (before?.ladder && after?.ladder && before.ladder.join() !== after.ladder.join())
    edits.push({ kind: 'scheme', slot: null, text: `${after.ladder.join('-')} for ${before.ladder.join('-')}`, without, undo });
  else if (before && after && !before.ladder && before.rounds.high !== after.rounds.high)
    edits.push({ kind: 'rounds', slot: null, text: `${after.rounds.high} rounds for ${before.rounds.high}`, without, undo });
  return edits;
}
function clockOf(part: Part): string | null {
  switch (part.kind) {
    case 'amrap':
      return `${part.sets > 1 ? `${part.sets} × ` : ''}${formatClock(part.seconds.high)}`;
    case 'every':
    case 'windows':
      return formatClock(part.count * part.intervalSeconds);
    case 'forTime':
      return part.capSeconds === null ? null : `cap ${formatClock(part.capSeconds)}`;
    case 'intervals':
      return `${part.segments.length} intervals`;
    case 'strength':
      return `${part.sets} sets`;
    default:
      return null;
  }
}

function slotEdits(written: Part, planned: PlannedPart, at: number, context: AdaptContext): VersionEdit[] {
  const plan = planned.plan!;
  const option = plan.options[at]!;
  const { slot } = plan.space.questions[at]!;
  const score = (change: Option): number =>
    evaluatePoint(
      plan.space,
      replaced(plan.options, [at], () => change),
      plan.lever,
    ).result.score;
  if (option.movement !== slot.movement) return [swapEdit(written, planned, at, context, score)];
  return [...loadEdit(planned, at, context, score), ...countEdit(planned, at, context, score)];
}

/** Another movement; what could be done as it was written can be taken back, but for one half of what was taken apart. */
function swapEdit(written: Part, { plan, from }: PlannedPart, at: number, context: AdaptContext, score: (change: Option) => number): VersionEdit {
  const { options, questions } = plan!.space;
  const { slot } = questions[at]!;
  const whole = slotsOfPart(written)[from[at]!]?.movement === slot.movement;
  const back = whole ? options[at]!.find(({ movement }) => movement === slot.movement) : undefined;
  return {
    kind: 'swap',
    slot: at,
    text: swapText(plan!.options[at]!, slot, context),
    without: back ? score(back) : null,
    undo: back ? { slot: from[at]!, movement: slot.movement } : null,
  };
}

/** The count beside it only where it is another. */
function swapText(option: Option, slot: Slot, { athlete }: AdaptContext): string {
  const same = slot.count.kind === 'rung' || slot.count.kind === 'max' || sameCount(option, slot, athlete.category);
  const [now, then] = [nameOf(option), plainName(slot)];
  return same ? `${now} for ${then}` : `${countText(option, athlete.category)} ${now} for ${countText(slot, athlete.category)} ${then}`;
}

function loadEdit(planned: PlannedPart, at: number, context: AdaptContext, score: (change: Option) => number): VersionEdit[] {
  const { space, options } = planned.plan!;
  const [option, question] = [options[at]!, space.questions[at]!];
  const kg = writtenKg(question.slot, context, movementOf(question.slot.movement));
  if (!option.load || kg === null) return [];
  const { units } = context.athlete;
  const text = `${formatMass(option.load.grams / 1000, units)} for ${formatMass(kg / option.load.count, units)}`;
  const back = loadFor({ movement: movementOf(option.movement), nearness: option.nearness, source: question.slot }, question, context)?.load;
  const undoable = back && back.grams !== option.load.grams;
  // the nearest that is owned is as written, unless the search stepped there from one that is nearer
  if (!undoable && isAsWritten(option.load, kg)) return [];
  return [
    {
      kind: 'load',
      slot: at,
      text,
      without: undoable ? score(withLoad(option, back, question, context)) : null,
      undo: undoable ? { slot: planned.from[at]!, loadKg: back.grams / 1000 } : null,
    },
  ];
}

function countEdit(planned: PlannedPart, at: number, context: AdaptContext, score: (change: Option) => number): VersionEdit[] {
  const { space, options } = planned.plan!;
  const [option, question] = [options[at]!, space.questions[at]!];
  const { slot } = question;
  const { category } = context.athlete;
  if (sameCount(option, slot, category)) return [];
  const written = slot.count.kind === 'fixed' ? slot.count[category] : null;
  const back = written === null ? null : withCount(option, written, { question, context });
  return [
    {
      kind: 'count',
      slot: at,
      text: `${countText(option, category)} ${wordsOf(option.movement)} for ${countText(slot, category)}`,
      without: back ? score(back) : null,
      undo: written === null ? null : { slot: planned.from[at]!, reps: written },
    },
  ];
}
