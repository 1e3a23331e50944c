import {
  dealCavities,
  dealPours,
  heldParts,
  PORTION,
  weighOutCup,
  type Allotment,
  type CupOrder,
  type WeighedCup
} from '../batch';
import { cupScale, toDivision } from '../dosing';
import { splitMixId, turnId } from '../schedule';
import { vesselFor, type Vessel } from '../shelf/vessel';
import type { Plan } from '../document';
import { together } from '../cure';
import type { FilledCavitySet, Pour } from './fill';
import { compositeDemands, outermostFirst, weighedComposite } from './weighing/composite-cups';
import type { ResolvedCup, ResolvedMix, ResolvedPlan } from './resolve';
import { mixCountFor } from './weighing/mix-count';
import {
  mlOf,
  poursOfCup,
  leftUnmixed,
  bagLoss,
  vesselLoss,
  type CommonMix,
  type CupMix,
  type Losses,
  type CupInMixes,
  type AllMixes,
  type WeighingContext
} from './weighing/weighed';

/** What remix risk adds where a pour of several colours from one mix cannot be repeated, as a share. */
const HARD_TO_REPEAT = 0.05;

/** Works every cup of a plan out, in as many mixes as it takes. */
export function weigh(plan: ResolvedPlan, filled: readonly FilledCavitySet[], losses: Losses): AllMixes {
  const direct = filled.flatMap((f) => f.pours);
  const demands = compositeDemands(plan, direct, losses);
  const all = [...demands.values()].flat();
  const pourOf = new Map(all.map((p) => [p.id, p]));
  const work: WeighingContext = { plan, losses, demands, filled, pourOf, compositePours: new Map() };
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
    allMixes.set(c.cup.id, weighedComposite(work, c, allMixes));
  return { cups: plan.cups.map((c) => allMixes.get(c.cup.id) ?? leftUnmixed(c)), common };
}

/** The mix of the portion that runs furthest ahead, of those that must level by themselves: by it the hands must be done. */
function soonest(work: WeighingContext, cups: readonly ResolvedCup[]): ResolvedMix | undefined {
  const levels = (c: ResolvedCup) =>
    (work.demands.get(c.cup.id) ?? []).some(({ act }) => act?.definition.lasts?.(act.act) !== 'sets');
  const asked = cups.filter(levels);
  return [...(asked.length ? asked : cups)].sort((a, b) => together(a.paces) - together(b.paces))[0]?.mix;
}

/** Whether a cup is a portion of a mix that several share. */
const isPortion = (cup: ResolvedCup): boolean => cup.mix?.mix.feeds === 'split' && 'mix' in cup.cup.from;

/**
 * Share mixed on top of what is needed: the maker’s own figure, or by remix risk. A one-colour cup that runs short
 * can be mixed again; several colours split from one mix cannot.
 */
function allowanceOf(plan: Plan, split: boolean, poured: number): number {
  return plan.bench.losses.allowance ?? (split && poured > 1 ? HARD_TO_REPEAT : 0);
}

/** What one of n mixes of a cup is ordered as. */
function orderOf(
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
function mixOf(
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

/** A cup that is mixed on its own. */
function oneCup(work: WeighingContext, mix: ResolvedMix, cup: ResolvedCup): CupInMixes {
  const pours = poursOfCup(work, cup.cup.id);
  const allowance = allowanceOf(work.plan.plan, false, 1);
  const whole = weighOutCup(orderOf(work, cup, pours, { n: 1, allowance }));
  const met = whole.weighings.findIndex((w) => w.key === mix.formula.clockPart) + 1;
  const own = cup.cup.vesselId ?? mix.mix.vesselId;
  const vessels = own ? [work.plan.allVessels.get(own)].filter((v) => v !== undefined) : work.plan.vessels;
  const count = mixCountFor({
    plan: work.plan,
    mix: cup.mix ?? mix,
    vessels,
    grams: whole.balance.mixed,
    ml: whole.density > 0 ? whole.balance.mixed / whole.density : 0,
    pours,
    pourOf: work.pourOf,
    weighingsAfter: whole.weighings.length - met,
    cups: 0,
    shotMl: shotOf(work, pours),
    wanted: mix.mix.turns
  });
  const deals = pours.length ? dealPours(pours, count.n) : [[]];
  const mixes = deals.map((p, i) => mixOf(work, cup, p, { i, n: deals.length, allowance }));
  return { cup: cup.cup, resolved: cup, count, mixes };
}

const shotOf = (work: WeighingContext, pours: readonly Allotment[]) =>
  Math.max(0, ...pours.map((p) => work.pourOf.get(p.pourId)?.each ?? 0));

/** A mix that is split into cups: its turns, and each cup’s portion in every turn. */
function splitMix(work: WeighingContext, mix: ResolvedMix, cups: readonly ResolvedCup[]): AllMixes {
  const used = cups.filter((c) => poursOfCup(work, c.cup.id).length);
  const allowance = allowanceOf(work.plan.plan, true, used.length);
  const wholes = used.map((c) =>
    weighOutCup(orderOf(work, c, poursOfCup(work, c.cup.id), { n: 1, allowance }))
  );
  const grams = wholes.reduce((s, w) => s + w.batch, 0) + used.reduce((s, c) => s + (c.cup.reserve ?? 0), 0);
  const pours = cups.flatMap((c) => poursOfCup(work, c.cup.id));
  const count = mixCountFor({
    plan: work.plan,
    mix: soonest(work, used) ?? mix,
    vessels: work.plan.vessels,
    grams,
    ml: grams / mix.formula.density,
    // Every layer of every cavity, for the hands’ time with a common mix.
    pours,
    pourOf: work.pourOf,
    weighingsAfter: wholes.reduce((s, w) => s + w.weighings.length, 0),
    cups: used.length,
    shotMl: shotOf(work, pours),
    wanted: mix.mix.turns
  });
  const turns = turnsOf(work, cups, count.n);
  const allMixes = cups.map((c): CupInMixes => {
    const own = new Set(poursOfCup(work, c.cup.id).map((p) => p.pourId));
    const deals = turns.length ? turns.map((t) => t.filter((p) => own.has(p.pourId))) : [[]];
    const mixes = deals.map((p, i) => mixOf(work, c, p, { i, n: deals.length, allowance }));
    return { cup: c.cup, resolved: c, count, mixes };
  });
  const common = turns.map((_, i) => commonMix(work, mix, allMixes, i));
  const cupsHeld = allMixes.map((w) => ({
    ...w,
    mixes: w.mixes.map((m, i) => inSplitMix(work, w, m, common[i]))
  }));
  return { cups: cupsHeld, common: common.map((m) => ({ ...m, ...(count.why ? { why: count.why } : {}) })) };
}

/** A portion with the parts that it holds of its own turn's pot, as that was really weighed. */
const inSplitMix = (
  work: WeighingContext,
  { resolved }: CupInMixes,
  m: CupMix,
  splitMix: CommonMix | undefined
): CupMix => ({
  ...m,
  held: heldParts({
    formula: resolved.mix!.formula,
    weighings: m.weighings,
    colourantOf: (id) => work.plan.colourants.get(id),
    splitMix: splitMix?.held
  })
});

/** Deals the cavities out to the turns of a split mix; a cup of cups takes its share of each turn with them. */
function turnsOf(work: WeighingContext, cups: readonly ResolvedCup[], n: number): Allotment[][] {
  const ids = new Set(cups.map((c) => c.cup.id));
  const fills = [...ids].flatMap((id) => fillsOf(work, id));
  const jugs = jugsOver(work, [...ids]);
  const served = (p: Pour) => ids.has(p.cupId) || jugs.has(p.cupId);
  const cavitySets = work.filled
    .map((f) => ({ count: f.cavitySet.count, pourIds: f.pours.filter(served).map((p) => p.id) }))
    .filter((s) => s.pourIds.length);
  const turns = cavitySets.length ? dealCavities(cavitySets, n) : [];
  for (const jug of jugs)
    work.compositePours.set(
      jug,
      turns.map((turn) => [
        ...turn.filter((p) => work.pourOf.get(p.pourId)?.cupId === jug),
        ...fillsOf(work, jug).map((fill) => ({ pourId: fill.id, count: jugShare(work, fill.fills!, turn) }))
      ])
    );
  return turns.map((turn) => [
    ...turn.filter((p) => ids.has(work.pourOf.get(p.pourId)!.cupId)),
    ...fills.map((fill) => ({ pourId: fill.id, count: jugShare(work, fill.fills!, turn) }))
  ]);
}

/** What of a cup fills cups that are made of others. */
const fillsOf = (work: WeighingContext, cupId: string): Pour[] =>
  (work.demands.get(cupId) ?? []).filter((p) => p.fills !== undefined);

/** Every cup made of others that these fill, those that are filled from such cups among them. */
function jugsOver(work: WeighingContext, cupIds: readonly string[]): Set<string> {
  const jugs = new Set<string>();
  const add = (id: string) => {
    for (const { fills } of fillsOf(work, id)) {
      if (jugs.has(fills!)) continue;
      jugs.add(fills!);
      add(fills!);
    }
  };
  cupIds.forEach(add);
  return jugs;
}

/** The share of a jug that one turn pours, 0..1: into cavities, and into jugs that are filled from it. */
function jugShare(work: WeighingContext, jugId: string, turn: readonly Allotment[]): number {
  const whole = mlOf(work, poursOfCup(work, jugId));
  const direct = turn.filter((p) => work.pourOf.get(p.pourId)?.cupId === jugId);
  const into = fillsOf(work, jugId).reduce((s, p) => s + p.each * jugShare(work, p.fills!, turn), 0);
  return whole > 0 ? (mlOf(work, direct) + into) / whole : 0;
}

/** The common mix of one turn: base for every cup, what is reserved, and what stays in the pot. */
function commonMix(
  work: WeighingContext,
  mix: ResolvedMix,
  cups: readonly CupInMixes[],
  i: number
): CommonMix {
  const { scales, plan, vessels, allVessels } = work.plan;
  const { formula } = mix;
  const mine = cups.flatMap((c) => c.mixes.filter((m) => m.turn === i + 1));
  const base = mine.reduce((s, m) => s + (m.weighings.find((w) => w.key === PORTION)?.weight ?? 0), 0);
  const reserved =
    cups.reduce((s, c) => s + (c.cup.reserve ?? 0), 0) / Math.max(1, cups[0]?.mixes.length ?? 1);
  const weighed = (vessel: Vessel | undefined) => {
    const loss = vesselLoss(work.losses, vessel);
    const own = cupScale(base + reserved + loss, scales);
    return weighOutCup({
      formula,
      doses: [],
      pouredMl: base / formula.density,
      losses: { cling: 0, vessel: loss },
      reserve: toDivision(reserved, own.division),
      scales,
      readings: plan.bench.readings
    });
  };
  const guess = weighed(undefined);
  const vessel = mix.mix.vesselId
    ? allVessels.get(mix.mix.vesselId)
    : vesselFor(guess.balance.mixed / formula.density, vessels);
  const out = vessel ? weighed(vessel) : guess;
  return {
    mixId: turnId(splitMixId(mix.mix.id), i + 1),
    of: mix.mix.id,
    baseId: mix.base.id,
    turn: i + 1,
    weighings: out.weighings,
    balance: out.balance,
    ratioError: out.ratioError,
    held: out.held,
    ml: out.balance.mixed / formula.density,
    ...(vessel ? { vessel } : {})
  };
}
