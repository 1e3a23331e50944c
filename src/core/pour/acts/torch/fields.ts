import { type ActOf, count } from '../../fields';

/** A brief flame over the surface, for bubbles or lacing. */
export const fields = {
  seconds: count('Seconds', 5, 120)
};
export type Torch = ActOf<'torch', typeof fields>;
