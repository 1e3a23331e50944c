import { z } from 'zod';
import { Cup, LetDownParts } from './cup';
import { Group } from './group';
import { SHOW_FACES } from '../mould';
import { Id, onlyOnce, Ref } from '../id';
import { Mix } from './mix';
import { Step } from './step';

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
export type Bench = z.infer<typeof Bench>;

/** A cavity that waits for what is left over. */
const Spare = z.object({
  id: Id,
  mouldId: Ref,
  cavityId: Ref,
  count: z.number().int().positive('must be one or more').max(2000)
});

/** Pours into cavities that are not alike: as many as are computed well within a second. */
const MOST_POURS = 1500;
/** Steps into one cavity: each is drawn through all below it. */
const MOST_STEPS_IN_ONE = 120;

/** How many pours a plan has (0 … 1,500 in a plan that is accepted), counted as they are worked out: each step in each of its groups, and once more for every variation there. */
export function pourCount(plan: { groups: readonly Group[]; steps: readonly Step[] }): number {
  const alike = new Map(plan.groups.map((g) => [g.id, 1 + (g.variations?.length ?? 0)]));
  return plan.steps.reduce((sum, s) => sum + s.where.reduce((n, id) => n + (alike.get(id) ?? 0), 0), 0);
}

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
export type Tracing = z.infer<typeof Tracing>;

const photoSpot = z.object({ x: z.number().min(-0.5).max(1.5), y: z.number().min(-0.5).max(1.5) });

/** Where a piece is on a photo: its four corners from the upper left on, as shares of the photo's sides, and its outline. */
export const PlacedOnPhoto = z.object({
  corners: z.tuple([photoSpot, photoSpot, photoSpot, photoSpot]),
  outline: z.enum(['square', 'round']),
  /** Something white in the same light. */
  white: photoSpot.optional()
});

/** The picture a plan was asked by: what its pieces are to look like. */
const Aim = PlacedOnPhoto.extend({ photo: Ref });

/** A plan as it is stored and exchanged, version 2. Acts are read by their own definitions: see `readPlan`. */
export const PlanDocument = z
  .object({
    version: z.literal(2),
    id: Id,
    name: z.string().min(1, 'needs a name').max(80),
    notes: z.string().max(4000).default(''),
    /** The face a maker judges the piece by: as it lay on the mould, as it was poured, or where it is cut. */
    showFace: z.enum(SHOW_FACES).default('mould face'),
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
    aim: Aim.optional(),
    /** What it was made from: a pour that is repeated, and its plan, or a plan that was copied. */
    madeFrom: z.object({ plan: Ref.optional(), run: Ref.optional() }).optional(),
    bench: Bench
  })
  .superRefine((plan, ctx) => {
    for (const key of ['mixes', 'cups', 'groups', 'steps', 'spares', 'letDowns'] as const)
      onlyOnce(plan[key] ?? [], [key], ctx);
    for (const [i, group] of plan.groups.entries())
      if (plan.steps.filter((s) => s.where.includes(group.id)).length > MOST_STEPS_IN_ONE)
        ctx.addIssue({
          code: 'custom',
          path: ['groups', i],
          message: `has more than ${MOST_STEPS_IN_ONE} steps poured into it: make two plans of this one`
        });
    if (pourCount(plan) > MOST_POURS)
      ctx.addIssue({
        code: 'custom',
        path: ['steps'],
        message: `come to more than ${MOST_POURS} pours: make two plans of this one`
      });
    const gates = plan.steps.flatMap((s, i) =>
      s.gates.map((g, k) => ({ id: g.id, at: ['steps', i, 'gates', k] }))
    );
    const seen = new Set<string>();
    for (const { id, at } of gates) {
      if (seen.has(id))
        ctx.addIssue({
          code: 'custom',
          path: [...at, 'id'],
          message: `must be its own: “${id}” is taken`,
          input: id
        });
      seen.add(id);
    }
  });
export type Plan = z.infer<typeof PlanDocument>;
