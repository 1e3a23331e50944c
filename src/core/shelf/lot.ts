import { z } from 'zod';
import { Ref, StoredId } from '../id';

const grams = z.number().positive('must be more than nothing').max(1_000_000);
const money = z.number().nonnegative('cannot be less than nothing').max(1_000_000);

/** What a lot is a lot of: a part of a base, a colourant, or a leftover kept for chips or remelting. */
const LotOf = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('part'), baseId: Ref, part: z.string().min(1).max(40) }),
  z.object({ kind: z.literal('colourant'), colourantId: Ref }),
  z.object({
    kind: z.literal('leftover'),
    material: z.string().min(1).max(40),
    colour: z.string().regex(/^#[0-9a-f]{6}$/i),
    density: z.number().min(0.3).max(9)
  })
]);

/** One bought container (or bin of leftovers): size, landed cost, dates. Moments are ms since 1970. */
export const Lot = z.object({
  id: StoredId,
  name: z.string().min(1, 'needs a name').max(80),
  of: LotOf,
  grams,
  /** Price, tax, and its share of the carriage of what came together, all in one currency. */
  price: money.default(0),
  tax: money.default(0),
  carriage: money.default(0),
  boughtAt: z.number().int().nonnegative(),
  openedAt: z.number().int().nonnegative().optional(),
  useBy: z.number().int().nonnegative().optional(),
  place: z.string().max(80).default(''),
  /** Bought again once all lots of it together hold less, g. */
  reorderAt: grams.optional(),
  /** What was found otherwise than reckoned: so much more (or, negative, less) from then on, and why. */
  corrections: z
    .array(
      z.object({
        id: StoredId,
        at: z.number().int().nonnegative(),
        grams: z.number().min(-1_000_000).max(1_000_000),
        why: z.string().max(120).default('')
      })
    )
    .max(500)
    .optional()
});
export type Lot = z.infer<typeof Lot>;

/** What a lot cost as it stands on the shelf: price + tax + carriage. */
export const landed = (lot: Pick<Lot, 'price' | 'tax' | 'carriage'>): number =>
  lot.price + lot.tax + lot.carriage;

/** The key under which uses are counted against lots. */
export function stockKey(of: Lot['of'], lotId: string): string {
  switch (of.kind) {
    case 'part':
      return `part:${of.baseId}:${of.part}`;
    case 'colourant':
      return `colourant:${of.colourantId}`;
    case 'leftover':
      return `lot:${lotId}`;
  }
}
