import { ID_PATTERN } from './shared-shapes';

/**
 * Gives every id of a list a safe and unique one, keeping those that are both already: what was written before ids
 * had a pattern may hold a slash, a space, or come twice. Deterministic: the same list gives the same names.
 */
export function safeIds(ids: readonly string[]): string[] {
  const kept = new Set(ids.filter((id) => ID_PATTERN.test(id)));
  const taken = new Set<string>();
  return ids.map((id) => {
    const own = ID_PATTERN.test(id) ? id : `x-${id.replace(/[^A-Za-z0-9_.-]+/g, '-')}`.slice(0, 50);
    let name = own;
    for (let n = 2; taken.has(name) || (name !== id && kept.has(name)); n++)
      name = `${own.slice(0, 54)}-${n}`;
    taken.add(name);
    return name;
  });
}

/** A list with safe ids, and where its first bearer of an old id is found now. */
export function renamed<T extends { id: string }>(
  list: readonly T[]
): { list: T[]; now: (old: string) => string } {
  const ids = safeIds(list.map((x) => x.id));
  const found = new Map<string, string>();
  list.forEach((x, i) => found.has(x.id) || found.set(x.id, ids[i]!));
  return { list: list.map((x, i) => ({ ...x, id: ids[i]! })), now: (old) => found.get(old) ?? old };
}
