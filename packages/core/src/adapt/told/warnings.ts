/** What a coach should see before sending: missed windows, slips of the window, what the last gate found, slots nobody reaches, collisions, locks that break a limit. */
import { sentenceForObstacle } from '../../limits/feasible';
import { movementOf } from '../../movements/catalogue';
import type { Movement } from '../../movements/movement';
import { formatWindow, nameOf, plainName, wordsOf } from '../../notation/format-workout';
import { runWarnings } from '../../simulate/run-warnings';
import type { Run } from '../../simulate/walk-program';
import type { Intent } from '../../stimulus/intent';
import { formatClock } from '../../units/duration';
import { slotsOfPart } from '../../workout/walk';
import type { Part, Slot, Workout } from '../../workout/workout';
import { unreadLines } from '../line-lock';
import { partLocks, type Lock } from '../lock';
import { isHangingPull } from '../gate/volume-caps';
import type { PlannedPart } from '../part/plan-parts';
import type { PartPlan } from '../part/search';
import { withoutRack } from '../../limits/bar-without-rack';
import { hardLimits } from '../slot/hard-limits';
import { isNewer, type AdaptContext } from '../slot/question';
import { choicesToMake } from './easier-push-up';
import { historyWarnings } from './history';
import { isUnchecked, nameSays } from './not-checked';
import { capital } from './why-left';
import type { VersionPart } from './version-slots';

export interface VersionWarning {
  readonly code:
    | 'window_missed'
    | 'off_pace'
    | 'window_slip'
    | 'by_hand'
    | 'load_not_owned'
    | 'line_unread'
    | 'sense'
    | 'not_reached'
    | 'part_replaced'
    | 'falls_behind'
    | 'collision'
    | 'lock_breaks_limit'
    | 'over_time_available'
    | 'shortened'
    | 'no_vest'
    | 'newer_pulling'
    | 'not_max_strength'
    | 'tells_little'
    | 'yours_to_choose'
    | 'novelty'
    | 'volume_jump'
    | 'time_budget'
    | 'not_checked';
  readonly message: string;
}
/** what its athlete should know of a version; the others are for the coach */
const athletesOwn: ReadonlySet<VersionWarning['code']> = new Set<VersionWarning['code']>([
  'novelty',
  'newer_pulling',
  'no_vest',
  'part_replaced',
  'shortened',
  'time_budget',
  'not_checked',
]);
export const forTheAthlete = (warnings: readonly VersionWarning[]): VersionWarning[] => warnings.filter(({ code }) => athletesOwn.has(code));

export interface WarningsAsked {
  readonly workout: Workout;
  readonly adapted: Workout;
  readonly planned: readonly PlannedPart[];
  readonly versionParts: readonly VersionPart[];
  readonly intent: Intent;
  readonly run: Run;
  readonly context: AdaptContext;
  readonly locks: readonly Lock[];
  /** frames the coach gave a part that are none */
  readonly unreadFrames: readonly string[];
  /** what the cut for newer athletes changed, in words */
  readonly cut: readonly string[];
  /** what fitting it to the minutes took away */
  readonly said: readonly string[];
  readonly elasticity: number;
}
type Say = (code: VersionWarning['code'], message: string) => void;

/** elasticity below which a score hardly moves with fitness */
const littleTold = 0.4;
/** hanging pulls from which a newer athlete is told to watch for soreness (round figure) */
const soreFrom = 15;

export function versionWarnings(asked: WarningsAsked): VersionWarning[] {
  const found: VersionWarning[] = [];
  const say: Say = (code, message) => void found.push({ code, message });
  sayCuts(asked, say);
  sayScores(asked, say);
  for (const { code, message } of historyWarnings(asked.adapted, asked.run, asked.context)) say(code, message);
  for (const { code, message } of runWarnings(asked.adapted.parts, asked.run)) say(code, message);
  asked.planned.forEach((planned, index) => sayReplaced(asked, planned, index, say));
  for (const part of asked.adapted.parts) sayCollisions(part, say);
  sayLocks(asked, say);
  sayPerson(asked, say);
  sayUnchecked(asked, say);
  return found;
}

/** What Gambito does not know, once each. */
function sayUnchecked({ adapted, context }: WarningsAsked, say: Say): void {
  const unchecked = adapted.parts.flatMap(slotsOfPart).filter(isUnchecked);
  const byName = new Map(unchecked.map((slot) => [plainName(slot).toLowerCase(), slot]));
  for (const [name, slot] of byName) {
    const asks = nameSays(slot, context).map((clause) => ` ${capital(clause)}.`);
    say('not_checked', `Not checked: “${name}”. Gambito does not know this movement, so nobody looked at room, kit or limits for it.${asks.join('')}`);
  }
}

function sayCuts({ cut, said, context }: WarningsAsked, say: Say): void {
  if (cut.length > 0) say('shortened', `Shortened once for a ${context.athlete.level} athlete: ${cut.join('; ')}.`);
  if (said.length > 0) say('time_budget', `${said[0]}: ${said.slice(1).join('; ')}.`);
}

/** What of a part stays outside its band, and why no edit reaches it. */
function sayScores({ planned, intent, elasticity }: WarningsAsked, say: Say): void {
  planned.forEach(({ plan }, index) => {
    const band = plan?.space.band;
    if (!plan || !band) return;
    const { window } = intent.parts[index]!;
    if (band.slip && window)
      say(
        'window_slip',
        `Part ${index + 1}: the reference athlete comes to ${scoreText(intent.parts[index]!.stimulus.score, band.up)}, outside the window of ${formatWindow(window)}; the text is kept, and nobody is driven for it.`,
      );
    else if (!plan.met && plan.evaluated.beyond !== 0 && band.windowed)
      say(
        'window_missed',
        `Part ${index + 1}: ${scoreText(plan.result.score, band.up)}, outside the window; no edit a coach would make brings it in, nor do two.`,
      );
    else if (!plan.met && plan.evaluated.beyond !== 0) say('off_pace', offPace(plan, intent.parts[index]!.stimulus.score, index));
  });
  // where everybody who does it all has the same score there is nothing to tell
  if (elasticity < littleTold && elasticity > 0.005)
    say('tells_little', `A score in this version tells little of fitness: somebody a tenth fitter does it ${(10 * elasticity).toFixed(1)} % better.`);
}
function offPace({ evaluated, result, options, space }: PartPlan, reference: number, index: number): string {
  const up = evaluated.part.kind === 'amrap';
  const compared = `Part ${index + 1}: ${scoreText(result.score, up)} where the reference comes to ${scoreText(reference, up)}`;
  const short = options.find(({ rank }) => rank.short > 0);
  if (evaluated.beyond < 0 && short)
    return `${compared}; nobody does more ${wordsOf(short.movement)} than that at once. Several rounds of two movements last longer.`;
  if (evaluated.beyond > 0) return `${compared}; no edit a coach would make brings it nearer, nor do two.`;
  const isSwapped = options.some(({ movement }, at) => movement !== space.questions[at]!.slot.movement);
  return isSwapped
    ? `${compared}; what stands in goes faster, and there is no more load to give.`
    : `${compared}; somebody so fit gets more load and no other text, and there is no more load to give.`;
}
const scoreText = (score: number, rounds: boolean): string => (rounds ? `${score.toFixed(1)} rounds` : formatClock(score));

function sayReplaced({ workout, adapted, versionParts }: WarningsAsked, { findings, replaced }: PlannedPart, index: number, say: Say): void {
  const part = adapted.parts[index]!;
  const written = workout.parts[versionParts[index]!.from[0]!];
  for (const { message } of findings) say('sense', `Part ${index + 1}: ${message} Look at it before you send it.`);
  if (!written) return;
  if (replaced)
    say(
      'part_replaced',
      part.kind === 'strength'
        ? `Part ${index + 1}: without the loads for a max it becomes hard sets, the best of them scored as an estimated max.`
        : `Part ${index + 1}: the sets would take far too long, so each becomes a piece of fixed length; the score is of another kind.`,
    );
  if (written.vest && !part.vest) say('no_vest', `Part ${index + 1}: without the vest.`);
}

/** Names as they stand in the version, each once. */
const namesOf = (slots: readonly Slot[]): string[] => [...new Set(slots.map(nameOf))];
function sayCollisions(part: Part, say: Say): void {
  const slots = slotsOfPart(part);
  const like = (fits: (card: Movement) => boolean): string[] => namesOf(slots.filter(({ movement }) => fits(movementOf(movement))));
  const grips = like(({ muscles }) => (muscles.grip ?? 0) >= 0.6);
  if (grips.length >= 2 && part.kind !== 'strength' && part.kind !== 'maxLoad') say('collision', `Grip on grip: ${grips.slice(0, 3).join(' and ')}.`);
  const [hug] = like(({ load }) => load?.position === 'hug');
  const [trunk] = like(({ patterns }) => (patterns.trunkFlexion ?? 0) + (patterns.trunkBrace ?? 0) > 0.5);
  if (hug && trunk) say('collision', `A hugged load on a tired trunk: ${hug} and ${trunk}.`);
  const backs = like(({ avoid, patterns }) => avoid.includes('spinal_loading') && (patterns.hinge ?? 0) >= 0.4);
  if (backs.length >= 2) say('collision', `Low back on low back: ${backs.slice(0, 3).join(' and ')}.`);
}

function sayLocks({ locks, unreadFrames, context, versionParts }: WarningsAsked, say: Say): void {
  for (const { movement, part } of partLocks(locks)) {
    if (!movement) continue;
    const kg = Math.max(
      0,
      ...versionParts
        .filter(({ from }) => from[0] === part)
        .flatMap(({ slots }) => slots.flatMap((slot) => (slot.movement === movement ? (slot.load?.kg ?? []) : []))),
    );
    const rack = withoutRack(movementOf(movement), kg, context.place, context.capacity);
    const obstacles = [...hardLimits(movementOf(movement), context).map(sentenceForObstacle), ...(rack === null ? [] : [rack])];
    if (obstacles.length > 0) say('lock_breaks_limit', `Locked ${wordsOf(movement)}: ${obstacles.join('; ')}.`);
  }
  for (const line of unreadLines(locks)) say('line_unread', `“${line}” is not one movement Gambito knows; its line is computed.`);
  for (const frame of unreadFrames) say('line_unread', `“${frame}” is no frame for this work, such as “4 rounds for time, cap 12:00”; it is computed.`);
  for (const part of versionParts)
    for (const choice of choicesToMake(
      part.slots,
      partLocks(locks).filter((lock) => lock.part === part.from[0]),
      context.rules,
    ))
      say('yours_to_choose', choice);
}

function sayPerson({ workout, adapted, run, context }: WarningsAsked, say: Say): void {
  const { athlete, place } = context;
  if (athlete.timeAvailableSeconds !== null && run.totalSeconds > athlete.timeAvailableSeconds)
    say('over_time_available', `Takes ${formatClock(run.totalSeconds)}; ${athlete.name} has ${formatClock(athlete.timeAvailableSeconds)}.`);
  const pulls = run.trace.filter((block) => {
    const slot = slotsOfPart(adapted.parts[block.part]!)[block.slot];
    return slot !== undefined && isHangingPull(movementOf(slot.movement));
  });
  if (isNewer(athlete) && pulls.reduce((sum, { count }) => sum + count, 0) >= soreFrom)
    say('newer_pulling', 'Much pulling for a newer athlete: watch for soreness over the next days, and stop at dark urine or swelling (see a doctor at once).');
  const heavy = workout.parts.some((part) => part.kind === 'maxLoad' || part.kind === 'strength');
  if (athlete.level === 'competitive' && heavy && !place.kit.some((item) => item.kind === 'barbell'))
    say('not_max_strength', 'Without a barbell this keeps strength but will not build maximal strength in an advanced lifter.');
}
