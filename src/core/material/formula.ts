/** One part of an uncoloured batch. */
export interface FormulaPart {
  key: string;
  name: string;
  /** Share of the mix before colour by weight, 0..1; the shares of a formula sum to 1. */
  share: number;
  /** A vessel of its own (the lye jug); readings run up in each vessel separately. */
  vessel?: string;
  /** By how much, a share of it, a weighing may be off; that of a reactive part when absent. */
  tolerance?: number;
  /** Dosed by its effect and no part of a ratio. */
  byEffect?: boolean;
  /** May go in by eye: as much as it takes, a little at a time. */
  byEye?: true;
  /** A plan that has it so: where to start, and the size of each step. */
  creep?: { start: number; step: number };
  /** Rounded down to the scale, never up: too little is safe, too much is not. */
  roundDown?: boolean;
  /** The most of this part that each gram of other parts can take; never weighed above it. */
  mostOf?: Record<string, number>;
}

/** What a colourant's percentage is a percentage of; printed beside every figure. */
export type Basis =
  | { of: 'batch'; words: 'of the mix before colour' }
  | { of: 'finished'; words: 'of the finished mix' }
  | {
      of: 'parts';
      parts: readonly string[];
      /** Share of those parts that counts, where only some of them is binder; 1 when absent. */
      factor?: number;
      words: string;
    };

/** How a material's parts meet: they are weighed in the order of the composition. */
export interface Making {
  /** The clock runs from the moment this part meets the others. */
  clockPart: string;
  /** Colour is weighed before this part (dry first); after all parts when absent. */
  colourBefore?: string;
  /** What is done between weighing two parts, in order; nothing when absent. */
  between?: MakingStep[];
}

/** Something done while a mix is made that is no weighing: it cools, is melted, is joined. */
export interface MakingStep {
  id: string;
  /** After the weighing of this part. */
  after: string;
  act: string;
  rest: string;
  how: string;
  confirm: string;
  /** Minutes with the hands in it, and minutes that only pass. Starting figures. */
  attended: number;
  unattended: number;
  /** The parts meet in it: the clock runs from its end, not from the weighing. */
  joins?: true;
}

/** What a material is made up of: parts by weight, density, and what percentages are of. */
export interface Composition {
  parts: FormulaPart[];
  /** g/ml, uncoloured and mixed. */
  density: number;
  basis: Basis;
  /** Air in the cast mix, 0..1 by volume, where colourants displace it too. */
  air?: number;
  /** Which part a colourant's carrier counts as. */
  carriers: Partial<Record<'part A' | 'part B' | 'water', string>>;
  /** The part that colour is let down in; what it brings is taken off that part. */
  letDownIn: string;
}

/** A material reduced to what batching needs: what it is made up of, and how its parts meet. */
export type Formula = Composition & Making;

/** Density of a mixture by ideal mixing, 1/ρ = Σ wᵢ/ρᵢ; weights need not sum to 1. g/ml. */
export function idealDensity(parts: readonly { weight: number; density: number }[]): number {
  const weight = parts.reduce((s, p) => s + p.weight, 0);
  return weight / parts.reduce((s, p) => s + p.weight / p.density, 0);
}
