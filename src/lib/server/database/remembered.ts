import type { Db } from './connection';

interface Kept {
  version: string;
  value: Promise<unknown>;
}
const kept = new WeakMap<Db, Map<string, Kept>>();

/**
 * What was worked out from a database, kept as long as what it was worked out from is the same.
 *
 * @param version what tells any state of its sources from any other, quickly asked
 */
export async function remembered<T>(
  db: Db,
  key: string,
  version: (db: Db) => Promise<string>,
  work: () => Promise<T>
): Promise<T> {
  const own = kept.get(db) ?? new Map<string, Kept>();
  kept.set(db, own);
  const now = await version(db);
  const before = own.get(key);
  if (before?.version === now) return before.value as Promise<T>;
  const value = work();
  own.set(key, { version: now, value });
  // What failed is not kept.
  value.catch(() => own.delete(key));
  return value;
}
