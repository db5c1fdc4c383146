/** Reading scores: at once when one is logged, in the background when a file, a text, a rule or the model changed. */
import { todayIn } from '../platform/days';
import { Problem } from '../platform/errors';
import { withSigns } from '../platform/leases';
import { modelRevision } from '../platform/model-revision';
import type { Urgency } from '../platform/pool/fair-queue';
import type { Services } from '../platform/services';
import { isAway } from '../platform/trouble';
import type { Unread } from './store';

async function read(services: Services, unread: Unread, urgency: Urgency, left?: AbortSignal): Promise<void> {
  const coach = await services.coaches.byId(unread.coachId);
  if (!coach) return;
  const { unfinished, setsOneScore, compositeCount } = coach.rules;
  const made = await services.pool.run(
    coach.id,
    'reading',
    {
      score: unread.score,
      versionText: unread.versionText,
      originalText: unread.originalText,
      workoutText: unread.workoutText,
      file: unread.file,
      results: unread.earlier,
      today: todayIn(coach.timeZone, unread.loggedAt),
      rules: { unfinished, setsOneScore, compositeCount },
      units: coach.units,
      who: String(unread.athleteId),
      workout: String(unread.workoutId),
    },
    urgency,
    left,
  );
  await services.readings.keep(unread, made, modelRevision);
}

const passes = (error: unknown): boolean => isAway(error) || (error instanceof Problem && ['busy', 'given_up'].includes(error.code));

/** The score is logged already: what goes wrong here is tried again in the background. @param left whoever waits for it has left */
export async function readScore(services: Services, scoreId: number, urgency: Urgency = 'now', left?: AbortSignal): Promise<void> {
  try {
    const unread = await services.readings.unread(scoreId);
    if (unread) await read(services, unread, urgency, left);
  } catch (error) {
    const passing = passes(error);
    if (!passing) await services.readings.giveUp(scoreId).catch(() => undefined);
    services.wake();
  }
}

/** Some of what waits in the background. @returns how many scores were taken */
export async function readWaiting(services: Services, most: number): Promise<number> {
  const ids = await services.readings.lease(most);
  await withSigns(
    () => services.readings.hold(ids),
    () => Promise.all(ids.map((id) => readScore(services, id, 'later'))),
  );
  return ids.length;
}
