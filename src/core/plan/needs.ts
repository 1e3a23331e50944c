import { castFor, turnsFor, type PlannedLetDown, type Weighing } from '../batch';
import { needsOf, stockOf, type Need } from '../shelf/stock';
import type { Past, Plan, Shelf } from './document';

/** How many to cast for an order, and whose reject rate says so. */
export interface OrderYield {
  good: number;
  rejects: number;
  from: 'typed' | 'record' | 'none';
  cast: number;
  perTurn: number;
  turns: number;
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
export function yieldOf(plan: Plan, pieces: number, past: Past): OrderYield | undefined {
  if (!plan.order) return undefined;
  const typed = plan.order.rejects;
  const record = past.rejects && past.rejects.of > 0 ? past.rejects.count / past.rejects.of : undefined;
  const rejects = Math.min(0.9, typed ?? record ?? 0);
  const cast = castFor(plan.order.good, rejects);
  return {
    good: plan.order.good,
    rejects,
    from: typed !== undefined ? 'typed' : record !== undefined ? 'record' : 'none',
    cast,
    perTurn: pieces,
    turns: turnsFor(cast, pieces)
  };
}

/** Everything one turn takes from the shelf, by stock key. A let-down is taken as what is weighed into it. */
export function takenBy(
  plan: Plan,
  weighings: readonly Weighing[],
  letDowns: readonly PlannedLetDown[]
): { key: string; name: string; grams: number }[] {
  const found = new Map<string, { key: string; name: string; grams: number }>();
  const take = (key: string, name: string, grams: number) => {
    const entry = found.get(key) ?? { key, name, grams: 0 };
    found.set(key, { ...entry, grams: entry.grams + grams });
  };
  const lots = new Map(
    plan.cups.flatMap((c) => (c.fillers ?? []).flatMap((f) => (f.lotId ? [[f.id, f.lotId] as const] : [])))
  );
  for (const w of weighings) {
    if (w.kind === 'part') take(`part:${plan.baseId}:${w.key}`, w.name, w.weight);
    if (w.kind === 'colourant' && !w.letDown) take(`colourant:${w.colourantId}`, w.name, w.weight);
    if (w.kind === 'filler' && lots.has(w.key)) take(`lot:${lots.get(w.key)}`, w.name, w.weight);
  }
  for (const l of letDowns) {
    take(`colourant:${l.colourantId}`, l.name, l.colourant);
    take(`part:${plan.baseId}:${l.carrierKey}`, l.carrierName, l.carrier);
  }
  return [...found.values()];
}

/** Sets what a turn takes beside the stock, and says what it costs. */
export function stockAndCost(
  plan: Plan,
  shelf: Shelf,
  past: Past,
  taken: readonly { key: string; name: string; grams: number }[],
  pieces: number,
  order: OrderYield | undefined
): { needs: Need[]; cost?: Cost } {
  const stock = stockOf(shelf.lots, past.uses ?? [], past.today ?? 0);
  const needs = needsOf(taken, stock);
  // Tap water costs nothing worth keeping a lot for.
  const unknown = needs.filter((n) => n.cost === undefined && !/^water/.test(n.name)).map((n) => n.name);
  const known = needs.reduce((s, n) => s + (n.cost ?? 0), 0) + (plan.consumables ?? 0);
  if (!needs.some((n) => n.cost !== undefined) || pieces === 0) return { needs };
  const rejects = order ? order.cast / order.good : 1;
  return { needs, cost: { total: known, perPiece: (known / pieces) * rejects, unknown } };
}
