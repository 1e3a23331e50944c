import { z } from 'zod';
import { StoredId } from '../id';
import { TOOL_CONDITIONS } from '../dosing/condition';

/** What cups stand in: how much it holds to the brim, and what stays in it, g. */
export const Vessel = z.object({
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(60),
  ml: z.number().positive().max(200_000),
  loss: z.number().nonnegative().max(500),
  /** Sound when absent. */
  condition: z.enum(TOOL_CONDITIONS).optional()
});
export type Vessel = z.infer<typeof Vessel>;

/** Share of a vessel left free, so that it can be stirred without slopping. */
export const HEADROOM = 1 / 3;

/** The smallest vessel that holds so many ml with room to stir, or undefined. */
export const vesselFor = (ml: number, vessels: readonly Vessel[]): Vessel | undefined =>
  [...vessels].sort((a, b) => a.ml - b.ml).find((v) => v.ml * (1 - HEADROOM) >= ml - 1e-9);
