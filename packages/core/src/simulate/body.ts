/**
 * The state of a body at work, and how a bout changes it.
 * Local fatigue: nine muscle groups, each with a fast and a slow share of its capacity spent (0…1). Breathing: what is left of the reserve above critical power.
 * The forms and their sources are in docs/model.md; all constants are `constants` below, one set for everybody.
 */
import { sustainedShare } from '../capacity/engine-laws';
import { muscles } from '../movements/movement';
import type { Capacity } from '../capacity/capacity';
import type { Demand } from './demand';

export interface Constants {
  /** share of the tested reps that is at hand inside a workout, for long efforts */
  readonly insideShare: number;
  /** s; how fast an effort loses the freedom of a test */
  readonly insideTau: number;
  readonly fastTau: number;
  readonly slowTau: number;
  /** share of a rep's fatigue that goes to the slow store: floor, and growth with fatigue */
  readonly slowFloor: number;
  readonly slowGrowth: number;
  /** recovery of muscles at work, as a share of recovery at rest */
  readonly workRecovery: number;
  /** share of the reps at hand taken before a planned break */
  readonly breakMargin: number;
  /** s a break lasts beyond picking up again, at full local fatigue, and at an empty breath */
  readonly breakLocal: number;
  readonly breakBreath: number;
  /** how far a tired cycle slows */
  readonly cycleSlowing: number;
  /** how much the sustainable power loses when the muscles are tired */
  readonly powerLoss: number;
  /** s between two movements at their easiest */
  readonly transition: number;
  readonly transitionTired: number;
}

/** Fitted once over all rows of facts.md (docs/model.md shows the table); the rest is from prior knowledge. */
export const constants: Constants = {
  insideShare: 0.8,
  insideTau: 150,
  fastTau: 22,
  slowTau: 170,
  slowFloor: 0.1,
  slowGrowth: 0.25,
  workRecovery: 0.25,
  breakMargin: 0.75,
  breakLocal: 9.5,
  breakBreath: 5,
  cycleSlowing: 0.3,
  powerLoss: 0.2,
  transition: 2.7,
  transitionTired: 3,
};

/** How a simulated person or day differs from the estimate; all 1 is the estimate itself. */
export interface Form {
  readonly local: number;
  readonly engine: number;
  readonly pace: number;
  readonly breaks: number;
  /** of a max, kg */
  readonly strength: number;
}
export const usualForm: Form = { local: 1, engine: 1, pace: 1, breaks: 1, strength: 1 };

/** The form of somebody `factor` times as fit: reps grow faster than power, a max by a third of its reps, cycles shorten a little. */
export function formAtFitness(factor: number): Form {
  return { local: factor ** 1.5, engine: factor, pace: factor ** -0.2, breaks: factor ** -0.5, strength: factor ** 0.5 };
}

/** The form on top of what past results said about this athlete. */
function withFitness(form: Form, fitness: number): Form {
  if (fitness === 1) return form;
  const own = formAtFitness(fitness);
  return {
    local: form.local * own.local,
    engine: form.engine * own.engine,
    pace: form.pace * own.pace,
    breaks: form.breaks * own.breaks,
    strength: form.strength * own.strength,
  };
}

const groups = muscles.length;

/** e^−x for 0 ≤ x ≤ 3 within 3 % of the whole, as the reciprocal of its series: cheaper than Math.exp, and falling for every x. */
const decay = (x: number): number => 1 / (1 + x * (1 + x * (0.5 + x * (1 / 6 + x / 24))));
/** What is left, in the mean, of something that arrived evenly over x time constants: (1 − e^−x)/x. */
const meanDecay = (x: number): number => (x < 1e-6 ? 1 : (1 - decay(x)) / x);
/**
 * How the reserve is spent. A run or a machine ends with none left, as told times do; work in sets keeps a tenth, and is short of breath for half of what is ahead:
 * the reserve is spent there (fitted with the table). `over` s at an end, and at most `most` times the sustainable power (round figures).
 */
const spending = { steady: { share: 1, over: 10, most: 2, breathless: 1 }, sets: { share: 0.9, over: 45, most: 1.7, breathless: 0.5 } } as const;
/** s of a set that the muscles could do in `local` and the breath in `breathing`: a soft maximum (6-norm, fitted with the table). @param local > 0 */
export function bothSeconds(local: number, breathing: number): number {
  const ratio = breathing / local;
  const cube = ratio * ratio * ratio;
  return local * Math.cbrt(Math.sqrt(1 + cube * cube));
}

/** s of running or rowing after which the legs alone would stop; breathing does long before (round figure) */
const engineEndurance = 2400;

export class Body {
  readonly fast = new Float64Array(groups);
  readonly slow = new Float64Array(groups);
  private readonly form: Form;
  private readonly criticalPower: number;
  private readonly fullReserve: number;
  private readonly steadyShare: number;
  private reserve: number;
  private worked = 0;

  constructor(
    capacity: Capacity,
    form: Form,
    private readonly set: Constants = constants,
  ) {
    this.form = withFitness(form, capacity.fitness);
    this.criticalPower = capacity.criticalPower * this.form.engine;
    this.fullReserve = capacity.reserve * this.form.engine;
    this.reserve = this.fullReserve;
    this.steadyShare = capacity.steadyShare;
  }

  /**
   * Fatigue as the movement feels it: the tiredest of the muscles it uses, softly. 0…0.97
   * @param more share of the reps at hand about to be added, and `seconds` it will take: what the middle of a set is met with
   */
  fatigue(demand: Demand, more = 0, seconds = 0): number {
    let sum = 0;
    for (const group of demand.groups) {
      const weight = demand.tires[group]!;
      const time = (seconds * (1 - (1 - this.set.workRecovery) * weight)) / this.set.fastTau;
      const felt = weight * (this.fast[group]! * decay(time) + this.slow[group]! + more * weight * meanDecay(time));
      const cube = felt * felt * felt;
      sum += cube * cube;
    }
    return Math.min(0.97, Math.cbrt(Math.sqrt(sum)));
  }

  /** Mean fatigue over all groups, for what tires the whole. */
  private general(): number {
    let sum = 0;
    for (let group = 0; group < groups; group++) sum += Math.min(1, this.fast[group]! + this.slow[group]!);
    return sum / groups;
  }

  /** Seconds worked and rested since the start. */
  elapsed(): number {
    return this.worked;
  }

  /** What of a max is there on this day, as a factor. */
  strength(): number {
    return this.form.strength;
  }

  breath(): number {
    return this.reserve / this.fullReserve;
  }

  /** Reps to failure at hand inside an effort that goes on for `ahead` seconds. */
  available(demand: Demand, ahead: number): number {
    const inside = this.set.insideShare + (1 - this.set.insideShare) * Math.exp(-ahead / this.set.insideTau);
    return Math.max(0.3, demand.repsToFailure * inside * this.form.local);
  }

  /** Metabolic power this athlete would choose, W per kg: the sustainable one and an even share of the reserve over what is ahead. */
  private power(ahead: number, steady: boolean): number {
    const sustained = this.criticalPower * sustainedShare(this.worked + ahead) * (1 - this.set.powerLoss * this.general());
    const { share, over, most, breathless } = steady ? spending.steady : spending.sets;
    return Math.min(this.criticalPower * most, sustained + (share * (steady ? this.shown() : this.reserve)) / Math.max(over, breathless * ahead));
  }

  /** What a run or a machine can still spend: it ends at its top speed before the whole reserve is gone. */
  private shown(): number {
    return Math.max(0, this.reserve - (1 - this.steadyShare) * this.fullReserve);
  }

  /** Time passes without work. */
  rest(seconds: number): void {
    if (seconds <= 0) return;
    const fast = Math.exp(-seconds / this.set.fastTau);
    const slow = Math.exp(-seconds / this.set.slowTau);
    for (let group = 0; group < groups; group++) {
      this.fast[group]! *= fast;
      this.slow[group]! *= slow;
    }
    this.spend(1.3 * seconds, seconds);
  }

  /** The reserve pays what is above critical power, and refills below it (differential form of Skiba's balance: the deeper the deficit, the faster). */
  private spend(joulesPerKg: number, seconds: number): void {
    const surplus = joulesPerKg - this.criticalPower * seconds;
    if (surplus >= 0) this.reserve = Math.max(0, this.reserve - surplus);
    else this.reserve = this.fullReserve - (this.fullReserve - this.reserve) * Math.exp(surplus / this.fullReserve);
    this.worked += seconds;
  }

  private tire(demand: Demand, share: number, seconds: number, midFatigue: number): void {
    const slowShare = this.set.slowFloor + this.set.slowGrowth * midFatigue;
    for (let group = 0; group < groups; group++) {
      const weight = demand.tires[group]!;
      // a muscle at work recovers little, one that is spared recovers as at rest
      const recovering = seconds * (1 - (1 - this.set.workRecovery) * weight);
      const inFast = recovering / this.set.fastTau;
      const inSlow = recovering / this.set.slowTau;
      // what the set adds has begun to recover by its end
      const fast = this.fast[group]! * decay(inFast) + share * weight * (1 - slowShare) * meanDecay(inFast);
      const slow = this.slow[group]! * decay(inSlow) + share * weight * slowShare * meanDecay(inSlow);
      const whole = fast + slow;
      const clip = whole > 1 ? 1 / whole : 1;
      this.fast[group] = fast * clip;
      this.slow[group] = slow * clip;
    }
  }

  /**
   * Does `count` reps in a row, or as many of them as fit in `mostSeconds`, at the fatigue of their middle.
   * The local and the breathing time meet in a soft maximum (6-norm).
   * @returns the share of `count` done, 0…1; the time it took is what {@link elapsed} moved by
   */
  perform(demand: Demand, count: number, ahead: number, mostSeconds: number): number {
    const watts = this.power(ahead, demand.secondsPerUnit !== null);
    const half = 0.5 * count * (demand.secondsPerUnit ? demand.secondsPerUnit(watts) : Math.max(demand.cycleSeconds, demand.joulesPerKg / watts));
    const atHand = demand.secondsPerUnit ? 0 : this.available(demand, Math.max(5, ahead - half));
    const fatigue = this.fatigue(demand, atHand > 0 ? Math.min(1, (0.5 * count) / atHand) : 0, half);
    const whole = this.secondsFor(demand, count, watts, fatigue);
    const done = whole > mostSeconds ? mostSeconds / whole : 1;
    const seconds = whole * done;
    this.spend(demand.secondsPerUnit ? watts * seconds : count * done * demand.joulesPerKg, seconds);
    this.tire(demand, demand.secondsPerUnit ? seconds / engineEndurance : (count * done) / atHand, seconds, fatigue);
    return done;
  }

  private secondsFor(demand: Demand, count: number, watts: number, fatigue: number): number {
    if (demand.secondsPerUnit) return count * demand.secondsPerUnit(watts * (1 - 0.12 * fatigue));
    if (demand.isHold) return count * demand.cycleSeconds;
    const local = count * demand.cycleSeconds * this.form.pace * (1 + this.set.cycleSlowing * fatigue * fatigue);
    const breathing = (count * demand.joulesPerKg) / watts;
    return bothSeconds(local, breathing);
  }

  /** Reps left in one go, at the fatigue of now. */
  atHand(demand: Demand, ahead: number): number {
    return this.available(demand, ahead) * (1 - this.fatigue(demand));
  }

  /** How many reps are taken before a break is planned. */
  setSize(demand: Demand, ahead: number, unbroken: boolean): number {
    if (demand.secondsPerUnit) return Infinity;
    const atHand = this.atHand(demand, ahead);
    const margin = this.set.breakMargin + (0.97 - this.set.breakMargin) * (unbroken ? 0.85 : Math.exp(-ahead / 40));
    return Math.max(1, atHand * margin);
  }

  /** A break: down, breathe, up again. Longer when tired, when out of breath, and close to the max. */
  breakSeconds(demand: Demand, ahead: number): number {
    const fatigue = this.fatigue(demand);
    const heavy = Math.max(0, 3 - this.available(demand, ahead)) * 6;
    const breathless = 1 - this.breath();
    return (
      (demand.resetSeconds * 0.7 + this.set.breakLocal * fatigue * Math.sqrt(fatigue) + this.set.breakBreath * breathless * breathless + heavy) *
      this.form.breaks
    );
  }

  transitionSeconds(demand: Demand): number {
    const far = demand.movement.family === 'run' ? 3 : demand.movement.family === 'machine' ? 3 : demand.resetSeconds > 4 ? 1 : 0;
    return (this.set.transition + far + this.set.transitionTired * this.general() + 2 * (1 - this.breath()) ** 2) * this.form.breaks;
  }
}
