/** Breathing work: published laws for running, rowing and critical power. SI units throughout. */

/** Riegel 1981: T2 = T1 (D2/D1)^1.06. Seconds and metres. */
export const riegelExponent = 1.06;
export function riegelTime(seconds: number, metres: number, otherMetres: number): number {
  return seconds * (otherMetres / metres) ** riegelExponent;
}
/** The distance Riegel's law gives for another duration. */
export function riegelDistance(seconds: number, metres: number, otherSeconds: number): number {
  return metres * (otherSeconds / seconds) ** (1 / riegelExponent);
}

/** Air-braked rowing machine: P = 2.80 / (s per m)³ W (cube law; the constant from memory). */
export function rowPower(secondsPerMetre: number): number {
  return 2.8 / secondsPerMetre ** 3;
}
export function rowPace(watts: number): number {
  return Math.cbrt(2.8 / watts);
}
/** Calories on such a machine's monitor, per second: (4 · 0.8604 · P + 300)/3600 (the usual monitor formula; from memory). */
export function rowCaloriesPerSecond(watts: number): number {
  return (4 * 0.8604 * watts + 300) / 3600;
}

/** Stationary bike: P = 0.56 v³ W, a round figure fitted to C3 (400 m run ↔ 800 m). */
const bikeDrag = 0.56;
export function bikePower(secondsPerMetre: number): number {
  return bikeDrag / secondsPerMetre ** 3;
}
export function bikePace(watts: number): number {
  return Math.cbrt(bikeDrag / watts);
}

/** Monod and Scherrer 1965: time to exhaustion t = W′/(P − CP); infinite at or below CP. Any consistent units of power and work. */
export function timeAtPower(power: number, criticalPower: number, reserve: number): number {
  return power <= criticalPower ? Infinity : reserve / (power - criticalPower);
}

/** Skiba et al. 2012: recovery time constant of W′, τ = 546 e^(−0.01 D) + 316 s, D the mean watts below CP while recovering. */
export function skibaTau(deficitWatts: number): number {
  return 546 * Math.exp(-0.01 * deficitWatts) + 316;
}

/**
 * What is left of W′ after stretches of constant power (Skiba et al. 2012): spent above the critical power, refilled below it with τ of the deficit.
 * @param reserve W′ in J
 * @returns J left after each stretch; below 0 means that more was asked than there was
 */
export function reserveBalance(stretches: readonly { readonly watts: number; readonly seconds: number }[], criticalPower: number, reserve: number): number[] {
  let left = reserve;
  return stretches.map(({ watts, seconds }) => {
    left =
      watts >= criticalPower ? left - (watts - criticalPower) * seconds : reserve - (reserve - left) * Math.exp(-seconds / skibaTau(criticalPower - watts));
    return left;
  });
}

/** ACSM metabolic equation for running: 0.2 v + 0.9 v grade + 3.5 ml/kg/min, v in m/min. */
export function acsmRunning(metresPerMinute: number, grade = 0): number {
  return 0.2 * metresPerMinute + 0.9 * metresPerMinute * grade + 3.5;
}

/** s up to which the sustainable power is held; beyond, it falls as race pace does (Riegel's exponent). */
const heldSeconds = 1200;
/** Sustainable power in an effort of so many seconds, as a share of the one held for 20 minutes. */
export const sustainedShare = (seconds: number): number => (seconds > heldSeconds ? (seconds / heldSeconds) ** (1 - riegelExponent) : 1);

export interface Effort {
  readonly metres: number;
  readonly seconds: number;
}
export interface CriticalSpeed {
  readonly metresPerSecond: number;
  readonly reserveMetres: number;
}
/** m; what a distance reserve may be (round figures), and the share of one effort it may be */
const reserveBounds = { least: 40, most: 350, ofEffort: 0.5 };

/** The time an effort takes on this curve: the distance beyond the reserve at critical speed, which falls after 20 minutes. */
export function secondsOnCurve({ metresPerSecond, reserveMetres }: CriticalSpeed, metres: number): number {
  const plain = Math.max(0.1, metres - reserveMetres) / metresPerSecond;
  return plain <= heldSeconds ? plain : heldSeconds * (plain / heldSeconds) ** (1 / (2 - riegelExponent));
}

/**
 * Critical speed and distance reserve from efforts, D = CS · t + D′ (Monod and Scherrer, in the linear distance–time form), by least squares; t beyond 20 minutes counts
 * by {@link sustainedShare}. One effort alone takes its reserve from Riegel's law at 240 s and 900 s; the curve then goes through it.
 * @returns m/s and m; the reserve is kept within 40–350 m, and the speed refitted through the efforts' mean then
 */
export function criticalSpeed(efforts: readonly Effort[]): CriticalSpeed {
  const first = efforts[0];
  if (!first) throw new RangeError('criticalSpeed: expected at least one effort');
  const distinct = new Set(efforts.map((effort) => effort.seconds)).size > 1;
  const points = distinct ? efforts : [240, 900].map((seconds) => ({ seconds, metres: riegelDistance(first.seconds, first.metres, seconds) }));
  const { slope, at } = line(points);
  const most = Math.min(reserveBounds.most, reserveBounds.ofEffort * Math.min(...efforts.map(({ metres }) => metres)));
  const reserveMetres = Math.min(most, Math.max(Math.min(most, reserveBounds.least), at.metres - slope * at.seconds));
  const mean = distinct ? at : { metres: first.metres, seconds: first.seconds * sustainedShare(first.seconds) };
  return { metresPerSecond: Math.max(0.5, (mean.metres - reserveMetres) / mean.seconds), reserveMetres };
}

/** top speed of a runner, in critical speeds, and the most a short run hides of the reserve: beyond a fifth somebody is simply quick (round figures) */
const topSpeed = 2;
const leastShown = 0.8;
/**
 * The share of the reserve that runs show. A short one ends at the top speed, not with the reserve: D′ of two parameters is that of three times (v_max − v)/(v_max − CS)
 * (published: Morton 1996, from memory), v the speed of the shortest.
 * @returns {@link leastShown}…1; 1 where nothing was run
 */
export function shownReserve({ metresPerSecond }: CriticalSpeed, runs: readonly Effort[]): number {
  const fastest = Math.max(metresPerSecond, ...runs.map(({ metres, seconds }) => metres / seconds));
  return Math.max(leastShown, topSpeed - fastest / metresPerSecond);
}

/** Least squares through efforts, and their mean. */
function line(points: readonly Effort[]): { slope: number; at: Effort } {
  const counted = points.map(({ metres, seconds }) => ({ metres, seconds: seconds * sustainedShare(seconds) }));
  const mean = (of: (point: Effort) => number): number => counted.reduce((sum, point) => sum + of(point), 0) / counted.length;
  const at = { metres: mean(({ metres }) => metres), seconds: mean(({ seconds }) => seconds) };
  const covariance = counted.reduce((sum, { metres, seconds }) => sum + (seconds - at.seconds) * (metres - at.metres), 0);
  const variance = counted.reduce((sum, { seconds }) => sum + (seconds - at.seconds) ** 2, 0);
  return { slope: covariance / variance, at };
}
