import { z } from 'zod';
import { Id, Ref } from '../id';

const minutes = z.number().positive('must be more than nothing').max(50_000);

/** The moment a time is counted from. A time always names its zero: the bag's window is not the bed's. */
export const Zero = z.union([
  /** The parts of a mix (or of a cup mixed on its own) met. */
  z.object({ mixMet: Ref }),
  z.object({ stepDone: Ref }),
  z.object({ cupColoured: Ref }),
  /** The pieces of a group left their mould. */
  z.object({ demoulded: Ref })
]);
export type Zero = z.infer<typeof Zero>;

/** So many minutes since a zero. */
const Since = z.object({ zero: Zero, minutes });
export type Since = z.infer<typeof Since>;

/** One thing that must be true before a step. */
export const Condition = z.discriminatedUnion('kind', [
  Since.extend({ kind: z.literal('since') }),
  z.object({
    kind: z.literal('state'),
    /** The state that must be reached, as reported or as estimated. */
    state: z.string().min(1, 'needs a state').max(40),
    /** Of what: the layer that the step goes onto, or a cup. */
    of: z.union([z.literal('layer below'), z.object({ cup: Ref })]),
    /** Minutes after that layer was poured (that cup's parts met) at which it counts as reached; the estimate when absent. */
    minutes: minutes.optional()
  }),
  z.object({
    kind: z.literal('probe'),
    of: z.union([z.object({ cup: Ref }), z.object({ cavity: Ref })]),
    celsius: z.number().min(-20).max(250)
  }),
  /** Not before this time of day, `HH:MM`. */
  z.object({
    kind: z.literal('clock'),
    at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time such as 08:30')
  }),
  /** Looked at and found so, in the maker's words. */
  z.object({ kind: z.literal('checked'), words: z.string().min(1, 'needs some words').max(120) })
]);
export type Condition = z.infer<typeof Condition>;

/** What must be true before a step: all of its conditions; and the latest it may be. It moves with its step. */
export const Gate = z.object({
  id: Id,
  all: z.array(Condition).min(1, 'needs a condition').max(6),
  notAfter: Since.optional()
});
export type Gate = z.infer<typeof Gate>;
