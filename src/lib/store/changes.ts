import { stream } from './event-source';

/** Listens to what is written to one document by whatever device; revision 0: it was deleted. Returns what ends it. */
export function listenTo(kind: string, id: string, heard: (revision: number) => void): () => void {
  const query = new URLSearchParams({ kind, id });
  return stream(`/api/v1/changes?${query}`, ['message'], (_, data) =>
    heard((JSON.parse(data) as { revision: number }).revision)
  );
}
