export { offersOf, planOfOffer, type Offer } from './from-leftovers';
export { gramsOfPart, leadingPart, sizedByPart, type LeadingPart } from './sized-by-part';
