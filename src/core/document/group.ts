import { z } from 'zod';
import { Embed } from '../mould';
import { Amount } from './amount';
import { Id, onlyOnce, Ref } from '../id';

/** One step done otherwise in some cavities of a group: not at all, from another cup, or another amount. */
const Variation = z.object({
  id: Id,
  stepId: Ref,
  /** The cavities it is for, by number from 1. */
  cavities: z.array(z.number().int().positive().max(2000)).min(1, 'needs a cavity').max(2000),
  change: z.union([
    z.object({ skip: z.literal(true) }),
    z
      .object({ cupId: Ref.optional(), amount: Amount.optional() })
      .refine((c) => c.cupId ?? c.amount, 'needs a change')
  ])
});
export type Variation = z.infer<typeof Variation>;

/** Cavities that share one sequence of steps. */
export const Group = z
  .object({
    id: Id,
    name: z.string().min(1, 'needs a name').max(40),
    mouldId: Ref,
    cavityId: Ref,
    count: z.number().int().positive('must be one or more').max(2000),
    /** How many pieces one casting is cut into: bars of a slab, slices of a loaf; 1 when absent. */
    cutInto: z.number().int().positive('must be one or more').max(1000).optional(),
    /** What stands in every cavity of the group. */
    embeds: z.array(Embed).max(24).optional(),
    variations: z.array(Variation).max(24).optional()
  })
  .superRefine((group, ctx) => {
    onlyOnce(group.variations ?? [], ['variations'], ctx);
    onlyOnce(group.embeds ?? [], ['embeds'], ctx);
  });
export type Group = z.infer<typeof Group>;

/**
 * Pieces that the castings of a group make: one each, or as many as each is cut into.
 * @example piecesIn({ count: 2, cutInto: 10 }) // 20
 */
export const piecesIn = ({ count, cutInto = 1 }: Pick<Group, 'count' | 'cutInto'>): number => count * cutInto;

/** The groups whose castings are pieces of their own: all but those that are set into another's. */
export function ofTheirOwn<G extends Pick<Group, 'id' | 'embeds'>>(groups: readonly G[]): G[] {
  const setIn = new Set(
    groups.flatMap((g) => (g.embeds ?? []).flatMap((e) => (e.kind === 'casting' ? [e.groupId] : [])))
  );
  const own = groups.filter((g) => !setIn.has(g.id));
  // Castings that go into one another are none: a plan that says so keeps all its groups.
  return own.length ? own : [...groups];
}
