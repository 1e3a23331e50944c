import { colouredDensity } from '../dosing';
import type { ResolvedCup } from './resolve';

/**
 * g/ml of a cup as it is poured: coloured, with what is stirred in, or its parts by their volumes; 0 while it has no mix.
 * @param cupOf the cups of its plan
 */
export function cupDensity(cup: ResolvedCup, cupOf: ReadonlyMap<string, ResolvedCup>): number {
  if (cup.parts.length)
    return cup.parts.reduce((s, p) => s + p.share * cupDensity(cupOf.get(p.cupId)!, cupOf), 0);
  if (!cup.mix) return 0;
  const rule = cup.mix.mix.feeds === 'split' ? 'on top' : 'make room';
  return colouredDensity(cup.mix.formula, cup.doses, rule, [
    ...cup.fillers,
    ...(cup.scent ? [cup.scent] : [])
  ]);
}
