import type { Scale } from '../dosing';
import { placeSurplus, planLetDowns, type PlannedLetDown, type Weighing } from '../batch';
import { cautionsOf, materials, type Base } from '../material';
import { cavityOf } from '../mould';
import { Memo } from '../memo';
import type { Diagnostic, Problem } from '../problem';
import {
  fillWaits,
  scoreOf,
  sequenceOf,
  startsApart,
  type Indexed,
  type Score,
  type SequenceItem,
  type Start
} from '../schedule';
import type { Computed, ComputedBase, ComputedCup } from './computed';
import { touchingPairs } from './looks/contrast';
import { craftOf } from './craft';
import type { LearnedHistory, Plan } from '../document';
import type { Shelf } from '../shelf';
import { fill, type FilledCavitySet } from './fill';
import { diagnose } from './diagnose';
import { colouredInTurn, litInTurn, paletteOf, type Palette } from './looks/looks';
import { provingFixes, withoutFixes } from './fixes/proven';
import {
  lotsOf,
  poursInAll,
  stockAndCost,
  stockOfWeighing,
  takenBy,
  yieldOf,
  type Stocked
} from '../order/needs';
import { lightToDark } from './light-to-dark';
import { dropFirst } from './fixes/drop-first';
import { secondBatches } from './fixes/second-batches';
import { baggedIn } from './weighing/bags';
import { linesOf } from './lines';
import { drawnGroups, type ComputedGroup } from './draw';
import { resolve, type ResolvedPlan } from './resolve';
import { rowOf } from './order-row';
import { sittingsOf } from './sittings';
import { timingOf } from './timing';
import { sumBalances, summed, totalsOf } from './weighing/totals';
import { placeOf, weigh } from './weigh';
import type { CupInMixes, AllMixes } from './weighing/weighed';

const LEVELS = { stop: 0, warn: 1, note: 2 } as const;

/**
 * The one way through: a plan, the cards it uses and what the record knows in, every figure out. Resolve what it
 * names, fill the cavities, weigh the cups, play the score, judge it all. Pure and fast enough for every keystroke.
 * Never throws on a well-formed document; what is wrong is said in `problems`.
 */
export function computePlan(document: Plan, shelf: Shelf, learned: LearnedHistory = {}): Computed {
  const memo = new Memo();
  const computed = computeUnproven(document, shelf, learned, memo);
  const proving = provingFixes(document, computed.problems, judgeOf(shelf, learned, memo));
  return { ...computed, problems: ended(proving) };
}

/**
 * The problems of a plan, one try of a mend at each step: what is proved so far, so that it can be shown and left for a later plan.
 * @param memo what the plan before came to: only what has changed since is worked out again, and a try costs what its edit costs
 */
export function* provingInTurn(
  document: Plan,
  shelf: Shelf,
  learned: LearnedHistory = {},
  memo = new Memo()
): Generator<Problem[], Problem[]> {
  const { problems } = computeUnproven(document, shelf, learned, memo);
  yield withoutFixes(problems);
  return yield* provingFixes(document, problems, judgeOf(shelf, learned, memo));
}

/** Judges a try by what it shares with the plan that it is made of. */
const judgeOf = (shelf: Shelf, learned: LearnedHistory, memo: Memo) => (plan: Plan) =>
  computeUnproven(plan, shelf, learned, new Memo(memo)).problems;

/**
 * The same figures and problems, without the search for mends: where nobody waits for advice.
 * @param memo what the plan before came to: only what has changed since is worked out again
 */
export const figuresOf = (
  document: Plan,
  shelf: Shelf,
  learned: LearnedHistory = {},
  memo = new Memo()
): Computed => ended(figuresInTurn(document, shelf, learned, memo));

/** `figuresOf` a little at each step, so that a page that opens can be let draw and answer between two. */
export function* figuresInTurn(
  document: Plan,
  shelf: Shelf,
  learned: LearnedHistory = {},
  memo = new Memo()
): Generator<void, Computed> {
  const computed = yield* unprovenInTurn(document, shelf, learned, memo);
  return { ...computed, problems: withoutFixes(computed.problems) };
}

type Unproven = Omit<Computed, 'problems'> & { problems: Diagnostic[] };

/** All of it but the proof of what it advises. */
const computeUnproven = (document: Plan, shelf: Shelf, learned: LearnedHistory, memo: Memo): Unproven =>
  ended(unprovenInTurn(document, shelf, learned, memo));

/** What a piece of work comes to when it is done without a pause. */
function ended<T>(work: Generator<unknown, T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}

function* unprovenInTurn(
  document: Plan,
  shelf: Shelf,
  learned: LearnedHistory,
  memo: Memo
): Generator<void, Unproven> {
  yield* litInTurn(document, shelf);
  const plan = resolve(document, shelf, learned, memo);
  yield;
  yield* colouredInTurn(plan);
  const { filled, problems: pours } = fill(plan);
  const losses = lossesOf(plan);
  yield;
  const { allMixes, palette, cups, groups, order, timed } = yield* workedInTurn(plan, filled, losses);
  const { sequence, late, starts, ...score } = timed;
  const { letDowns, totals, yields, taken } = takenIn(plan, allMixes, cups);
  const stock = stockAndCost(document, { lots: shelf.lots, learned }, taken, {
    pieces: totals.pieces,
    order: yields
  });
  yield;
  const row = rowOf(plan, filled, allMixes, yields);
  const pairs = memo.of('pairs', [groups, plan.cups, palette.looks], () =>
    touchingPairs(plan, groups, palette)
  );
  const craft = craftOf(plan, allMixes, filled);
  yield;
  const problems = diagnose({ plan, filled, allMixes, cups, groups, pairs, needs: stock.needs, score });
  yield;
  memo.tidy();
  return {
    bases: basesOf(plan),
    groups,
    cups,
    common: allMixes.common,
    totals,
    division: plan.scales[0]?.division ?? 0.01,
    score,
    sequence,
    lines: linesOf(plan, filled, groups, baggedIn(plan, { cups: allMixes.cups, losses, groups, score })),
    letDowns,
    pairs,
    lightToDark: order,
    surplus: placeSurplus(cups.map(leftOver), sparesOf(plan)),
    ...(yields ? { order: yields } : {}),
    ...(row ? { row } : {}),
    ...(starts.length ? { starts } : {}),
    ...stock,
    craft: craft.facts,
    losses,
    cautions: [...new Set(basesOf(plan).flatMap((b) => b.cautions))],
    problems: ranked([...plan.problems, ...pours, ...problems, ...craft.problems, ...late])
  };
}

/** Cups weighed, cavities drawn, and all of it played: what a plan comes to before it is judged. */
interface Worked {
  allMixes: AllMixes;
  palette: Palette;
  cups: ComputedCup[];
  groups: ComputedGroup[];
  order: string[];
  timed: Timed;
}

/**
 * Works a plan out. Its mixes are weighed as if all were poured in one sitting; where a first score then waits longer than one
 * of them stays open, they are weighed anew, that mix once for each sitting.
 */
function* workedInTurn(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  losses: Computed['losses']
): Generator<void, Worked> {
  const once = weighedIn(plan, filled, losses);
  yield;
  const sittingOf = sittingsIn(plan, once.timing);
  const { allMixes, timing } = sittingOf.size ? weighedIn(plan, filled, losses, sittingOf) : once;
  yield;
  const mixesOf = new Map(allMixes.cups.map((w) => [w.cup.id, w.mixes]));
  const palette = paletteOf(plan, (id) => Math.max(0, ...(mixesOf.get(id) ?? []).map((m) => m.ml)));
  const whole = { allPouredMl: pouredMlOf(allMixes), scales: plan.scales };
  const cups = allMixes.cups.map((w) => {
    const { looks, hides } = palette;
    const own = [w, looks.get(w.cup.id), hides.get(w.cup.id), whole];
    return plan.memo.of(`figures ${w.cup.id}`, own, () => computedCup(w, palette, whole));
  });
  const densities = new Map(cups.map((c) => [c.cupId, c.density]));
  const groups = drawnGroups(plan, filled, palette, densities);
  yield;
  const order = lightToDark(cups);
  const played = timed(plan, timing, order);
  yield;
  return { allMixes, palette, cups, groups, order, timed: played };
}

/** Every mix weighed, and what a score is played from. */
function weighedIn(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  losses: Computed['losses'],
  sittingOf: ReadonlyMap<string, number> = new Map()
): { allMixes: AllMixes; timing: Indexed } {
  const allMixes = weigh(plan, filled, losses, sittingOf);
  return { allMixes, timing: timingOf(plan, filled, allMixes, placeOf(sittingOf)) };
}

/** The sitting of each pour by a first score; none where nothing waits for anything. */
function sittingsIn(plan: ResolvedPlan, timing: Indexed): Map<string, number> {
  const waits = timing.steps.some((s) => s.gates.length > 0 || s.unattended > 0 || s.demoulds);
  if (!plan.scales.length || !waits) return new Map();
  const order = plan.cups.map((c) => c.cup.id);
  return plan.memo.of('sittings', [timing, order], () =>
    sittingsOf(scoreOf(sequenceOf(timing, order), timing), timing)
  );
}

/** What is weighed in all, and what that takes from the shelf. */
function takenIn(plan: ResolvedPlan, allMixes: AllMixes, cups: readonly ComputedCup[]) {
  const { memo, plan: document, learned } = plan;
  const { common } = allMixes;
  const stocked = memo.of('stocked', [allMixes.cups, common], () => stockedWeighings(allMixes));
  const { mixes, colourants, scales } = plan;
  const letDowns = memo.of('let-downs', [stocked, mixes, colourants, scales, document.letDowns], () =>
    letDownsOf(plan, stocked)
  );
  const totals = memo.of('totals', [cups, common, document.groups], () =>
    totalsOf(cups.map(totalled), common, document.groups)
  );
  const yields = yieldOf(document, totals.pieces, learned);
  const pours = poursInAll(yields);
  const taken = memo.of('taken', [stocked, letDowns, pours], () => takenBy(stocked, letDowns, pours));
  return { letDowns, totals, yields, taken };
}

/** Worst first, mixes before layers; otherwise in the order they were found. What holds in several groups is said once. */
function ranked(problems: readonly Diagnostic[]): Diagnostic[] {
  const once = new Map(problems.map((p) => [`${p.code}\n${p.path}\n${p.sentence}`, p]));
  return [...once.values()].sort((a, b) => LEVELS[a.level] - LEVELS[b.level] || rankOf(a) - rankOf(b));
}

/** What burns stands first, then a mould that cannot be meant; then what spoils a whole mix, before what spoils a layer. */
const FIRST: readonly Problem['code'][] = [
  'flame-near-alcohol',
  'flame-on-wet',
  'capacity-absurd',
  'capacity-disagrees',
  'cup-overheats',
  'superfat-moves',
  'mix-too-small',
  'vessel-too-small'
];
const rankOf = (p: Problem) => (FIRST.includes(p.code) ? FIRST.indexOf(p.code) : FIRST.length);

/** The maker's losses, the record's median for the base (the first of several), an injector's own, or the usual ones. */
function lossesOf({ plan, learned, mixes }: ResolvedPlan): Computed['losses'] {
  const { cling, vessel, bag, typed } = plan.bench.losses;
  if (typed) return { cling, vessel, bag, from: 'typed' };
  const base = mixes.values().next().value?.base;
  const known = base && learned.clings?.get(base.id);
  if (known) return { cling: known.cling, vessel, bag, from: 'record', cups: known.cups };
  const poured = base && materials.of(base).losses?.(base);
  if (poured) return { ...poured, bag, from: 'injector' };
  return { cling, vessel, bag, from: 'usual' };
}

/** ml poured from all mixes; what fills a cup of cups is counted as theirs. */
const pouredMlOf = (allMixes: AllMixes): number =>
  allMixes.cups
    .filter((w) => !w.resolved.parts.length)
    .flatMap((w) => w.mixes)
    .reduce((s, m) => s + m.balance.pouredMl, 0);

type Timed = Score & { sequence: SequenceItem[]; late: Diagnostic[]; starts: Start[] };

/** The sequence and its score; nothing while there is no scale to weigh on. */
function timed(plan: ResolvedPlan, timing: Indexed, colouring: readonly string[]): Timed {
  const { problems, ...played } = plan.memo.of('score', [timing, colouring, plan.scales.length > 0], () =>
    playedOf(plan, timing, colouring)
  );
  return { ...played, late: secondBatches(plan, dropFirst(plan, played, problems)) };
}

function playedOf(plan: ResolvedPlan, timing: Indexed, colouring: readonly string[]) {
  const starts = startsOf(timing);
  const written = sequenceOf(timing, colouring);
  if (!plan.scales.length) return { ...scoreOf([], timing), sequence: written, starts };
  const { sequence, score } = fillWaits(written, timing);
  return { ...score, sequence, starts };
}

/** When cups that a step waits for together are mixed apart, each cup once. */
function startsOf(timing: Indexed): Start[] {
  const all = timing.steps.flatMap((s) => startsApart(s, timing));
  return all.filter((s, i) => all.findIndex((x) => x.cupId === s.cupId) === i);
}

/** Every weighing of a turn, with what it takes from the shelf. */
function stockedWeighings({ cups, common }: AllMixes): (Stocked & { baseId: string })[] {
  const splitMixes = common.flatMap((m) =>
    m.weighings.map((w) => ({ w, baseId: m.baseId, lots: new Map<string, string>() }))
  );
  const own = cups.flatMap(({ cup, resolved, mixes }) =>
    mixes.flatMap((m) =>
      m.weighings.map((w) => ({ w, baseId: resolved.mix?.base.id ?? '', lots: lotsOf(cup) }))
    )
  );
  return [...splitMixes, ...own].map(({ w, baseId, lots }) => ({
    ...w,
    baseId,
    stock: stockOfWeighing(w, baseId, lots)
  }));
}

/** Let-downs, base by base: each is carried by a part of its own. */
function letDownsOf(
  plan: ResolvedPlan,
  weighings: readonly (Weighing & { baseId: string })[]
): PlannedLetDown[] {
  const bases = new Map([...plan.mixes.values()].map((m) => [m.base.id, m.formula]));
  const nameOf = (id: string) => plan.colourants.get(id)?.name ?? id;
  const wanted = (id: string, parts: number) =>
    plan.plan.letDowns?.find((l) => l.colourantId === id && l.parts === parts)?.make;
  return [...bases].flatMap(([id, formula]) =>
    planLetDowns(
      weighings.filter((w) => w.baseId === id),
      nameOf,
      { id, formula },
      { scales: plan.scales, wanted }
    )
  );
}

const totalled = (cup: ComputedCup) => ({
  balance: cup.balance,
  weighings: cup.weighings,
  jug: cup.jug,
  filledMl: cup.jug ? cup.mixes.reduce((s, m) => s + m.ml, 0) : 0
});

const leftOver = (c: ComputedCup) => ({ letter: c.letter, left: c.balance.left, density: c.density });

const sparesOf = ({ plan, moulds }: ResolvedPlan) =>
  plan.spares.flatMap((s) => {
    const mould = moulds.get(s.mouldId);
    const kind = mould?.cavities.find((c) => c.id === s.cavityId);
    return mould && kind ? [{ id: s.id, name: mould.name, cavity: cavityOf(kind), count: s.count }] : [];
  });

function computedCup(
  { cup, resolved, mixes, count }: CupInMixes,
  palette: Palette,
  { allPouredMl, scales }: { allPouredMl: number; scales: readonly Scale[] }
): ComputedCup {
  const readTo = readingOf(scales, Math.max(0, ...mixes.map((m) => m.balance.mixed)));
  const [first] = mixes;
  const balance = sumBalances(mixes.map((m) => m.balance));
  const looks = palette.looks.get(cup.id)!;
  const hides = palette.hides.get(cup.id)!;
  return {
    cupId: cup.id,
    letter: cup.letter,
    hatch: cup.hatch,
    name: cup.name,
    baseId: resolved.mix?.base.id ?? '',
    mixOf: resolved.mix?.mix.id ?? '',
    jug: resolved.parts.length > 0,
    mixing: cup.mixing ?? 'full',
    colour: looks.own.hex,
    looks,
    hides: Number.isFinite(hides) ? hides : null,
    batch: mixes.reduce((s, m) => s + m.batch, 0),
    density: first?.density ?? 0,
    balance,
    weighings: mixes.length === 1 ? first!.weighings : summed(mixes),
    ratioError: Math.max(0, ...mixes.map((m) => m.ratioError)),
    offRatio: first?.offRatio ?? [],
    shareOfPour: allPouredMl > 0 ? balance.pouredMl / allPouredMl : 0,
    mixes,
    ...(count.why ? { why: count.why } : {}),
    ...(resolved.paces.length ? { paces: resolved.paces } : {}),
    inHand: count.inHand,
    castings: count.castings,
    window: count.window,
    readTo
  };
}

/** The division of the finest scale at hand that a full cup can stand on while it is poured, g; the plan’s own scale’s where none holds it. */
function readingOf(scales: readonly Scale[], grams: number): number {
  const holding = scales.filter((s) => s.capacity >= grams).map((s) => s.division);
  return holding.length ? Math.min(...holding) : (scales[0]?.division ?? 0.01);
}

/** Each base that is used, once, in the order of the mixes. */
function basesOf({ mixes }: ResolvedPlan): ComputedBase[] {
  const found = new Map<string, ComputedBase>();
  for (const { base, formula, behaviour } of mixes.values())
    if (!found.has(base.id))
      found.set(base.id, {
        baseId: base.id,
        name: base.name,
        kind: base.kind,
        basis: formula.basis.words,
        density: formula.density,
        states: behaviour.states,
        clockPart: formula.clockPart,
        ...(formula.between ? { between: formula.between } : {}),
        stirMinutes: base.stirMinutes,
        cautions: cautionsOf(base as Base)
      });
  return [...found.values()];
}
