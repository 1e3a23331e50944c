export { Scale, COLOUR_TOLERANCE, PART_TOLERANCE, weighingSpread, leastWeighing, toDivision } from './scale';
export { cupScale, finestFor, scaleFor } from './choose';
export { roundParts, shareError } from './rounding';
export {
  carriedBy,
  colouredDensity,
  concentrationsOf,
  LINE_BASES,
  ownPercents,
  weighCup,
  type CarrierRule,
  type CupWeights,
  type Dose,
  type LineBasis
} from './recipe';
export { LET_DOWN_SPARE, proposedLetDowns, WEAKEST_LET_DOWN, type LetDownStep } from './letdown';
export { correctMix, type MixWeighing, type MixCorrection } from './overshoot';
export { calibrateDrop, countWords, dropsWeigh, EIGHTH_TSP, inDrops, inSpoons, type Counted } from './drops';
export { creepSteps, type Creep } from './creep';
export { pasteOf, usualFraction, type Paste, type PasteOrder, type PutIn } from './paste';
export { thinned } from './rewet';
export { TOOL_CONDITIONS } from './condition';
