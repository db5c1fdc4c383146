/**
 * Breathing work from told times: one curve (critical speed and a reserve) for everything, and what a machine makes of it. A told time predicts itself, alone or with
 * others that one curve can hold; where none can, that is said.
 */
import type { Athlete, TimedEffort } from '../athlete/athlete';
import { formatClock } from '../units/duration';
import { bikePower, criticalSpeed, rowPower, secondsOnCurve, shownReserve, sustainedShare, type CriticalSpeed } from './engine-laws';
import { reserveNorm, speedNorm } from './norms';

/** Metabolic cost of level running, J per kg and metre: 3.6 is the net figure usual in the literature (0.17 ml O₂/kg/m × 20.9 J/ml). */
export const runJoulesPerKgMetre = 3.6;
/** Share of metabolic power that reaches a machine's flywheel; 0.20–0.25 usual, round figure. */
export const machineEfficiency = 0.215;
/** what a machine may make of running fitness (round figures) */
const factorBounds = { least: 0.4, most: 2.5 };
/** told times that the curve misses by more than this share do not agree */
const agrees = 0.02;

export interface Engine {
  readonly curve: CriticalSpeed;
  /** share of the whole reserve that the curve's is: what a run can spend */
  readonly shownReserve: number;
  /** machine power this athlete makes ÷ what running fitness would give */
  readonly rowFactor: number;
  readonly bikeFactor: number;
  readonly spread: number;
  readonly assumed: readonly string[];
}

/** A machine's effort as the running it would be: metres of the same cost in the same time. */
function asRunning({ metres, seconds, engine }: TimedEffort, massKg: number): { metres: number; seconds: number } {
  const watts = (engine === 'row' ? rowPower : bikePower)(seconds / metres);
  return { seconds, metres: (watts * seconds) / (massKg * machineEfficiency * runJoulesPerKgMetre) };
}

/** Mean machine power of the efforts against what the curve gives in their time; null when there are none. */
function factorOf(efforts: readonly TimedEffort[], { metresPerSecond, reserveMetres }: CriticalSpeed, massKg: number): number | null {
  if (efforts.length === 0) return null;
  const logs = efforts.map((effort) => {
    const { metres, seconds } = asRunning(effort, massKg);
    return Math.log(metres / (metresPerSecond * seconds * sustainedShare(seconds) + reserveMetres));
  });
  const factor = Math.exp(logs.reduce((sum, log) => sum + log, 0) / logs.length);
  return Math.min(factorBounds.most, Math.max(factorBounds.least, factor));
}

/** The curve through one effort on a machine, or through several: without a run the reserve of one alone is a norm. */
function curveOfMachine(efforts: readonly TimedEffort[], norm: CriticalSpeed, massKg: number): CriticalSpeed {
  const running = efforts.map((effort) => asRunning(effort, massKg));
  if (running.length > 1) return criticalSpeed(running);
  const { metres, seconds } = running[0]!;
  const reserveMetres = Math.min(norm.reserveMetres, 0.5 * metres);
  return { metresPerSecond: Math.max(0.5, (metres - reserveMetres) / (seconds * sustainedShare(seconds))), reserveMetres };
}

function disagreements(runs: readonly TimedEffort[], curve: CriticalSpeed): string[] {
  return runs.flatMap(({ metres, seconds }) => {
    const own = secondsOnCurve(curve, metres);
    return Math.abs(own / seconds - 1) > agrees
      ? [`the told run times do not agree: ${metres} m in ${formatClock(seconds)} is ${formatClock(own)} on the curve between them`]
      : [];
  });
}

/** @param aged share of a norm that age leaves */
export function engineOf({ category, level, bodyMassKg: massKg, times }: Athlete, aged: number): Engine {
  const of = (engine: TimedEffort['engine']): TimedEffort[] => times.filter((effort) => effort.engine === engine);
  const [runs, rows, bikes] = [of('run'), of('row'), of('bike')];
  const norm = { metresPerSecond: speedNorm(category, level, massKg) * aged, reserveMetres: reserveNorm(level) * aged };
  const curve = runs.length > 0 ? criticalSpeed(runs) : rows.length > 0 ? curveOfMachine(rows, norm, massKg) : norm;
  const rowFactor = factorOf(rows, curve, massKg) ?? 1;
  const source = rows.length > 0 ? 'running pace: from the rowing time' : `running pace: a norm for ${level} ${category}`;
  return {
    curve,
    shownReserve: shownReserve(curve, runs),
    rowFactor,
    bikeFactor: factorOf(bikes, curve, massKg) ?? rowFactor,
    spread: runs.length > 1 ? 0.02 : runs.length + rows.length > 0 ? 0.04 : 0.1,
    assumed: runs.length > 0 ? disagreements(runs, curve) : [source],
  };
}
