import { COLOUR_TOLERANCE, weighingSpread, type Scale } from './scale';

/** Parts of carrier to one of colourant: the usual strengths. */
const STEPS = [9, 19, 49, 99] as const;
export type LetDownStep = (typeof STEPS)[number];
/** The weakest of them. */
export const WEAKEST_LET_DOWN = STEPS[3];
/** A let-down is made for its uses and a fifth more: some stays in its pot. */
export const LET_DOWN_SPARE = 1.2;

/**
 * Every let-down that brings one dose within tolerance on this scale, the strongest first.
 * @example proposedLetDowns(0.05, { division: 0.01, capacity: 200 }).map((l) => l.parts) // [9,19,49,99]
 */
export const proposedLetDowns = (dose: number, scale: Scale, tolerance = COLOUR_TOLERANCE) =>
  STEPS.map((parts) => ({ parts, dose: dose * (parts + 1) })).filter(
    (l) => weighingSpread(scale, l.dose) <= tolerance
  );
