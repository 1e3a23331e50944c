import { z } from 'zod';
import { Scale } from '../dosing';
import { Base, Colourant } from '../material';
import { Mould } from '../mould';
import { Amount } from './amount';

const id = z.string().min(1).max(60);

/** The hatches that tell cups apart without colour. */
export const HATCHES = [
  'plain',
  'slant',
  'dots',
  'level',
  'back slant',
  'upright',
  'weave',
  'rings'
] as const;

/** One line of a cup's recipe. */
const RecipeLine = z.object({
  id,
  colourantId: id,
  /** Percent of the material's basis (resin: of the uncoloured batch). */
  percent: z.number().nonnegative().max(100),
  of: z.enum(['supplied', 'pigment']).default('supplied'),
  /** Weighed as a let-down: this many parts of the base's own part to one of colourant. */
  letDown: z.union([z.literal(9), z.literal(19), z.literal(49), z.literal(99)]).optional()
});

/** One coloured portion, with the letter and hatch it carries everywhere. */
export const Cup = z.object({
  id,
  letter: z.string().regex(/^[A-Z]$/),
  hatch: z.enum(HATCHES),
  name: z.string().min(1, 'needs a name').max(40),
  recipe: z.array(RecipeLine).max(12),
  /** Mix at least this much, g; what is not poured goes to the leftovers. */
  atLeast: z.number().positive().max(100_000).optional()
});
export type Cup = z.infer<typeof Cup>;

/** Cavities that share one sequence of steps. */
export const Group = z.object({
  id,
  name: z.string().min(1).max(40),
  mouldId: id,
  cavityId: id,
  count: z.number().int().positive().max(2000)
});
export type Group = z.infer<typeof Group>;

const Lay = z.object({
  id,
  act: z.literal('lay'),
  cupId: id,
  groupId: id,
  amount: Amount,
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
export type Step = z.infer<typeof Step>;
export type LayStep = z.infer<typeof Lay>;
export type GateStep = z.infer<typeof Gate>;

/** A plan, as stored and as exchanged. Version 1. */
export const Plan = z.object({
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
  cups: z.array(Cup).max(26),
  groups: z.array(Group).max(60),
  steps: z.array(Step).max(400)
});
export type Plan = z.infer<typeof Plan>;

/** The cards a plan refers to. */
export const Shelf = z.object({
  moulds: z.array(Mould).default([]),
  bases: z.array(Base).default([]),
  colourants: z.array(Colourant).default([]),
  scales: z.array(Scale).default([])
});
export type Shelf = z.infer<typeof Shelf>;

/** A plan with every card it needs: the file that is exported, imported and computed. */
export const PlanFile = z.object({
  format: z.literal('kirapen.plan').default('kirapen.plan'),
  version: z.literal(1).default(1),
  plan: Plan,
  shelf: Shelf
});
export type PlanFile = z.infer<typeof PlanFile>;

/** The cards of a shelf that a plan uses, and no others, by id: the same plan writes the same file. */
export function shelfOf(plan: Plan, shelf: Shelf): Shelf {
  const moulds = new Set(plan.groups.map((g) => g.mouldId));
  const colourants = new Set(plan.cups.flatMap((c) => c.recipe.map((r) => r.colourantId)));
  const pick = <T extends { id: string }>(all: readonly T[], used: (id: string) => boolean): T[] =>
    all.filter((card) => used(card.id)).sort((a, b) => (a.id < b.id ? -1 : 1));
  return {
    moulds: pick(shelf.moulds, (id) => moulds.has(id)),
    bases: pick(shelf.bases, (id) => id === plan.baseId),
    colourants: pick(shelf.colourants, (id) => colourants.has(id)),
    scales: pick(shelf.scales, (id) => id === plan.scaleId)
  };
}
