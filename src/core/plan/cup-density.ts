import type { CupDose, Filler } from '../batch';
import { colouredDensity } from '../dosing';
import type { Mix } from '../document';
import type { Formula } from '../material';

/** What of a cup decides how heavy it is. */
export interface Made {
  mix?: { mix: Pick<Mix, 'feeds'>; formula: Formula };
  parts: readonly { cupId: string; share: number }[];
  doses: readonly CupDose[];
  fillers: readonly Filler[];
  scent?: { share: number; density: number };
}

/**
 * g/ml of a cup as it is poured: coloured, with what is stirred in, or its parts by their volumes; 0 while it has no mix.
 * @param cupOf the cups of its plan
 */
export function cupDensity(cup: Made, cupOf: ReadonlyMap<string, Made>): number {
  if (cup.parts.length)
    return cup.parts.reduce((s, p) => s + p.share * cupDensity(cupOf.get(p.cupId)!, cupOf), 0);
  if (!cup.mix) return 0;
  const rule = cup.mix.mix.feeds === 'split' ? 'on top' : 'make room';
  const beside = [...cup.fillers, ...(cup.scent ? [cup.scent] : [])];
  return colouredDensity(cup.mix.formula, cup.doses, rule, beside);
}
