import type { LineWeighed } from '../colour';
import type { RecipeLine } from '../document';

/** Digits of a percentage that a maker can use. */
const DIGITS = 3;

/**
 * The recipe of a cup that was matched: each line by its percentage of the material's own basis, let down where that is
 * how it was weighed.
 */
export const recipeOf = (
  { grams }: { grams: readonly (LineWeighed & { colourantId: string })[] },
  percents: readonly number[],
  newId: () => string
): RecipeLine[] =>
  grams.map(({ colourantId, letDown }, i) => ({
    id: newId(),
    colourantId,
    percent: Number(percents[i]!.toPrecision(DIGITS)),
    of: 'supplied',
    ...(letDown ? { letDown } : {})
  }));
