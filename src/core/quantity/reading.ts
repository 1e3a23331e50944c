import { withoutMinusZero } from './format';
import { unit, type Unit } from './units';

/** Units a scale's display may show. */
const DISPLAYS: readonly Unit[] = [unit('g'), unit('oz')];
/** Most decimals a display shows. */
const MOST_DECIMALS = 6;

/**
 * The unit a scale shows: the one in which its division is a round figure of at most four decimals. A step of 0.01 g is
 * round in grams; one of 0.001 oz (0.0283495… g) is round in ounces only. Division in grams, > 0.
 * @example displayOf(0.01).symbol // 'g'
 */
export function displayOf(division: number): Unit {
  return DISPLAYS.find((u) => decimalsOf(division / u.factor) <= 4) ?? unit('g');
}

/**
 * Decimals that show a division exactly: 0.01 → 2, 1 → 0, 0.5 → 1; at most six. Division > 0, in the display's unit.
 * @example decimalsOf(0.05) // 2
 */
export function decimalsOf(division: number): number {
  for (let d = 0; d < MOST_DECIMALS; d++) {
    const steps = division * 10 ** d;
    if (Math.abs(steps - Math.round(steps)) < 1e-9 * Math.max(1, steps) && steps > 0.5) return d;
  }
  return MOST_DECIMALS;
}

/**
 * A weight as a scale of this division shows it, without the unit: `12.40`, `0.437`. Both in grams.
 * @example reading(12.4, 0.01) // '12.40'
 */
export function reading(grams: number, division = 0.01): string {
  const { factor } = displayOf(division);
  return withoutMinusZero((grams / factor).toFixed(decimalsOf(division / factor)));
}

/**
 * The same with its unit: `12.40 g`, `0.437 oz`.
 * @example weighing(12.4, 0.1) // '12.4 g'
 */
export const weighing = (grams: number, division = 0.01): string =>
  `${reading(grams, division)} ${displayOf(division).symbol}`;

/**
 * A weighing in a column of another scale's: the bare reading where both show one unit, else with its own unit.
 * @example readingBeside(12.4, 0.01, 0.1) // '12.40'
 */
export const readingBeside = (grams: number, division: number, column: number): string =>
  displayOf(division) === displayOf(column) ? reading(grams, division) : weighing(grams, division);
