/** What a coach should see before sending: missed windows, slots nobody reaches, lost score types, collisions, locks that break a limit. */
import { sentenceForObstacle } from '../kit/feasible';
import { movementOf } from '../movements/catalogue';
import { wordsOf } from '../notation/format-workout';
import { runWarnings } from '../simulate/run-warnings';
import type { Run } from '../simulate/walk-program';
import type { Intent } from '../stimulus/intent';
import { formatClock } from '../units/duration';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import type { Lock, VersionPart } from './adapt';
import { hardLimits } from './hard-limits';
import type { AdaptContext } from './question';

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
    | 'not_max_strength';
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
}

export function versionWarnings({ workout, adapted, versionParts, intent, run, inside, context, locks }: Input): VersionWarning[] {
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
  for (const { code, message } of runWarnings(adapted.parts, run)) say(code, message);
  adapted.parts.forEach((part, index) => {
    if (workout.parts[index] && part.kind !== workout.parts[index].kind)
      say(
        'part_replaced',
        `Part ${index + 1}: without loads, ${workout.parts[index].kind === 'maxLoad' ? 'the max load becomes a rep test' : 'the strength sets become paced sets'}; the score is of another kind.`,
      );
    if (workout.parts[index]?.vest && !part.vest) say('no_vest', `Part ${index + 1}: without the vest.`);
  });
  for (const part of adapted.parts) {
    const gripping = slotsOfPart(part).filter((slot) => (movementOf(slot.movement).muscles.grip ?? 0) >= 0.6);
    const names = [...new Set(gripping.map((slot) => wordsOf(slot.movement)))];
    if (names.length >= 2 && part.kind !== 'strength' && part.kind !== 'maxLoad') say('collision', `Grip on grip: ${names.slice(0, 3).join(' and ')}.`);
  }
  for (const lock of locks) {
    if (!lock.movement) continue;
    const obstacles = hardLimits(movementOf(lock.movement), context);
    if (obstacles.length > 0) say('lock_breaks_limit', `Locked ${wordsOf(lock.movement)}: ${obstacles.map(sentenceForObstacle).join('; ')}.`);
  }
  const available = context.athlete.timeAvailableSeconds;
  if (available !== null && run.totalSeconds > available)
    say('over_time_available', `Takes ${formatClock(run.totalSeconds)}; ${context.athlete.name} has ${formatClock(available)}.`);
  const level = context.athlete.level;
  if (level === 'new' || level === 'newer') {
    const pulls = versionParts
      .flatMap((part) => part.slots)
      .some((slot) => slot.movement.includes('pull-up') && slot.reps.reduce((sum, each) => sum + each, 0) >= 15);
    if (pulls)
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
