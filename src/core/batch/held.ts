import { carriedBy } from '../dosing';
import type { Colourant, Formula } from '../material';
import { PORTION, type Weighing } from './weighing';

/** A part of the recipe as a cup or pot really holds it, g. */
export interface HeldPart {
  key: string;
  name: string;
  grams: number;
}

/** What a joining is read from. */
export interface Joined {
  formula: Formula;
  weighings: readonly Weighing[];
  colourantOf: (id: string) => Colourant | undefined;
  /** Shares of the parts in the pot that a portion comes from; the formula's own when absent. */
  splitMix?: readonly HeldPart[] | undefined;
}

/**
 * Each part as it is really there once everything is weighed: the part itself (rounded to its scale), its share of a
 * portion, and what colourants' carriers and let-downs bring of it. Grams; the order of the formula's parts.
 */
export function heldParts({ formula, weighings, colourantOf, splitMix }: Joined): HeldPart[] {
  const portion = weighings.find((w) => w.key === PORTION)?.weight ?? 0;
  const inSplitMix = splitMix?.reduce((s, p) => s + p.grams, 0) ?? 0;
  const shareOf = (key: string, share: number) =>
    inSplitMix > 0 ? (splitMix!.find((p) => p.key === key)?.grams ?? 0) / inSplitMix : share;
  const carried = weighings.flatMap((w) => broughtBy(w, formula, colourantOf));
  return formula.parts.map(({ key, name, share }) => {
    const weighed = weighings.find((w) => w.kind === 'part' && w.key === key)?.weight ?? 0;
    const brought = carried.reduce((s, c) => s + (c.part === key ? c.grams : 0), 0);
    return { key, name, grams: weighed + portion * shareOf(key, share) + brought };
  });
}

/** What one colourant brings of the recipe's own parts: of what is on the scale, a let-down's carrier first. */
function broughtBy(w: Weighing, formula: Formula, colourantOf: Joined['colourantOf']) {
  const colourant = w.kind === 'colourant' && colourantOf(w.colourantId ?? '');
  if (!colourant) return [];
  const supplied = w.letDown ? w.weight / (w.letDown.parts + 1) : w.weight;
  return carriedBy(colourant, formula, { supplied, carried: w.weight - supplied });
}

/**
 * Greatest relative deviation of any part's share from the formula's, of what is really there.
 * @example offFormula([], formula('clear-quick')) // 1
 */
export function offFormula(held: readonly HeldPart[], formula: Formula): number {
  const all = held.reduce((s, p) => s + p.grams, 0);
  const shares = formula.parts.reduce((s, p) => s + p.share, 0);
  if (all <= 0) return 1;
  return Math.max(
    ...formula.parts.map((p, i) => {
      const off = p.share > 0 ? Math.abs(held[i]!.grams / all / (p.share / shares) - 1) : 0;
      // What is dosed by its effect is off only past what that bears.
      return p.byEffect && off <= (p.tolerance ?? 0) ? 0 : off;
    })
  );
}
