/**
 * The middle of some figures, or the mean of the two middle ones; no number of none.
 * @example median([3, 1, 2]) // 2
 */
export function median(figures: readonly number[]): number {
  const sorted = figures.toSorted((a, b) => a - b);
  const middle = (sorted.length - 1) / 2;
  return (sorted[Math.floor(middle)]! + sorted[Math.ceil(middle)]!) / 2;
}
