export { litFromBehind } from './pigment/transmit';
export {
  labOf,
  labOfHex,
  labOfXyz,
  lookOf,
  flat,
  type Lab,
  type Look,
  type Spectrum
} from './spectrum/spectrum';
export { deltaE } from './spectrum/difference';
export {
  opticsOfBase,
  opticsOfColourant,
  tintingStrength,
  tintLook,
  PLAIN_BASE,
  type BaseLook,
  type Optics
} from './pigment/optics';
export {
  deepColour,
  deepReflectance,
  filmReflectance,
  mixtureOf,
  stackReflectance,
  type Tint
} from './pigment/pigment';
export { hidingThickness } from './pigment/hiding';
export { finished, isInk, type Finish } from './pigment/finish';
export { CLOSE, contrastOf, type Contrast } from './contrast';
export { isWhite, paleness } from './spectrum/white-point';
export { seenBy, VISIONS, type Vision } from './spectrum/vision';
export {
  matching,
  matchColour,
  asWeighed,
  predictorFor,
  type MatchAnswer,
  type MatchOrder
} from './match/match';
export { candidatesFor, type Candidate, type LineWeighed, type WeighedOn } from './match/candidates';
export { BACKINGS, correctStrengths, predictedCard, TrialCard, type StrengthCorrection } from './cards/trial';
export { ladderOf, predictedLadder, readLadder, type LadderStep } from './cards/ladder';
export { readPalette, writePalette, writePaletteCsv, type Swatch } from './match/palette';
export { mainColours, type Cluster } from './spectrum/clusters';
export { castCorrected, pictureCorrected, WHITE_CARD } from './match/pick';
export { byteOfLight, LIGHT_OF_BYTE } from './spectrum/srgb';
