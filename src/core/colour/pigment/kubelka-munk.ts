/** K/S of an infinitely thick film with reflectance R∞, 0 < R∞ ≤ 1: (1 − R∞)²/(2R∞). Kubelka and Munk. */
export const ksOf = (r: number): number => (1 - r) ** 2 / (2 * Math.max(1e-6, r));

/** R∞ of absorption K and scattering S (any one unit), K, S ≥ 0: 1 + K/S − √((K/S)² + 2K/S). */
export function reflectanceDeep(k: number, s: number): number {
  if (s <= 1e-12) return k > 0 ? 0 : 1;
  const q = k / s;
  // The product form keeps its digits where K ≫ S.
  return 1 / (1 + q + Math.sqrt(q * q + 2 * q));
}

/**
 * Reflectance of a film over a backing. K and S in 1/mm, ≥ 0; thickness mm ≥ 0; backing 0..1. The hyperbolic
 * solution of Kubelka and Munk, written with exp(−2bSX) so that neither thick nor clear films overflow.
 */
export function reflectanceOver(k: number, s: number, mm: number, backing: number): number {
  if (mm <= 0) return backing;
  if (s * mm < 1e-9) return backing * Math.exp(-2 * k * mm);
  const a = 1 + k / s;
  const b = Math.sqrt(Math.max(0, a * a - 1));
  const x = b * s * mm;
  // b·coth(x): as x → 0 it is 1/(S·mm).
  const bcoth = x < 1e-5 ? 1 / (s * mm) : (b * (1 + Math.exp(-2 * x))) / (1 - Math.exp(-2 * x));
  return (1 - backing * (a - bcoth)) / (a - backing + bcoth);
}
