import { z } from 'zod';
import { Amount, Ref } from '../../../plan/document';

/** A layer that levels by itself, over the whole cavity or in one chamber of a divided one. */
export const Lay = z.object({
  kind: z.literal('lay'),
  cupId: Ref,
  amount: Amount,
  /** The chamber of a divided cavity it goes into; levels stay even when all are filled alike. */
  chamberId: Ref.optional()
});
export type Lay = z.infer<typeof Lay>;
