import { dealCavities, weighOutCup, type Allotment } from '../../batch';
import { together } from '../../cure';
import type { Pour } from '../fill';
import type { ResolvedCup, ResolvedMix } from '../resolve';
import { roomIn } from '../room';
import { mixCountFor, type MixCount } from './mix-count';
import { joined, orderOf, shotOf, wantedOf } from './one-mix';
import { mlOf, poursOfCup, type WeighingContext } from './weighed';

/** Pours that a split mix serves, with those of the cups made of others that are filled from it. */
interface Served {
  ids: ReadonlySet<string>;
  jugs: ReadonlySet<string>;
}

/** Deals the cavities out to the turns of a split mix, sitting by sitting; a cup of cups takes its share of each turn with them. */
export function turnsOf(
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
    room: roomIn(work.plan.plan.bench),
    mix: soonest(work, here) ?? mix,
    vessels: work.plan.vessels,
    grams,
    ml: grams / mix.formula.density,
    // Every layer of every cavity, for the hands’ time with a common mix.
    pours,
    pourOf: work.pourOf,
    stretchOf: work.stretchOf,
    weighingsAfter: wholes.reduce((s, w) => s + w.weighings.length, 0),
    cups: here.length,
    shotMl: shotOf(work, pours),
    wanted: wantedOf(mix, of)
  });
}

/** The mix of the portion that runs furthest ahead, of those that must level by themselves: by it the hands must be done. */
function soonest(work: WeighingContext, cups: readonly ResolvedCup[]): ResolvedMix | undefined {
  const levels = (c: ResolvedCup) =>
    (work.demands.get(c.cup.id) ?? []).some(({ act }) => act?.definition.lasts?.(act.act) !== 'sets');
  const asked = cups.filter(levels);
  return [...(asked.length ? asked : cups)].sort((a, b) => together(a.paces) - together(b.paces))[0]?.mix;
}
