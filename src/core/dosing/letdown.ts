import { COLOUR_TOLERANCE, weighingSpread, type Scale } from './scale';

/** A weak premix that brings a dose up to a weight the scale can do. */
export interface LetDown {
  /** Parts of carrier to one of colourant: 9, 19, 49 or 99. */
  parts: 9 | 19 | 49 | 99;
  /** What each dose then weighs, g, and its relative spread. */
  dose: number;
  doseSpread: number;
  /** How much to make for all uses and a fifth more, g, and what goes into it. */
  make: number;
  colourant: number;
  carrier: number;
  makeSpread: number;
  /** Whether the colourant can be weighed into the let-down itself. */
  weighable: boolean;
}

const STEPS = [9, 19, 49, 99] as const;
/** A let-down is made for its uses and a fifth more: some stays in its pot. */
export const LET_DOWN_SPARE = 1.2;

/**
 * Proposes the smallest let-down that brings one dose within tolerance on this scale.
 * @param dose grams of colourant in one cup, > 0
 * @param uses how many such cups the let-down serves
 */
export function proposeLetDown(
  dose: number,
  uses: number,
  scale: Scale,
  tolerance = COLOUR_TOLERANCE
): LetDown | undefined {
  for (const parts of STEPS) {
    const diluted = dose * (parts + 1);
    const doseSpread = weighingSpread(scale, diluted);
    if (doseSpread > tolerance) continue;
    const make = diluted * uses * LET_DOWN_SPARE;
    const colourant = make / (parts + 1);
    const makeSpread = weighingSpread(scale, colourant);
    return {
      parts,
      dose: diluted,
      doseSpread,
      make,
      colourant,
      carrier: make - colourant,
      makeSpread,
      weighable: makeSpread <= tolerance
    };
  }
  return undefined;
}
