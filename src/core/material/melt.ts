import { z } from 'zod';
import { commonCard, density } from './card';
import type { Formula } from './formula';

/** Bases that are melted, coloured and poured hot: melt-and-pour soap and plastisol. */
export const MeltBase = z.object({
  kind: z.enum(['melt and pour', 'plastisol']),
  ...commonCard,
  density,
  /** Heat to, never past, and pour down to, °C. */
  heatTo: z.number().min(30).max(230),
  neverPast: z.number().min(40).max(250),
  pourAbove: z.number().min(30).max(220),
  setMinutes: z.number().positive().max(600)
});
export type MeltBase = z.infer<typeof MeltBase>;

/** One part; the clock runs from the moment the melt leaves the heat. */
export function meltFormula(base: MeltBase): Formula {
  return {
    parts: [{ key: 'base', name: base.kind === 'plastisol' ? 'plastisol' : 'melted soap base', share: 1 }],
    density: base.density,
    basis: { of: 'batch', words: 'of the uncoloured batch' },
    clockPart: 'base',
    carriers: {},
    letDownIn: 'base'
  };
}
