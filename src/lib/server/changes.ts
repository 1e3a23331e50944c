/** Something that was written, for those who look at it. Revision 0: it was deleted. */
export interface Change {
  kind: string;
  id: string;
  revision: number;
}

/** The whole database was put in place, or so much was written elsewhere that nothing can be said of it one by one. */
export const EVERYTHING: Change = { kind: 'everything', id: '', revision: 0 };

const listeners = new Set<(change: Change) => void>();

/** Tells everyone who listens that something was written. Called after the write is stored. */
export function announce(change: Change): void {
  for (const listener of [...listeners]) listener(change);
}

/** Listens to what is written; returns what ends it. */
export function onChange(listener: (change: Change) => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Whether anybody listens: a page is open somewhere. */
export const isLookedOn = (): boolean => listeners.size > 0;
