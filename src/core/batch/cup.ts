import {
  COLOUR_TOLERANCE,
  PART_TOLERANCE,
  roundParts,
  toDivision,
  weighCup,
  weighingSpread,
  type Dose,
  type Scale
} from '../dosing';
import type { Formula } from '../material';

/** One thing put on the scale for a cup, g. */
export interface Weighing {
  /** `A`, `B`, or the recipe line's id. */
  key: string;
  name: string;
  kind: 'part' | 'colourant';
  /** Exact weight wanted. */
  exact: number;
  /** Weight on this scale: a multiple of its division. */
  weight: number;
  /** What the display reads when this is in: running total, or this alone when tared. */
  reading: number;
  /** Relative standard spread of this weighing on this scale. */
  spread: number;
  weighable: boolean;
  colourantId?: string;
  percent?: number;
}

/** What is poured, what clings, what stays in the vessel, what is left over: together, what is mixed. Grams. */
export interface CupBalance {
  pouredMl: number;
  poured: number;
  clings: number;
  vessel: number;
  left: number;
  mixed: number;
}

/** A cup worked out to the gram. */
export interface WeighedCup {
  balance: CupBalance;
  batch: number;
  weighings: Weighing[];
  /** Greatest relative deviation of a part's share after rounding, carriers counted. */
  ratioError: number;
}

/** What a cup is worked out from. */
export interface CupOrder {
  formula: Formula;
  doses: readonly (Dose & { lineId: string })[];
  /** ml poured from this cup in all cavities. */
  pouredMl: number;
  losses: { cling: number; vessel: number };
  /** Mix at least this much, g. */
  atLeast?: number;
  scale: Scale;
  readings: 'cumulative' | 'tared';
}

/**
 * Works out one cup mixed on its own: mass to mix = poured × ρ × (1 + cling) + vessel loss, split into parts
 * and colourants, rounded to the scale. The balance closes exactly on the rounded weights: what rounding
 * or `atLeast` adds is left over. A surplus below nothing (a rounding, at most half a division) stays visible.
 */
export function weighOutCup(order: CupOrder): WeighedCup {
  const { formula, scale, losses } = order;
  const poured = order.pouredMl * formula.density;
  const clings = poured * losses.cling;
  const vessel = order.pouredMl > 0 ? losses.vessel : 0;
  const needed = poured + clings + vessel;
  const exact = weighCup(
    formula,
    order.doses,
    Math.max(needed, order.pouredMl > 0 ? (order.atLeast ?? 0) : 0)
  );

  const rounded = roundParts(
    exact.parts.map((p) => p.grams),
    scale.division,
    exact.parts.map((p) => p.fromCarriers)
  );
  let total = 0;
  const entry = (weight: number) => {
    total = Math.round((total + weight) * 1e9) / 1e9;
    return order.readings === 'cumulative' ? total : weight;
  };
  const weighings: Weighing[] = exact.parts.map((part, i) => {
    const weight = rounded.weights[i]!;
    const spread = weighingSpread(scale, weight);
    return {
      key: part.key,
      name: part.name,
      kind: 'part',
      exact: part.grams,
      weight,
      reading: entry(weight),
      spread,
      weighable: spread <= PART_TOLERANCE
    };
  });
  exact.colourants.forEach(({ dose, grams }, i) => {
    if (grams <= 0) return;
    const weight = Math.round(toDivision(grams, scale.division) * 1e9) / 1e9;
    const spread = weighingSpread(scale, grams);
    weighings.push({
      key: order.doses[i]!.lineId,
      name: dose.colourant.name,
      kind: 'colourant',
      exact: grams,
      weight,
      reading: entry(weight),
      spread,
      weighable: spread <= COLOUR_TOLERANCE,
      colourantId: dose.colourant.id,
      percent: dose.percent
    });
  });

  return {
    balance: {
      pouredMl: order.pouredMl,
      poured,
      clings,
      vessel,
      left: total - poured - clings - vessel,
      mixed: total
    },
    batch: exact.batch,
    weighings,
    ratioError: order.pouredMl > 0 ? rounded.ratioError : 0
  };
}
