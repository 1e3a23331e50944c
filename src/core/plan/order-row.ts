import { gainsOf, staggered, type Gains, type MixRow, type Staggering } from '../schedule';
import { ofTheirOwn, piecesIn } from '../document';
import type { OrderYield } from '../order/needs';
import type { FilledCavitySet } from './fill';
import { hasTrait } from './read-steps';
import type { ResolvedPlan } from './resolve';
import type { AllMixes } from './weighing/weighed';

/** Hands' time for one casting out of its mould where the plan does not say, minutes. */
const USUAL_DEMOULD = 1;

/** An order as a row of mixes by one pair of hands, and what would save some of them. */
export interface OrderRow extends MixRow {
  castings: number;
  cavities: number;
  gains: Gains;
}

/**
 * The mixes an order takes in a row, each inside its window, every casting out of its mould inside its own. Only for what
 * is poured in one go from one mix: layers that wait for one another are no row. Castings, not pieces: a slab is one.
 */
export function rowOf(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  allMixes: AllMixes,
  order: OrderYield | undefined
): OrderRow | undefined {
  const pouring = plan.steps.filter((s) => s.own?.definition.group === 'pour in' && s.cavitySets.length);
  const [mix, ...others] = plan.mixes.values();
  const waits = pouring.some((s) => s.step.gates.length > 0);
  const count = allMixes.cups.find((w) => w.count.window > 0)?.count;
  if (!order || !mix || others.length || waits || !count || count.hands.each <= 0) return undefined;
  const cavities = filled.reduce((s, f) => s + f.cavitySet.count, 0);
  const pieces = ofTheirOwn(plan.plan.groups).reduce((s, g) => s + piecesIn(g), 0);
  if (!cavities || !pieces) return undefined;
  const { from, to } = mix.base.demouldHours;
  const s: Staggering = {
    castings: Math.ceil((order.cast * cavities) / pieces - 1e-9),
    cavities,
    window: count.window,
    ...count.hands,
    demould: { from: from * 60, to: to * 60, each: demouldMinutes(plan) }
  };
  const row = staggered(s);
  return row && { ...row, castings: s.castings, cavities, gains: gainsOf(s) };
}

/** Hands' minutes for one casting out of its mould: the plan's own step, or a usual figure. */
function demouldMinutes({ steps }: ResolvedPlan): number {
  const own = steps.find((s) => hasTrait(s.own, 'demoulds'))?.own;
  return own ? own.definition.hands(own.act, own.step, 1).attended : USUAL_DEMOULD;
}
