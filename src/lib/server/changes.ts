/** Something that was written, for those who look at it. Revision 0: it was deleted. */
export interface Change {
  kind: string;
  id: string;
  revision: number;
}

const listeners = new Set<(change: Change) => void>();

/** Tells everyone who listens that something was written. Called after the write is stored. */
export function announce(change: Change): void {
  for (const listener of [...listeners]) listener(change);
}

/** Listens to what is written on this server; returns what ends it. */
export function onChange(listener: (change: Change) => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}
