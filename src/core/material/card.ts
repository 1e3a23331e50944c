import { z } from 'zod';
import { StoredId } from '../id';

/** Density, g/ml, of anything cast here. */
export const density = z
  .number()
  .min(0.3, 'is lighter than anything cast here')
  .max(9, 'is heavier than anything cast here');

/** What every base card carries. Times at 23 °C. */
export const commonCard = {
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(80),
  /** From the joining of the parts (or from the melt) until it no longer pours, minutes. */
  openMinutes: z.number().min(0.5).max(1440),
  stirMinutes: z.number().min(0.1).max(60),
  demouldHours: z
    .object({ from: z.number().positive().max(20_000), to: z.number().positive().max(20_000) })
    .refine((d) => d.from <= d.to, 'must end after it begins'),
  shelfMonths: z.number().positive().max(240),
  /** Smallest mix, g: under it the ratio and the stirring suffer. */
  leastMix: z.number().nonnegative().default(30),
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  cautions: z.array(z.string().max(300)).max(40).default([]),
  /** Names of the fields that the maker took from their own data sheet; the others are starting values. */
  sheet: z.array(z.string().max(60)).max(80).optional(),
  source: z.string().max(300).default('')
};

/** Any card, its own figures forgotten. */
export type CommonCard = { kind: string } & z.infer<z.ZodObject<typeof commonCard>>;
