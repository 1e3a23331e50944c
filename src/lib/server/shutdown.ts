/** Open event streams; they would hold a graceful stop up, so stopping ends them first. */
const streams = new Set<() => void>();

/** Registers a stream's end; returns what forgets it again. */
export function onStop(end: () => void): () => void {
  streams.add(end);
  return () => void streams.delete(end);
}

/** Ends every open stream. */
export function endStreams(): void {
  for (const end of [...streams]) end();
}
