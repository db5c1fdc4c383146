/**
 * The root of a rising function between two bounds, by the ITP method (Oliveira and Takahashi 2020, ACM Trans. Math. Softw. 47(1); parameters and steps from memory).
 * Interpolates where the function is smooth and never needs more than one step beyond bisection where it is not: scores have plateaus and small jumps.
 *
 * @param f        rising, with f(low) ≤ 0 ≤ f(high)
 * @param within   half-width of the bracket that is left, > 0
 * @returns the middle of that bracket
 * @throws {RangeError} when the bounds do not bracket a root
 */
export function bracketedRoot(f: (x: number) => number, low: number, high: number, within: number): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (!(fa <= 0 && fb >= 0)) throw new RangeError(`bracketedRoot: expected f(low) <= 0 <= f(high), got ${fa} and ${fb}`);
  const truncation = 0.2 / (b - a);
  let slack = within * 2 ** (Math.max(0, Math.ceil(Math.log2((b - a) / (2 * within)))) + 1);
  while (b - a > 2 * within) {
    const middle = (a + b) / 2;
    const reach = slack - (b - a) / 2;
    const interpolated = fb > fa ? (fb * a - fa * b) / (fb - fa) : middle;
    const towards = Math.sign(middle - interpolated);
    const step = truncation * (b - a) ** 2;
    const truncated = step <= Math.abs(middle - interpolated) ? interpolated + towards * step : middle;
    const x = Math.abs(truncated - middle) <= reach ? truncated : middle - towards * reach;
    const fx = f(x);
    if (fx > 0) [b, fb] = [x, fx];
    else if (fx < 0) [a, fa] = [x, fx];
    else return x;
    slack /= 2;
  }
  return (a + b) / 2;
}
