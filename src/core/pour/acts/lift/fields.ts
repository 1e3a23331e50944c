import { type ActOf, oneOf } from '../../fields';

/** A divider or a post comes out in one pull; what stood round it closes. */
export const fields = {
  what: oneOf('What', ['divider', 'post', 'barrier'], 'divider')
};
export type Lift = ActOf<'lift', typeof fields>;
