import type { Allotment, CupBalance, HeldPart, WeighedCup, Weighing } from '../../batch';
import type { Vessel } from '../../shelf/vessel';
import type { Cup } from '../../document';
import { grouped } from '../../grouped';
import type { FilledCavitySet, Pour } from '../fill';
import { hasTrait, type ResolvedAct } from '../read-steps';
import type { ResolvedCup, ResolvedPlan } from '../resolve';
import type { MixCount } from './mix-count';

/** One mix of a cup: what is weighed for it, what it pours, and what it is mixed in. */
export interface CupMix extends WeighedCup {
  mixId: string;
  turn: number;
  pours: Allotment[];
  ml: number;
  vessel?: Vessel;
  /** The sitting it belongs to, from 1, where its cup is poured in several. */
  sitting?: number;
  /** What it is filled with, where the cup is made of others. */
  filledFrom?: { cupId: string; ml: number; grams: number }[];
}

/** One joining of reactive parts that is split into cups: weighed once, then shared out by weight. */
export interface CommonMix {
  mixId: string;
  /** The plan's mix that it is a turn of, and its base. */
  of: string;
  baseId: string;
  turn: number;
  weighings: Weighing[];
  balance: CupBalance;
  ratioError: number;
  held: HeldPart[];
  ml: number;
  vessel?: Vessel;
  /** The sitting it belongs to, from 1, where it is poured in several. */
  sitting?: number;
  /** Why it is made in several turns. */
  why?: string;
}

/** A cup in all its mixes. */
export interface CupInMixes {
  cup: Cup;
  resolved: ResolvedCup;
  mixes: CupMix[];
  count: MixCount;
}

/** All cups of a plan, and the mixes that some are split from. */
export interface AllMixes {
  cups: CupInMixes[];
  common: CommonMix[];
}

/** Losses that are reckoned with: the share that clings, and grams for each vessel. */
export interface Losses {
  cling: number;
  /** The plan's own figure for every vessel; each vessel's card says when absent. */
  vessel?: number | undefined;
  /** What stays in a piping bag and its tip; the usual when absent. */
  bag?: number | undefined;
}

/** What stays in a piping bag and its tip, g: a starting figure, to be weighed once and typed over. */
const USUAL_BAG = 3;

/** What a cup's piping bag keeps of it, g; nothing where it is not piped. */
export const bagLoss = (losses: Losses, { steps }: ResolvedPlan, cupId: string): number =>
  steps.some(({ own }) => own && isBagged(own) && own.definition.cups(own.act).includes(cupId))
    ? (losses.bag ?? USUAL_BAG)
    : 0;

/** Whether an act pipes its cup out of a bag. */
export const isBagged = (own: ResolvedAct): boolean => hasTrait(own, 'bagged');

/** What stays in a vessel of which no card is known, g. */
const USUAL_VESSEL = 2;

/** What one vessel loses: the plan's figure, its own card's, or the usual, g. */
export const vesselLoss = (losses: Losses, vessel: Vessel | undefined): number =>
  losses.vessel ?? vessel?.loss ?? USUAL_VESSEL;

/** What cups are worked out from: the plan, everything drawn from every cup, and the losses. */
export interface WeighingContext {
  plan: ResolvedPlan;
  losses: Losses;
  demands: ReadonlyMap<string, readonly Pour[]>;
  pourOf: ReadonlyMap<string, Pour>;
  filled: readonly FilledCavitySet[];
  /** The sitting that a pour belongs to, from 1, where there is more than one; a mix belongs to one. */
  sittingOf: ReadonlyMap<string, number>;
  /** In which stretch between two waits each step is done. */
  stretchOf: ReadonlyMap<string, number>;
  /** Where in a reckoning they are weighed: as if in one sitting, or each mix for its own. */
  place: string;
  /** What each cup of cups pours in each turn of the mix it is filled from. */
  compositePours: Map<string, Allotment[][]>;
}

/** Pours sitting by sitting, in order; all of them as one where there is only one. */
export const inSittings = (work: WeighingContext, pours: readonly Allotment[]): Allotment[][] => {
  const by = grouped(pours, (p) => [String(work.sittingOf.get(p.pourId) ?? 1)]);
  const order = [...by.keys()].sort((a, b) => Number(a) - Number(b));
  return order.length ? order.map((key) => by.get(key)!) : [[]];
};

export const poursOfCup = (work: WeighingContext, cupId: string): Allotment[] =>
  (work.demands.get(cupId) ?? []).map((p) => ({ pourId: p.id, count: p.count }));

export const mlOf = (work: WeighingContext, pours: readonly Allotment[]): number =>
  pours.reduce((s, p) => s + p.count * (work.pourOf.get(p.pourId)?.each ?? 0), 0);

/** Grams of a part, by its key, of what is really held. */
export const gramsIn = (held: readonly HeldPart[]) => {
  const grams = new Map(held.map((p) => [p.key, p.grams]));
  return (key: string): number => grams.get(key) ?? 0;
};

/** A balance of nothing. */
export const NOTHING: CupBalance = {
  pouredMl: 0,
  poured: 0,
  clings: 0,
  vessel: 0,
  reserved: 0,
  left: 0,
  mixed: 0
};

/** A cup that cannot be worked out: its base, its mix or the scale is gone. */
export const leftUnmixed = (resolved: ResolvedCup): CupInMixes => ({
  cup: resolved.cup,
  resolved,
  count: { n: 1, inHand: 0, castings: 0, window: 0, hands: { mixing: 0, colouring: 0, each: 0 } },
  mixes: [
    {
      mixId: resolved.cup.id,
      turn: 1,
      pours: [],
      ml: 0,
      balance: NOTHING,
      batch: 0,
      density: 0,
      weighings: [],
      ratioError: 0,
      held: [],
      offRatio: []
    }
  ]
});
