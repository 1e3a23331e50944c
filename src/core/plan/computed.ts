import type { CupBalance, PlannedLetDown, Surplus, Weighing } from '../batch';
import type { HandState, Pace } from '../cure';
import type { CraftFact, MakingStep } from '../material';
import type { Problem } from '../problem';
import type { Score, SequenceItem, Start } from '../schedule';
import type { Need } from '../shelf/stock';
import type { TouchingPair } from './looks/contrast';
import type { Cup } from '../document';
import type { CupLooks } from './looks/looks';
import type { Cost, OrderYield } from '../order/needs';
import type { ComputedGroup } from './draw';
import type { OrderRow } from './order-row';
import type { Totals } from './weighing/totals';
import type { CommonMix, CupMix } from './weighing/weighed';

/** A cup, worked out: its figures over all its mixes, and each mix with its own weighings. */
export interface ComputedCup {
  cupId: string;
  letter: string;
  hatch: Cup['hatch'];
  name: string;
  /** The base it is made of, and the mix; for a cup made of others, the first of theirs. */
  baseId: string;
  mixOf: string;
  /** Filled from other cups: nothing is weighed for it. */
  jug: boolean;
  /** How far its colour is stirred in. */
  mixing: NonNullable<Cup['mixing']>;
  /** Dry and deep: its own colour, by which it is known everywhere. */
  colour: string;
  looks: CupLooks;
  /** Thickness from which it hides what is behind it, mm; null where it never does. */
  hides: number | null;
  /** Uncoloured batch in all, g. */
  batch: number;
  /** g/ml, coloured. */
  density: number;
  balance: CupBalance;
  /** What is weighed in all, key by key; with several mixes the sums of them. */
  weighings: Weighing[];
  ratioError: number;
  offRatio: CupMix['offRatio'];
  /** Share of everything poured, by volume, 0..1. */
  shareOfPour: number;
  mixes: CupMix[];
  /** Why it takes several mixes. */
  why?: string;
  /** Cavities one mix serves inside its window less the reserve, and that window, minutes. */
  inHand: number;
  /** What makes it run ahead of its card or behind it, each a factor on its times. */
  paces?: Pace[];
  /** Castings that it is poured into. */
  castings: number;
  window: number;
  /** To what its grams are read while it is poured, g: the division of the finest scale that holds it. */
  readTo: number;
}

/** What is said of a step. */
export interface StepLine {
  stepId: string;
  line: string;
  /** What is done and with what, its cup by name alone: where its mark and amount stand beside. */
  title: string;
  /** Where and how. */
  where?: string;
  act: string;
  rest: string;
  hint: string;
  confirm: string;
  /** What it comes to in one cavity: grams a round, the length of a line. */
  measures?: string;
}

/** One base of a plan, as screens and the run need it. */
export interface ComputedBase {
  baseId: string;
  name: string;
  /** The material's kind. */
  kind: string;
  /** What percentages are of, in words. */
  basis: string;
  /** g/ml, uncoloured and mixed. */
  density: number;
  /** The states a hand can report of this material, in order, and how each tells. */
  states: readonly HandState[];
  /** The weighing that starts a cup's clock. */
  clockPart: string;
  /** What is done between weighing its parts. */
  between?: MakingStep[];
  stirMinutes: number;
  cautions: string[];
}

/** Everything the screens, prints, exports and the run show of a plan. Plain data. */
export interface Computed {
  /** The bases that are used, the plan's first one first. */
  bases: ComputedBase[];
  groups: ComputedGroup[];
  cups: ComputedCup[];
  /** The mixes that cups are split from, a turn each; empty where each cup is mixed on its own. */
  common: CommonMix[];
  totals: Totals;
  division: number;
  score: Score;
  /** What the hands do, in order. */
  sequence: SequenceItem[];
  /** One plain line for every step, by the step's id. */
  lines: StepLine[];
  /** Cups that are mixed apart, so that they are as far at one moment. */
  starts?: Start[];
  /** Weak premixes to make before the cups. */
  letDowns: PlannedLetDown[];
  /** Every pair of cups that touch in a piece, the closest first. */
  pairs: TouchingPair[];
  /** Ids of cups from light to dark, the order one tool colours them in. */
  lightToDark: string[];
  surplus: Surplus;
  order?: OrderYield;
  /** The order as mixes one after another, where it is poured in one go from one mix. */
  row?: OrderRow;
  needs: Need[];
  cost?: Cost;
  craft: CraftFact[];
  /** Losses that were reckoned with, and whose they are. */
  losses: {
    cling: number;
    /** One figure for every vessel; by their cards when absent. */ vessel: number | undefined;
    /** What stays in each piping bag, g; the usual when absent. */ bag: number | undefined;
    from: 'typed' | 'record' | 'injector' | 'usual';
    cups?: number;
  };
  cautions: string[];
  problems: Problem[];
}
