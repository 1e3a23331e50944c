import fc from 'fast-check';

/** Steps between two figures: fine enough for any of them. */
const STEPS = 1_000_000;

/**
 * Any figure between two, each as likely as another: doubles as fast-check draws them are nearly all next to nothing where
 * nothing is allowed, and most of a law is then never tried. Shrinks towards the lower one.
 */
export const evenly = (min: number, max: number): fc.Arbitrary<number> =>
  fc.integer({ min: 0, max: STEPS }).map((n) => min + ((max - min) * n) / STEPS);
