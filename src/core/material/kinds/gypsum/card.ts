import { z } from 'zod';
import { commonCard, density } from '../../card';
import type { Composition } from '../../formula';

/**
 * Acrylic gypsum (jesmonite) and other powders mixed with a liquid by weight. Typical: liquid 1 : powder 2.5,
 * 1.75 g/ml; percentages are of the finished mix.
 */
export const GypsumCard = z.object({
  kind: z.literal('gypsum'),
  ...commonCard,
  liquid: z.number().positive().max(100),
  powder: z.number().positive().max(1000),
  density,
  /** After this many minutes the next layer stands on this one. */
  setMinutes: z.number().positive().max(1440)
});
export type GypsumCard = z.infer<typeof GypsumCard>;

/** Parts by weight; a water carrier counts as liquid. */
export function gypsumFormula(base: GypsumCard): Composition {
  const all = base.liquid + base.powder;
  return {
    parts: [
      { key: 'liquid', name: 'liquid', share: base.liquid / all },
      { key: 'powder', name: 'powder', share: base.powder / all }
    ],
    density: base.density,
    basis: { of: 'finished', words: 'of the finished mix' },
    carriers: { water: 'liquid' },
    letDownIn: 'liquid'
  };
}
