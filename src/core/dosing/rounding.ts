import { steps } from './scale';

/**
 * Rounds the parts of a mix to a scale so that their sum is the nearest multiple of the division to the
 * exact sum and, among the ways to do that, the ratio error is least.
 * `counted` is what each part already has from elsewhere (a colourant's carrier) and is part of the ratio.
 * Grams. Returns the rounded weights and the ratio error: the greatest relative deviation of a part's share.
 * @example roundParts([66.67, 33.33], 0.1).weights // [66.7,33.3]
 */
export function roundParts(
  exact: readonly number[],
  division: number,
  counted: readonly number[] = exact.map(() => 0)
): { weights: number[]; ratioError: number } {
  const floors = exact.map((g) => Math.floor(g / division + 1e-9));
  const total = steps(
    exact.reduce((s, g) => s + g, 0),
    division
  );
  const spare = total - floors.reduce((s, n) => s + n, 0);

  let best: { weights: number[]; ratioError: number } | undefined;
  for (let mask = 0; mask < 1 << exact.length; mask++) {
    if (bits(mask) !== Math.max(0, Math.min(spare, exact.length))) continue;
    const weights = floors.map((n, i) => (n + ((mask >> i) & 1)) * division);
    const ratioError = shareError(weights, exact, counted);
    if (!best || ratioError < best.ratioError - 1e-12) best = { weights: weights.map(clean), ratioError };
  }
  return best ?? { weights: exact.map(() => 0), ratioError: 1 };
}

/**
 * Greatest relative deviation of any part's share from the intended share, both with what is counted.
 * @example shareError([66.7, 33.3], [66.67, 33.33]) // 0.00090009
 */
export function shareError(
  weights: readonly number[],
  exact: readonly number[],
  counted: readonly number[] = exact.map(() => 0)
): number {
  const sum = (xs: readonly number[]) => xs.reduce((s, x) => s + x, 0);
  const have = weights.map((w, i) => w + (counted[i] ?? 0));
  const want = exact.map((w, i) => w + (counted[i] ?? 0));
  const [haveAll, wantAll] = [sum(have), sum(want)];
  if (haveAll <= 0 || wantAll <= 0) return 1;
  return Math.max(
    ...want.map((w, i) => (w > 0 ? Math.abs((have[i] ?? 0) / haveAll / (w / wantAll) - 1) : 0))
  );
}

const bits = (mask: number) => mask.toString(2).replaceAll('0', '').length;
/** Multiples of 0.01 drift in binary; 1e-9 g is far below any scale. */
const clean = (g: number) => Math.round(g * 1e9) / 1e9;
