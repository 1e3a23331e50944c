export {
  pieceOf,
  wholePicture,
  muddiness,
  picturing,
  toldAt,
  type Asked,
  type Drawing,
  type Part,
  type Picture,
  type Piece,
  type Told
} from './picture';
export type { Face, Cut } from './faces';
export { svgOf, type Purpose } from './picture-svg';
export { barsShown, cutsFor, cutUp, type CutFound, type CutUp, type ShownBar } from './bars';
export type { Dividing } from './cuts';
export {
  askingFace,
  ZONES,
  type AskedFace,
  type FaceAnswer,
  type Searching,
  type Wish,
  type Zone
} from './ask-face';
export type { Showing } from './paint';
