import type { Base } from '$core/material';

/** Whose a base card's figure is: the maker's own data sheet's, or still the starting value. */
export const whose = (card: Base, field: string): string =>
  card.sheet?.includes(field) ? 'yours' : 'starting value';
