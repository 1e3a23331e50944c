/** So many cavities of one pour, from one mix; of a cup filled from others, the share of it. */
export interface Allotment {
  pourId: string;
  count: number;
}

/**
 * Sizes of n portions of a whole number, as equal as possible, the larger ones first.
 * @example portions(100, 3) // [34,33,33]
 */
export function portions(whole: number, n: number): number[] {
  const least = Math.floor(whole / n);
  return Array.from({ length: n }, (_, i) => least + (i < whole % n ? 1 : 0)).filter((c) => c > 0);
}

/**
 * Deals the pours of one cup out to n mixes: cavities in the order they are poured, in portions as equal as
 * possible, so that one mix is used up before the next is made.
 * @example dealPours([{ pourId: 'a', count: 5 }], 2) // [[{'pourId':'a','count':3}],[{'pourId':'a','count':2}]]
 */
export function dealPours(pours: readonly Allotment[], n: number): Allotment[][] {
  const all = pours.reduce((s, p) => s + p.count, 0);
  const sizes = portions(all, Math.max(1, Math.min(n, all)));
  const left = pours.map((p) => ({ ...p }));
  let at = 0;
  return sizes.map((size) => {
    const mine: Allotment[] = [];
    let room = size;
    while (room > 0 && at < left.length) {
      const take = Math.min(room, left[at]!.count);
      if (take > 0) mine.push({ pourId: left[at]!.pourId, count: take });
      left[at]!.count -= take;
      room -= take;
      if (left[at]!.count === 0) at++;
    }
    return mine;
  });
}

/**
 * Deals cavities out to n turns of a common mix: each turn takes all its steps to the end for its own cavities.
 * `groups` in pouring order, each with its pours.
 * @example dealCavities([{ count: 5, pourIds: ['a'] }], 2) // [[{'pourId':'a','count':3}],[{'pourId':'a','count':2}]]
 */
export function dealCavities(
  groups: readonly { count: number; pourIds: readonly string[] }[],
  n: number
): Allotment[][] {
  const all = groups.reduce((s, g) => s + g.count, 0);
  const left = groups.map((g) => g.count);
  return portions(all, Math.max(1, Math.min(n, all))).map((size) => {
    let room = size;
    return groups.flatMap((g, i) => {
      const take = Math.min(room, left[i]!);
      left[i]! -= take;
      room -= take;
      return take > 0 ? g.pourIds.map((pourId) => ({ pourId, count: take })) : [];
    });
  });
}
