/** Branch and bound over the listed options: what could still be better than the version found is simulated, the rest is ruled out in closed form. */
import { choiceWorks, leastOf } from './bound';
import type { Choice, PartLever } from './choice';
import { easing, staticCost, structuralWeight, structureShare, type Evaluated } from './price';
import { breadth, type Space } from './space';

/** How far the proof may go before the best found is taken as it is. */
export interface Effort {
  readonly bounds: number;
  readonly simulations: number;
}
export interface Point {
  readonly choices: Choice[];
  readonly lever: PartLever;
  readonly evaluated: Evaluated;
}

/** @param toBeat what it is compared with: once that is reached by structure alone, the drift is not looked at */
export type LeastObjective = (choices: readonly Choice[], lever: PartLever, toBeat?: number) => number;

/** The least a point can cost, by bound: it is simulated only when that is less than what was found. */
export function leastObjectiveOf(space: Space, base: readonly Choice[]): LeastObjective {
  const works = choiceWorks(space.part, base, space.context);
  const eases = space.intent.window ? easing : null;
  const leastDrift = eases ? -eases.rate * eases.upTo : 0;
  return (choices, lever, toBeat = Infinity) => {
    const structure = staticCost(space, choices, lever);
    if (structure + leastDrift >= toBeat) return structure + leastDrift;
    return (
      structure +
      leastOf(
        space.intent,
        choices.map((choice, slot) => works(slot, choice, lever)),
        eases,
      )
    );
  };
}

/** Every combination of the first options and the levers that could still be better than `found`, by bound; those are simulated. */
export function prove(
  space: Space,
  found: Point,
  levers: readonly PartLever[],
  effort: Effort,
  evaluate: (choices: Choice[], lever: PartLever) => Evaluated,
  leastObjective: LeastObjective,
): { point: Point; proved: boolean } {
  const { intent, leaders, options } = space;
  const lead = leaders.flatMap((leader, index) => (leader === index ? [index] : []));
  const followers = lead.map((index) => leaders.filter((leader) => leader === index).length);
  const listed = lead.map((index) => [...options[index]!.slice(0, breadth)].sort((a, b) => a.structural - b.structural));
  const share = structuralWeight * structureShare(options.length);
  /** least structure of the leaders from `at` on */
  const rest = lead.map(() => 0).concat(0);
  for (let at = lead.length - 1; at >= 0; at--) rest[at] = rest[at + 1]! + followers[at]! * (listed[at]![0]?.structural ?? 0);
  const slack = intent.window ? easing.rate * easing.upTo : 0;
  let point = found;
  let { bounds, simulations } = effort;
  const chosen: Choice[] = [];
  const visit = (at: number, structure: number, lever: PartLever): void => {
    if (bounds <= 0 || simulations <= 0) return;
    if (share * (structure + rest[at]!) - slack >= point.evaluated.objective) return;
    if (at < lead.length) {
      for (const choice of listed[at]!) {
        chosen[at] = choice;
        visit(at + 1, structure + followers[at]! * choice.structural, lever);
      }
      return;
    }
    bounds--;
    const choices = leaders.map((leader) => chosen[lead.indexOf(leader)]!);
    const toBeat = point.evaluated.objective - 1e-9;
    if (leastObjective(choices, lever, toBeat) >= toBeat) return;
    simulations--;
    const evaluated = evaluate(choices, lever);
    if (evaluated.objective < point.evaluated.objective - 1e-6) point = { choices, lever, evaluated };
  };
  for (const lever of levers) visit(0, 0, lever);
  return { point, proved: bounds > 0 && simulations > 0 };
}
