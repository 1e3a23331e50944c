import { z } from 'zod';
import { commonCard, density } from '../../card';
import type { Composition, Making, MakingStep } from '../../formula';

/** Particle densities, g/ml: typical of Portland cement, quartz sand and a liquid plasticiser. */
const CEMENT = 3.15;
const SAND = 2.65;
const WATER = 1;
const PLASTICISER = 1.08;

/**
 * Concrete by absolute volumes, everything as a share of the cement by weight. Typical: sand 1.5,
 * water/cement 0.35–0.45 with plasticiser 0.5–1.5 %, air 3 %; percentages are of the cement.
 */
export const ConcreteCard = z.object({
  kind: z.literal('concrete'),
  ...commonCard,
  sand: z.number().nonnegative().max(6),
  waterCement: z.number().min(0.2, 'is too dry to mix').max(0.8, 'is too wet to be concrete'),
  plasticiser: z.number().nonnegative().max(0.05, 'must be at most 5 % of the cement'),
  air: z.number().min(0).max(0.15),
  setMinutes: z.number().positive().max(2880),
  /**
   * A bagged casting mix instead: its own water, g per g of dry mix, its fresh density, and how much of the dry
   * mix is cement (what percentages are of). `sand` and `waterCement` then stand aside.
   */
  bag: z
    .object({
      water: z.number().min(0.05, 'is too dry to mix').max(0.6, 'is too wet to be concrete'),
      density: density,
      cement: z.number().min(0.05).max(1, 'cannot be over the whole bag')
    })
    .optional()
});
export type ConcreteCard = z.infer<typeof ConcreteCard>;

/** How exactly plasticiser is dosed: what is usual spans 0.5 to 1.5 % of the cement, so a tenth of it changes little. */
const BY_EFFECT = { tolerance: 0.1, byEffect: true };

/** Parts by weight from absolute volumes: 1 = Σ mᵢ/ρᵢ + air. A water carrier counts as mix water. */
export function concreteFormula(base: ConcreteCard): Composition {
  if (base.bag) return baggedFormula(base, base.bag);
  const mass = 1 + base.sand + base.waterCement + base.plasticiser;
  const volume = 1 / CEMENT + base.sand / SAND + base.waterCement / WATER + base.plasticiser / PLASTICISER;
  const part = (key: string, name: string, amount: number) => ({ key, name, share: amount / mass });
  return {
    parts: [
      part('sand', 'sand', base.sand),
      part('cement', 'cement', 1),
      { ...part('plasticiser', 'plasticiser', base.plasticiser), ...BY_EFFECT, byEye: true as const },
      { ...part('water', 'water', base.waterCement), byEye: true as const }
    ].filter((p) => p.share > 0),
    density: (mass * (1 - base.air)) / volume,
    air: base.air,
    basis: { of: 'parts', parts: ['cement'], words: 'of the cement' },
    carriers: { water: 'water' },
    letDownIn: 'water'
  };
}

/** A bagged mix: the bag's own water ratio and density; percentages are of the cement the bag holds. */
function baggedFormula(base: ConcreteCard, bag: NonNullable<ConcreteCard['bag']>): Composition {
  const plasticiser = base.plasticiser * bag.cement;
  const mass = 1 + bag.water + plasticiser;
  return {
    parts: [
      { key: 'mix', name: 'bagged mix', share: 1 / mass },
      {
        key: 'plasticiser',
        name: 'plasticiser',
        share: plasticiser / mass,
        ...BY_EFFECT,
        byEye: true as const
      },
      { key: 'water', name: 'water', share: bag.water / mass, byEye: true as const }
    ].filter((p) => p.share > 0),
    density: bag.density,
    air: base.air,
    basis: { of: 'parts', parts: ['mix'], factor: bag.cement, words: 'of the cement in the bag' },
    carriers: { water: 'water' },
    letDownIn: 'water'
  };
}

/** Dry first: sand and colour, then cement, turned dry before the liquids; the water starts the clock. */
export function concreteMaking(base: ConcreteCard): Making {
  const plasticiser = base.bag ? base.plasticiser * base.bag.cement : base.plasticiser;
  if (base.bag) return { clockPart: 'water', colourBefore: plasticiser > 0 ? 'plasticiser' : 'water' };
  return { clockPart: 'water', colourBefore: 'cement', between: [DRY_TURN] };
}

/** Colour that is not even in the dry never is. Minutes: usual practice for some kilograms by hand. */
const DRY_TURN: MakingStep = {
  id: 'dry',
  after: 'cement',
  act: 'Mix',
  rest: 'all that is dry, until there is no streak left',
  how: 'lid on or respirator: the dust holds silica',
  confirm: 'Even',
  attended: 2,
  unattended: 0
};

/** Cement in weights as they are, g: all of it, or what the bag holds. */
export const cementOf = (base: ConcreteCard, grams: (key: string) => number): number =>
  base.bag ? grams('mix') * base.bag.cement : grams('cement');

/** Water to cement by weight, of weights as they are (carriers counted by the caller). */
export function waterCementOf(base: ConcreteCard, grams: (key: string) => number): number | undefined {
  const cement = cementOf(base, grams);
  return cement > 0 ? grams('water') / cement : undefined;
}
