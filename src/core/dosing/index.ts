export { Scale, COLOUR_TOLERANCE, PART_TOLERANCE, weighingSpread, leastWeighing, toDivision } from './scale';
export { roundParts, shareError } from './rounding';
export { colouredDensity, weighCup, type Dose, type CupWeights } from './recipe';
export { LET_DOWN_SPARE, proposeLetDown, type LetDown } from './letdown';
export { correctMix, type MixWeighing, type Correction } from './overshoot';
export { calibrateDrop, dropsWeigh } from './drops';
