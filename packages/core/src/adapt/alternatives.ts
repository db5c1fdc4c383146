/** The ranked alternatives of one slot of a version: what a coach sees on pointing at it, with the effect of each on time and drift. */
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import { sentenceForObstacle } from '../limits/feasible';
import { describeLoad } from '../kit/loads';
import { movementOf } from '../movements/catalogue';
import { defaultRules } from '../rules/house-rules';
import { compile } from '../simulate/program';
import { stimulusOf } from '../stimulus/stimulus';
import type { Workout } from '../workout/workout';
import type { AdaptOptions } from './adapted';
import { readLocks } from './line-lock';
import { timeDriftOf } from './part/band';
import type { PlannedPart } from './part/plan-parts';
import { evaluateOption, type PartPlan } from './part/search';
import { planVersion } from './planned';
import { optionsFor } from './slot/fill';
import { hardLimits } from './slot/hard-limits';
import { isMoved, type Option } from './slot/option';
import type { AdaptContext } from './slot/question';
import { driftOf } from './told/drift';
import { reasonOf } from './told/explain';
import { givesUpOf } from './told/gives-up';
import type { Told } from './told/told';
import { markOf, type Mark } from './told/marks';
import { countText } from './told/words';

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
  /** s of one bout on its own, and its effort in kJ of metabolic work: exchanges of one time are not of one effort */
  readonly boutSeconds: number;
  readonly boutKilojoules: number;
  readonly chosen: boolean;
  /** null when it may be done here; else why not, and choosing it means overriding */
  readonly blocked: string | null;
}
const mostListed = 9;

/**
 * @param at number of the part and of the slot as they are written
 * @param asked a movement the coach asks about; it is answered even when it breaks a limit
 */
export function alternativesFor(
  workout: Workout,
  athlete: Athlete,
  at: { readonly part: number; readonly slot: number },
  options: AdaptOptions = {},
  asked: string | null = null,
): Alternative[] {
  const locks = readLocks(options.locks ?? [], athlete.category, { units: options.units ?? 'kg', own: workout.own ?? [] });
  const made = planVersion(workout, athlete, options.place ?? athlete.places[0] ?? barePlace, options.rules ?? defaultRules, locks);
  const planned = made.parts[made.from.indexOf(at.part)];
  if (!planned) throw new RangeError(`alternativesFor: the version has no part ${at.part}`);
  const { plan } = planned;
  if (!plan) return [];
  const slot = planned.from.indexOf(at.slot);
  const chosen = plan.options[slot];
  if (!chosen) throw new RangeError(`alternativesFor: part ${at.part} has no slot ${at.slot}`);
  return listed(plan, slot, chosen, asked, made.context)
    .map((option) => alternativeOf(planned, plan, slot, option, option === chosen, made.context))
    .sort((a, b) => Number(b.chosen) - Number(a.chosen));
}

/** The chosen one, then every other movement, nearest first; one that was asked about is always among them. */
function listed({ space }: PartPlan, slot: number, chosen: Option, asked: string | null, context: AdaptContext): Option[] {
  const question = space.questions[slot]!;
  const byMovement = new Map<string, Option>();
  for (const option of [chosen, ...optionsFor(question, context)]) if (!byMovement.has(option.movement)) byMovement.set(option.movement, option);
  const first = [...byMovement.values()].slice(0, mostListed);
  if (asked === null || first.some(({ movement }) => movement === asked)) return first;
  return [...first, ...(byMovement.has(asked) ? [byMovement.get(asked)!] : optionsFor(question, context, asked).slice(0, 1))];
}

function alternativeOf({ aim, part }: PlannedPart, plan: PartPlan, slot: number, option: Option, chosen: boolean, context: AdaptContext): Alternative {
  const { space } = plan;
  const question = space.questions[slot]!;
  const { result, part: filled, beyond } = evaluateOption(plan, slot, option);
  const time = part.kind === 'every' ? Math.expm1(beyond) : space.band ? timeDriftOf(space.band, result.score) : 0;
  const drift = driftOf(aim, stimulusOf(compile({ parts: [filled] }, context.capacity, context.place), 0, result), time, 0);
  const { walls, beyond: asWritten } = plan.untouched;
  const told: Told = { question, option, context, wall: walls.includes(slot), beyond: asWritten, rungsMoved: isMoved(space.part, filled) };
  const obstacles = hardLimits(movementOf(option.movement), context, option.load, option.heightCm);
  return {
    movement: option.movement,
    count: countText(option, context.athlete.category),
    load: option.load ? describeLoad(option.load) : null,
    reps: option.count.kind === 'fixed' ? option.count[context.athlete.category] : null,
    loadKg: option.load ? option.load.grams / 1000 : null,
    mark: markOf(option, question.slot.movement),
    reason: reasonOf(told),
    givesUp: givesUpOf(told),
    score: result.score,
    unit: result.unit,
    timeDrift: drift.time,
    drift: drift.total,
    boutSeconds: option.bout.seconds,
    boutKilojoules: (option.bout.joulesPerKg * context.athlete.bodyMassKg) / 1000,
    chosen,
    blocked: obstacles.length > 0 ? obstacles.map(sentenceForObstacle).join('; ') : null,
  };
}
