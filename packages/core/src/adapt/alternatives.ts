/** The ranked alternatives of one slot of a version: what a coach sees on pointing at it, with the effect of each on time and drift. */
import { describeLoad } from '../kit/loads';
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import { movementOf } from '../movements/catalogue';
import { defaultRules } from '../rules/house-rules';
import { deriveIntent } from '../stimulus/intent';
import { sentenceForObstacle } from '../kit/feasible';
import type { Workout } from '../workout/workout';
import { askedOf, contextFor, type AdaptOptions } from './adapt';
import { choicesFor } from './candidates';
import { hardLimits } from './hard-limits';
import { countText, givesUpOf, markOf, reasonOf, type Mark } from './explain';
import { planParts } from './plan-parts';
import { evaluateChoice } from './search';
import { questionsOf } from './space';

export interface Alternative {
  readonly movement: string;
  readonly count: string;
  readonly load: string | null;
  readonly reps: number | null;
  readonly loadKg: number | null;
  readonly mark: Mark;
  readonly reason: string;
  readonly givesUp: readonly string[];
  /** the part's predicted score with it, in the part's unit */
  readonly score: number;
  readonly unit: string;
  readonly timeDrift: number;
  readonly drift: number;
  readonly chosen: boolean;
  /** null when it may be done here; else why not, and choosing it means overriding */
  readonly blocked: string | null;
}

/**
 * @param asked a movement the coach asks about; it is answered even when it breaks a limit
 */
export function alternativesFor(
  workout: Workout,
  athlete: Athlete,
  at: { readonly part: number; readonly slot: number },
  options: AdaptOptions = {},
  asked: string | null = null,
): Alternative[] {
  const rules = options.rules ?? defaultRules;
  const context = contextFor(athlete, options.place ?? athlete.places[0] ?? barePlace, rules);
  const { workout: fitted, from } = askedOf(workout, athlete, context.capacity, rules);
  const intent = deriveIntent(fitted, athlete.category, athlete.level, rules);
  const index = from.indexOf(at.part);
  const locks = options.locks ?? [];
  const planned = planParts(intent, context, (each) => locks.filter((lock) => lock.part === from[each]))[index];
  if (!planned) throw new RangeError(`alternativesFor: the version has no part ${at.part}`);
  const { plan, searched, aim: own } = planned;
  if (!plan) return [];
  const question = questionsOf(searched, own, context)[at.slot];
  const chosen = plan.choices[at.slot];
  if (!question || !chosen) throw new RangeError(`alternativesFor: part ${at.part} has no slot ${at.slot}`);
  const byMovement = new Map<string, (typeof plan.options)[number][number]>();
  for (const choice of [chosen, ...choicesFor(question, context)]) if (!byMovement.has(choice.movement)) byMovement.set(choice.movement, choice);
  if (asked && !byMovement.has(asked)) {
    const answer = choicesFor(question, context, asked)[0];
    if (answer) byMovement.set(asked, answer);
  }
  const listed = [...byMovement.values()].slice(0, 9);
  if (asked && !listed.some((each) => each.movement === asked) && byMovement.has(asked)) listed.push(byMovement.get(asked)!);
  return listed
    .map((choice): Alternative => {
      const { drift, result } = evaluateChoice(plan, searched, own, context, at.slot, choice);
      const obstacles = hardLimits(movementOf(choice.movement), context, choice.load, choice.heightCm);
      const kept = choice.movement === question.slot.movement;
      return {
        movement: choice.movement,
        count: countText(choice),
        load: choice.load ? describeLoad(choice.load) : null,
        reps: choice.count.kind === 'fixed' ? choice.count.men : null,
        loadKg: choice.load ? choice.load.grams / 1000 : null,
        mark: markOf(choice, kept),
        reason: reasonOf(question.slot, choice, context, question.stimulus, question.timeScale),
        givesUp: givesUpOf(question.slot, choice, question.stimulus),
        score: result.score,
        unit: result.unit,
        timeDrift: drift.time,
        drift: drift.total,
        chosen: choice === chosen,
        blocked: obstacles.length > 0 ? obstacles.map(sentenceForObstacle).join('; ') : null,
      };
    })
    .sort((a, b) => Number(b.chosen) - Number(a.chosen) || a.drift - b.drift || (a.movement < b.movement ? -1 : 1));
}
