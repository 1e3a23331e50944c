import { z } from 'zod';
import { Id, Ref } from '../id';

/**
 * One joining of reactive parts: it starts a clock. It feeds one cup, mixed on its own, or is split by weight into
 * several cups that are coloured there. A plan may hold mixes of several bases.
 */
export const Mix = z.object({
  id: Id,
  baseId: Ref,
  feeds: z.enum(['one cup', 'split']),
  /** What it is mixed in; the smallest vessel at hand that holds it when absent. */
  vesselId: Ref.optional(),
  /** Made in so many turns; worked out when absent. */
  turns: z.number().int().positive('must be one or more').max(60).optional(),
  /** How often this pot of a melted base has been heated already. */
  reheats: z.number().int().nonnegative().max(50).optional(),
  /** °C of its parts when they are joined; the room's when absent. */
  joinedAt: z.number().min(-5, 'is frozen').max(95, 'is too hot to mix').optional(),
  /** Seconds of the stick blender, for a soap; the usual when absent. */
  blender: z.number().nonnegative('cannot be less than nothing').max(600).optional(),
  /** Parts that go in by eye, as much as it takes: where to start and the size of each step, as shares of what is planned. */
  creeps: z
    .array(z.object({ part: Ref, start: z.number().min(0.3).max(1), step: z.number().min(0.01).max(0.5) }))
    .max(4)
    .optional(),
  /** Fragrance is stirred into the cups after the split, not into the whole mix. */
  fragrance: z.literal('in the cups').optional(),
  /** The maker's own factor on its card's times: 1.5 with a retarder, 0.8 where it runs ahead. */
  pace: z.number().min(0.1, 'is hardly any time').max(10, 'is ten times its card').optional()
});
export type Mix = z.infer<typeof Mix>;
