/** Drops from one bottle differ by about a twentieth among themselves; a starting figure, typical of dropper tips. */
const DROP_VARIES = 0.05;
/** A levelled spoon repeats to about a tenth by weight; a starting figure. */
const SPOON_VARIES = 0.1;
/** The smallest spoon counted in: an eighth of a teaspoon, ml. */
export const EIGHTH_TSP = 4.92892159375 / 8;

/**
 * A drop's mass from weighing several: grams each, and the error that the scale's step leaves on it.
 * @example calibrateDrop(20, 0.84, 0.01).grams // 0.042
 */
export function calibrateDrop(
  drops: number,
  grams: number,
  division: number
): { grams: number; error: number } {
  return { grams: grams / drops, error: division / Math.sqrt(12) / drops };
}

/**
 * What a count of drops weighs, g.
 * @example dropsWeigh(12, 0.042) // 0.504
 */
export const dropsWeigh = (count: number, dropGrams: number): number => count * dropGrams;

/** A dose that is counted instead of weighed. */
export interface Counted {
  unit: 'drops' | '⅛ tsp';
  count: number;
  /** What the count weighs, g, and its likely relative spread. */
  grams: number;
  spread: number;
}

/**
 * The whole number of drops (at least one) nearest to a dose, g > 0. Spread = √(calibration² + variation²/n).
 * @example inDrops(0.5, { grams: 0.042, error: 0.01 }).count // 12
 */
export function inDrops(dose: number, drop: { grams: number; error: number }): Counted {
  const count = Math.max(1, Math.round(dose / drop.grams));
  return {
    unit: 'drops',
    count,
    grams: dropsWeigh(count, drop.grams),
    spread: Math.sqrt((drop.error / drop.grams) ** 2 + DROP_VARIES ** 2 / count)
  };
}

/**
 * The whole number of eighths (at least one) of a levelled teaspoon nearest to a dose, g > 0, by bulk density, g/ml.
 * @example inSpoons(1.2, 0.8).count // 2
 */
export function inSpoons(dose: number, bulkDensity: number): Counted {
  const each = EIGHTH_TSP * bulkDensity;
  const count = Math.max(1, Math.round(dose / each));
  return { unit: '⅛ tsp', count, grams: count * each, spread: SPOON_VARIES };
}

/**
 * A count in words: `12 drops`, `1½ tsp`.
 * @example countWords({ unit: 'drops', count: 12 }) // '12 drops'
 */
export function countWords(counted: Pick<Counted, 'unit' | 'count'>): string {
  if (counted.unit === 'drops') return `${counted.count} drop${counted.count === 1 ? '' : 's'}`;
  const whole = Math.floor(counted.count / 8);
  const eighths = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'][counted.count % 8]!;
  return `${whole || ''}${eighths || (whole ? '' : '0')} tsp`;
}
