import { z } from 'zod';
import { Amount, Embed, HATCHES, Id, LINE_BASES, Ref } from './shared-shapes';

/** The parts of a plan of version 2, as they were when it was written. Never changed. */

const gateMinutes = z.number().positive('must be more than nothing').max(50_000);

/** The moment a time is counted from. A time always names its zero: the bag's window is not the bed's. */
const Zero = z.union([
  /** The parts of a mix (or of a cup mixed on its own) met. */
  z.object({ mixMet: Ref }),
  z.object({ stepDone: Ref }),
  z.object({ cupColoured: Ref }),
  /** The pieces of a group left their mould. */
  z.object({ demoulded: Ref })
]);

/** So many minutes since a zero. */
const Since = z.object({ zero: Zero, minutes: gateMinutes });

/** One thing that must be true before a step. */
const Condition = z.discriminatedUnion('kind', [
  Since.extend({ kind: z.literal('since') }),
  z.object({
    kind: z.literal('state'),
    /** The state that must be reached, as reported or as estimated. */
    state: z.string().min(1, 'needs a state').max(40),
    /** Of what: the layer that the step goes onto, or a cup. */
    of: z.union([z.literal('layer below'), z.object({ cup: Ref })]),
    /** Minutes after that layer was poured (that cup's parts met) at which it counts as reached; the estimate when absent. */
    minutes: gateMinutes.optional()
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

/** What must be true before a step: all of its conditions; and the latest it may be. It moves with its step. */
const Gate = z.object({
  id: Id,
  all: z.array(Condition).min(1, 'needs a condition').max(6),
  notAfter: Since.optional()
});

/** How far a cup's colour is stirred in: through, in a few strokes, or left unmixed on purpose. */
const MIXINGS = ['full', 'marbled', 'speckled'] as const;

/** Parts of carrier to one of colourant in a let-down: the usual strengths. */
const LetDownParts = z.union([z.literal(9), z.literal(19), z.literal(49), z.literal(99)]);

/** One line of a cup's recipe. */
const RecipeLine = z.object({
  id: Id,
  colourantId: Ref,
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
  letDown: LetDownParts.optional()
});

/** Chips or other solids in a cup: percent of the finished cup by weight. */
const FillerLine = z.object({
  id: Id,
  name: z.string().min(1, 'needs a name').max(60),
  percent: z.number().positive('must be more than nothing').max(80, 'leaves too little body to hold it'),
  density: z.number().min(0.05).max(9),
  /** The lot of leftovers it comes from. */
  lotId: Ref.optional()
});

/** What a cup is made from: a mix, or other cups by their shares of its volume (a swirl or a dirty cup). */
const From = z.union([
  z.object({ mix: Ref }),
  z.object({
    cups: z
      .array(z.object({ cupId: Ref, share: z.number().positive('must be more than nothing').max(1) }))
      .min(1, 'needs a cup')
      .max(12)
  })
]);

/** One coloured portion, with the letter and hatch it carries everywhere. */
const Cup = z.object({
  id: Id,
  letter: z.string().regex(/^[A-Z]$/, 'must be one capital letter'),
  hatch: z.enum(HATCHES),
  name: z.string().min(1, 'needs a name').max(40),
  from: From,
  recipe: z.array(RecipeLine).max(12),
  /** Mix at least this much, g; what is not poured goes to the leftovers. */
  atLeast: z.number().positive().max(100_000).optional(),
  /** Uncoloured base to take out before the colour goes in, g. */
  reserve: z.number().positive('must be more than nothing').max(100_000).optional(),
  fillers: z.array(FillerLine).max(6).optional(),
  /** How far its colour is stirred in; through when absent. */
  mixing: z.enum(MIXINGS).optional(),
  /** What a portion split from a mix stands in; the smallest that holds it when absent. */
  vesselId: Ref.optional()
});

/**
 * One joining of reactive parts: it starts a clock. It feeds one cup, mixed on its own, or is split by weight into
 * several cups that are coloured there. A plan may hold mixes of several bases.
 */
const Mix = z.object({
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
  /** The maker's own factor on its card's times: 1.5 with a retarder, 0.8 where it runs ahead. */
  pace: z.number().min(0.1, 'is hardly any time').max(10, 'is ten times its card').optional()
});

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

/** Cavities that share one sequence of steps. */
const Group = z.object({
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
});

/** An act as a plan holds it: its kind, and whatever that kind says. Its own definition reads the rest. */
const AnyAct = z.looseObject({ kind: z.string().min(1, 'needs a kind').max(40) });

const minutes = z.number().nonnegative('cannot be less than nothing').max(1440);

/** One step of a pour: an act, where it is done, and what must be true before it. */
const Step = z.object({
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
});

/** Where a plan is made: the room, what is at hand, and what is lost. */
const Bench = z.object({
  roomCelsius: z.number().min(-5, 'is too cold to cast').max(50, 'is too hot to cast'),
  /** The nights, from eight in the evening to seven, where they are colder or warmer, and the hour at which the first mix is made. */
  night: z
    .object({
      celsius: z.number().min(-5, 'is too cold to cast').max(50, 'is too hot to cast'),
      hour: z.number().min(0).max(23.99, 'is no hour of the day')
    })
    .optional(),
  /** Scales at hand, the plan's own first. */
  scaleIds: z.array(Ref).max(8),
  /** Vessels to mix in; any size when none are named. */
  vesselIds: z.array(Ref).max(12).default([]),
  readings: z.enum(['cumulative', 'tared']).default('cumulative'),
  losses: z
    .object({
      /** Share of what is poured that clings to cup and stick. */
      cling: z.number().min(0).max(0.5),
      /** Grams lost in each vessel; what the vessel's own card says when absent. */
      vessel: z.number().min(0).max(500).optional(),
      /** Grams that stay in a piping bag and its tip; the usual when absent. */
      bag: z.number().min(0).max(200).optional(),
      /** Typed by the maker; otherwise the record's median wins where there is one. */
      typed: z.boolean().optional(),
      /** Mixed on top where a pour cannot be repeated, as a share of what is needed; the remix risk when absent. */
      allowance: z.number().min(0).max(0.5).optional()
    })
    .default({ cling: 0.03 })
});

/** A cavity that waits for what is left over. */
const Spare = z.object({
  id: Id,
  mouldId: Ref,
  cavityId: Ref,
  count: z.number().int().positive('must be one or more').max(2000)
});

/** A day of the calendar: `2026-12-24`. */
const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2026-12-24')
  .refine((day) => !Number.isNaN(Date.parse(day)), 'is no day of the calendar');

/** A picture under the drawing of the cavity, to trace outlines over. */
const Tracing = z.object({
  /** The picture's id. */
  photo: Ref,
  /** Of the picture, pixels. */
  width: z.number().int().positive().max(20_000),
  height: z.number().int().positive().max(20_000),
  /** Where its middle lies over the open face, as a place, and how wide it is as a share of the cavity's width. */
  x: z.number().min(-2).max(2).default(0),
  y: z.number().min(-2).max(2).default(0),
  wide: z.number().min(0.05, 'is too small to trace').max(8, 'is too large to trace').default(1),
  /** Turned to the left, degrees. */
  turned: z.number().min(-180).max(180).default(0)
});

/** A plan as version 2 stored and exchanged it; that its ids are its own is judged by the shape of today. */
export const Plan2 = z.object({
  version: z.literal(2),
  id: Id,
  name: z.string().min(1, 'needs a name').max(80),
  notes: z.string().max(4000).default(''),
  showFace: z.enum(['mould face', 'open face']).default('mould face'),
  mixes: z.array(Mix).max(60),
  cups: z.array(Cup).max(26),
  groups: z.array(Group).max(60),
  steps: z.array(Step).max(400),
  /** How many good pieces are wanted, and the share rejected where the record is not to say. */
  order: z
    .object({
      good: z.number().int().positive('must be one or more').max(100_000),
      rejects: z.number().min(0).max(0.9, 'leaves almost nothing good').optional(),
      /** Not poured before this day, and wanted by that one. */
      notBefore: Day.optional(),
      due: Day.optional()
    })
    .optional(),
  /** Cavities that wait for what is left over, in order. */
  spares: z.array(Spare).max(24).default([]),
  /** What else a turn costs, in the currency of the lots: gloves, cups, blades. */
  consumables: z.number().nonnegative('cannot be less than nothing').max(100_000).optional(),
  /** Let-downs of which a jar is made, whatever the cups take of it, g. */
  letDowns: z
    .array(
      z.object({
        id: Id,
        colourantId: Ref,
        parts: LetDownParts,
        make: z.number().positive('must be more than nothing').max(10_000)
      })
    )
    .max(60)
    .optional(),
  tracing: Tracing.optional(),
  /** What it was made from: a pour that is repeated, and its plan, or a plan that was copied. */
  madeFrom: z.object({ plan: Ref.optional(), run: Ref.optional() }).optional(),
  bench: Bench
});

export type Plan2 = z.infer<typeof Plan2>;
