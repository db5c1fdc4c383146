/** Quantile by linear interpolation between order statistics (Hyndman and Fan 1996, type 7: position (n − 1)·p). @param sorted ascending, at least one value */
export function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const low = Math.floor(at);
  return sorted[low]! + (at - low) * ((sorted[low + 1] ?? sorted[low])! - sorted[low]!);
}
