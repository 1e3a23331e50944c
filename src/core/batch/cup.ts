import {
  colouredDensity,
  COLOUR_TOLERANCE,
  PART_TOLERANCE,
  roundParts,
  toDivision,
  weighCup,
  weighingSpread,
  type Dose,
  type Scale
} from '../dosing';
import type { Formula, FormulaPart } from '../material';

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
  /** When it is weighed as a let-down: parts of carrier to one, and the colourant in this weighing, g. */
  letDown?: { parts: number; supplied: number };
  /** A vessel of its own, when it is not weighed into the cup. */
  vessel?: string;
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
  /** g/ml of the coloured cup. */
  density: number;
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
  const density = colouredDensity(formula, order.doses);
  const poured = order.pouredMl * density;
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
  const weighings = exact.parts.map((part, i): Weighing => {
    const own = formula.parts[i]!;
    const weight = own.roundDown
      ? roundedDown(Math.min(part.grams, most(own, formula, rounded.weights)), scale.division)
      : rounded.weights[i]!;
    const spread = weighingSpread(scale, weight);
    return {
      key: part.key,
      name: part.name,
      kind: 'part',
      exact: part.grams,
      weight,
      reading: 0,
      spread,
      weighable: spread <= PART_TOLERANCE,
      ...(own.vessel ? { vessel: own.vessel } : {})
    };
  });
  const colours = exact.colourants.flatMap(({ dose, grams, supplied }, i): Weighing[] => {
    if (grams <= 0) return [];
    const spread = weighingSpread(scale, grams);
    return [
      {
        key: order.doses[i]!.lineId,
        name: dose.letDown ? `${dose.colourant.name}, 1 : ${dose.letDown} let-down` : dose.colourant.name,
        kind: 'colourant',
        exact: grams,
        weight: clean(toDivision(grams, scale.division)),
        reading: 0,
        spread,
        weighable: spread <= COLOUR_TOLERANCE,
        colourantId: dose.colourant.id,
        percent: dose.percent,
        ...(dose.letDown ? { letDown: { parts: dose.letDown, supplied } } : {})
      }
    ];
  });
  // Dry first where the material asks for it; otherwise colour goes into the mixed batch.
  const before = weighings.findIndex((w) => w.key === formula.colourBefore);
  weighings.splice(before < 0 ? weighings.length : before, 0, ...colours);

  let total = 0;
  const vessels = new Map<string, number>();
  for (const w of weighings) {
    total = clean(total + w.weight);
    const inVessel = clean((vessels.get(w.vessel ?? '') ?? 0) + w.weight);
    vessels.set(w.vessel ?? '', inVessel);
    w.reading = order.readings === 'cumulative' ? inVessel : w.weight;
  }

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
    density,
    weighings,
    ratioError: order.pouredMl > 0 ? rounded.ratioError : 0
  };
}

const roundedDown = (g: number, division: number) => clean(Math.floor(g / division + 1e-9) * division);

/** The most of a part that the other parts, as rounded, can take. */
function most(part: FormulaPart, formula: Formula, weights: readonly number[]): number {
  if (!part.mostOf) return Infinity;
  return formula.parts.reduce((s, p, i) => s + (part.mostOf?.[p.key] ?? 0) * (weights[i] ?? 0), 0);
}

/** Multiples of 0.01 drift in binary; 1e-9 g is far below any scale. */
const clean = (g: number) => Math.round(g * 1e9) / 1e9;
