import { weighingSpread, type Scale } from './scale';

/**
 * The scale a cup stands on: the plan's own where it holds the cup, else the finest of the others that does.
 * @example cupScale(150, [{ division: 0.1, capacity: 2000 }, { division: 0.01, capacity: 200 }]).division // 0.1
 */
export function cupScale(total: number, scales: readonly Scale[]): Scale {
  const [main, ...others] = scales;
  if (total <= main!.capacity) return main!;
  return finestFor(total, others) ?? main!;
}

/**
 * The finest scale that holds so many grams.
 * @example finestFor(300, [{ division: 0.1, capacity: 2000 }, { division: 0.01, capacity: 200 }]).division // 0.1
 */
export const finestFor = (grams: number, scales: readonly Scale[]): Scale | undefined =>
  [...scales].sort((a, b) => a.division - b.division).find((s) => grams <= s.capacity);

/**
 * The scale for one weighing: the one the cup stands on where it weighs it within the tolerance, else the
 * coarsest other one that does (in a boat of its own), else the one that comes nearest.
 * @example scaleFor(0.3, 0.02, { division: 0.1, capacity: 2000 }, [{ division: 0.1, capacity: 2000 }, { division: 0.01, capacity: 200 }]).division // 0.01
 */
export function scaleFor(grams: number, tolerance: number, own: Scale, scales: readonly Scale[]): Scale {
  const can = (s: Scale) => grams <= s.capacity && weighingSpread(s, grams) <= tolerance;
  if (can(own)) return own;
  const fitting = [...scales].sort((a, b) => b.division - a.division).find(can);
  if (fitting) return fitting;
  const nearest = finestFor(grams, scales);
  return nearest && weighingSpread(nearest, grams) < weighingSpread(own, grams) ? nearest : own;
}
