/**
 * What adding liquid to a stiffening mix leaves: the new ratio of liquid to powder (or water to cement) by
 * weight, and how far that is from the card's, as a share of it. Grams; `powder` > 0.
 * @example thinned(100, 250, 5).change // 0.05
 */
export function thinned(liquid: number, powder: number, added: number): { ratio: number; change: number } {
  const before = liquid / powder;
  const ratio = (liquid + added) / powder;
  return { ratio, change: ratio / before - 1 };
}
