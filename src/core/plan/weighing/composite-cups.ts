import type { Allotment, Weighing } from '../../batch';
import { turnId } from '../../schedule';
import { cupDensity } from '../cup-density';
import type { Pour } from '../fill';
import type { ResolvedCup, ResolvedPlan } from '../resolve';
import {
  mlOf,
  NOTHING,
  poursOfCup,
  leftUnmixed,
  vesselLoss,
  type CupMix,
  type Losses,
  type CupInMixes,
  type WeighingContext
} from './weighed';

/**
 * Everything drawn from every cup, by cup: what goes into cavities, and what fills the cups that are made of others.
 * A cup of cups is filled with what it pours and loses, shared out by its parts.
 */
export function compositeDemands(
  plan: ResolvedPlan,
  direct: readonly Pour[],
  losses: Losses
): Map<string, Pour[]> {
  const demands = new Map(plan.cups.map((c) => [c.cup.id, direct.filter((p) => p.cupId === c.cup.id)]));
  for (const jug of outermostFirst(plan)) {
    const pours = demands.get(jug.cup.id)!;
    const ml = pours.reduce((s, p) => s + p.count * p.each, 0);
    if (ml <= 0) continue;
    const density = cupDensity(jug, plan.cupOf);
    const needed = ml * (1 + losses.cling) + (density > 0 ? vesselLoss(losses, undefined) / density : 0);
    for (const { cupId, share } of jug.parts)
      demands.get(cupId)?.push({
        id: `${jug.cup.id}<${cupId}`,
        stepId: pours[0]!.stepId,
        cavitySetId: pours[0]!.cavitySetId,
        cupId,
        each: needed * share,
        count: 1,
        fills: jug.cup.id
      });
  }
  return demands;
}

/** Cups of cups, each before those it is filled from. */
export function outermostFirst(plan: ResolvedPlan): ResolvedCup[] {
  const depth = (c: ResolvedCup): number =>
    c.parts.length ? 1 + Math.max(...c.parts.map((p) => depth(plan.cupOf.get(p.cupId)!))) : 0;
  return plan.cups.filter((c) => c.parts.length).sort((a, b) => depth(b) - depth(a));
}

/** A cup of cups: nothing is weighed for it; it is filled from them, once or turn by turn with them. */
export function weighedComposite(
  work: WeighingContext,
  jug: ResolvedCup,
  others: ReadonlyMap<string, CupInMixes>,
  dropsOf: DropsOf
): CupInMixes {
  const pours = poursOfCup(work, jug.cup.id);
  const [lead] = jug.parts.flatMap((p) => others.get(p.cupId) ?? []);
  if (!pours.length || !lead || !work.plan.scales.length) return leftUnmixed(jug);
  const turns = work.compositePours.get(jug.cup.id) ?? [pours];
  const whole = mlOf(work, pours);
  // Each filling keeps the number of the turn that it is filled in.
  const mixes = turns.flatMap((turn, i) =>
    turn.length
      ? [withDrops(filling(work, jug, { turn, i, share: mlOf(work, turn) / whole }), dropsOf(jug, turn))]
      : []
  );
  return { cup: jug.cup, resolved: jug, count: { ...lead.count, n: mixes.length }, mixes };
}

/** Neat colour that goes onto a filled cup: what is weighed of it for these pours. */
export type DropsOf = (jug: ResolvedCup, pours: readonly Allotment[]) => Weighing[];

/** A filling with the colour that is dripped onto it, unstirred: it is in the cup, and what is not poured of it stays there. */
function withDrops(mix: CupMix, drops: Weighing[]): CupMix {
  if (!drops.length) return mix;
  const grams = drops.reduce((s, w) => s + w.weight, 0);
  const { balance } = mix;
  return {
    ...mix,
    weighings: drops,
    balance: { ...balance, left: balance.left + grams, mixed: balance.mixed + grams }
  };
}

/** One filling of a cup of cups: a share of what is drawn for it from each of its parts. */
function filling(
  work: WeighingContext,
  jug: ResolvedCup,
  one: { turn: Allotment[]; i: number; share: number }
): CupMix {
  const filledFrom = jug.parts.map((p) => {
    const ml = (work.pourOf.get(`${jug.cup.id}<${p.cupId}`)?.each ?? 0) * one.share;
    return { cupId: p.cupId, ml, grams: ml * cupDensity(work.plan.cupOf.get(p.cupId)!, work.plan.cupOf) };
  });
  const density = cupDensity(jug, work.plan.cupOf);
  const mixed = filledFrom.reduce((s, f) => s + f.grams, 0);
  const pouredMl = mlOf(work, one.turn);
  const poured = pouredMl * density;
  const clings = poured * work.losses.cling;
  return {
    mixId: turnId(jug.cup.id, one.i + 1),
    turn: one.i + 1,
    pours: one.turn,
    ml: filledFrom.reduce((s, f) => s + f.ml, 0),
    batch: 0,
    density,
    weighings: [],
    ratioError: 0,
    held: [],
    offRatio: [],
    balance: { ...NOTHING, pouredMl, poured, clings, vessel: mixed - poured - clings, mixed },
    filledFrom
  };
}
