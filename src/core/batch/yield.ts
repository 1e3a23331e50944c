/** How sure the count should be that enough come out good. */
const SURE = 0.9;

/**
 * How many to cast so that N good ones come of it: the least n with P(Binomial(n, 1 − p) ≥ N) ≥ 0.9.
 * @param good how many are wanted, a whole number ≥ 1
 * @param reject probability that one is rejected, 0 ≤ p < 1
 * @example castFor(22, 0.08) // 26
 */
export function castFor(good: number, reject: number): number {
  if (reject <= 0) return good;
  const p = 1 - reject;
  // The N-th success falls on trial n with probability C(n−1, N−1) pᴺ (1−p)ⁿ⁻ᴺ; summed until it is likely enough.
  // In logarithms, so that a large order does not underflow.
  let log = good * Math.log(p);
  let n = good;
  let sure = Math.exp(log);
  while (sure < SURE) {
    n++;
    log += Math.log((n - 1) / (n - good)) + Math.log(reject);
    sure += Math.exp(log);
  }
  return n;
}

/**
 * An order in turns of the plan: n pieces, k in a turn, ⌈n/k⌉ turns.
 * @example poursNeeded(26, 6) // 5
 */
export const poursNeeded = (cast: number, perTurn: number): number =>
  perTurn > 0 ? Math.ceil(cast / perTurn) : 0;
