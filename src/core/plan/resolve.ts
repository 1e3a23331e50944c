import type { CupDose, Filler } from '../batch';
import { paced, together, type Behaviour, type Pace } from '../cure';
import { behaviourOf } from '../material';
import type { Scale } from '../dosing';
import { formulaOf, materials, type Base, type Colourant, type Formula } from '../material';
import type { Mould } from '../mould';
import { Memo } from '../memo';
import { inPlan, ok, type Diagnostic, type Result } from '../problem';
import type { Vessel } from '../shelf/vessel';
import { mixIdOf, type Cup, type Mix, type LearnedHistory, type Plan } from '../document';
import { type Shelf } from '../shelf';
import { colourPaces, mixPaces } from './paces';
import { idsOf, stepsOf, type Looking, type ResolvedStep } from './read-steps';
import { missing } from './rules/missing';
import { cavitySetsOf, type CavitySet } from './cavity-sets';

/** A mix with its base worked out; `formula` is what its card resolves to. */
export interface ResolvedMix {
  mix: Mix;
  base: Base;
  formula: Formula;
  behaviour: Behaviour;
}

/** A cup with everything it names. Without a mix (its base is gone, or it is made of cups) it has no formula. */
export interface ResolvedCup {
  cup: Cup;
  /** The mix it is made from: for a cup of cups, the first of theirs, by which its states go. */
  mix?: ResolvedMix;
  /** Cups it is filled from, with their shares; empty for a cup made from a mix. */
  parts: { cupId: string; share: number }[];
  doses: CupDose[];
  fillers: Filler[];
  /** Fragrance of its own, as a share of it when it is finished. */
  scent?: { share: number; density: number };
  /** What makes it run ahead of its card or behind it. */
  paces: Pace[];
}

/** A plan with every reference looked up once. What is missing is said in `problems`, and left out. */
export interface ResolvedPlan {
  plan: Plan;
  learned: LearnedHistory;
  scales: Scale[];
  allScales: ReadonlyMap<string, Scale>;
  vessels: Vessel[];
  colourants: ReadonlyMap<string, Colourant>;
  moulds: ReadonlyMap<string, Mould>;
  allVessels: ReadonlyMap<string, Vessel>;
  allBases: ReadonlyMap<string, Base>;
  mixes: ReadonlyMap<string, ResolvedMix>;
  cups: ResolvedCup[];
  cupOf: ReadonlyMap<string, ResolvedCup>;
  cavitySets: CavitySet[];
  steps: ResolvedStep[];
  problems: Diagnostic[];
  /** What its stages came to before: they ask it first. */
  memo: Memo;
}

/** Whether a tool can be used. */
const holds = ({ condition }: { condition?: string | undefined }): boolean => condition !== 'broken';

/**
 * Looks everything up that a plan names. Never throws; what is not there is a problem where it is named.
 * @param memo what was looked up before: what an edit leaves alone stays the very same thing
 */
export function resolve(
  plan: Plan,
  shelf: Shelf,
  learned: LearnedHistory = {},
  memo: Memo = new Memo()
): ResolvedPlan {
  const problems: Diagnostic[] = [];
  const colourants = memo.of('colourants', [shelf.colourants], () => byId(shelf.colourants));
  const allVessels = memo.of('vessels', [shelf.vessels], () => byId(shelf.vessels.filter(holds)));
  const allScales = memo.of('scales', [shelf.scales], () => byId(shelf.scales));
  const moulds = memo.of('moulds', [shelf.moulds], () => byId(shelf.moulds));
  const allBases = memo.of('bases', [shelf.bases], () => byId(shelf.bases));
  const mixes = mixesOf(plan, allBases, { memo, problems });
  const scales = plan.bench.scaleIds.flatMap((id) => allScales.get(id) ?? []).filter(holds);
  const main = allScales.get(plan.bench.scaleIds[0] ?? '');
  if (!main || !holds(main)) {
    scales.length = 0;
    const why = main ? `${main.name} is broken.` : 'No scale is chosen, or it is gone from the shelf.';
    problems.push(missing('scale', inPlan('bench', 'scaleIds'), why));
  }
  const cups = cupsOf(plan, mixes, colourants, { memo, problems });
  const cupOf = new Map(cups.map((c) => [c.cup.id, c]));
  const split = memo.of('cavity sets', [plan.groups, idsOf(plan.steps), idsOf(plan.cups), moulds], () =>
    cavitySetsOf(plan, moulds)
  );
  problems.push(...split.problems);
  const vessels = plan.bench.vesselIds.flatMap((id) => allVessels.get(id) ?? []).filter(holds);
  return {
    plan,
    learned,
    scales,
    allScales,
    // Smallest first wherever one is chosen; the order of the shelf breaks ties.
    vessels: shelf.vessels.filter((v) => vessels.includes(v)),
    colourants,
    moulds,
    allVessels,
    allBases,
    mixes,
    cups,
    cupOf,
    cavitySets: split.cavitySets,
    steps: stepsOf(plan, split.cavitySets, { learned, cupOf, memo, problems }),
    problems,
    memo
  };
}

/** By id, in a Map: an id such as “constructor” is a key like any other. The first of two wins. */
function byId<T extends { id: string }>(list: readonly T[]): Map<string, T> {
  const map = new Map<string, T>();
  for (const x of list) if (!map.has(x.id)) map.set(x.id, x);
  return map;
}

/** A formula with the parts that a mix takes by eye marked as such. */
function crept(formula: Formula, { creeps }: Mix): Formula {
  if (!creeps?.length) return formula;
  const parts = formula.parts.map((p) => {
    const own = p.byEye && creeps.find((c) => c.part === p.key);
    return own ? { ...p, creep: { start: own.start, step: own.step } } : p;
  });
  return { ...formula, parts };
}

function mixesOf(
  plan: Plan,
  bases: ReadonlyMap<string, Base>,
  { memo, problems }: Looking
): Map<string, ResolvedMix> {
  const found = new Map<string, ResolvedMix>();
  const said = new Set<string>();
  for (const mix of plan.mixes) {
    const base = bases.get(mix.baseId);
    const formula = base && memo.of(`mix ${mix.id}`, [mix, base], () => mixFrom(mix, base));
    if (formula?.ok) found.set(mix.id, formula.value);
    if (said.has(mix.baseId)) continue;
    said.add(mix.baseId);
    if (!base)
      problems.push(
        missing(
          'base',
          inPlan('mixes', mix.id, 'baseId'),
          'No material is chosen yet, or it is gone from the shelf.'
        )
      );
    else if (formula && !formula.ok) problems.push(formula.problem);
  }
  return found;
}

/** A mix with its base worked out, where that has a formula. */
function mixFrom(mix: Mix, base: Base): Result<ResolvedMix> {
  const mixed = asMixed(base, mix);
  const formula = formulaOf(mixed);
  if (!formula.ok) return formula;
  return ok({ mix, base, formula: crept(formula.value, mix), behaviour: behaviourIn(mix, mixed) });
}

/** A card as a mix is made of it: without its fragrance where that goes into the cups. */
function asMixed(base: Base, { fragrance, feeds }: Mix): Base {
  const { scent } = materials.of(base);
  // A card without its fragrance is a card of its own kind still.
  return fragrance === 'in the cups' && feeds === 'split' && scent ? (scent.without(base) as Base) : base;
}

/** The fragrance that goes into a cup by itself: what is weighed of it, and what it does to its time. */
function scentOf(cup: Cup, { mix, base }: ResolvedMix) {
  const { scent } = materials.of(base);
  if (mix.fragrance !== 'in the cups' || mix.feeds !== 'split' || !scent) return undefined;
  const { share, is } = cup.fragrance ?? scent.usual(base);
  const weighed = { share: scent.shareIn(base, share), density: scent.density };
  return { weighed, paces: scent.pace(share, is) };
}

/** How a mix behaves as it is made here: its parts' temperature, and what speeds or slows all of it. */
const behaviourIn = (mix: Mix, base: Base): Behaviour =>
  paced(behaviourOf(base, mix.joinedAt), together(mixPaces(mix, base)));

function cupsOf(
  plan: Plan,
  mixes: ReadonlyMap<string, ResolvedMix>,
  colourants: ReadonlyMap<string, Colourant>,
  { memo, problems }: Looking
): ResolvedCup[] {
  const all = byId(plan.cups);
  const known = new Set(plan.mixes.map((m) => m.id));
  return plan.cups.map((cup) => {
    const mixId = mixIdOf(cup);
    if (mixId !== undefined && !known.has(mixId))
      problems.push(
        missing(
          'mix',
          inPlan('cups', cup.id, 'from'),
          `${cup.name} is made from a mix that is not in the plan.`
        )
      );
    const parts = partsOf(cup, all, problems);
    const mix = mixes.get(mixId ?? firstMix(cup, all) ?? '');
    const doses = dosesOf(cup, colourants);
    return memo.of(`cup ${cup.id}`, [cup, parts, doses, mix], () => cupFrom(cup, { parts, doses, mix }));
  });
}

/** A cup with everything that it is made of found. */
function cupFrom(
  cup: Cup,
  { parts, doses, mix }: Pick<ResolvedCup, 'parts' | 'doses'> & { mix: ResolvedMix | undefined }
): ResolvedCup {
  const fillers = fillersOf(cup);
  if (!mix) return { cup, parts, doses, paces: [], fillers };
  // A cup made of others has their mixes’ pace, and none of its own.
  if (!('mix' in cup.from)) return { cup, mix, parts, doses, paces: [], fillers };
  const scent = scentOf(cup, mix);
  const coloured = [...colourPaces(mix.base, doses), ...(scent?.paces ?? [])];
  return {
    cup,
    mix: { ...mix, behaviour: paced(mix.behaviour, together(coloured)) },
    parts,
    doses,
    paces: [...mixPaces(mix.mix, asMixed(mix.base, mix.mix)), ...coloured],
    ...(scent ? { scent: scent.weighed } : {}),
    fillers
  };
}

const fillersOf = ({ fillers = [] }: Cup): Filler[] =>
  fillers.map(({ id, name, percent, density }) => ({ id, name, share: percent / 100, density }));

/** A cup's recipe with its colourants found; those that are gone from the shelf are left out. */
export const dosesOf = (cup: Cup, colourants: ReadonlyMap<string, Colourant>): CupDose[] =>
  cup.recipe.flatMap((line) => {
    const colourant = colourants.get(line.colourantId);
    return colourant ? [{ ...line, colourant, lineId: line.id }] : [];
  });

/** The cups a cup is filled from, their shares made whole; a cup that would be filled from itself is refused. */
function partsOf(
  cup: Cup,
  all: ReadonlyMap<string, Cup>,
  problems: Diagnostic[]
): { cupId: string; share: number }[] {
  if ('mix' in cup.from) return [];
  const about = inPlan('cups', cup.id, 'from');
  if (fillsFrom(cup.id, cup, all, 0)) {
    problems.push({
      code: 'cup-of-itself',
      level: 'stop',
      ...about,
      sentence: `${cup.name} would be filled from itself.`,
      mend: 'Fill it from other cups.'
    });
    return [];
  }
  const there = cup.from.cups.filter((p) => {
    if (all.has(p.cupId)) return true;
    problems.push(missing('cup', about, `${cup.name} is filled from a cup that is not in the plan.`));
    return false;
  });
  const sum = there.reduce((s, p) => s + p.share, 0);
  return there.map((p) => ({ cupId: p.cupId, share: p.share / sum }));
}

const fillsFrom = (id: string, cup: Cup, all: ReadonlyMap<string, Cup>, depth: number): boolean =>
  'cups' in cup.from &&
  (depth > all.size ||
    cup.from.cups.some((p) => {
      const part = all.get(p.cupId);
      return p.cupId === id || (part !== undefined && fillsFrom(id, part, all, depth + 1));
    }));

/** The mix that a cup of cups begins with, by which its states go. */
function firstMix(cup: Cup, all: ReadonlyMap<string, Cup>, depth = 0): string | undefined {
  if ('mix' in cup.from) return cup.from.mix;
  if (depth > all.size) return undefined;
  for (const { cupId } of cup.from.cups) {
    const part = all.get(cupId);
    const mix = part && firstMix(part, all, depth + 1);
    if (mix) return mix;
  }
  return undefined;
}
