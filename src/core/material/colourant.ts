import { z } from 'zod';
import { StoredId } from '../id';

/** The forms a colourant comes in. */
export const FORMS = [
  'powder',
  'mica',
  'interference pearl',
  'paste',
  'dispersion',
  'ink',
  'botanical',
  'glitter',
  'plastisol colour',
  'premix'
] as const;
export type Form = (typeof FORMS)[number];

/** A colourant card: what it is made of, how much is usual, and what it looks like at full strength. */
export const Colourant = z.object({
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(80),
  form: z.enum(FORMS),
  /** Share of pigment in the form as supplied, 0..1; 1 for a dry powder. */
  pigmentFraction: z.number().positive().max(1),
  /** What carries the pigment. A carrier that is a part of the recipe is counted as that part. */
  carrier: z.enum(['none', 'part A', 'part B', 'water', 'oil', 'alcohol', 'base']),
  /** The material whose part carries it, where that is one: in another it is a foreign part. */
  carrierOf: z.string().min(1).max(80).optional(),
  /** Density as supplied, g/ml, where it displaces enough to matter (oxide in concrete 4.5). */
  density: z.number().min(0.3).max(20).optional(),
  /** Most that may go in, percent as supplied of the material's own basis; overrides the usual limit. */
  limit: z.number().positive().max(100).optional(),
  limitReason: z.string().max(200).optional(),
  /** One drop as weighed by the maker: grams, and the standard error of that. */
  drop: z.object({ grams: z.number().positive().max(2), error: z.number().nonnegative().max(1) }).optional(),
  /** Loose weight of the powder in a levelled spoon, g/ml. */
  bulkDensity: z.number().min(0.02).max(5).optional(),
  /** How long it keeps, months, where it matters (home-made paste). */
  shelfMonths: z.number().positive().max(240).optional(),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Its tint: percent of it by weight in a white, the colour that gave, which white that was, and its strength then. */
  tint: z
    .object({
      colour: z.string().regex(/^#[0-9a-f]{6}$/i),
      percent: z.number().min(0.1, 'is too little to tell').max(60, 'is no tint any more'),
      white: z
        .object({
          colour: z.string().regex(/^#[0-9a-f]{6}$/i),
          strength: z.number().positive().max(100)
        })
        .optional(),
      at: z.number().positive().max(100).optional()
    })
    .optional(),
  /** A dye or dye-like colour: takes light away and scatters none. */
  translucent: z.boolean().optional(),
  /** Where its colour comes from; a starting value when absent. */
  colourFrom: z.enum(['typed', 'photo', 'cards']).optional(),
  /** Tinting strength beside a common oxide of the same form (1). */
  strength: z.number().positive().max(100).default(1),
  notes: z.string().max(2000).default('')
});
export type Colourant = z.infer<typeof Colourant>;
