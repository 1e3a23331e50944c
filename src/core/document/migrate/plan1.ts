import { z } from 'zod';
import { Amount, Embed, HATCHES, LINE_BASES } from './shared-shapes';

const id = z.string().min(1).max(60);

/** One line of a cup's recipe. */
const RecipeLine = z.object({
  id,
  colourantId: id,
  /** Percent of the material's basis (resin: of the uncoloured batch). */
  percent: z.number().nonnegative('cannot be less than nothing').max(100, 'cannot be over 100 %'),
  of: z.enum(['supplied', 'pigment']).default('supplied'),
  /** What the percentage is of; the material's own convention when absent. */
  basis: z.enum(LINE_BASES).optional(),
  /** How it is measured out; on the scale when absent. Drops and spoons need the colourant's card to know theirs. */
  by: z.enum(['scale', 'drops', 'spoon']).optional(),
  /** Approached by eye: where to start and the size of each step, as shares of the target. */
  creep: z.object({ start: z.number().min(0.05).max(1), step: z.number().min(0.02).max(0.5) }).optional(),
  /** Weighed as a let-down: this many parts of the base's own part to one of colourant. */
  letDown: z.union([z.literal(9), z.literal(19), z.literal(49), z.literal(99)]).optional()
});

/** Chips or other solids in a cup: percent of the finished cup by weight. */
const FillerLine = z.object({
  id,
  name: z.string().min(1, 'needs a name').max(60),
  percent: z.number().positive('must be more than nothing').max(80, 'leaves too little body to hold it'),
  density: z.number().min(0.05).max(9),
  /** The lot of leftovers it comes from. */
  lotId: id.optional()
});

/** One coloured portion, with the letter and hatch it carries everywhere. */
const Cup = z.object({
  id,
  letter: z.string().regex(/^[A-Z]$/),
  hatch: z.enum(HATCHES),
  name: z.string().min(1, 'needs a name').max(40),
  recipe: z.array(RecipeLine).max(12),
  /** Mix at least this much, g; what is not poured goes to the leftovers. */
  atLeast: z.number().positive().max(100_000).optional(),
  /** Uncoloured base to take out before the colour goes in, g. */
  reserve: z.number().positive('must be more than nothing').max(100_000).optional(),
  fillers: z.array(FillerLine).max(6).optional(),
  /** Made in so many mixes; worked out when absent. */
  mixes: z.number().int().positive().max(60).optional(),
  /** The vessel it is mixed in; the smallest that holds it when absent. */
  vesselId: id.optional()
});

/** Cavities that share one sequence of steps. */
const Group = z.object({
  id,
  name: z.string().min(1).max(40),
  mouldId: id,
  cavityId: id,
  count: z.number().int().positive().max(2000),
  /** How many pieces one casting is cut into: bars of a slab, slices of a loaf; 1 when absent. */
  cutInto: z.number().int().positive().max(1000).optional(),
  /** What stands in every cavity of the group. */
  embeds: z.array(Embed).max(24).optional()
});

const Lay = z.object({
  id,
  act: z.literal('lay'),
  cupId: id,
  groupId: id,
  amount: Amount,
  /** The chamber of a divided cavity it goes into; levels stay even when all are filled alike. */
  chamberId: id.optional(),
  /** How it is poured, in the maker's words: shown while pouring. */
  how: z.string().max(200).optional(),
  /** Hands' time for one cavity, minutes. */
  minutesEach: z.number().nonnegative().max(120).default(0.5)
});

const Gate = z.object({
  id,
  act: z.literal('gate'),
  groupId: id,
  /** The state the layer below must have reached, as reported or as estimated. */
  state: z.string().min(1).max(40),
  /** Minutes after the last pour into this group at which the gate opens anyway; the estimate when absent. */
  minutes: z.number().positive().max(20_000).optional()
});

const Step = z.discriminatedUnion('act', [Lay, Gate]);

/** A plan as version 1 stored and exchanged it: read only to be migrated. */
export const Plan1 = z.object({
  version: z.literal(1),
  id,
  name: z.string().min(1, 'needs a name').max(80),
  notes: z.string().max(4000).default(''),
  baseId: id,
  scaleId: id,
  readings: z.enum(['cumulative', 'tared']).default('cumulative'),
  roomCelsius: z.number().min(-5, 'is too cold to cast').max(50, 'is too hot to cast'),
  showFace: z.enum(['mould face', 'open face']).default('mould face'),
  /** Share of what is poured that clings to cup and stick (0.03), and grams lost in each vessel (2). */
  losses: z
    .object({ cling: z.number().min(0).max(0.5), vessel: z.number().min(0).max(500) })
    .default({ cling: 0.03, vessel: 2 }),
  /** Where the losses come from: the record's median where there is one, unless they are typed. */
  lossesFrom: z.enum(['record', 'typed']).optional(),
  /** How many good pieces are wanted, and the share rejected where the record is not to say. */
  order: z
    .object({
      good: z.number().int().positive('must be one or more').max(100_000),
      rejects: z.number().min(0).max(0.9, 'leaves almost nothing good').optional()
    })
    .optional(),
  /** Each cup mixed on its own, or one mix of base split into the cups and coloured there. */
  mixing: z.enum(['each', 'split']).optional(),
  /** Vessels the cups may be mixed in; any size when none are named. */
  vesselIds: z.array(id).max(12).optional(),
  /** Other scales at hand beside the plan's own. */
  otherScaleIds: z.array(id).max(6).optional(),
  /** Mixed on top where a pour cannot be repeated, as a share of what is needed; the remix risk when absent. */
  allowance: z.number().min(0).max(0.5).optional(),
  /** Cavities that wait for what is left over, in order. */
  spares: z
    .array(z.object({ id, mouldId: id, cavityId: id, count: z.number().int().positive().max(2000) }))
    .max(24)
    .optional(),
  /** How often this plastisol has been heated already. */
  reheats: z.number().int().nonnegative().max(50).optional(),
  /** What else a turn costs, in the currency of the lots: gloves, cups, blades. */
  consumables: z.number().nonnegative().max(100_000).optional(),
  cups: z.array(Cup).max(26),
  groups: z.array(Group).max(60),
  steps: z.array(Step).max(400)
});
export type Plan1 = z.infer<typeof Plan1>;
