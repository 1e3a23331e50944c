import { grouped } from '../grouped';
import { stockKey } from './lot';
import type { LotLeft } from './stock';

/** Something of which less is there than its maker wants to have at hand, g. */
export interface Low {
  key: string;
  name: string;
  left: number;
  /** From which on it is to be bought again. */
  at: number;
}

/**
 * What is to be bought again: what all lots of one thing still hold is under the figure that one of them names (the highest,
 * where several do). The most lacking first; what is past its use-by is not counted as there.
 */
export function toReorder(stock: readonly LotLeft[]): Low[] {
  const byKey = grouped(stock, ({ lot }) => [stockKey(lot.of, lot.id)]);
  return [...byKey]
    .flatMap(([key, lots]): Low[] => {
      const at = Math.max(0, ...lots.map((l) => l.lot.reorderAt ?? 0));
      const left = lots.reduce((s, l) => s + (l.expired ? 0 : Math.max(0, l.left)), 0);
      return at > 0 && left < at ? [{ key, name: lots[0]!.lot.name, left, at }] : [];
    })
    .sort((a, b) => a.left / a.at - b.left / b.at);
}
