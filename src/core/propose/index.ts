export { offersOf, planOfOffer, type Offer } from './from-leftovers';
export { gramsOfPart, leadingPart, sizedByPart, type LeadingPart } from './sized-by-part';
export {
  pouringLike,
  type AskedByPicture,
  type ColourPoured,
  type Likeness,
  type PouredLike
} from './from-photo/poured';
