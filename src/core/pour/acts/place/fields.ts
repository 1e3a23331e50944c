import { type ActOf, count, embed, place, quantity, words } from '../../fields';

/** Something set in: how many, where, and pressed to which depth. */
export const fields = {
  what: words('What'),
  embedId: embed(),
  pieces: count('Pieces', 1, 2000),
  at: place(),
  pressed: quantity('Pressed in by', 'mm', 0, { max: 300 })
};
export type PlaceAct = ActOf<'place', typeof fields>;
