import { type ActOf, place, quantity } from '../../fields';

/** Some is drawn out with a syringe; the rest flows in towards it. */
export const fields = {
  ml: quantity('Drawn out', 'ml', 5, { min: 0.1, max: 5000 }),
  at: place()
};
export type Withdraw = ActOf<'withdraw', typeof fields>;
