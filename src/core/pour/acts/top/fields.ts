import { type ActOf, amount, cup, oneOf } from '../../fields';

/** The top of the piece: piped rosettes, textured with a spoon, or strewn. */
export const fields = {
  cupId: cup(),
  amount: amount({ kind: 'dome' }),
  how: oneOf('How', ['piped', 'textured', 'spooned'], 'piped')
};
export type Top = ActOf<'top', typeof fields>;
