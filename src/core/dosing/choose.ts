import { weighingSpread, type Scale } from './scale';

/** The scale a cup stands on: the plan's own where it holds the cup, else the finest of the others that does. */
export function cupScale(total: number, scales: readonly Scale[]): Scale {
  const [main, ...others] = scales;
  if (total <= main!.capacity) return main!;
  return finestFor(total, others) ?? main!;
}

/** The finest scale that holds so many grams. */
export const finestFor = (grams: number, scales: readonly Scale[]): Scale | undefined =>
  [...scales].sort((a, b) => a.division - b.division).find((s) => grams <= s.capacity);

/**
 * The scale for one weighing: the one the cup stands on where it weighs it within the tolerance, else the
 * coarsest other one that does (in a boat of its own), else the one that comes nearest.
 */
export function scaleFor(grams: number, tolerance: number, own: Scale, scales: readonly Scale[]): Scale {
  const can = (s: Scale) => grams <= s.capacity && weighingSpread(s, grams) <= tolerance;
  if (can(own)) return own;
  const fitting = [...scales].sort((a, b) => b.division - a.division).find(can);
  if (fitting) return fitting;
  const nearest = finestFor(grams, scales);
  return nearest && weighingSpread(nearest, grams) < weighingSpread(own, grams) ? nearest : own;
}
