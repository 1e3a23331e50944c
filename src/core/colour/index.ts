export { litFromBehind } from './transmit';
export { labOf, labOfHex, lookOf, flat, xyzOf, type Lab, type Look, type Spectrum } from './spectrum';
export { deltaE } from './difference';
export { reflectanceOfHex, reflectanceOfLab } from './upsample';
export {
  opticsOfBase,
  opticsOfColourant,
  tintingStrength,
  tintLook,
  type BaseLook,
  type Optics
} from './optics';
export {
  deepColour,
  deepReflectance,
  filmReflectance,
  mixtureOf,
  stackReflectance,
  type Tint
} from './pigment';
export { contrastRatio, hidingThickness } from './hiding';
export { finished, isInk, type Finish } from './finish';
export { CLOSE, contrastOf, type Contrast } from './contrast';
export { isWhite, paleness } from './white';
export { seenBy, VISIONS, type Vision } from './vision';
export { matching, matchColour, asWeighed, predictorFor, type MatchAnswer, type MatchOrder } from './match';
export { candidatesFor, type Candidate, type LineWeighed, type WeighedOn } from './candidates';
export { BACKINGS, correctStrengths, predictedCard, TrialCard, type Correction } from './trial';
export { ladderOf, predictedLadder, readLadder, type LadderStep } from './ladder';
export { readPalette, writePalette, writePaletteCsv, type Swatch } from './palette';
export { mainColours, type Cluster } from './clusters';
export { castCorrected, pictureCorrected } from './pick';
