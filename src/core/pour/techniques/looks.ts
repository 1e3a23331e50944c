/** The looks by which a maker chooses a technique, in the order they are offered. */
export const LOOKS = ['layers', 'cells', 'swirls', 'stone', 'set in'] as const;
export type Look = (typeof LOOKS)[number];
