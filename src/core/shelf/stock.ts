import { landed, stockKey, type Lot } from './lot';

/** Something taken from stock by a run: its key, grams, and when. */
export interface Use {
  key: string;
  grams: number;
  at: number;
}

/** A lot with what is left of it. */
export interface LotLeft {
  lot: Lot;
  left: number;
  /** Landed cost of a gram. */
  costGram: number;
  /** Past its use-by at the day asked for. */
  expired: boolean;
}

/**
 * What is left of each lot: uses since a lot came take from the oldest lot first (by use-by, then by purchase).
 * Uses from before any lot was bought take nothing.
 */
export function stockOf(lots: readonly Lot[], uses: readonly Use[], today: number): LotLeft[] {
  const left = new Map(lots.map((l) => [l.id, l.grams]));
  const order = [...lots].sort(
    (a, b) =>
      (a.useBy ?? Infinity) - (b.useBy ?? Infinity) || a.boughtAt - b.boughtAt || (a.id < b.id ? -1 : 1)
  );
  for (const use of [...uses].sort((a, b) => a.at - b.at)) {
    let wanted = use.grams;
    for (const lot of order) {
      if (wanted <= 0) break;
      if (stockKey(lot.of, lot.id) !== use.key || lot.boughtAt > use.at) continue;
      const take = Math.min(wanted, left.get(lot.id)!);
      left.set(lot.id, left.get(lot.id)! - take);
      wanted -= take;
    }
  }
  return lots.map((lot) => ({
    lot,
    left: left.get(lot.id)!,
    costGram: landed(lot) / lot.grams,
    expired: lot.useBy !== undefined && lot.useBy < today
  }));
}

/** What a plan needs of one thing, beside what there is. Grams and money. */
export interface Need {
  key: string;
  name: string;
  /** For one turn, and for all turns of the order. */
  grams: number;
  inAll: number;
  /** Undefined where no lot of it is on the shelf. */
  have?: number;
  cost?: number;
  short: boolean;
  /** The use-by of the lot it would come from, where that has passed. */
  expired?: number;
}

/**
 * Sets needs beside the stock: cost of a turn from the lots it would come from; short when they hold less than all
 * turns take. What no lot is kept of is not counted, and so never short.
 *
 * @param turns how often the grams are needed, ≥ 1
 */
export function needsOf(
  wanted: readonly { key: string; name: string; grams: number }[],
  stock: readonly LotLeft[],
  turns = 1
): Need[] {
  return wanted.map(({ key, name, grams }) => {
    const mine = stock.filter((s) => stockKey(s.lot.of, s.lot.id) === key);
    const inAll = grams * turns;
    if (!mine.length) return { key, name, grams, inAll, short: false };
    const order = [...mine].sort((a, b) => (a.lot.useBy ?? Infinity) - (b.lot.useBy ?? Infinity));
    let rest = grams;
    let cost = 0;
    for (const s of order) {
      const take = Math.min(rest, s.left);
      cost += take * s.costGram;
      rest -= take;
    }
    // What is short is reckoned at the last lot's price: it will have to be bought.
    cost += Math.max(0, rest) * (order.at(-1)?.costGram ?? 0);
    const expired = order.find((s) => s.left > 0 && s.expired)?.lot.useBy;
    const have = mine.reduce((sum, s) => sum + s.left, 0);
    return {
      key,
      name,
      grams,
      inAll,
      have,
      cost,
      short: inAll > have + 1e-6,
      ...(expired === undefined ? {} : { expired })
    };
  });
}
