import { landed, stockKey, type Lot } from './lot';

/** Something taken from stock by a run: its key, grams, and when; and which run, where it is asked. */
export interface Use {
  key: string;
  grams: number;
  at: number;
  runId?: string;
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

/** One movement of a lot: what was put in or taken out, g (negative when taken), when, and by what. */
export interface Entry {
  lotId: string;
  grams: number;
  at: number;
  by: { bought: true } | { runId: string | undefined } | { correction: string; why: string };
}

/**
 * Every gram that moved: what was bought, what runs took, and what was found otherwise. Uses since a lot came take from the oldest
 * lot first (by use-by, then by purchase), and never more than is in it; uses from before any lot was bought take nothing.
 */
export function entriesOf(lots: readonly Lot[], uses: readonly Use[]): Entry[] {
  const left = new Map(lots.map((l) => [l.id, l.grams]));
  const entries: Entry[] = lots.map((l) => ({
    lotId: l.id,
    grams: l.grams,
    at: l.boughtAt,
    by: { bought: true }
  }));
  const order = [...lots].sort(
    (a, b) =>
      (a.useBy ?? Infinity) - (b.useBy ?? Infinity) || a.boughtAt - b.boughtAt || (a.id < b.id ? -1 : 1)
  );
  const move = (lotId: string, grams: number, at: number, by: Entry['by']) => {
    left.set(lotId, left.get(lotId)! + grams);
    entries.push({ lotId, grams, at, by });
  };
  const take = (use: Use) => {
    let wanted = use.grams;
    for (const lot of order) {
      if (wanted <= 0) break;
      if (stockKey(lot.of, lot.id) !== use.key || lot.boughtAt > use.at) continue;
      const grams = Math.min(wanted, left.get(lot.id)!);
      if (grams > 0) move(lot.id, -grams, use.at, { runId: use.runId });
      wanted -= grams;
    }
  };
  const corrections = lots.flatMap((lot) => (lot.corrections ?? []).map((c) => ({ ...c, lotId: lot.id })));
  const happened = [
    ...uses.map((use) => ({ at: use.at, go: () => take(use) })),
    ...corrections.map((c) => ({
      at: c.at,
      // A lot never holds less than nothing.
      go: () => move(c.lotId, Math.max(c.grams, -left.get(c.lotId)!), c.at, { correction: c.id, why: c.why })
    }))
  ];
  for (const { go } of happened.sort((a, b) => a.at - b.at)) go();
  return entries;
}

/**
 * The same uses in as few as leave every lot the same: what was taken of one key between two moments at which something changes there
 * (a lot comes, is counted anew) is one use, and what no lot was there for is none.
 */
export function mergedUses(lots: readonly Lot[], uses: readonly Use[]): Use[] {
  const moments = new Map<string, number[]>();
  for (const lot of lots) {
    const key = stockKey(lot.of, lot.id);
    const own = moments.get(key) ?? [];
    own.push(lot.boughtAt, ...(lot.corrections ?? []).map((c) => c.at));
    moments.set(key, own);
  }
  for (const own of moments.values()) own.sort((a, b) => a - b);
  const merged = new Map<string, Use>();
  for (const { key, grams, at } of uses) {
    const since = moments.get(key)?.findLast((m) => m <= at);
    if (since === undefined) continue;
    const place = `${key}|${since}`;
    const before = merged.get(place);
    merged.set(place, { key, grams: grams + (before?.grams ?? 0), at: Math.max(at, before?.at ?? 0) });
  }
  return [...merged.values()];
}

/** What is left of each lot: the sum of its entries. */
export function stockOf(lots: readonly Lot[], uses: readonly Use[], today: number): LotLeft[] {
  const left = new Map<string, number>();
  for (const e of entriesOf(lots, uses)) left.set(e.lotId, (left.get(e.lotId) ?? 0) + e.grams);
  return lots.map((lot) => ({
    lot,
    left: Math.max(0, left.get(lot.id) ?? 0),
    costGram: landed(lot) / lot.grams,
    expired: lot.useBy !== undefined && lot.useBy < today
  }));
}

const DAY = 24 * 3_600_000;
/** Uses older than this say little about today's pace, days; fewer than two say nothing. */
const RECENT = 120;

/** How fast a lot is used, and what of it will pass its use-by. */
export interface UseRate {
  /** Grams a day, over what was taken lately. */
  gramsDay: number;
  /** When it is used up, ms. */
  endsAt: number;
  /** Grams that will stand there at its use-by; nothing where it is used up before or has none. */
  unused: number;
}

/** The pace of a lot from what was taken of it; undefined while too little tells. */
export function useRateOf(
  { lot, left }: LotLeft,
  entries: readonly Entry[],
  today: number
): UseRate | undefined {
  const taken = entries.filter((e) => e.lotId === lot.id && 'runId' in e.by && today - e.at < RECENT * DAY);
  if (taken.length < 2 || left <= 0) return undefined;
  const first = Math.min(...taken.map((e) => e.at));
  const days = Math.max(1, (today - first) / DAY);
  const gramsDay = -taken.reduce((s, e) => s + e.grams, 0) / days;
  if (!(gramsDay > 0)) return undefined;
  const endsAt = today + (left / gramsDay) * DAY;
  const until = lot.useBy === undefined ? Infinity : Math.max(0, (lot.useBy - today) / DAY);
  return { gramsDay, endsAt, unused: Math.max(0, left - gramsDay * until) };
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
 * Sets needs beside the stock: cost of a pour from the lots it would come from; short when they hold less than all
 * pours take. What no lot is kept of is not counted, and so never short.
 */
export function needsOf(
  wanted: readonly { key: string; name: string; grams: number; inAll: number }[],
  stock: readonly LotLeft[]
): Need[] {
  return wanted.map(({ key, name, grams, inAll }) => {
    const mine = stock.filter((s) => stockKey(s.lot.of, s.lot.id) === key);
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
