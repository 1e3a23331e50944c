import { PORTION, type CupBalance, type Weighing } from '../batch';
import type { CommonMix, CupMix } from './cups';
import type { Group } from './document';

/** What a whole turn comes to: grams by part, colourant and filler, the mass balance, and the pieces it makes. */
export interface Totals {
  parts: { key: string; name: string; grams: number }[];
  colourants: { id: string; name: string; grams: number }[];
  fillers: { id: string; name: string; grams: number }[];
  balance: CupBalance;
  pieces: number;
}

/** A balance of nothing. */
export const NOTHING: CupBalance = {
  pouredMl: 0,
  poured: 0,
  clings: 0,
  vessel: 0,
  reserved: 0,
  left: 0,
  mixed: 0
};

/** The same weighings over several mixes, added up; readings belong to one mix and are not summed. */
export function summed(mixes: readonly CupMix[]): Weighing[] {
  const keys = [...new Set(mixes.flatMap((m) => m.weighings.map((w) => w.key)))];
  return keys.map((key) => {
    const all = mixes.flatMap((m) => m.weighings.filter((w) => w.key === key));
    const sum = (pick: (w: Weighing) => number) =>
      Math.round(all.reduce((s, w) => s + pick(w), 0) * 1e9) / 1e9;
    return {
      ...all[0]!,
      exact: sum((w) => w.exact),
      weight: sum((w) => w.weight),
      reading: 0,
      spread: Math.max(...all.map((w) => w.spread)),
      weighable: all.every((w) => w.weighable)
    };
  });
}

export function sumBalances(all: readonly CupBalance[]): CupBalance {
  const sum = { ...NOTHING };
  for (const b of all) for (const key of Object.keys(sum) as (keyof CupBalance)[]) sum[key] += b[key];
  return sum;
}

export function totalsOf(
  cups: readonly { balance: CupBalance; weighings: readonly Weighing[] }[],
  common: readonly CommonMix[],
  groups: readonly Group[]
): Totals {
  const all = [...common.flatMap((m) => m.weighings), ...cups.flatMap((c) => c.weighings)];
  const by = (kind: Weighing['kind'], keyOf: (w: Weighing) => string) => {
    const found = new Map<string, { key: string; name: string; grams: number }>();
    for (const w of all) {
      if (w.kind !== kind || w.key === PORTION) continue;
      const entry = found.get(keyOf(w)) ?? { key: keyOf(w), name: w.name, grams: 0 };
      found.set(entry.key, { ...entry, grams: entry.grams + w.weight });
    }
    return [...found.values()];
  };
  const own = sumBalances(cups.map((c) => c.balance));
  // A common mix is poured into the cups: what it adds to the balance is what stays in the pot and what is reserved.
  const pots = sumBalances(common.map((m) => m.balance));
  const shared = cups
    .flatMap((c) => (common.length ? c.weighings : []))
    .reduce((s, w) => s + (w.key === PORTION ? w.weight : 0), 0);
  return {
    parts: by('part', (w) => w.key),
    colourants: by('colourant', (w) => w.colourantId!).map(({ key, ...rest }) => ({ id: key, ...rest })),
    fillers: by('filler', (w) => w.key).map(({ key, ...rest }) => ({ id: key, ...rest })),
    balance: common.length
      ? {
          ...own,
          vessel: own.vessel + pots.vessel,
          reserved: own.reserved + pots.reserved,
          left: own.left + pots.mixed - shared - pots.vessel - pots.reserved,
          mixed: own.mixed + pots.mixed - shared
        }
      : own,
    pieces: groups.reduce((s, g) => s + g.count * (g.cutInto ?? 1), 0)
  };
}
