import type { Base } from '$core/material';

/** Marks a base card's figure as the maker's own; an unmarked one is still the starting value, as the page says. */
export const whose = (card: Base, field: string): string => (card.sheet?.includes(field) ? 'yours' : '');
