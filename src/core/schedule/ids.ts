/** The pot of a mix that is split into cups, where a cup's id would stand. */
export const splitMixId = (mixId: string): string => `~${mixId}`;
export const isSplitMix = (cupId: string): boolean => cupId.startsWith('~');

/** The jar of a let-down that is made before the cups, by its place in the list from 1. */
export const jarId = (nth: number): string => `^${nth}`;
export const isJar = (cupId: string): boolean => cupId.startsWith('^');
/** Which let-down a jar holds, by its place in the list from 0. */
export const jarPlace = (cupId: string): number => Number(cupId.slice(1)) - 1;

/** The wait that a mix is held back by, where a gate’s id would stand. */
export const holdId = (mixId: string): string => `hold:${mixId}`;

/** The first of several goes by the plain id, so that a plan with one turn reads as it always did. */
export const turnId = (id: string, turn: number): string => (turn > 1 ? `${id}~${turn}` : id);
