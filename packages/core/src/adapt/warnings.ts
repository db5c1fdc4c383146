/** What a coach should see before sending: missed windows, slots nobody reaches, lost score types, collisions, locks that break a limit. */
import { compile } from '../simulate/program';
import { sentenceForObstacle } from '../kit/feasible';
import { movementOf } from '../movements/catalogue';
import { wordsOf } from '../notation/format-workout';
import { runWarnings } from '../simulate/run-warnings';
import type { Run } from '../simulate/walk-program';
import type { Intent } from '../stimulus/intent';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import type { Lock } from './adapt';
import type { VersionPart } from './version-slots';
import { choicesToMake } from './easier-push-up';
import { hardLimits } from './hard-limits';
import { historyWarnings } from './history';
import type { AdaptContext } from './question';
import { beyondPullingCap, pullingReps } from './volume-caps';

export interface VersionWarning {
  readonly code:
    | 'window_missed'
    | 'not_reached'
    | 'part_replaced'
    | 'falls_behind'
    | 'collision'
    | 'lock_breaks_limit'
    | 'over_time_available'
    | 'shortened'
    | 'no_vest'
    | 'newer_pulling'
    | 'newer_pulling_cap'
    | 'not_max_strength'
    | 'tells_little'
    | 'yours_to_choose'
    | 'novelty'
    | 'volume_jump'
    | 'time_budget';
  readonly message: string;
}
interface Input {
  readonly workout: Workout;
  readonly adapted: Workout;
  readonly versionParts: readonly VersionPart[];
  readonly intent: Intent;
  readonly run: Run;
  readonly inside: boolean | null;
  readonly context: AdaptContext;
  readonly locks: readonly Lock[];
  /** what fitting it to the minutes took away */
  readonly said: readonly string[];
  readonly elasticity: number;
}

/** elasticity below which a score hardly moves with fitness */
const littleTold = 0.4;

export function versionWarnings({ workout, adapted, versionParts, intent, run, inside, context, locks, said, elasticity }: Input): VersionWarning[] {
  const found: VersionWarning[] = [];
  const say = (code: VersionWarning['code'], message: string): void => {
    found.push({ code, message });
  };
  if (intent.shortened < 1)
    say(
      'shortened',
      `Shortened for ${context.athlete.level === 'new' ? 'a new' : 'a newer'} athlete: pieces of 12:00 and longer keep ${Math.round(intent.shortened * 100)} % of their time.`,
    );
  if (inside === false) say('window_missed', 'The predicted score lies outside the window; no version that keeps the limits comes closer.');
  if (said.length > 0) say('time_budget', `${said[0]}: ${said.slice(1).join('; ')}.`);
  if (elasticity < littleTold)
    say('tells_little', `A score in this version tells little: ${Math.round(10 / Math.max(0.1, elasticity))} % of fitness move it by 10 %.`);
  for (const { code, message } of historyWarnings(adapted, run, context)) say(code, message);
  for (const { code, message } of runWarnings(adapted.parts, run)) say(code, message);
  adapted.parts.forEach((part, index) => {
    const written = workout.parts[versionParts[index]!.from[0]!];
    if (!written) return;
    if (part.kind !== written.kind)
      say(
        'part_replaced',
        `Part ${index + 1}: ${
          written.kind === 'maxLoad'
            ? 'without loads, the max load becomes a rep test'
            : written.kind === 'strength'
              ? 'without loads, the strength sets become paced sets'
              : 'the sets would take far too long, so each becomes a piece of fixed length'
        }; the score is of another kind.`,
      );
    if (written.vest && !part.vest) say('no_vest', `Part ${index + 1}: without the vest.`);
  });
  for (const part of adapted.parts) {
    const gripping = slotsOfPart(part).filter((slot) => (movementOf(slot.movement).muscles.grip ?? 0) >= 0.6);
    const names = [...new Set(gripping.map((slot) => wordsOf(slot.movement)))];
    if (names.length >= 2 && part.kind !== 'strength' && part.kind !== 'maxLoad') say('collision', `Grip on grip: ${names.slice(0, 3).join(' and ')}.`);
    const ids = [...new Set(slotsOfPart(part).map((slot) => slot.movement))].map(movementOf);
    const hugs = ids.filter((each) => each.load?.position === 'hug');
    const trunks = ids.filter((each) => (each.patterns.trunkFlexion ?? 0) + (each.patterns.trunkBrace ?? 0) > 0.5);
    if (hugs.length > 0 && trunks.length > 0) say('collision', `A hugged load on a tired trunk: ${wordsOf(hugs[0]!.id)} and ${wordsOf(trunks[0]!.id)}.`);
    const backs = ids.filter((each) => each.avoid.includes('spinal_loading') && (each.patterns.hinge ?? 0) >= 0.4);
    if (backs.length >= 2)
      say(
        'collision',
        `Low back on low back: ${backs
          .slice(0, 3)
          .map((each) => wordsOf(each.id))
          .join(' and ')}.`,
      );
  }
  for (const lock of locks) {
    if (!lock.movement) continue;
    const obstacles = hardLimits(movementOf(lock.movement), context);
    if (obstacles.length > 0) say('lock_breaks_limit', `Locked ${wordsOf(lock.movement)}: ${obstacles.map(sentenceForObstacle).join('; ')}.`);
  }
  for (const part of versionParts)
    for (const asked of choicesToMake(
      part.slots,
      locks.filter((lock) => lock.part === part.from[0]),
      context.rules,
    ))
      say('yours_to_choose', asked);
  const available = context.athlete.timeAvailableSeconds;
  if (available !== null && run.totalSeconds > available)
    say('over_time_available', `Takes ${formatClock(run.totalSeconds)}; ${context.athlete.name} has ${formatClock(available)}.`);
  const level = context.athlete.level;
  if (level === 'new' || level === 'newer') {
    const program = compile(adapted, context.capacity, context.place);
    const over = adapted.parts.some((_, index) => beyondPullingCap(level, program, index, run.parts[index]!) > 0);
    if (over) say('newer_pulling_cap', 'More pulling than this level should do in one piece: take fewer reps, or a row.');
    if (adapted.parts.some((_, index) => pullingReps(program, index, run.parts[index]!) >= 15))
      say(
        'newer_pulling',
        'Much pulling for a newer athlete: watch for soreness over the next days, and stop at dark urine or swelling (see a doctor at once).',
      );
  }
  if (
    context.athlete.level === 'competitive' &&
    workout.parts.some((part) => part.kind === 'maxLoad' || part.kind === 'strength') &&
    !context.place.kit.some((item) => item.kind === 'barbell')
  )
    say('not_max_strength', 'Without a barbell this keeps strength but will not build maximal strength in an advanced lifter.');
  return found;
}
