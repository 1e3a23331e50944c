import { type ActOf, amount, cup, oneOf, place } from '../../fields';

/** Into what is fluid at one place: it pushes that outward. From high it digs in; from low it rides on top. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.1 }),
  at: place(),
  from: oneOf('From', ['low', 'high'], 'low')
};
export type Puddle = ActOf<'puddle', typeof fields>;
