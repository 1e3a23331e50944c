import {
  COLOUR_TOLERANCE,
  concentrationsOf,
  leastWeighing,
  proposedLetDowns,
  toDivision,
  WEAKEST_LET_DOWN,
  weighingSpread,
  type LetDownStep,
  type Scale
} from '../../dosing';
import {
  compatibilityOf,
  cupLimitOf,
  limitOf,
  type Base,
  type Colourant,
  type Formula
} from '../../material';

/** A colourant that may be used: the most of it, g as supplied to 100 g of base. */
export interface Candidate {
  colourant: Colourant;
  most: number;
  /** The least that can be weighed for the batch at hand; a speck of the most when absent. */
  least?: number;
}

/** What a scale is to a weighing: its division and, where it is known, how well it repeats. */
export type WeighedOn = Pick<Scale, 'division'> & Partial<Scale>;
const asScale = (scale: WeighedOn): Scale => ({ id: '', name: '', capacity: Infinity, ...scale });

/** So that the least is weighable after its rounding, too. */
const A_HAIR = 1.001;
/** The least of a colourant that a scale can weigh within tolerance, let down as far as is usual, g. */
const leastOf = (scale: WeighedOn): number =>
  (leastWeighing(asScale(scale), COLOUR_TOLERANCE) * A_HAIR) / (WEAKEST_LET_DOWN + 1);

/** One line of a recipe as it goes on the scale, g: itself, or a let-down of so many parts to one. */
export interface LineWeighed {
  grams: number;
  letDown?: LetDownStep;
  /** What of the colourant is delivered, g. */
  delivers: number;
}

/** Weighs a line within tolerance: as it is, else as the strongest let-down that can be. */
export function lineWeighed(grams: number, on: WeighedOn): LineWeighed {
  const scale = asScale(on);
  const direct = weighingSpread(scale, grams) <= COLOUR_TOLERANCE;
  const letDown = direct ? undefined : proposedLetDowns(grams, scale)[0];
  const weight = toDivision(letDown?.dose ?? grams, scale.division);
  return letDown
    ? { grams: weight, letDown: letDown.parts, delivers: weight / (letDown.parts + 1) }
    : { grams: weight, delivers: weight };
}

/**
 * Colourants that may be used in a base, each with the most of it, g to 100 g of base; unsuited ones are left out.
 * With a batch and a scale, also the least: what the scale can still weigh for that batch, as the weakest let-down.
 * @example candidatesFor(base('clear-quick'), formula('clear-quick'), [colourant('blue-paste')]).candidates.length // 1
 */
export function candidatesFor(
  base: Base,
  formula: Formula,
  colourants: readonly Colourant[],
  given: { without?: readonly string[]; weighing?: { batch: number; scale: WeighedOn } } = {}
): { candidates: Candidate[]; mostInAll: number } {
  const { without = [], weighing } = given;
  const concentration = (colourant: Colourant, percent: number) =>
    concentrationsOf(formula, [{ colourant, percent, of: 'supplied' }])[0]!;
  const fitting = colourants.filter(
    (c) => !without.includes(c.id) && compatibilityOf(c.form, base.kind).verdict !== 'avoid'
  );
  const sample = fitting[0];
  const least = weighing && (leastOf(weighing.scale) / weighing.batch) * 100;
  const candidates = fitting.map((colourant): Candidate => ({
    colourant,
    most: concentration(colourant, limitOf(colourant, base.kind).limit),
    ...(least === undefined ? {} : { least })
  }));
  return {
    // What cannot be weighed at its limit cannot be weighed at all.
    candidates: candidates.filter((c) => c.most >= (c.least ?? 0)),
    mostInAll: sample
      ? concentration({ ...sample, carrier: 'none' }, cupLimitOf(base.kind).limit)
      : cupLimitOf(base.kind).limit
  };
}
