/** What an athlete's link opens. No sign-in: the link is the key, to one version and its score. */
import { athletePageSchema } from '@gambito/contract';
import { pageText, parseWorkout } from '@gambito/core';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Services } from '../platform/app';
import type { ScoreRow } from '../platform/models';
import { WorkoutRow } from '../platform/models';
import { typed } from '../platform/typed';
import { latestScore, saveScore } from '../scores/store';
import { scoreLength, takenScore } from '../scores/taken-score';
import { briefOfRow, openLink } from './store';
import { calendarFile } from './calendar';

const tokenParams = z.object({ token: z.string().min(20).max(40) });
const limited = { config: { rateLimit: { max: 120, timeWindow: '1 minute' } } };

export function athletePageRoutes(plain: FastifyInstance, { now }: Services): void {
  const app = typed(plain);
  app.get(
    '/a/:token',
    { ...limited, schema: { summary: 'An athlete’s page', params: tokenParams, response: { 200: athletePageSchema } } },
    async (request, reply) => {
      const row = await openLink(request.params.token);
      const [workout, score] = await Promise.all([WorkoutRow.findByPk(row.workoutId), latestScore(row.workoutId, row.athleteId)]);
      void reply.header('cache-control', 'no-store').header('referrer-policy', 'no-referrer');
      return {
        brief: briefOfRow(row),
        originalText: row.originalText,
        versionText: row.versionText,
        sentAt: row.sentAt.toISOString(),
        changed: workout !== null && workout.text !== row.originalText,
        score: score ? { score: score.score, note: score.note } : null,
      };
    },
  );
  app.get('/a/:token/calendar.ics', { ...limited, schema: { summary: 'The version as a calendar entry', params: tokenParams } }, async (request, reply) => {
    const row = await openLink(request.params.token);
    const workout = await WorkoutRow.findByPk(row.workoutId);
    const { title } = briefOfRow(row);
    return reply
      .type('text/calendar; charset=utf-8')
      .header('cache-control', 'no-store')
      .header('content-disposition', 'attachment; filename="workout.ics"')
      .send(
        calendarFile({
          uid: `${row.workoutId}-${row.athleteId}@gambito`,
          title,
          text: `${pageText(parseWorkout(row.versionText).workout.parts)}`,
          url: `${request.protocol}://${request.host}/a/${request.params.token}`,
          day: workout?.day ?? row.sentAt.toISOString().slice(0, 10),
          now: now(),
        }),
      );
  });
  app.post(
    '/a/:token/score',
    {
      ...limited,
      schema: {
        summary: 'Log a score from the athlete’s page',
        params: tokenParams,
        body: z.object({ score: z.string().trim().min(1).max(scoreLength), note: z.string().max(1000).default('') }),
        response: { 200: z.object({ score: z.string(), note: z.string() }) },
      },
    },
    async (request) => {
      const row = await openLink(request.params.token);
      const { category, units } = briefOfRow(row);
      const score = takenScore(request.body.score, row.versionText, { category, units });
      const saved: ScoreRow = await saveScore(
        {
          workoutId: row.workoutId,
          athleteId: row.athleteId,
          score,
          note: request.body.note,
          versionText: row.versionText,
          originalText: row.originalText,
          enteredBy: 'athlete',
        },
        now(),
      );
      return { score: saved.score, note: saved.note };
    },
  );
}
