import { z } from 'zod';
import { commonCard, density } from '../../card';
import type { Composition } from '../../formula';

/**
 * Rubber for moulds: parts A and B by weight, 1.06–1.15 g/ml, its pot life as the open time. Platinum-cured
 * silicones are inhibited by more things than tin-cured ones.
 */
export const RubberCard = z.object({
  kind: z.literal('rubber'),
  ...commonCard,
  a: z.number().positive().max(100),
  b: z.number().positive().max(100),
  density,
  cure: z.enum(['platinum', 'tin']),
  setMinutes: z.number().positive().max(2880)
});
export type RubberCard = z.infer<typeof RubberCard>;

/** Parts by weight; the clock runs from part B. */
export function rubberFormula(base: RubberCard): Composition {
  const all = base.a + base.b;
  return {
    parts: [
      { key: 'A', name: 'silicone', share: base.a / all },
      { key: 'B', name: 'hardener', share: base.b / all }
    ],
    density: base.density,
    basis: { of: 'batch', words: 'of the mix before colour' },
    carriers: { 'part A': 'A', 'part B': 'B' },
    letDownIn: 'A'
  };
}

/** The rubbers among cards of any material: what moulds are made of. */
export const rubbersOf = (cards: readonly { kind: string }[]): RubberCard[] =>
  cards.filter((card): card is RubberCard => card.kind === 'rubber');
