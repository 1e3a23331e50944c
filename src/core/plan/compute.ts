import {
  fillGroup,
  placeSurplus,
  planLetDowns,
  PORTION,
  type CupBalance,
  type PlannedLetDown,
  type Surplus,
  type Weighing
} from '../batch';
import { behaviourOf, type HandState } from '../cure';
import { cautionsOf, formulaOf, type Base } from '../material';
import { cavityOf, footprintOf, mouldProblems, withEmbeds } from '../mould';
import type { Problem } from '../problem';
import { COMMON, scoreOf, sequenceOf, type Score, type ScoredMix, type SequenceItem } from '../schedule';
import type { Need } from '../shelf/stock';
import { craftOf, type CraftFact } from './craft';
import { workOutCups, type CommonMix, type CupMix, type WorkedCup, type WorkedCups } from './cups';
import type { Cup, Group, Past, Plan, Shelf } from './document';
import { contrastProblems, touchingPairs, type TouchingPair } from './contrast';
import { dominanceProblems } from './dominance';
import { paletteOf, type CupLooks, type Palette } from './looks';
import { lightToDark } from './order';
import { stockAndCost, takenBy, yieldOf, type Cost, type OrderYield } from './needs';
import { NOTHING, sumBalances, summed, totalsOf, type Totals } from './totals';
import { drawnGroup, type ComputedGroup, type PlacedGroup } from './piece';
import {
  cupProblems,
  layerProblems,
  letDownProblems,
  missing,
  needProblems,
  recipeProblems,
  residueProblems,
  stepProblems
} from './rules';

/** A cup, worked out: its figures over all its mixes, and each mix with its own weighings. */
export interface ComputedCup {
  cupId: string;
  letter: string;
  hatch: Cup['hatch'];
  name: string;
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
  window: number;
}

/** Everything the screens, prints, exports and the run show of a plan. Plain data. */
export interface Computed {
  groups: ComputedGroup[];
  cups: ComputedCup[];
  /** The mixes that cups are split from, a turn each; empty where each cup is mixed on its own. */
  common: CommonMix[];
  /** Why the common mix is made in several turns. */
  commonWhy?: string;
  totals: Totals;
  /** What percentages are of, in words. */
  basis: string;
  /** g/ml of the mixed base. */
  density: number;
  division: number;
  score: Score;
  /** What the hands do, in order. */
  sequence: SequenceItem[];
  /** Weak premixes to make before the cups. */
  letDowns: PlannedLetDown[];
  /** Every pair of cups that touch in a piece, the closest first. */
  pairs: TouchingPair[];
  /** Ids of cups from light to dark, the order one tool colours them in. */
  lightToDark: string[];
  surplus: Surplus;
  order?: OrderYield;
  needs: Need[];
  cost?: Cost;
  craft: CraftFact[];
  /** Losses that were reckoned with, and whose they are. */
  losses: { cling: number; vessel: number; from: 'typed' | 'record' | 'injector' | 'usual'; cups?: number };
  cautions: string[];
  /** The states a hand can report of this material, in order, and how each tells. */
  states: readonly HandState[];
  /** The weighing that starts a cup's clock. */
  clockPart: string;
  problems: Problem[];
}

const LEVELS = { stop: 0, warn: 1, note: 2 } as const;

/**
 * The one way through: a plan, the cards it uses and what the record knows in, every figure out. Pure and fast
 * enough for every keystroke. Never throws on a well-formed document; what is wrong is said in `problems`.
 */
export function computePlan(plan: Plan, shelf: Shelf, past: Past = {}): Computed {
  const problems: Problem[] = [];
  const base = shelf.bases.find((b) => b.id === plan.baseId);
  const scale = shelf.scales.find((s) => s.id === plan.scaleId);
  const formula = base ? formulaOf(base) : undefined;
  if (!base) problems.push(missing('base', 'baseId', 'No base is chosen, or it is gone from the shelf.'));
  if (!scale) problems.push(missing('scale', 'scaleId', 'No scale is chosen, or it is gone from the shelf.'));
  if (formula && !formula.ok) problems.push(formula.problem);
  const others = shelf.scales.filter((s) => plan.otherScaleIds?.includes(s.id) && s.id !== plan.scaleId);
  const losses = lossesOf(plan, base, past);

  const filled = plan.groups.flatMap((group, i) => placed(plan, group, i, shelf, base, problems));
  problems.push(...stepProblems(plan));
  const colourants = new Map(shelf.colourants.map((c) => [c.id, c]));
  plan.cups.forEach((cup, i) =>
    problems.push(...recipeProblems(cup, i, colourants, base, formula?.ok ? formula.value : undefined))
  );

  const palette = paletteOf(plan.cups, base, formula?.ok ? formula.value : undefined, colourants);
  const colours = new Map(plan.cups.map((cup) => [cup.id, palette.looks.get(cup.id)!.own.hex]));

  const ready =
    base && scale && formula?.ok ? { base, formula: formula.value, scales: [scale, ...others] } : undefined;
  const worked: WorkedCups = ready
    ? workOutCups(plan, shelf, filled, ready, losses)
    : { cups: plan.cups.map(unworked), common: [] };
  const allPouredMl = worked.cups.flatMap((c) => c.mixes).reduce((s, m) => s + m.balance.pouredMl, 0);
  const cups = worked.cups.map((w) => computedCup(w, palette, allPouredMl));
  const densityOf = (cupId: string) => cups.find((c) => c.cupId === cupId)?.density ?? 0;
  const groups = filled.map((f) => drawnGroup(plan, f, palette, densityOf));
  const pairs = touchingPairs(plan, groups);

  const everything = [...worked.common, ...worked.cups.flatMap((c) => c.mixes)].flatMap((m) => m.weighings);
  const letDowns = ready
    ? planLetDowns(everything, (id) => colourants.get(id)?.name ?? id, ready.formula, ready.scales)
    : [];
  const order = lightToDark(cups);
  const sequence = sequenceOf(
    plan.steps,
    worked.cups.map(({ cup, mixes }) => ({ cupId: cup.id, mixes })),
    worked.common,
    order
  );
  const { problems: late, ...score } = ready
    ? scoreOf(
        sequence,
        plan.steps,
        filled,
        scoredMixes(worked),
        scored(ready.base, ready.formula.clockPart),
        plan.roomCelsius
      )
    : { blocks: [], windows: [], gates: [], demould: [], ends: 0, problems: [] };
  const totals = totalsOf(cups, worked.common, plan.groups);
  const yields = yieldOf(plan, totals.pieces, past);
  const taken = takenBy(
    plan,
    everything.filter((w) => w.key !== PORTION),
    letDowns
  );
  const stock = stockAndCost(plan, shelf, past, taken, totals.pieces, yields);
  const craft = ready
    ? craftOf(plan, shelf, ready.base, worked.cups, worked.common, filled)
    : { facts: [], problems: [] };

  if (ready) {
    for (const w of worked.cups)
      problems.push(...cupProblems(plan, w, worked, ready.base, ready.formula, ready.scales));
    for (const f of filled) problems.push(...layerProblems(plan, f, ready.base));
    problems.push(
      ...contrastProblems(pairs, { plan, base: ready.base, formula: ready.formula, colourants }),
      ...dominanceProblems(plan, cups, groups)
    );
  }
  problems.push(
    ...letDownProblems(letDowns),
    ...craft.problems,
    ...late,
    ...needProblems(stock.needs),
    ...residueProblems(plan, colours, past)
  );

  return {
    groups,
    cups,
    common: worked.common,
    ...(worked.count?.why ? { commonWhy: worked.count.why } : {}),
    totals,
    basis: formula?.ok ? formula.value.basis.words : '',
    density: formula?.ok ? formula.value.density : 0,
    division: scale?.division ?? 0.01,
    score,
    sequence,
    letDowns,
    pairs,
    lightToDark: order,
    surplus: placeSurplus(
      cups.map((c) => ({ letter: c.letter, left: c.balance.left, density: c.density })),
      sparesOf(plan, shelf)
    ),
    ...(yields ? { order: yields } : {}),
    ...stock,
    craft: craft.facts,
    losses,
    cautions: base ? cautionsOf(base) : [],
    states: base ? behaviourOf(base).states : [],
    clockPart: formula?.ok ? formula.value.clockPart : '',
    problems: problems.sort((a, b) => LEVELS[a.level] - LEVELS[b.level])
  };
}

function lossesOf(plan: Plan, base: Base | undefined, past: Past): Computed['losses'] {
  if (plan.lossesFrom === 'typed') return { ...plan.losses, from: 'typed' };
  if (past.cling) return { ...plan.losses, cling: past.cling.cling, from: 'record', cups: past.cling.cups };
  // An injector loses its sprue with every shot, and what its nozzle holds with every filling.
  if (base?.kind === 'plastisol' && base.injector)
    return { cling: base.injector.sprue, vessel: base.injector.dead * base.density, from: 'injector' };
  return { ...plan.losses, from: 'usual' };
}

const scored = (base: Base, clockPart: string) => ({
  behaviour: behaviourOf(base),
  clockPart,
  stirMinutes: base.stirMinutes,
  demouldHours: base.demouldHours
});

function scoredMixes(worked: WorkedCups): Map<string, ScoredMix> {
  const mixes = new Map<string, ScoredMix>();
  for (const m of worked.common)
    mixes.set(m.mixId, { name: 'the mix', weighings: m.weighings, mixed: m.balance.mixed });
  for (const { cup, mixes: own } of worked.cups)
    for (const m of own)
      mixes.set(m.mixId, { name: cup.name, weighings: m.weighings, mixed: m.balance.mixed });
  return mixes;
}

/** A group in its mould, filled; none where the mould is gone from the shelf. */
function placed(
  plan: Plan,
  group: Group,
  index: number,
  shelf: Shelf,
  base: Base | undefined,
  problems: Problem[]
): PlacedGroup[] {
  const mould = shelf.moulds.find((m) => m.id === group.mouldId);
  const kind = mould?.cavities.find((c) => c.id === group.cavityId);
  if (!mould || !kind) {
    problems.push(
      missing('mould', `groups/${index}/mouldId`, `The mould of “${group.name}” is not on the shelf.`)
    );
    return [];
  }
  const path = `shelf/moulds/${mould.id}/cavities/${kind.id}`;
  const cavity = withEmbeds(cavityOf(kind, path), group.embeds ?? [], `plan/groups/${index}/embeds`);
  const hot = base?.kind === 'plastisol' || base?.kind === 'melt and pour' ? base.heatTo : undefined;
  const { problems: pours, ...filled } = fillGroup(group, cavity, plan.steps, kind);
  problems.push(
    ...cavity.problems,
    ...pours,
    ...mouldProblems(
      mould,
      kind,
      {
        showFace: plan.showFace,
        clear: base?.kind === 'resin' || base?.kind === 'melt and pour',
        ...(hot === undefined ? {} : { pourCelsius: hot })
      },
      `plan/groups/${index}/mouldId`
    )
  );
  return [
    {
      ...filled,
      mouldName: mould.name,
      footprint: footprintOf(kind.shape),
      zones: kind.zones ?? [],
      chambers: kind.chambers ?? []
    }
  ];
}

const sparesOf = (plan: Plan, shelf: Shelf) =>
  (plan.spares ?? []).flatMap((s) => {
    const mould = shelf.moulds.find((m) => m.id === s.mouldId);
    const kind = mould?.cavities.find((c) => c.id === s.cavityId);
    return mould && kind ? [{ id: s.id, name: mould.name, cavity: cavityOf(kind), count: s.count }] : [];
  });

const unworked = (cup: Cup): WorkedCup => ({
  cup,
  count: { n: 1, inHand: 0, window: 0 },
  mixes: [
    {
      mixId: cup.id,
      turn: 1,
      pours: [],
      ml: 0,
      balance: NOTHING,
      batch: 0,
      density: 0,
      weighings: [],
      ratioError: 0,
      offRatio: []
    }
  ]
});

function computedCup({ cup, mixes, count }: WorkedCup, palette: Palette, allPouredMl: number): ComputedCup {
  const [first] = mixes;
  const balance = sumBalances(mixes.map((m) => m.balance));
  return {
    cupId: cup.id,
    letter: cup.letter,
    hatch: cup.hatch,
    name: cup.name,
    colour: palette.looks.get(cup.id)!.own.hex,
    looks: palette.looks.get(cup.id)!,
    hides: finiteOrNull(palette.hides.get(cup.id)!),
    batch: mixes.reduce((s, m) => s + m.batch, 0),
    density: first?.density ?? 0,
    balance,
    weighings: mixes.length === 1 ? first!.weighings : summed(mixes),
    ratioError: Math.max(0, ...mixes.map((m) => m.ratioError)),
    offRatio: first?.offRatio ?? [],
    shareOfPour: allPouredMl > 0 ? balance.pouredMl / allPouredMl : 0,
    mixes,
    ...(count.why ? { why: count.why } : {}),
    inHand: count.inHand,
    window: count.window
  };
}

const finiteOrNull = (x: number): number | null => (Number.isFinite(x) ? x : null);

/** The id under which the common mix stands among the cups of a run. */
export const commonId = COMMON;
