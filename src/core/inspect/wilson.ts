/** The 97.5th percentile of the standard normal, for a two-sided 95 % interval. */
const Z = 1.959963984540054;

/**
 * Wilson score interval for `count` of `total`, as fractions 0..1. Honest for small numbers: three of
 * twelve is anywhere from a tenth to a half. Source: Wilson (1927).
 */
export function wilson(count: number, total: number): { low: number; high: number } {
  if (total <= 0) return { low: 0, high: 1 };
  const p = count / total;
  const centre = p + Z ** 2 / (2 * total);
  const half = Z * Math.sqrt((p * (1 - p)) / total + Z ** 2 / (4 * total ** 2));
  const below = 1 + Z ** 2 / total;
  return { low: Math.max(0, (centre - half) / below), high: Math.min(1, (centre + half) / below) };
}
