import type { Amount, Cup, Step } from '../document';
import type { Plan } from '.';
import { eachByItself, splitAll } from '../document/mixing';

/** Short ways to write a plan in a test. */

/** The plan with every mix of another base. */
export const withBase = (plan: Plan, baseId: string): Plan => ({
  ...plan,
  mixes: plan.mixes.map((m) => ({ ...m, baseId }))
});

/** The plan on other scales, its own first. */
export const withScales = (plan: Plan, ...scaleIds: string[]): Plan => ({
  ...plan,
  bench: { ...plan.bench, scaleIds }
});

/** The plan on another bench. */
export const atBench = (plan: Plan, bench: Partial<Plan['bench']>): Plan => ({
  ...plan,
  bench: { ...plan.bench, ...bench }
});

/** The plan with all its cups split from one mix, or each mixed by itself. */
export const mixed = (plan: Plan, way: 'each' | 'split'): Plan =>
  (way === 'split' ? splitAll : eachByItself)(plan, plan.mixes[0]!.baseId);

/** The plan with other cups, each mixed on its own of the plan's base. */
export function withCups(plan: Plan, cups: readonly Omit<Cup, 'from'>[]): Plan {
  const baseId = plan.mixes[0]!.baseId;
  return {
    ...plan,
    mixes: cups.map((c) => ({ id: `mix-${c.id}`, baseId, feeds: 'one cup' })),
    cups: cups.map((c) => ({ ...c, from: { mix: `mix-${c.id}` } }))
  };
}

/** The plan with one of its cups changed. */
export const inCup = (plan: Plan, cupId: string, change: Partial<Cup>): Plan => ({
  ...plan,
  cups: plan.cups.map((c) => (c.id === cupId ? { ...c, ...change } : c))
});

/** A laid layer. */
export const layer = (
  id: string,
  cupId: string,
  where: string,
  amount: Amount,
  more: { minutes?: number; chamberId?: string } = {}
): Step => ({
  id,
  act: { kind: 'lay', cupId, amount, ...(more.chamberId ? { chamberId: more.chamberId } : {}) },
  where: [where],
  gates: [],
  hands: { each: more.minutes ?? 0.5 }
});

/** The plan without its gates. */
export const ungated = (plan: Plan, stepId: string): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => (s.id === stepId ? { ...s, gates: [] } : s))
});

/** The plan poured in one sitting: nothing waits for anything. */
export const atOnce = (plan: Plan): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => ({ ...s, gates: [] }))
});

/** The plan with what is poured and waited for alone: nothing drawn through it, nothing done to the piece afterwards. */
export const pourAlone = (plan: Plan): Plan => ({
  ...plan,
  steps: plan.steps.filter((s) => ['lay', 'puddle', 'wait', 'coat', 'top', 'column'].includes(s.act.kind))
});
