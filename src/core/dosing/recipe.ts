import type { Colourant, Formula } from '../material';

/** One line of a recipe: how much of which colourant, and what the percentage means. */
export interface Dose {
  colourant: Colourant;
  /** Percent of the material's basis. */
  percent: number;
  /** Whether the percent is of the form as supplied or of the pigment in it. */
  of: 'supplied' | 'pigment';
  /** Weighed as a let-down of so many parts of carrier to one. */
  letDown?: number | undefined;
}

/** A cup's exact weights before a scale rounds them, g. */
export interface CupWeights {
  /** Uncoloured batch, carriers counted as the parts they are. */
  batch: number;
  parts: { key: string; name: string; grams: number; fromCarriers: number }[];
  /** `grams` is what goes on the scale: the form as supplied, or its let-down; `supplied` the form in it. */
  colourants: { dose: Dose; grams: number; supplied: number }[];
}

/** What a dose weighs as supplied and how much of that is a part of the recipe, per gram of uncoloured batch. */
interface PerGram {
  dose: Dose;
  supplied: number;
  weighed: number;
  /** What it brings of the recipe's own parts. */
  brings: { part: string; amount: number }[];
}

/**
 * Per gram of uncoloured batch. On the batch basis a percentage is on top; on a part's basis (cement, oils) it
 * is of that part; of the finished mix it is inclusive, p/(100 − Σp) of the rest.
 */
function perGramOf(formula: Formula, doses: readonly Dose[]): PerGram[] {
  const asked = doses.map(
    (d) => (d.percent / 100) * (d.of === 'pigment' ? 1 / d.colourant.pigmentFraction : 1)
  );
  const { basis } = formula;
  const ofPart =
    basis.of === 'parts'
      ? formula.parts.reduce((s, p) => s + (basis.parts.includes(p.key) ? p.share : 0), 0)
      : 1;
  const brought = doses.map((d) => {
    const countsAs = carrierPart(d.colourant, formula);
    return countsAs ? { countsAs, share: 1 - d.colourant.pigmentFraction } : { share: 0 };
  });
  // Of the finished mix: batch = total × (1 − Σ p × (1 − what counts as a part)).
  const rest = 1 - asked.reduce((s, p, i) => s + p * (1 - brought[i]!.share), 0);
  const factor = basis.of === 'finished' ? 1 / Math.max(1e-6, rest) : ofPart;
  return doses.map((dose, i) => {
    const supplied = asked[i]! * factor;
    const { countsAs, share } = brought[i]!;
    const carried = supplied * (dose.letDown ?? 0);
    return {
      dose,
      supplied,
      weighed: supplied + carried,
      brings: [
        ...(countsAs ? [{ part: countsAs, amount: supplied * share }] : []),
        ...(carried > 0 ? [{ part: formula.letDownIn, amount: carried }] : [])
      ]
    };
  });
}

const counted = (d: PerGram) => d.brings.reduce((s, b) => s + b.amount, 0);

/**
 * Splits a wanted total (g, coloured) into parts and colourants.
 * A dose asked as pigment is delivered as form: form = pigment / φ. A carrier that is a part of the recipe
 * takes part in it: the matching part is reduced by what the carrier brings, since the cup is mixed on its own.
 */
export function weighCup(formula: Formula, doses: readonly Dose[], total: number): CupWeights {
  const perGram = perGramOf(formula, doses);
  const onTop = perGram.reduce((s, d) => s + d.weighed - counted(d), 0);
  const batch = total / (1 + onTop);
  return {
    batch,
    parts: formula.parts.map((part) => {
      const fromCarriers = perGram
        .flatMap((d) => d.brings)
        .reduce((s, b) => s + (b.part === part.key ? b.amount * batch : 0), 0);
      return { key: part.key, name: part.name, grams: part.share * batch - fromCarriers, fromCarriers };
    }),
    colourants: perGram.map(({ dose, supplied, weighed }) => ({
      dose,
      grams: weighed * batch,
      supplied: supplied * batch
    }))
  };
}

/**
 * Density of a coloured cup, g/ml: colourants whose card gives a density add their own volume (and, in a mix with
 * air, their share of it); the others are taken to be as dense as the base.
 */
export function colouredDensity(formula: Formula, doses: readonly Dose[]): number {
  const perGram = perGramOf(formula, doses);
  const solid = 1 - (formula.air ?? 0);
  let mass = 1;
  let volume = 1 / formula.density;
  for (const d of perGram) {
    const { dose } = d;
    const added = d.weighed - counted(d);
    mass += added;
    volume += dose.colourant.density ? added / (dose.colourant.density * solid) : added / formula.density;
  }
  return mass / volume;
}

/** The part of the recipe that a colourant's carrier is, if it is one. */
function carrierPart(colourant: Colourant, formula: Formula): string | undefined {
  const carriers: Partial<Record<string, string>> = formula.carriers;
  return carriers[colourant.carrier];
}
