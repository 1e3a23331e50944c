import { weighOutCup, type Allotment, type Weighing } from '../batch';
import type { FilledCavitySet } from './fill';
import { compositeDemands, outermostFirst, weighedComposite } from './weighing/composite-cups';
import type { ResolvedCup, ResolvedMix, ResolvedPlan } from './resolve';
import { roomIn } from './room';
import { oneCup } from './weighing/one-mix';
import { splitMix } from './weighing/split-mix';
import {
  bagLoss,
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
  const stretchOf = stretchesOf(plan);
  const place = placeOf(sittingOf);
  const work = { plan, losses, demands, filled, pourOf, sittingOf, stretchOf, compositePours, place };
  const allMixes = new Map<string, CupInMixes>();
  const common: CommonMix[] = [];
  for (const mix of plan.mixes.values()) {
    const cups = plan.cups.filter((c) => 'mix' in c.cup.from && c.cup.from.mix === mix.mix.id);
    if (!plan.scales.length || !cups.length) continue;
    const made = mix.mix.feeds === 'split' ? splitOnce(work, mix, cups) : undefined;
    common.push(...(made?.common ?? []));
    for (const w of made?.cups ?? cups.map((c) => weighedOnce(work, mix, c))) allMixes.set(w.cup.id, w);
  }
  // What a cup is filled from is worked out before it.
  for (const c of outermostFirst(plan).toReversed())
    allMixes.set(
      c.cup.id,
      weighedComposite(work, c, allMixes, (jug, pours) => dropsOf(work, jug, pours))
    );
  return { cups: plan.cups.map((c) => allMixes.get(c.cup.id) ?? leftUnmixed(c)), common };
}

/** Where in a reckoning all is weighed: as if in one sitting, or each mix for its own. */
export const placeOf = (sittingOf: ReadonlyMap<string, number>): string =>
  sittingOf.size ? 'in sittings' : 'at once';

/** What every weighing of a plan is made of: its scales, vessels and losses, and the room. */
const atBench = ({ plan, losses }: WeighingContext): unknown[] => [
  plan.scales,
  plan.vessels,
  plan.allVessels,
  plan.plan.bench.readings,
  plan.plan.bench.losses.allowance,
  roomIn(plan.plan.bench),
  losses
];

/** A cup mixed on its own, weighed anew only where its mix, its recipe, what it pours or the bench have changed. */
function weighedOnce(work: WeighingContext, mix: ResolvedMix, cup: ResolvedCup): CupInMixes {
  const pours = work.demands.get(cup.cup.id) ?? [];
  const from = [
    ...[mix, cup, pours, bagLoss(work.losses, work.plan, cup.cup.id), atBench(work)],
    pours.map((p) => [work.sittingOf.get(p.id), work.stretchOf.get(p.stepId)])
  ];
  return work.plan.memo.of(`weigh ${cup.cup.id} ${work.place}`, from, () => oneCup(work, mix, cup));
}

/** A mix that is split into cups, likewise; what its turns pour of cups made of others is written down each time. */
function splitOnce(work: WeighingContext, mix: ResolvedMix, cups: readonly ResolvedCup[]): AllMixes {
  const { plan, demands, filled, sittingOf, stretchOf, losses } = work;
  const bags = cups.map((c) => bagLoss(losses, plan, c.cup.id));
  const from = [mix, cups, demands, filled, sittingOf, stretchOf, bags, plan.colourants, atBench(work)];
  const { made, compositePours } = plan.memo.of(`split ${mix.mix.id} ${work.place}`, from, () => {
    const own = { ...work, compositePours: new Map<string, Allotment[][]>() };
    return { made: splitMix(own, mix, cups), compositePours: own.compositePours };
  });
  for (const [jug, turns] of compositePours) work.compositePours.set(jug, turns);
  return made;
}

/** In which stretch between two waits each step is done. */
function stretchesOf({ steps }: ResolvedPlan): Map<string, number> {
  let stretch = 0;
  return new Map(steps.map(({ step }) => [step.id, step.gates.length ? ++stretch : stretch]));
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
