import { z } from 'zod';
import { commonCard } from './card';
import type { Formula } from './formula';

/** Particle densities, g/ml: typical of Portland cement, quartz sand and a liquid plasticiser. */
const CEMENT = 3.15;
const SAND = 2.65;
const WATER = 1;
const PLASTICISER = 1.08;

/**
 * Concrete by absolute volumes, everything as a share of the cement by weight. Typical: sand 1.5,
 * water/cement 0.35–0.45 with plasticiser 0.5–1.5 %, air 3 %; percentages are of the cement.
 */
export const ConcreteBase = z.object({
  kind: z.literal('concrete'),
  ...commonCard,
  sand: z.number().nonnegative().max(6),
  waterCement: z.number().min(0.2, 'is too dry to mix').max(0.8, 'is too wet to be concrete'),
  plasticiser: z.number().nonnegative().max(0.05, 'must be at most 5 % of the cement'),
  air: z.number().min(0).max(0.15),
  setMinutes: z.number().positive().max(2880)
});
export type ConcreteBase = z.infer<typeof ConcreteBase>;

/**
 * Parts by weight from absolute volumes: 1 = Σ mᵢ/ρᵢ + air. Dry first: colour goes into the cement and sand
 * before the liquids; the water starts the clock. A water carrier counts as mix water.
 */
export function concreteFormula(base: ConcreteBase): Formula {
  const mass = 1 + base.sand + base.waterCement + base.plasticiser;
  const volume = 1 / CEMENT + base.sand / SAND + base.waterCement / WATER + base.plasticiser / PLASTICISER;
  const part = (key: string, name: string, amount: number) => ({ key, name, share: amount / mass });
  return {
    parts: [
      part('cement', 'cement', 1),
      part('sand', 'sand', base.sand),
      part('plasticiser', 'plasticiser', base.plasticiser),
      part('water', 'water', base.waterCement)
    ].filter((p) => p.share > 0),
    density: (mass * (1 - base.air)) / volume,
    air: base.air,
    basis: { of: 'parts', parts: ['cement'], words: 'of the cement' },
    clockPart: 'water',
    colourBefore: base.plasticiser > 0 ? 'plasticiser' : 'water',
    carriers: { water: 'water' },
    letDownIn: 'water'
  };
}
