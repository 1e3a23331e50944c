/** The same place changed on both sides, each in its own way. `undefined` stands for “not there”. */
export interface Conflict {
  /** Keys and ids from the root. */
  path: string[];
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

/** What came of setting two changes of one thing beside each other; where they conflict, mine stands in it. */
export interface Merged<T> {
  merged: T;
  conflicts: Conflict[];
}

/**
 * Merges two changes of the same document. What only one side changed is taken; lists whose elements have ids are
 * merged element by element, by id, so that a line added here and one taken out there are both kept. What both changed
 * differently is a conflict.
 */
export function merge<T>(base: T, mine: T, theirs: T): Merged<T> {
  const conflicts: Conflict[] = [];
  const merged = mergeAt([], { base, mine, theirs }, conflicts);
  return { merged: merged as T, conflicts };
}

/** Puts theirs in the place of mine wherever it is chosen, by the conflict's path. */
export function choose<T>(document: T, conflict: Conflict, theirs: boolean): T {
  return theirs ? (setAt(document, conflict.path, conflict.theirs) as T) : document;
}

interface Three {
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

type Keyed = { id: string };

const isPlain = (x: unknown): x is Record<string, unknown> =>
  typeof x === 'object' && x !== null && !Array.isArray(x);
const isKeyed = (x: unknown): x is Keyed[] =>
  Array.isArray(x) &&
  x.every((e) => isPlain(e) && typeof e.id === 'string') &&
  new Set(x.map((e: Keyed) => e.id)).size === x.length;

/** Whether two plain values say the same; a key that holds `undefined` is as good as absent. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]));
  if (!isPlain(a) || !isPlain(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((k) => same(a[k], b[k]));
}

function mergeAt(path: string[], { base, mine, theirs }: Three, conflicts: Conflict[]): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isKeyed(mine) && isKeyed(theirs) && (base === undefined || isKeyed(base)))
    return mergeList(path, { base: base ?? [], mine, theirs }, conflicts);
  if (isPlain(mine) && isPlain(theirs) && !otherKind(mine, theirs))
    return mergeObject(path, { base: isPlain(base) ? base : {}, mine, theirs }, conflicts);
  conflicts.push({ path, base, mine, theirs });
  return mine;
}

/** Values of two kinds (an amount in mm, one in ml) are one choice, not fields to be mixed. */
const otherKind = (a: Record<string, unknown>, b: Record<string, unknown>): boolean =>
  'kind' in a && 'kind' in b && a.kind !== b.kind;

function mergeObject(
  path: string[],
  { base, mine, theirs }: Record<keyof Three, Record<string, unknown>>,
  conflicts: Conflict[]
): Record<string, unknown> {
  const merged: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    if (key === '__proto__') continue;
    const three = { base: base[key], mine: mine[key], theirs: theirs[key] };
    const value = mergeAt([...path, key], three, conflicts);
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

function mergeList(
  path: string[],
  { base, mine, theirs }: Record<keyof Three, Keyed[]>,
  conflicts: Conflict[]
): Keyed[] {
  const byId = (list: readonly Keyed[]) => new Map(list.map((e) => [e.id, e]));
  const [b, m, t] = [byId(base), byId(mine), byId(theirs)];
  const kept = new Map<string, Keyed>();
  for (const id of new Set([...m.keys(), ...t.keys()])) {
    const value = mergeAt([...path, id], { base: b.get(id), mine: m.get(id), theirs: t.get(id) }, conflicts);
    if (value !== undefined) kept.set(id, value as Keyed);
  }
  const ids = (list: readonly Keyed[]) => list.map((e) => e.id);
  return orderOf({ base: ids(base), mine: ids(mine), theirs: ids(theirs) }, kept);
}

/** The order of a merged list: that of the side which moved something (mine, if both did), the other's additions put in after their neighbours. */
function orderOf(order: Record<keyof Three, string[]>, kept: ReadonlyMap<string, Keyed>): Keyed[] {
  const moved = (list: readonly string[]) => {
    const common = list.filter((id) => order.base.includes(id));
    return !same(
      common,
      order.base.filter((id) => list.includes(id))
    );
  };
  const [lead, other] =
    moved(order.theirs) && !moved(order.mine) ? [order.theirs, order.mine] : [order.mine, order.theirs];
  const result = lead.filter((id) => kept.has(id));
  other.forEach((id, i) => {
    if (!kept.has(id) || result.includes(id)) return;
    const before = other.slice(0, i).findLast((x) => result.includes(x));
    result.splice(before === undefined ? 0 : result.indexOf(before) + 1, 0, id);
  });
  return result.map((id) => kept.get(id)!);
}

function setAt(document: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(document)) {
    const at = document.findIndex((e) => isPlain(e) && e.id === key);
    const inner = setAt(at < 0 ? undefined : document[at], rest, value);
    if (inner === undefined) return document.filter((_, i) => i !== at);
    return at < 0 ? [...document, inner] : document.map((e, i) => (i === at ? inner : e));
  }
  const { [key]: before, ...others } = isPlain(document) ? document : {};
  const inner = setAt(before, rest, value);
  return inner === undefined ? others : { ...others, [key]: inner };
}
