/**
 * Study 3: does the search take the gentlest edits there are? Every single edit and every pair is walked, without order or limit; the gentlest that brings the score into
 * its band, and none of a lone one where the search took two, is what the search must have found.
 */
import { defaultRules, parseWorkout } from '../../src/index';
import { costOf, meet, type Edit } from '../../src/adapt/part/edit';
import { editsOf, replaced } from '../../src/adapt/part/edits-of';
import { evaluatePoint, type Evaluated, type Point } from '../../src/adapt/part/evaluate';
import { planVersion } from '../../src/adapt/planned';
import { randomAthlete } from '../people';
import { windowed } from './grid';

export interface ExhaustiveCase {
  readonly seed: number;
  /** points there are: single edits and pairs */
  readonly points: number;
  /** edits of the gentlest set that does it, and its cost; null where none does */
  readonly best: { readonly edits: number; readonly cost: number } | null;
  readonly found: { readonly edits: number; readonly cost: number } | null;
  readonly evaluations: number;
}

function pairPoint(a: { edit: Edit; point: Point }, b: { edit: Edit; point: Point }): Point {
  const options = replaced(a.point.options, 'slots' in b.edit ? b.edit.slots : [], (option, slot) =>
    b.edit.kind === 'load' ? { ...option, load: b.point.options[slot]!.load } : { ...option, count: b.point.options[slot]!.count },
  );
  return { options, lever: b.edit.kind === 'rounds' || b.edit.kind === 'scheme' ? b.point.lever : a.point.lever };
}

/** @returns null where the untouched text is in its band already, or something in it is a wall */
export function exhaustiveCase(seed: number, most: number): ExhaustiveCase | null {
  const athlete = randomAthlete(seed);
  const made = planVersion(parseWorkout(windowed(seed)).workout, athlete, athlete.places[0]!, defaultRules, []);
  const plan = made.parts[0]?.plan;
  if (!plan || plan.untouched.beyond === 0 || plan.untouched.walls.length > 0) return null;
  const { space, untouched } = plan;
  const harder = untouched.beyond < 0;
  const loadOnly = harder && space.band !== null && !space.band.windowed;
  const singles = editsOf(space, untouched, harder, loadOnly);
  const pairs = loadOnly
    ? []
    : singles.flatMap((a, at) => singles.slice(at + 1).flatMap((b) => (meet(a.edit, b.edit) ? [] : [{ edits: [a.edit, b.edit], point: pairPoint(a, b) }])));
  const all = [...singles.map(({ edit, point }) => ({ edits: [edit], point })), ...pairs];
  if (all.length > most || all.length === 0) return null;
  const fits = ({ beyond, walls }: Evaluated): boolean => beyond === 0 && walls.length === 0;
  const good = all
    .filter(({ point }) => fits(evaluatePoint(space, point.options, point.lever)))
    .map(({ edits }) => ({ edits: edits.length, cost: costOf(edits, defaultRules) }));
  const best = good.reduce<ExhaustiveCase['best']>(
    (least, each) => (least === null || each.edits < least.edits || (each.edits === least.edits && each.cost < least.cost) ? each : least),
    null,
  );
  const found = plan.met ? { edits: plan.edits.length, cost: costOf(plan.edits, defaultRules) } : null;
  return { seed, points: all.length, best, found, evaluations: plan.evaluations };
}
