import { z } from 'zod';

/** A colourant card: what it is made of, how much is usual, and what it looks like at full strength. */
export const Colourant = z.object({
  id: z.string().min(1),
  name: z.string().min(1, 'needs a name').max(80),
  form: z.enum(['powder', 'mica', 'paste', 'dispersion', 'ink']),
  /** Share of pigment in the form as supplied, 0..1; 1 for a dry powder. */
  pigmentFraction: z.number().positive().max(1),
  /** What carries the pigment. A carrier that is a part of the recipe is counted as that part. */
  carrier: z.enum(['none', 'part A', 'part B', 'water', 'oil', 'alcohol']),
  /** Most that may go in, percent as supplied of the material's own basis; overrides the usual limit. */
  limit: z.number().positive().max(100).optional(),
  limitReason: z.string().max(200).optional(),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Tinting strength beside a common oxide of the same form (1). */
  strength: z.number().positive().max(100).default(1),
  notes: z.string().max(2000).default('')
});
export type Colourant = z.infer<typeof Colourant>;

/**
 * Usual limits in resin, percent as supplied of the uncoloured batch, and what goes wrong above them.
 * Typical starting figures of the trade; a card's own limit wins.
 */
const RESIN_LIMITS: Record<Colourant['form'], { limit: number; reason: string }> = {
  paste: { limit: 6, reason: 'the carrier softens the cure' },
  powder: { limit: 5, reason: 'dry powder thickens the mix and traps air' },
  mica: { limit: 5, reason: 'mica thickens the mix and settles' },
  ink: { limit: 1.5, reason: 'alcohol softens the cure' },
  dispersion: { limit: 1, reason: 'water clouds the resin and leaves it soft' }
};

/** Most colourant a resin cup holds in all, percent of the uncoloured batch. */
export const RESIN_CUP_LIMIT = 6;

/** The limit that holds for a colourant in resin, with its reason and whose figure it is. */
export function limitOf(colourant: Colourant): { limit: number; reason: string; from: 'card' | 'usual' } {
  const usual = RESIN_LIMITS[colourant.form];
  return colourant.limit === undefined
    ? { ...usual, from: 'usual' }
    : { limit: colourant.limit, reason: colourant.limitReason || usual.reason, from: 'card' };
}
