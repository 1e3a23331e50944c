import { concentrationsOf } from '../dosing';
import { compatibilityOf, CUP_LIMITS, limitOf, type Base, type Colourant, type Formula } from '../material';
import type { Candidate } from './match';

/** The smallest amount worth asking of a scale, in its divisions: a fifth of it may be lost to rounding. */
const DIVISIONS = 3;

/**
 * Colourants that may be used in a base, each with the most of it, g to 100 g of base; unsuited ones are left out.
 * With a batch and a scale, also the least: what the scale can still weigh for that batch.
 */
export function candidatesFor(
  base: Base,
  formula: Formula,
  colourants: readonly Colourant[],
  given: { without?: readonly string[]; weighing?: { batch: number; division: number } } = {}
): { candidates: Candidate[]; mostInAll: number } {
  const { without = [], weighing } = given;
  const concentration = (colourant: Colourant, percent: number) =>
    concentrationsOf(formula, [{ colourant, percent, of: 'supplied' }])[0]!;
  const fitting = colourants.filter(
    (c) => !without.includes(c.id) && compatibilityOf(c.form, base.kind).verdict !== 'avoid'
  );
  const sample = fitting[0];
  return {
    candidates: fitting.map((colourant) => ({
      colourant,
      most: concentration(colourant, limitOf(colourant, base.kind).limit),
      ...(weighing ? { least: ((DIVISIONS * weighing.division) / weighing.batch) * 100 } : {})
    })),
    mostInAll: sample
      ? concentration({ ...sample, carrier: 'none' }, CUP_LIMITS[base.kind].limit)
      : CUP_LIMITS[base.kind].limit
  };
}
