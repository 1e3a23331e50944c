import { z } from 'zod';
import { Gate } from './gate';
import { Id, onlyOnce, Ref } from '../id';

/** An act as a plan holds it: its kind, and whatever that kind says. Its own definition reads the rest. */
export const AnyAct = z.looseObject({ kind: z.string().min(1, 'needs a kind').max(40) });
export type AnyAct = z.infer<typeof AnyAct>;

const minutes = z.number().nonnegative('cannot be less than nothing').max(1440);

/** One step of a pour: an act, where it is done, and what must be true before it. */
export const Step = z
  .object({
    id: Id,
    act: AnyAct,
    /** The groups it is done in; none for what is done at the bench. */
    where: z.array(Ref).max(60),
    gates: z.array(Gate).max(6).default([]),
    /** Hands' minutes for each cavity and once for the whole step; the act's usual ones when absent. */
    hands: z.object({ each: minutes.optional(), once: minutes.optional() }).optional(),
    tool: z.string().max(60).optional(),
    /** Left out for now, and kept: nothing is drawn, timed or run. */
    muted: z.literal(true).optional(),
    /** How it is done, in the maker's words: shown while pouring. */
    note: z.string().max(200).optional()
  })
  .superRefine((step, ctx) => onlyOnce(step.gates, ['gates'], ctx));
export type Step = z.infer<typeof Step>;
