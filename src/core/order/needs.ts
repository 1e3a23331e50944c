import { castFor, PORTION, poursNeeded, type PlannedLetDown, type Weighing } from '../batch';
import { needsOf, stockOf, type Need } from '../shelf/stock';
import type { Lot } from '../shelf/lot';
import type { Cup, LearnedHistory, Plan } from '../document';

/** How many to cast for an order, and whose reject rate says so. */
export interface OrderYield {
  good: number;
  rejects: number;
  from: 'typed' | 'record' | 'none';
  cast: number;
  perTurn: number;
  turns: number;
  /** Pieces of the last turn; as many as any other where they come out even. */
  lastTurn: number;
}

/** What a turn of a plan costs, in the currency of the lots. */
export interface Cost {
  total: number;
  /** For one good piece, rejects paid for. */
  perPiece: number;
  /** Things whose cost no lot tells. */
  unknown: string[];
}

/** The order in turns; undefined without an order. A typed rate wins over the record's. */
export function yieldOf(plan: Plan, pieces: number, learned: LearnedHistory): OrderYield | undefined {
  if (!plan.order) return undefined;
  const typed = plan.order.rejects;
  const record =
    learned.rejects && learned.rejects.of > 0 ? learned.rejects.count / learned.rejects.of : undefined;
  const rejects = Math.min(0.9, typed ?? record ?? 0);
  const cast = castFor(plan.order.good, rejects);
  const turns = poursNeeded(cast, pieces);
  return {
    good: plan.order.good,
    rejects,
    from: typed !== undefined ? 'typed' : record !== undefined ? 'record' : 'none',
    cast,
    perTurn: pieces,
    turns,
    lastTurn: turns > 0 ? cast - (turns - 1) * pieces : 0
  };
}

/** What is taken from the shelf for one pour, and for the whole order. */
export interface Taken {
  key: string;
  name: string;
  grams: number;
  inAll: number;
}

/** How many whole pours an order comes to: its last one may be less than full. One where there is no order. */
export const poursInAll = (order: OrderYield | undefined): number =>
  order && order.turns > 1 ? order.turns - 1 + order.lastTurn / order.perTurn : 1;

/**
 * Everything one pour takes from the shelf, by stock key, and all pours of the order. A let-down is taken as what is weighed
 * into its jar, which is made once: more of it only where the cups of all pours take more than the jar holds.
 *
 * @param pours how many whole pours there are, ≥ 1
 */
export function takenBy(
  weighings: readonly Stocked[],
  letDowns: readonly PlannedLetDown[],
  pours: number
): Taken[] {
  const found = new Map<string, Taken>();
  const take = (key: string, name: string, grams: number, times: number) => {
    const entry = found.get(key) ?? { key, name, grams: 0, inAll: 0 };
    found.set(key, { ...entry, grams: entry.grams + grams, inAll: entry.inAll + grams * times });
  };
  for (const w of weighings) if (w.stock !== undefined) take(w.stock, w.name, w.weight, pours);
  for (const l of letDowns) {
    const jars = Math.max(1, (l.used * pours) / l.make);
    take(`colourant:${l.colourantId}`, l.name, l.colourant, jars);
    take(`part:${l.baseId}:${l.carrierKey}`, l.carrierName, l.carrier, jars);
  }
  return [...found.values()];
}

/** A weighing with the key of what it takes from the shelf, where it takes something. */
export type Stocked = Weighing & { stock: string | undefined };

/** The key of what a weighing takes from stock: let-downs take as they are made, portions were taken with their mix. */
export function stockOfWeighing(
  w: Weighing,
  baseId: string,
  lots: ReadonlyMap<string, string>
): string | undefined {
  switch (w.kind) {
    case 'part':
      return w.key === PORTION ? undefined : `part:${baseId}:${w.key}`;
    case 'colourant':
      return w.letDown ? undefined : `colourant:${w.colourantId}`;
    case 'filler':
      return lots.has(w.key) ? `lot:${lots.get(w.key)}` : undefined;
    case 'reserve':
      return undefined;
  }
}

/** The lot that each filler line of a cup comes from. */
export const lotsOf = (cup: Cup): Map<string, string> =>
  new Map((cup.fillers ?? []).flatMap((f) => (f.lotId === undefined ? [] : [[f.id, f.lotId] as const])));

/** Sets what a turn takes beside the stock, and says what it costs. */
export function stockAndCost(
  plan: Plan,
  stocked: { lots: readonly Lot[]; learned: LearnedHistory },
  taken: readonly Taken[],
  made: { pieces: number; order: OrderYield | undefined }
): { needs: Need[]; cost?: Cost } {
  const { pieces, order } = made;
  const stock = stockOf(stocked.lots, stocked.learned.uses ?? [], stocked.learned.today ?? 0);
  const needs = needsOf(taken, stock);
  // Tap water costs nothing worth keeping a lot for.
  const unknown = needs.filter((n) => n.cost === undefined && !/^water/.test(n.name)).map((n) => n.name);
  const known = needs.reduce((s, n) => s + (n.cost ?? 0), 0) + (plan.consumables ?? 0);
  if (!needs.some((n) => n.cost !== undefined) || pieces === 0) return { needs };
  const rejects = order ? order.cast / order.good : 1;
  return { needs, cost: { total: known, perPiece: (known / pieces) * rejects, unknown } };
}
