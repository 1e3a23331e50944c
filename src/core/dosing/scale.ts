import { z } from 'zod';
import { StoredId } from '../id';
import { TOOL_CONDITIONS } from './condition';

/** A scale card. Grams. */
export const Scale = z.object({
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(60),
  /** The step of its display, g. */
  division: z.number().min(1e-5, 'is finer than any scale reads').max(1000),
  /** Standard deviation of repeated readings, g; one division when not given. */
  repeatability: z.number().nonnegative().optional(),
  capacity: z.number().positive(),
  /** Sound when absent. */
  condition: z.enum(TOOL_CONDITIONS).optional()
});
export type Scale = z.infer<typeof Scale>;

/** Least relative spread that still counts as weighed: 5 % for colour, 2 % for reactive parts. */
export const COLOUR_TOLERANCE = 0.05;
export const PART_TOLERANCE = 0.02;

/**
 * Relative standard spread of one weighing, √(d²/12 + r²)/w: a display step is uniform (d²/12),
 * repeatability adds. Grams > 0; infinite for nothing.
 * @example weighingSpread({ division: 0.01, capacity: 200 }, 2) // 0.0052042
 */
export function weighingSpread(scale: Scale, grams: number): number {
  const r = scale.repeatability ?? scale.division;
  return grams > 0 ? Math.sqrt(scale.division ** 2 / 12 + r ** 2) / grams : Infinity;
}

/**
 * Smallest weighing, g, that this scale does within the tolerance.
 * @example leastWeighing({ division: 0.01, capacity: 200 }) // 0.20817
 */
export const leastWeighing = (scale: Scale, tolerance = COLOUR_TOLERANCE): number =>
  weighingSpread(scale, 1) / tolerance;

/**
 * Nearest multiple of the division, g.
 * @example toDivision(12.34, 0.1) // 12.3
 */
export const toDivision = (grams: number, division: number): number => steps(grams, division) * division;

/** How many divisions are nearest to a weight. */
export const steps = (grams: number, division: number): number => Math.round(grams / division);
