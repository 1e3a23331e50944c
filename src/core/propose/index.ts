export { offersOf, planOfOffer, type Offer } from './from-leftovers';
