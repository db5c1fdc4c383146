import { boardSchema, rounded } from '@gambito/contract';
import { parseWorkout, placeDay, scoreFields } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { athleteOf, knownAthlete, listAthletes } from '../athletes/store';
import { requireCoach } from '../auth/session';
import type { Services } from '../platform/app';
import { todayIn } from '../platform/days';
import { SendRow } from '../platform/models';
import { typed } from '../platform/typed';
import { rulesOf, unitsOf } from '../rules/routes';
import { makeBrief } from '../sends/brief';
import { briefOfRow } from '../sends/store';
import { findWorkout, locksOf } from '../workouts/store';
import { resultReader } from './learned';
import { scoreLength, takenScore } from './taken-score';
import { saveScore, scoresOf, scoresOfCoach, deleteScore, restoreScore } from './store';

const idParams = z.object({ id: z.coerce.number().int().positive() });
const scoreParams = idParams.extend({ scoreId: z.coerce.number().int().positive() });

export function scoreRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  const reader = resultReader();
  app.get(
    '/workouts/:id/board',
    { schema: { summary: 'Every score carried over to the workout as written', params: idParams, response: { 200: boardSchema } } },
    async (request) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      const today = todayIn(coach.timeZone, now());
      const [scores, athletes, sends] = await Promise.all([scoresOf(row.id), listAthletes(coach.id), SendRow.findAll({ where: { workoutId: row.id } })]);
      const original = parseWorkout(row.text, { units: unitsOf(coach) }).workout;
      const entries = scores.flatMap((score) => {
        const stored = athletes.find((each) => each.id === score.athleteId);
        if (!stored) return [];
        const athlete = { ...athleteOf(stored, today, row.id), name: stored.name };
        const logged = {
          scoreId: score.id,
          athleteId: score.athleteId,
          entry: score.score,
          note: score.note,
          versionText: score.versionText,
          category: athlete.category,
        };
        const versionName = score.versionText === row.text ? 'original' : 'own version';
        return [{ athlete, version: parseWorkout(score.versionText).workout, versionName, scoreText: score.score, logged }];
      });
      const history = await scoresOfCoach(coach.id);
      const learned = reader.learnedFrom(history, (id) => {
        const stored = athletes.find((each) => each.id === id);
        return stored ? athleteOf({ ...stored, results: [] }, today, null) : null;
      });
      const { boards, day } = placeDay(original, entries, learned, rulesOf(coach));
      const missing = athletes
        .filter((each) => !scores.some((score) => score.athleteId === each.id))
        .map((each) => {
          const sent = sends.find((send) => send.athleteId === each.id && send.revokedAt === null);
          return {
            athleteId: each.id,
            name: each.name,
            sent: sent !== undefined,
            category: each.file['category'] === 'women' ? ('women' as const) : ('men' as const),
            versionText: sent?.versionText ?? row.text,
            expected: sent ? briefOfRow(sent).parts.map(({ predicted }) => predicted ?? null) : [],
          };
        });
      return {
        boards: boards.map(({ label, placed }) => ({ label, rows: placed.map(({ row: line, result }) => ({ ...rounded(line), ...result.logged })) })),
        day: day && day.map(({ entry, ...line }) => ({ ...rounded(line), athlete: entry.athlete.name, ...entry.logged })),
        missing,
        fields: scoreFields(original),
        school: rulesOf(coach).board,
        dayRule: rulesOf(coach).severalScores,
      };
    },
  );
  app.post(
    '/workouts/:id/scores',
    {
      schema: {
        summary: 'Log or correct a score',
        params: idParams,
        body: z.object({ athleteId: z.number().int().positive(), score: z.string().trim().min(1).max(scoreLength), note: z.string().max(1000).default('') }),
      },
    },
    async (request) => {
      const coach = await requireCoach(request, now());
      const row = await findWorkout(coach.id, request.params.id);
      const stored = await knownAthlete(coach.id, request.body.athleteId);
      const sent = await SendRow.findOne({ where: { workoutId: row.id, athleteId: stored.id } });
      const locks = (await locksOf(row.id)).find((each) => each.athleteId === stored.id)?.locks ?? [];
      const versionText =
        sent?.versionText ?? makeBrief(row.text, athleteOf(stored, todayIn(coach.timeZone, now()), row.id), rulesOf(coach), locks, unitsOf(coach)).versionText;
      const score = takenScore(request.body.score, versionText, {
        category: athleteOf(stored, todayIn(coach.timeZone, now()), row.id).category,
        units: unitsOf(coach),
      });
      const saved = await saveScore(
        {
          workoutId: row.id,
          athleteId: stored.id,
          score,
          note: request.body.note,
          versionText,
          originalText: row.text,
          enteredBy: 'coach',
        },
        now(),
      );
      return { scoreId: saved.id };
    },
  );
  app.delete('/workouts/:id/scores/:scoreId', { schema: { summary: 'Delete a score (can be undone)', params: scoreParams } }, async (request) => {
    const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
    await deleteScore(row.id, request.params.scoreId, now());
    return { done: true };
  });
  app.post('/workouts/:id/scores/:scoreId/restore', { schema: { summary: 'Undo a deletion', params: scoreParams } }, async (request) => {
    const row = await findWorkout((await requireCoach(request, now())).id, request.params.id);
    await restoreScore(row.id, request.params.scoreId, now());
    return { done: true };
  });
}
