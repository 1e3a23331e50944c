export {
  pieceOf,
  wholePicture,
  muddiness,
  picturing,
  historyAt,
  type WhichPiece,
  type Drawing,
  type PicturePart,
  type Picture,
  type DrawnPiece,
  type SpotHistory
} from './picture';
export type { Face, CutFace } from './faces';
export { svgOf, type Purpose } from './picture-svg';
export { barsShown, cutsFor, cutUp, type CutFound, type CutUp, type ShownBar } from './bars';
export type { Dividing } from './cuts';
export {
  askingFace,
  FACE_ZONES,
  type AskedFace,
  type FaceAnswer,
  type Searching,
  type Wish,
  type FaceZone
} from './ask-face';
export type { Showing } from './paint';
export { cupsOnFace, type CupsOnFace } from './cups-on-face';
export { differOn } from './shown';
export { withSpread } from './with-spread';
