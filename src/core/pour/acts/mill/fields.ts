import { type ActOf, quantity } from '../../fields';

/** Milled to a surface: what shows is the depth that the mill leaves. */
export const fields = {
  depth: quantity('Down by', 'mm', 1, { min: 0.1, max: 60 })
};
export type Mill = ActOf<'mill', typeof fields>;
