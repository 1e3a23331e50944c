/** The pot of a mix that is split into cups, where a cup's id would stand. */
export const potId = (mixId: string): string => `~${mixId}`;
export const isPot = (cupId: string): boolean => cupId.startsWith('~');

/** The first of several goes by the plain id, so that a plan with one turn reads as it always did. */
export const turnId = (id: string, turn: number): string => (turn > 1 ? `${id}~${turn}` : id);
