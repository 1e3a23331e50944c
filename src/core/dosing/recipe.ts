import type { Colourant, Formula } from '../material';

/** One line of a recipe: how much of which colourant, and what the percentage means. */
export interface Dose {
  colourant: Colourant;
  /** Percent of the material's basis. */
  percent: number;
  /** Whether the percent is of the form as supplied or of the pigment in it. */
  of: 'supplied' | 'pigment';
}

/** A cup's exact weights before a scale rounds them, g. */
export interface CupWeights {
  /** Uncoloured batch, carriers counted as the parts they are. */
  batch: number;
  parts: { key: string; name: string; grams: number; fromCarriers: number }[];
  colourants: { dose: Dose; grams: number; pigment: number; countsAs?: string }[];
}

/**
 * Splits a wanted total (g, coloured) into parts and colourants.
 * A dose asked as pigment is delivered as form: form = pigment / φ. On the uncoloured-batch basis the
 * percentage is on top of the batch. A carrier that is a part of the recipe takes part in it: the matching
 * part is reduced by what the carrier brings, since the cup is mixed on its own.
 */
export function weighCup(formula: Formula, doses: readonly Dose[], total: number): CupWeights {
  // Per gram of batch: what each dose weighs as supplied, and how much of that is a part of the recipe.
  const perGram = doses.map((dose) => {
    const supplied = (dose.percent / 100) * (dose.of === 'pigment' ? 1 / dose.colourant.pigmentFraction : 1);
    const countsAs = carrierPart(dose.colourant, formula);
    return {
      dose,
      supplied,
      countsAs,
      counted: countsAs ? supplied * (1 - dose.colourant.pigmentFraction) : 0
    };
  });
  const onTop = perGram.reduce((s, d) => s + d.supplied - d.counted, 0);
  const batch = total / (1 + onTop);
  return {
    batch,
    parts: formula.parts.map((part) => {
      const fromCarriers = perGram.reduce((s, d) => s + (d.countsAs === part.key ? d.counted * batch : 0), 0);
      return { key: part.key, name: part.name, grams: part.share * batch - fromCarriers, fromCarriers };
    }),
    colourants: perGram.map(({ dose, supplied, countsAs }) => ({
      dose,
      grams: supplied * batch,
      pigment: supplied * batch * dose.colourant.pigmentFraction,
      ...(countsAs ? { countsAs } : {})
    }))
  };
}

/** The part of the recipe that a colourant's carrier is, if it is one. */
function carrierPart(colourant: Colourant, formula: Formula): string | undefined {
  const key = { 'part A': 'A', 'part B': 'B' }[colourant.carrier as 'part A' | 'part B'];
  return formula.parts.some((p) => p.key === key) ? key : undefined;
}
