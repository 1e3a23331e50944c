import type { Need } from '../shelf/stock';

/** What one open order still needs of the shelf, for all its turns. */
export interface OrderNeeds {
  planId: string;
  name: string;
  needs: readonly Need[];
}

/** Something the shelf holds too little of for all open orders together. Grams. */
export interface Shortage {
  key: string;
  name: string;
  needed: number;
  have: number;
  orders: { planId: string; name: string; grams: number }[];
}

/**
 * What runs short over all open orders together, the most lacking first: each may be covered alone, and all of them
 * not. What no lot is kept of is not counted, and so is not here.
 */
export function shortageOf(orders: readonly OrderNeeds[]): Shortage[] {
  const found = new Map<string, Shortage>();
  for (const { planId, name, needs } of orders)
    for (const need of needs) {
      if (need.have === undefined || need.inAll <= 0) continue;
      const before = found.get(need.key) ?? {
        key: need.key,
        name: need.name,
        needed: 0,
        have: need.have,
        orders: []
      };
      found.set(need.key, {
        ...before,
        needed: before.needed + need.inAll,
        orders: [...before.orders, { planId, name, grams: need.inAll }]
      });
    }
  return [...found.values()]
    .filter((s) => s.needed > s.have * (1 + 1e-9))
    .sort((a, b) => b.needed / Math.max(1e-9, b.have) - a.needed / Math.max(1e-9, a.have));
}
