import { heldParts, PORTION, weighOutCup } from '../../batch';
import { cupScale, toDivision } from '../../dosing';
import { splitMixId, turnId } from '../../schedule';
import { vesselFor, type Vessel } from '../../shelf/vessel';
import type { ResolvedCup, ResolvedMix } from '../resolve';
import { allowanceOf, mixOf } from './one-mix';
import { turnsOf } from './turns';
import {
  poursOfCup,
  vesselLoss,
  type AllMixes,
  type CommonMix,
  type CupInMixes,
  type CupMix,
  type WeighingContext
} from './weighed';

/** A mix that is split into cups: its turns, sitting by sitting, and each cup’s portion in every turn. */
export function splitMix(work: WeighingContext, mix: ResolvedMix, cups: readonly ResolvedCup[]): AllMixes {
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
