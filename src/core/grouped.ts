/** A list by keys: each element under every key it has, in the order they came. */
export function grouped<T>(list: readonly T[], keysOf: (x: T) => readonly string[]): Map<string, T[]> {
  const map = new Map<string, T[]>();
  for (const x of list)
    for (const key of keysOf(x)) {
      const own = map.get(key);
      if (own) own.push(x);
      else map.set(key, [x]);
    }
  return map;
}
