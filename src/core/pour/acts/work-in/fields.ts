import { type ActOf, outline, oneOf, pot, quantity } from '../../fields';

/** Dry colour put onto a wet face at a place and worked in: no dust on an empty mould, and no cup. */
export const fields = {
  colourantId: pot('Which powder'),
  grams: quantity('Of it, each', 'g', 0.3, { min: 0.01, max: 500 }),
  outline: outline('Within'),
  with: oneOf('With', ['a pick', 'a brush', 'a finger'], 'a pick'),
  deep: quantity('How deep', 'mm', 1, { min: 0.1, max: 50 })
};
export type WorkIn = ActOf<'work-in', typeof fields>;
