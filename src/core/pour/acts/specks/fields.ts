import { type ActOf, amount, count, cup, oneOf, quantity } from '../../fields';

/** Drops flicked or spotted over the cavity. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.02 }),
  drops: count('Drops', 9, 2000),
  spread: quantity('Sizes differ by', '%', 0.5, { max: 1 }),
  over: oneOf('Over', ['all of it', 'the middle', 'the rim'], 'all of it')
};
export type Specks = ActOf<'specks', typeof fields>;
