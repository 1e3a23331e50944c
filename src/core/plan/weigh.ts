import {
  dealCavities,
  dealPours,
  heldParts,
  PORTION,
  weighOutCup,
  type Allotment,
  type CupOrder,
  type Weighing,
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
import { mixCountFor, type MixCount } from './weighing/mix-count';
import {
  inSittings,
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

/** A cup that is mixed on its own: sitting by sitting, in as many mixes as each takes. */
function oneCup(work: WeighingContext, mix: ResolvedMix, cup: ResolvedCup): CupInMixes {
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
    wanted: wantedOf(mix, of)
  });
}

/** The turns that a maker asked for, shared out over the sittings. */
const wantedOf = ({ mix }: ResolvedMix, sittings: number): number | undefined =>
  mix.turns === undefined ? undefined : Math.ceil(mix.turns / sittings);

/** One count of several sittings: mixes in all, by the sitting that asks most of the hands. */
function joined(counts: readonly MixCount[]): MixCount {
  const most = counts.reduce((a, b) => (b.n > a.n ? b : a));
  const n = counts.reduce((s, c) => s + c.n, 0);
  if (counts.length === 1) return most;
  return { ...most, n, why: most.why ?? `it is poured in ${counts.length} sittings, and sets between them` };
}

const shotOf = (work: WeighingContext, pours: readonly Allotment[]) =>
  Math.max(0, ...pours.map((p) => work.pourOf.get(p.pourId)?.each ?? 0));

/** A mix that is split into cups: its turns, sitting by sitting, and each cup’s portion in every turn. */
function splitMix(work: WeighingContext, mix: ResolvedMix, cups: readonly ResolvedCup[]): AllMixes {
  const used = cups.filter((c) => poursOfCup(work, c.cup.id).length);
  const allowance = allowanceOf(work.plan.plan, true, used.length);
  const { turns, sittingOf, count } = turnsOf(work, mix, cups, allowance);
  const inTurn = (i: number) => (sittingOf[i] === undefined ? {} : { sitting: sittingOf[i] });
  const allMixes = cups.map((c): CupInMixes => {
    const own = new Set(poursOfCup(work, c.cup.id).map((p) => p.pourId));
    const deals = turns.map((t) => t.filter((p) => own.has(p.pourId)));
    const one = { n: Math.max(1, deals.filter((p) => p.length).length), allowance };
    const mixes = deals.flatMap((p, i) =>
      p.length ? [{ ...mixOf(work, c, p, { ...one, i }), ...inTurn(i) }] : []
    );
    return {
      cup: c.cup,
      resolved: c,
      count,
      mixes: mixes.length ? mixes : [mixOf(work, c, [], { ...one, i: 0 })]
    };
  });
  const common = turns.map((_, i) => ({
    ...commonMix(work, mix, allMixes, { i, n: turns.length }),
    ...inTurn(i)
  }));
  const cupsHeld = allMixes.map((w) => ({
    ...w,
    mixes: w.mixes.map((m) => inSplitMix(work, w, m, common[m.turn - 1]))
  }));
  return { cups: cupsHeld, common: common.map((m) => ({ ...m, ...(count.why ? { why: count.why } : {}) })) };
}

/** In how many turns the pours of one sitting of a split mix are made. */
function turnCount(
  work: WeighingContext,
  mix: ResolvedMix,
  used: readonly ResolvedCup[],
  { pours, allowance, of }: { pours: readonly Allotment[]; allowance: number; of: number }
): MixCount {
  const ownOf = (c: ResolvedCup) => {
    const own = new Set(poursOfCup(work, c.cup.id).map((p) => p.pourId));
    return pours.filter((p) => own.has(p.pourId));
  };
  const here = used.filter((c) => ownOf(c).length);
  const wholes = here.map((c) => weighOutCup(orderOf(work, c, ownOf(c), { n: of, allowance })));
  const grams =
    wholes.reduce((s, w) => s + w.batch, 0) + here.reduce((s, c) => s + (c.cup.reserve ?? 0) / of, 0);
  return mixCountFor({
    plan: work.plan,
    mix: soonest(work, here) ?? mix,
    vessels: work.plan.vessels,
    grams,
    ml: grams / mix.formula.density,
    // Every layer of every cavity, for the hands’ time with a common mix.
    pours,
    pourOf: work.pourOf,
    weighingsAfter: wholes.reduce((s, w) => s + w.weighings.length, 0),
    cups: here.length,
    shotMl: shotOf(work, pours),
    wanted: wantedOf(mix, of)
  });
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

/** Pours that a split mix serves, with those of the cups made of others that are filled from it. */
interface Served {
  ids: ReadonlySet<string>;
  jugs: ReadonlySet<string>;
}

/** Deals the cavities out to the turns of a split mix, sitting by sitting; a cup of cups takes its share of each turn with them. */
function turnsOf(
  work: WeighingContext,
  mix: ResolvedMix,
  cups: readonly ResolvedCup[],
  allowance: number
): { turns: Allotment[][]; sittingOf: (number | undefined)[]; count: MixCount } {
  const ids = new Set(cups.map((c) => c.cup.id));
  const served: Served = { ids, jugs: jugsOver(work, [...ids]) };
  const sittings = sittingsServed(work, served);
  const counts = sittings.map((sitting) => {
    const [whole = []] = dealt(work, served, sitting, 1);
    const pours = [
      ...whole.filter((p) => ids.has(work.pourOf.get(p.pourId)!.cupId)),
      ...filling(work, served, whole)
    ];
    return turnCount(work, mix, cups, { pours, allowance, of: sittings.length });
  });
  const turns = sittings.flatMap((sitting, i) => dealt(work, served, sitting, counts[i]!.n));
  const sittingOf = sittings.flatMap((sitting, i) =>
    dealt(work, served, sitting, counts[i]!.n).map(() => (sittings.length > 1 ? sitting : undefined))
  );
  for (const jug of served.jugs)
    work.compositePours.set(
      jug,
      turns.map((turn) => [
        ...turn.filter((p) => work.pourOf.get(p.pourId)?.cupId === jug),
        ...fillsOf(work, jug).flatMap((fill) => shareOf(work, fill, turn))
      ])
    );
  const own = turns.map((turn) => [
    ...turn.filter((p) => ids.has(work.pourOf.get(p.pourId)!.cupId)),
    ...filling(work, served, turn)
  ]);
  return { turns: own, sittingOf, count: joined(counts) };
}

/** What of a mix’s cups goes into cups that are poured in a turn. */
const filling = (work: WeighingContext, { ids }: Served, turn: readonly Allotment[]): Allotment[] =>
  [...ids].flatMap((id) => fillsOf(work, id)).flatMap((fill) => shareOf(work, fill, turn));

/** One filling’s part in a turn; nothing where its cup is not poured in it. */
function shareOf(work: WeighingContext, fill: Pour, turn: readonly Allotment[]): Allotment[] {
  const count = jugShare(work, fill.fills!, turn);
  return count > 0 ? [{ pourId: fill.id, count }] : [];
}

/** Sittings in which a mix is poured, in order; one where it is poured in none. */
function sittingsServed(work: WeighingContext, served: Served): number[] {
  const all = work.filled.flatMap((f) =>
    f.pours.filter((p) => isServed(served, p)).map((p) => work.sittingOf.get(p.id) ?? 1)
  );
  return all.length ? [...new Set(all)].sort((a, b) => a - b) : [1];
}

const isServed = ({ ids, jugs }: Served, p: Pour): boolean => ids.has(p.cupId) || jugs.has(p.cupId);

/** The cavities that a mix pours into in a sitting, dealt out to so many turns. */
function dealt(work: WeighingContext, served: Served, sitting: number, n: number): Allotment[][] {
  const cavitySets = work.filled
    .map((f) => ({
      count: f.cavitySet.count,
      pourIds: f.pours
        .filter((p) => isServed(served, p) && (work.sittingOf.get(p.id) ?? 1) === sitting)
        .map((p) => p.id)
    }))
    .filter((s) => s.pourIds.length);
  return cavitySets.length ? dealCavities(cavitySets, n) : [];
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
  { i, n }: { i: number; n: number }
): CommonMix {
  const { scales, plan, vessels, allVessels } = work.plan;
  const { formula } = mix;
  const mine = cups.flatMap((c) => c.mixes.filter((m) => m.turn === i + 1));
  const base = mine.reduce((s, m) => s + (m.weighings.find((w) => w.key === PORTION)?.weight ?? 0), 0);
  const reserved = cups.reduce((s, c) => s + (c.cup.reserve ?? 0), 0) / Math.max(1, n);
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
