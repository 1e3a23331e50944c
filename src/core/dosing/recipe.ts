import type { Colourant, Formula } from '../material';

/** What a recipe line's percentage is of: the material's own convention, or one the maker chose. */
export const LINE_BASES = ['own', 'batch', 'finished', 'binder'] as const;
export type LineBasis = (typeof LINE_BASES)[number];

/** One line of a recipe: how much of which colourant, and what the percentage means. */
export interface Dose {
  colourant: Colourant;
  /** Percent of the basis. */
  percent: number;
  /** Whether the percent is of the form as supplied or of the pigment in it. */
  of: 'supplied' | 'pigment';
  /** The material's own basis when absent. */
  basis?: LineBasis | undefined;
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
  /** Per part, what carriers bring beyond the ratio, as a share of that part: 0 where the part makes room. */
  offRatio: { key: string; name: string; share: number }[];
}

/** What a dose weighs as supplied and how much of that is a part of the recipe, per gram of uncoloured batch. */
interface PerGram {
  dose: Dose;
  supplied: number;
  weighed: number;
  /** What it brings of the recipe's own parts. */
  brings: Carried[];
}

/** How carriers are treated: a cup mixed on its own makes room for them; one split from a mix cannot. */
export type CarrierRule = 'make room' | 'on top';

/** Grams of binder in one gram of uncoloured batch: cement, oils, powder; the whole batch where there is none. */
function binderShare(formula: Formula): number {
  const { basis } = formula;
  const keys =
    basis.of === 'parts' ? basis.parts : formula.parts.flatMap((p) => (p.key === 'powder' ? ['powder'] : []));
  if (!keys.length) return 1;
  const share = formula.parts.reduce((s, p) => s + (keys.includes(p.key) ? p.share : 0), 0);
  return basis.of === 'parts' ? share * (basis.factor ?? 1) : share;
}

/**
 * Per gram of uncoloured batch. On the batch basis a percentage is on top; on the binder's (cement, oils, powder)
 * it is of that; of the finished mix it is inclusive, p/(100 − Σp) of the rest. Lines may differ in basis.
 */
function perGramOf(formula: Formula, doses: readonly Dose[], rule: CarrierRule): PerGram[] {
  const binder = binderShare(formula);
  const basisOf = (d: Dose) => {
    const wanted = d.basis ?? 'own';
    if (wanted !== 'own') return wanted;
    return formula.basis.of === 'parts' ? 'binder' : formula.basis.of;
  };
  const asked = doses.map(
    (d) => (d.percent / 100) * (d.of === 'pigment' ? 1 / d.colourant.pigmentFraction : 1)
  );
  const brought = doses.map((d) => (carrierPart(d.colourant, formula) ? 1 - d.colourant.pigmentFraction : 0));
  // What one gram as supplied adds to the finished weight; a let-down's carrier adds itself where it cannot make room.
  const adds = (i: number) => (rule === 'make room' ? 1 - brought[i]! : 1 + (doses[i]!.letDown ?? 0));
  // Finished = batch + Σ fixed lines + Σ inclusive lines; the inclusive ones are p × finished.
  let fixed = 0;
  let inclusive = 0;
  doses.forEach((d, i) => {
    const basis = basisOf(d);
    if (basis === 'finished') inclusive += asked[i]! * adds(i);
    else fixed += asked[i]! * (basis === 'binder' ? binder : 1) * adds(i);
  });
  const finished = (1 + fixed) / Math.max(1e-6, 1 - inclusive);
  return doses.map((dose, i) => {
    const basis = basisOf(dose);
    const supplied = asked[i]! * (basis === 'finished' ? finished : basis === 'binder' ? binder : 1);
    const carried = supplied * (dose.letDown ?? 0);
    return {
      dose,
      supplied,
      weighed: supplied + carried,
      brings: carriedBy(dose.colourant, formula, { supplied, carried })
    };
  });
}

/**
 * Grams of each line as supplied to 100 g of uncoloured batch: what colour goes by, whatever the percentages are of.
 * @example concentrationsOf(formula('clear-quick'), [{ colourant: colourant('blue-paste'), percent: 1, of: 'supplied' }]) // [1]
 */
export const concentrationsOf = (formula: Formula, doses: readonly Dose[]): number[] =>
  perGramOf(formula, doses, 'make room').map((d) => d.supplied * 100);

/**
 * Each line's percentage as supplied, restated on the material's own basis, so that limits can be compared.
 * @example ownPercents(formula('clear-quick'), [{ colourant: colourant('blue-paste'), percent: 1, of: 'supplied' }]) // [1]
 */
export function ownPercents(formula: Formula, doses: readonly Dose[]): number[] {
  const perGram = perGramOf(formula, doses, 'make room');
  const of =
    formula.basis.of === 'parts'
      ? binderShare(formula)
      : formula.basis.of === 'finished'
        ? 1 + perGram.reduce((s, d) => s + d.weighed - counted(d), 0)
        : 1;
  return perGram.map((d) => (d.supplied / of) * 100);
}

const counted = (d: PerGram) => d.brings.reduce((s, b) => s + b.grams, 0);

/**
 * Splits a wanted total (g, coloured) into parts and colourants.
 * A dose asked as pigment is delivered as form: form = pigment / φ. A carrier that is a part of the recipe takes
 * part in it: where the cup is mixed on its own ('make room') the matching part is reduced by what the carrier
 * brings; in a cup split from a common mix ('on top') it cannot be, and `offRatio` says what that leaves.
 * @example weighCup(formula('clear-quick'), [], 150).parts.map((p) => p.grams) // [105.56,44.444]
 */
export function weighCup(
  formula: Formula,
  doses: readonly Dose[],
  total: number,
  rule: CarrierRule = 'make room'
): CupWeights {
  const perGram = perGramOf(formula, doses, rule);
  const onTop = perGram.reduce((s, d) => s + d.weighed - (rule === 'make room' ? counted(d) : 0), 0);
  const batch = total / (1 + onTop);
  const bringsOf = (key: string) =>
    perGram.flatMap((d) => d.brings).reduce((s, b) => s + (b.part === key ? b.grams * batch : 0), 0);
  return {
    batch,
    parts: formula.parts.map((part) => {
      const fromCarriers = rule === 'make room' ? bringsOf(part.key) : 0;
      return { key: part.key, name: part.name, grams: part.share * batch - fromCarriers, fromCarriers };
    }),
    colourants: perGram.map(({ dose, supplied, weighed }) => ({
      dose,
      grams: weighed * batch,
      supplied: supplied * batch
    })),
    offRatio:
      rule === 'make room'
        ? []
        : formula.parts.flatMap((p) => {
            const share = p.share * batch > 0 ? bringsOf(p.key) / (p.share * batch) : 0;
            return share > 0 ? [{ key: p.key, name: p.name, share }] : [];
          })
  };
}

/**
 * Density of a coloured cup, g/ml: colourants whose card gives a density add their own volume (and, in a mix with
 * air, their share of it); the others are taken to be as dense as the base. `fillers` are shares by mass of the
 * whole cup (chips, inclusions) with their own density: 1/ρ = Σ f/ρ_f + (1 − Σ f)/ρ.
 * @example colouredDensity(formula('clear-quick'), []) // 1.08
 */
export function colouredDensity(
  formula: Formula,
  doses: readonly Dose[],
  rule: CarrierRule = 'make room',
  fillers: readonly { share: number; density: number }[] = []
): number {
  const perGram = perGramOf(formula, doses, rule);
  const solid = 1 - (formula.air ?? 0);
  let mass = 1;
  let volume = 1 / formula.density;
  for (const d of perGram) {
    const { dose } = d;
    const added = d.weighed - (rule === 'make room' ? counted(d) : 0);
    mass += added;
    volume += dose.colourant.density ? added / (dose.colourant.density * solid) : added / formula.density;
  }
  const body = mass / volume;
  const filled = fillers.reduce((s, f) => s + f.share, 0);
  return 1 / (fillers.reduce((s, f) => s + f.share / f.density, 0) + (1 - filled) / body);
}

/** So much of a recipe's part that comes with a colourant, g (or a share, as what it is taken from). */
export interface Carried {
  part: string;
  grams: number;
}

/**
 * What a colourant brings of the recipe's own parts: its own carrier, and what it is let down in.
 * @example carriedBy(colourant('blue-paste'), formula('clear-quick'), { supplied: 10, carried: 0 }).length // 1
 */
export function carriedBy(
  colourant: Colourant,
  formula: Formula,
  { supplied, carried }: { supplied: number; carried: number }
): Carried[] {
  const part = carrierPart(colourant, formula);
  return [
    ...(part ? [{ part, grams: supplied * (1 - colourant.pigmentFraction) }] : []),
    ...(carried > 0 ? [{ part: formula.letDownIn, grams: carried }] : [])
  ];
}

/** The part of the recipe that a colourant's carrier is, if it is one. */
function carrierPart(colourant: Colourant, formula: Formula): string | undefined {
  // A premix is colour in the base's own part: what it brings of it makes room like any other carrier.
  if (colourant.carrier === 'base') return formula.letDownIn;
  const carriers: Partial<Record<string, string>> = formula.carriers;
  return carriers[colourant.carrier];
}
