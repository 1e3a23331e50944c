import { weighOutCup, type Allotment, type Weighing } from '../batch';
import type { FilledCavitySet } from './fill';
import { compositeDemands, outermostFirst, weighedComposite } from './weighing/composite-cups';
import type { ResolvedCup, ResolvedPlan } from './resolve';
import { oneCup } from './weighing/one-mix';
import { splitMix } from './weighing/split-mix';
import {
  leftUnmixed,
  mlOf,
  vesselLoss,
  type AllMixes,
  type CommonMix,
  type CupInMixes,
  type Losses,
  type WeighingContext
} from './weighing/weighed';

/**
 * Works every cup of a plan out, in as many mixes as it takes.
 * @param sittingOf the sitting of each pour, where they do not all belong to one
 */
export function weigh(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  losses: Losses,
  sittingOf: ReadonlyMap<string, number> = new Map()
): AllMixes {
  const direct = filled.flatMap((f) => f.pours);
  const demands = compositeDemands(plan, direct, losses);
  const all = [...demands.values()].flat();
  const pourOf = new Map(all.map((p) => [p.id, p]));
  const compositePours = new Map<string, Allotment[][]>();
  const work: WeighingContext = { plan, losses, demands, filled, pourOf, sittingOf, compositePours };
  const allMixes = new Map<string, CupInMixes>();
  const common: CommonMix[] = [];
  for (const mix of plan.mixes.values()) {
    const cups = plan.cups.filter((c) => 'mix' in c.cup.from && c.cup.from.mix === mix.mix.id);
    if (!plan.scales.length || !cups.length) continue;
    const made = mix.mix.feeds === 'split' ? splitMix(work, mix, cups) : undefined;
    common.push(...(made?.common ?? []));
    for (const w of made?.cups ?? cups.map((c) => oneCup(work, mix, c))) allMixes.set(w.cup.id, w);
  }
  // What a cup is filled from is worked out before it.
  for (const c of outermostFirst(plan).toReversed())
    allMixes.set(
      c.cup.id,
      weighedComposite(work, c, allMixes, (jug, pours) => dropsOf(work, jug, pours))
    );
  return { cups: plan.cups.map((c) => allMixes.get(c.cup.id) ?? leftUnmixed(c)), common };
}

/** Colour that is dripped neat onto a cup made of others, by its recipe, as it is weighed onto what stands there. */
function dropsOf(work: WeighingContext, jug: ResolvedCup, pours: readonly Allotment[]): Weighing[] {
  if (!jug.doses.length || !jug.mix) return [];
  const out = weighOutCup({
    formula: jug.mix.formula,
    doses: jug.doses,
    pouredMl: mlOf(work, pours),
    losses: { cling: work.losses.cling, vessel: vesselLoss(work.losses, undefined) },
    scales: work.plan.scales,
    readings: work.plan.plan.bench.readings,
    split: true
  });
  return out.weighings.filter((w) => w.kind === 'colourant');
}
