/** Logging, deleting and restoring scores. What is logged is read at once by the workers, or in the background where they are busy. */
import type { Measured } from '@gambito/contract';
import type { Coach } from '../auth/store';
import { readScore } from '../readings/use-cases';
import type { Services } from '../platform/services';
import type { OpenLink } from '../sends/store';
import type { NewScore } from './store';
import { makeVersion } from '../sends/use-cases';

interface Typed {
  readonly score: string;
  readonly note: string;
  readonly rating?: number | null | undefined;
  readonly measured?: Measured | null | undefined;
  /** of the version that was done, where the page says it */
  readonly versionText?: string | undefined;
}

/** What was said of the session beside its score; what was left out stands as it was. */
const saidOf = ({ rating, measured }: Typed): Pick<NewScore, 'rating' | 'measured'> => ({
  ...(rating === undefined ? {} : { rating }),
  ...(measured === undefined ? {} : { measured }),
});

/** The version this athlete was sent, or would be sent now. */
async function versionOf(services: Services, coach: Coach, workoutId: number, text: string, athleteId: number): Promise<string> {
  const sent = await services.sends.versionFor(workoutId, athleteId);
  if (sent !== null) return sent;
  const locks = (await services.workouts.locks(workoutId)).find((each) => each.athleteId === athleteId)?.locks ?? [];
  return (await makeVersion(services, coach, { workoutId, text, athleteId, locks })).versionText;
}

/** @throws {Problem} not_found, bad_score @returns the score's number */
export async function logByCoach(services: Services, coach: Coach, workoutId: number, athleteId: number, typed: Typed): Promise<number> {
  const { text } = await services.workouts.find(coach.id, workoutId);
  const category = (await services.athletes.find(coach.id, athleteId)).file['category'] === 'women' ? 'women' : 'men';
  const versionText = await versionOf(services, coach, workoutId, text, athleteId);
  const score = await services.pool.run(coach.id, 'score', { typed: typed.score, versionText, category, units: coach.units });
  const entry = {
    coachId: coach.id,
    workoutId,
    athleteId,
    score,
    note: typed.note,
    versionText,
    originalText: text,
    enteredBy: 'coach' as const,
    enteredName: coach.name,
    ...saidOf(typed),
  };
  const id = await services.scores.save(entry, services.now());
  await readScore(services, id);
  return id;
}

/** @throws {Problem} bad_score */
export async function logByLink(services: Services, link: OpenLink, typed: Typed): Promise<Typed> {
  const { coachId, workoutId, athleteId, originalText, brief } = link;
  // a score of the version before is never read as one of the version after
  const versionText = typed.versionText ?? link.versionText;
  const { category, units } = brief;
  const score = await services.pool.run(coachId, 'score', { typed: typed.score, versionText, category, units });
  const id = await services.scores.save(
    {
      coachId,
      workoutId,
      athleteId,
      score,
      note: typed.note,
      versionText,
      originalText,
      enteredBy: 'athlete',
      ...saidOf(typed),
    },
    services.now(),
  );
  // the athlete does not wait for the board
  void readScore(services, id, 'later');
  return { score, note: typed.note };
}

/** Whether later versions, and what is learned of swaps, count with it: the coach's word against the model's. */
export async function letCount(services: Services, coach: Coach, workoutId: number, id: number, counts: boolean): Promise<void> {
  await services.workouts.find(coach.id, workoutId);
  await services.scores.setCounts(workoutId, id, counts);
  services.wake();
}

export async function removeScore(services: Services, coach: Coach, workoutId: number, id: number): Promise<void> {
  await services.workouts.find(coach.id, workoutId);
  await services.scores.remove(coach.id, workoutId, id, services.now());
  services.wake();
}

export async function restoreScore(services: Services, coach: Coach, workoutId: number, id: number): Promise<void> {
  await services.workouts.find(coach.id, workoutId);
  await services.scores.restore(coach.id, workoutId, id, services.now());
  await readScore(services, id);
}
