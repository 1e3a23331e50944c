/** A drop's mass from weighing several: grams each, and the error that the scale's step leaves on it. */
export function calibrateDrop(
  drops: number,
  grams: number,
  division: number
): { grams: number; error: number } {
  return { grams: grams / drops, error: division / Math.sqrt(12) / drops };
}

/** What a count of drops weighs, g. */
export const dropsWeigh = (count: number, dropGrams: number): number => count * dropGrams;
