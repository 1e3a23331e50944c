import { PORTION, type CupBalance, type Weighing } from '../../batch';
import { ofTheirOwn, piecesIn, type Group } from '../../document';
import { NOTHING, type CommonMix, type CupMix } from './weighed';

/** What a whole turn comes to: grams by part, colourant and filler, the mass balance, and the pieces it makes. */
export interface Totals {
  parts: { key: string; name: string; grams: number }[];
  colourants: { id: string; name: string; grams: number }[];
  fillers: { id: string; name: string; grams: number }[];
  balance: CupBalance;
  pieces: number;
}

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

/** A cup as its totals need it; `jug` where it is filled from other cups. */
interface Totalled {
  balance: CupBalance;
  weighings: readonly Weighing[];
  jug: boolean;
  /** ml that a cup of cups is filled with. */
  filledMl: number;
}

export function totalsOf(
  cups: readonly Totalled[],
  common: readonly CommonMix[],
  groups: readonly Group[]
): Totals {
  const all = [...common.flatMap((m) => m.weighings), ...cups.flatMap((c) => c.weighings)];
  return {
    parts: gathered(all, 'part', (w) => w.key).map(({ key, name, grams }) => ({ key, name, grams })),
    colourants: gathered(all, 'colourant', (w) => w.colourantId!).map(({ key, ...rest }) => ({
      id: key,
      ...rest
    })),
    fillers: gathered(all, 'filler', (w) => w.key).map(({ key, ...rest }) => ({ id: key, ...rest })),
    balance: balanceOf(cups, common),
    pieces: ofTheirOwn(groups).reduce((s, g) => s + piecesIn(g), 0)
  };
}

/** Grams of everything of one kind, by a key, in the order it is first weighed. */
function gathered(all: readonly Weighing[], kind: Weighing['kind'], keyOf: (w: Weighing) => string) {
  const found = new Map<string, { key: string; name: string; grams: number }>();
  for (const w of all) {
    if (w.kind !== kind || w.key === PORTION) continue;
    const entry = found.get(keyOf(w)) ?? { key: keyOf(w), name: w.name, grams: 0 };
    found.set(entry.key, { ...entry, grams: entry.grams + w.weight });
  }
  return [...found.values()];
}

/**
 * The mass balance of a turn. A common mix is poured into cups: what it adds is what stays in the pot and what is
 * reserved. A cup of cups passes on what they pour: it adds only what clings to it and stays in it.
 */
function balanceOf(cups: readonly Totalled[], common: readonly CommonMix[]): CupBalance {
  const own = sumBalances(cups.filter((c) => !c.jug).map((c) => c.balance));
  const jugs = sumBalances(cups.filter((c) => c.jug).map((c) => c.balance));
  const splitMixes = sumBalances(common.map((m) => m.balance));
  const shared = cups.flatMap((c) => c.weighings).reduce((s, w) => s + (w.key === PORTION ? w.weight : 0), 0);
  // What is dripped neat onto a filled cup is weighed there, and nowhere before.
  const dripped = cups.filter((c) => c.jug).flatMap((c) => c.weighings);
  const drops = dripped.reduce((s, w) => s + w.weight, 0);
  const passedOn = jugs.mixed - drops;
  return {
    pouredMl: own.pouredMl + jugs.pouredMl - cups.reduce((s, c) => s + (c.jug ? c.filledMl : 0), 0),
    poured: own.poured + jugs.poured - passedOn,
    clings: own.clings + jugs.clings,
    vessel: own.vessel + jugs.vessel + splitMixes.vessel,
    reserved: own.reserved + splitMixes.reserved,
    left:
      own.left +
      drops +
      (common.length ? splitMixes.mixed - shared - splitMixes.vessel - splitMixes.reserved : 0),
    mixed: own.mixed + drops + (common.length ? splitMixes.mixed - shared : 0)
  };
}
