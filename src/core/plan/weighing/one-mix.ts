import { dealPours, weighOutCup, type Allotment, type CupOrder, type WeighedCup } from '../../batch';
import { turnId } from '../../schedule';
import { vesselFor, type Vessel } from '../../shelf/vessel';
import type { Plan } from '../../document';
import type { ResolvedCup, ResolvedMix } from '../resolve';
import { roomIn } from '../room';
import { mixCountFor, type MixCount } from './mix-count';
import {
  bagLoss,
  inSittings,
  mlOf,
  poursOfCup,
  vesselLoss,
  type CupInMixes,
  type CupMix,
  type WeighingContext
} from './weighed';

/** What remix risk adds where a pour of several colours from one mix cannot be repeated, as a share. */
const HARD_TO_REPEAT = 0.05;

/** Whether a cup is a portion of a mix that several share. */
const isPortion = (cup: ResolvedCup): boolean => cup.mix?.mix.feeds === 'split' && 'mix' in cup.cup.from;

/**
 * Share mixed on top of what is needed: the maker’s own figure, or by remix risk. A one-colour cup that runs short
 * can be mixed again; several colours split from one mix cannot.
 */
export function allowanceOf(plan: Plan, split: boolean, poured: number): number {
  return plan.bench.losses.allowance ?? (split && poured > 1 ? HARD_TO_REPEAT : 0);
}

/** What one of n mixes of a cup is ordered as. */
export function orderOf(
  work: WeighingContext,
  cup: ResolvedCup,
  pours: readonly Allotment[],
  one: { n: number; allowance: number; vessel?: Vessel | undefined }
): CupOrder {
  const { scales, plan } = work.plan;
  const { atLeast, reserve } = cup.cup;
  return {
    formula: cup.mix!.formula,
    doses: cup.doses,
    fillers: cup.fillers,
    ...(cup.scent ? { scent: cup.scent } : {}),
    pouredMl: mlOf(work, pours),
    losses: {
      cling: work.losses.cling,
      vessel: vesselLoss(work.losses, one.vessel) + bagLoss(work.losses, work.plan, cup.cup.id)
    },
    allowance: one.allowance,
    ...(atLeast === undefined ? {} : { atLeast: atLeast / one.n }),
    ...(reserve === undefined ? {} : { reserve: reserve / one.n }),
    scales,
    readings: plan.bench.readings,
    split: isPortion(cup)
  };
}

/** Weighs one mix of a cup out, in the smallest vessel that holds it. */
export function mixOf(
  work: WeighingContext,
  cup: ResolvedCup,
  pours: Allotment[],
  one: { i: number; n: number; allowance: number }
): CupMix {
  const named = cup.cup.vesselId ?? (isPortion(cup) ? undefined : cup.mix!.mix.vesselId);
  const mlIn = (out: WeighedCup) => (out.density > 0 ? out.balance.mixed / out.density : 0);
  const guess = weighOutCup(orderOf(work, cup, pours, one));
  const vessel = named ? work.plan.allVessels.get(named) : vesselFor(mlIn(guess), work.plan.vessels);
  const out = vessel ? weighOutCup(orderOf(work, cup, pours, { ...one, vessel })) : guess;
  return {
    ...out,
    mixId: turnId(cup.cup.id, one.i + 1),
    turn: one.i + 1,
    pours,
    ml: mlIn(out),
    ...(vessel ? { vessel } : {})
  };
}

/** The turns that a maker asked for, shared out over the sittings. */
export const wantedOf = ({ mix }: ResolvedMix, sittings: number): number | undefined =>
  mix.turns === undefined ? undefined : Math.ceil(mix.turns / sittings);

export const shotOf = (work: WeighingContext, pours: readonly Allotment[]) =>
  Math.max(0, ...pours.map((p) => work.pourOf.get(p.pourId)?.each ?? 0));

/** One count of several sittings: mixes in all, by the sitting that asks most of the hands. */
export function joined(counts: readonly MixCount[]): MixCount {
  const most = counts.reduce((a, b) => (b.n > a.n ? b : a));
  const n = counts.reduce((s, c) => s + c.n, 0);
  if (counts.length === 1) return most;
  return { ...most, n, why: most.why ?? `it is poured in ${counts.length} sittings, and sets between them` };
}

/** A cup that is mixed on its own: sitting by sitting, in as many mixes as each takes. */
export function oneCup(work: WeighingContext, mix: ResolvedMix, cup: ResolvedCup): CupInMixes {
  const allowance = allowanceOf(work.plan.plan, false, 1);
  const sittings = inSittings(work, poursOfCup(work, cup.cup.id));
  const counts = sittings.map((pours) => countOf(work, mix, cup, { pours, allowance, of: sittings.length }));
  const deals = sittings.flatMap((pours, s) =>
    (pours.length ? dealPours(pours, counts[s]!.n) : [[]]).map((p) => ({ p, sitting: s + 1 }))
  );
  const mixes = deals.map(({ p, sitting }, i) => ({
    ...mixOf(work, cup, p, { i, n: deals.length, allowance }),
    ...(sittings.length > 1 ? { sitting } : {})
  }));
  return { cup: cup.cup, resolved: cup, count: joined(counts), mixes };
}

/** In how many mixes the pours of one sitting are made. */
function countOf(
  work: WeighingContext,
  mix: ResolvedMix,
  cup: ResolvedCup,
  { pours, allowance, of }: { pours: readonly Allotment[]; allowance: number; of: number }
): MixCount {
  const whole = weighOutCup(orderOf(work, cup, pours, { n: of, allowance }));
  const met = whole.weighings.findIndex((w) => w.key === mix.formula.clockPart) + 1;
  const own = cup.cup.vesselId ?? mix.mix.vesselId;
  const vessels = own ? [work.plan.allVessels.get(own)].filter((v) => v !== undefined) : work.plan.vessels;
  return mixCountFor({
    room: roomIn(work.plan.plan.bench),
    mix: cup.mix ?? mix,
    vessels,
    grams: whole.balance.mixed,
    ml: whole.density > 0 ? whole.balance.mixed / whole.density : 0,
    pours,
    pourOf: work.pourOf,
    stretchOf: work.stretchOf,
    weighingsAfter: whole.weighings.length - met,
    cups: 0,
    shotMl: shotOf(work, pours),
    wanted: wantedOf(mix, of)
  });
}
