import { type ActOf, amount, cup, oneOf, quantity } from '../../fields';

/** Two cups poured at once, one in each hand: into one stream, or from two sides until they meet. */
export const fields = {
  cupId: cup(),
  withId: cup('With'),
  first: quantity('Of the first', '%', 0.5, { min: 0.01, max: 0.99 }),
  amount: amount(),
  streams: oneOf('Poured', ['into one stream', 'from two sides'], 'into one stream')
};
export type Together = ActOf<'together', typeof fields>;
