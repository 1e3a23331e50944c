import { weighOutCup, type WeighedCup } from '../batch';
import { behaviourOf } from '../cure';
import { formulaOf } from '../material';
import type { Problem } from '../problem';
import { dosesOf, fillersOf } from './cups';
import type { Plan, Shelf } from './document';

/** A top-up cup: the same recipe for what is missing, and how long it will pour. */
export interface TopUpCup extends WeighedCup {
  /** Minutes from the joining of its parts until it no longer levels: its own window, not the first cup's. */
  window: number;
  problems: Problem[];
}

/**
 * Works out a cup to the same recipe for a missing volume, mixed on its own. Its window is its own: a small cup
 * stays open longer than the first one. Undefined where the plan's base or scale is gone.
 * @param ml missing volume, > 0
 */
export function topUpCup(plan: Plan, shelf: Shelf, cupId: string, ml: number): TopUpCup | undefined {
  const cup = plan.cups.find((c) => c.id === cupId);
  const base = shelf.bases.find((b) => b.id === plan.baseId);
  const main = shelf.scales.find((s) => s.id === plan.scaleId);
  const formula = base && formulaOf(base);
  if (!cup || !base || !main || !formula?.ok || !(ml > 0)) return undefined;
  const others = shelf.scales.filter((s) => s.id !== main.id && plan.otherScaleIds?.includes(s.id));
  const out = weighOutCup({
    formula: formula.value,
    doses: dosesOf(cup, new Map(shelf.colourants.map((c) => [c.id, c]))),
    fillers: fillersOf(cup),
    pouredMl: ml,
    losses: plan.losses,
    scales: [main, ...others],
    readings: plan.readings
  });
  const small = out.balance.mixed < base.leastMix;
  return {
    ...out,
    window: behaviourOf(base).pourUntil(out.balance.mixed, plan.roomCelsius),
    problems: small
      ? [
          {
            code: 'mix-too-small',
            level: 'warn',
            path: 'topUp',
            sentence: `A top-up of ${out.balance.mixed.toFixed(1)} g is under the ${base.leastMix} g that mix well.`,
            mend: `Mix ${base.leastMix} g and keep what is left.`
          }
        ]
      : []
  };
}
