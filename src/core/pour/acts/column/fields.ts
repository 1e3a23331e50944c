import { type ActOf, amount, count, cup, maybe, oneOf, place, quantity } from '../../fields';

/** Over a standing post: rings spread from it and follow its outline. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.3 }),
  at: place('Over the post at'),
  rounds: count('Rounds', 4, 40),
  post: maybe(oneOf('Post', ['round', 'star', 'reed'], 'round')),
  across: maybe(quantity('Across', 'mm', 20, { min: 1, max: 500 }))
};
export type ColumnAct = ActOf<'column', typeof fields>;
