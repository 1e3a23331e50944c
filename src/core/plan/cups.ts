import {
  dealCavities,
  dealPours,
  PORTION,
  weighOutCup,
  type Allotment,
  type CupBalance,
  type CupDose,
  type FilledGroup,
  type Filler,
  type WeighedCup,
  type Weighing
} from '../batch';
import { behaviourOf } from '../cure';
import { cupScale, toDivision, type Scale } from '../dosing';
import type { Base, Colourant, Formula } from '../material';
import { COMMON } from '../schedule';
import { vesselFor, type Vessel } from '../shelf/vessel';
import type { Cup, Plan, Shelf } from './document';
import { mixesFor, type MixCount } from './mixes';

/** One mix of a cup: what is weighed for it, what it pours, and what it is mixed in. */
export interface CupMix extends WeighedCup {
  mixId: string;
  turn: number;
  pours: Allotment[];
  ml: number;
  vessel?: Vessel;
}

/** One joining of reactive parts that is split into cups: weighed once, then shared out by weight. */
export interface CommonMix {
  mixId: string;
  turn: number;
  weighings: Weighing[];
  balance: CupBalance;
  ratioError: number;
  ml: number;
  vessel?: Vessel;
}

/** A cup in all its mixes. */
export interface WorkedCup {
  cup: Cup;
  mixes: CupMix[];
  count: MixCount;
}

/** All cups of a plan, and the common mix they are split from, if they are. */
export interface WorkedCups {
  cups: WorkedCup[];
  common: CommonMix[];
  count?: MixCount;
}

/** What remix risk adds where a pour of several colours from one mix cannot be repeated, as a share. */
const HARD_TO_REPEAT = 0.05;

/**
 * Share mixed on top of what is needed: the maker's own figure, or by remix risk. A one-colour cup that runs short
 * can be mixed again; several colours split from one mix cannot.
 */
function allowanceOf(plan: Plan): number {
  if (plan.allowance !== undefined) return plan.allowance;
  const poured = new Set(plan.steps.flatMap((s) => (s.act === 'lay' ? [s.cupId] : [])));
  return plan.mixing === 'split' && poured.size > 1 ? HARD_TO_REPEAT : 0;
}

interface Ready {
  base: Base;
  formula: Formula;
  scales: readonly Scale[];
}

/** Works every cup of a plan out, in as many mixes as it takes. */
export function workOutCups(
  plan: Plan,
  shelf: Shelf,
  filled: readonly FilledGroup[],
  ready: Ready,
  losses: Plan['losses']
): WorkedCups {
  const colourants = new Map(shelf.colourants.map((c) => [c.id, c]));
  const vessels = vesselsOf(plan, shelf);
  const eachMl = new Map(filled.flatMap((f) => f.layers.map((l) => [l.stepId, l.each] as const)));
  const groupOf = new Map(filled.map((f) => [f.group.id, f.group]));
  const allowance = allowanceOf(plan);
  const split = plan.mixing === 'split';
  const order = (cup: Cup, pouredMl: number, n: number) => ({
    formula: ready.formula,
    doses: dosesOf(cup, colourants),
    fillers: fillersOf(cup),
    pouredMl,
    losses,
    allowance,
    ...(cup.atLeast === undefined ? {} : { atLeast: cup.atLeast / n }),
    ...(cup.reserve === undefined ? {} : { reserve: cup.reserve / n }),
    scales: ready.scales,
    readings: plan.readings,
    split
  });
  const mlOf = (pours: readonly Allotment[]) =>
    pours.reduce((s, p) => s + p.count * (eachMl.get(p.stepId) ?? 0), 0);
  const poursOf = (cup: Cup): Allotment[] =>
    plan.steps.flatMap((s) =>
      s.act === 'lay' && s.cupId === cup.id && eachMl.has(s.id)
        ? [{ stepId: s.id, count: groupOf.get(s.groupId)!.count }]
        : []
    );
  const behaviour = behaviourOf(ready.base);
  const caseOf = (whole: { grams: number; ml: number }, pours: readonly Allotment[], after: number) => ({
    plan,
    base: ready.base,
    behaviour,
    vessels,
    ...whole,
    pours,
    weighingsAfter: after,
    cups: 0,
    shotMl: Math.max(0, ...pours.map((p) => eachMl.get(p.stepId) ?? 0))
  });
  const mixOf = (cup: Cup, pours: Allotment[], i: number, n: number): CupMix => {
    const out = weighOutCup(order(cup, mlOf(pours), n));
    const ml = out.density > 0 ? out.balance.mixed / out.density : 0;
    const vessel = cup.vesselId ? shelf.vessels.find((v) => v.id === cup.vesselId) : vesselFor(ml, vessels);
    return { ...out, mixId: idOf(cup.id, i), turn: i + 1, pours, ml, ...(vessel ? { vessel } : {}) };
  };

  if (!split) {
    const cups = plan.cups.map((cup): WorkedCup => {
      const pours = poursOf(cup);
      const whole = weighOutCup(order(cup, mlOf(pours), 1));
      const met = whole.weighings.findIndex((w) => w.key === ready.formula.clockPart) + 1;
      const own = cup.vesselId ? shelf.vessels.filter((v) => v.id === cup.vesselId) : vessels;
      const count = mixesFor({
        ...caseOf(
          { grams: whole.balance.mixed, ml: whole.balance.mixed / whole.density },
          pours,
          whole.weighings.length - met
        ),
        vessels: own,
        wanted: cup.mixes
      });
      const deals = pours.length ? dealPours(pours, count.n) : [[]];
      return { cup, count, mixes: deals.map((p, i) => mixOf(cup, p, i, deals.length)) };
    });
    return { cups, common: [] };
  }

  const used = plan.cups.filter((c) => poursOf(c).length);
  const wholes = used.map((cup) => weighOutCup(order(cup, mlOf(poursOf(cup)), 1)));
  const grams = wholes.reduce((s, w) => s + w.batch, 0) + used.reduce((s, c) => s + (c.reserve ?? 0), 0);
  const count = mixesFor({
    ...caseOf(
      { grams, ml: grams / ready.formula.density },
      // Every layer of every cavity, for the hands' time with a common mix.
      plan.cups.flatMap(poursOf),
      wholes.reduce((s, w) => s + w.weighings.length, 0)
    ),
    cups: used.length,
    wanted: Math.max(0, ...plan.cups.map((c) => c.mixes ?? 0)) || undefined
  });
  const turns = dealCavities(
    filled.map((f) => ({ count: f.group.count, stepIds: f.layers.map((l) => l.stepId) })),
    count.n
  );
  const cups = plan.cups.map((cup): WorkedCup => {
    const stepIds = new Set(poursOf(cup).map((p) => p.stepId));
    const deals = turns.length ? turns.map((t) => t.filter((p) => stepIds.has(p.stepId))) : [[]];
    return { cup, count, mixes: deals.map((p, i) => mixOf(cup, p, i, deals.length)) };
  });
  const common = turns.map((_, i) => commonMix(cups, i, plan, ready, losses, vessels));
  return { cups, common, count };
}

/** The common mix of one turn: base for every cup, what is reserved, and what stays in the pot. */
function commonMix(
  cups: readonly WorkedCup[],
  i: number,
  plan: Plan,
  { formula, scales }: Ready,
  losses: Plan['losses'],
  vessels: readonly Vessel[]
): CommonMix {
  const mine = cups.flatMap((c) => c.mixes.filter((m) => m.turn === i + 1));
  const base = mine.reduce((s, m) => s + (m.weighings.find((w) => w.key === PORTION)?.weight ?? 0), 0);
  const reserved =
    plan.cups.reduce((s, c) => s + (c.reserve ?? 0), 0) / Math.max(1, cups[0]?.mixes.length ?? 1);
  const own = cupScale(base + reserved + losses.vessel, scales);
  const out = weighOutCup({
    formula,
    doses: [],
    pouredMl: base / formula.density,
    losses: { cling: 0, vessel: losses.vessel },
    reserve: toDivision(reserved, own.division),
    scales,
    readings: plan.readings
  });
  const ml = out.balance.mixed / formula.density;
  const vessel = vesselFor(ml, vessels);
  return {
    mixId: idOf(COMMON, i),
    turn: i + 1,
    weighings: out.weighings,
    balance: out.balance,
    ratioError: out.ratioError,
    ml,
    ...(vessel ? { vessel } : {})
  };
}

const idOf = (id: string, i: number) => (i ? `${id}~${i + 1}` : id);

function vesselsOf(plan: Plan, shelf: Shelf): Vessel[] {
  const named = plan.vesselIds ?? [];
  return shelf.vessels.filter((v) => named.includes(v.id));
}

/** A cup's recipe with its colourants found; those that are gone from the shelf are left out. */
export function dosesOf(cup: Cup, colourants: ReadonlyMap<string, Colourant>): CupDose[] {
  return cup.recipe.flatMap((line) => {
    const colourant = colourants.get(line.colourantId);
    return colourant ? [{ ...line, colourant, lineId: line.id }] : [];
  });
}

/** A cup's chips and other solids, as shares of the finished cup. */
export const fillersOf = (cup: Cup): Filler[] =>
  (cup.fillers ?? []).map((f) => ({ id: f.id, name: f.name, share: f.percent / 100, density: f.density }));
