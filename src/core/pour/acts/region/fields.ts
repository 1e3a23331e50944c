import { type ActOf, amount, cup, oneOf, outline } from '../../fields';

/** Within an outline, traced over a picture or drawn: worked into what is fluid, or into what was milled out of a cured face. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.08 }),
  outline: outline('Within'),
  edges: oneOf('Edges', ['blurred', 'crisp'], 'blurred')
};
export type Region = ActOf<'region', typeof fields>;
