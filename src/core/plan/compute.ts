import {
  fillGroup,
  planLetDowns,
  weighOutCup,
  type PlannedLetDown,
  type CupBalance,
  type Layer,
  type WeighedCup,
  type Weighing
} from '../batch';
import { simpleMixing, type ColourModel } from '../colour';
import { behaviourOf, type HandState } from '../cure';
import { cautionsOf, formulaOf, type Base, type Colourant } from '../material';
import { cavityOf, footprintOf, type Cavity, type Footprint } from '../mould';
import type { Problem } from '../problem';
import { scoreOf, type Score } from '../schedule';
import type { Cup, Group, Plan, Shelf } from './document';
import { layerProblems, limitProblems, weighingProblems } from './rules';

/** A layer with what it looks like: in section, and as its thickness lets what is behind show through. */
export interface ComputedLayer extends Layer {
  letter: string;
  hatch: Cup['hatch'];
  colour: string;
  /** ml and grams in all cavities of the group. */
  ml: number;
  grams: number;
  /** Whether it is laid on a layer that a gate has let gel. */
  gated: boolean;
  /** Share of each face that this layer is, 0..1, seen straight on. */
  shows: { mouldFace: number; openFace: number };
}

/** A group of cavities, filled. */
export interface ComputedGroup {
  groupId: string;
  name: string;
  mouldName: string;
  count: number;
  capacity: number;
  depth: number;
  /** How the capacity was found. */
  working: string;
  /** Section through the middle: level and half width, mm, from the mould face up. */
  profile: [number, number][];
  /** The rim from above: round, a rectangle (width over length), or an outline in mm. */
  footprint: Footprint;
  layers: ComputedLayer[];
  filled: number;
}

/** A cup, worked out. */
export interface ComputedCup {
  cupId: string;
  letter: string;
  hatch: Cup['hatch'];
  name: string;
  colour: string;
  batch: number;
  /** g/ml, coloured. */
  density: number;
  balance: CupBalance;
  weighings: Weighing[];
  ratioError: number;
  /** Share of everything poured, by volume, 0..1. */
  shareOfPour: number;
}

/** Everything the screens, prints, exports and the run show of a plan. Plain data. */
export interface Computed {
  groups: ComputedGroup[];
  cups: ComputedCup[];
  totals: {
    parts: { key: string; name: string; grams: number }[];
    colourants: { id: string; name: string; grams: number }[];
    balance: CupBalance;
    pieces: number;
  };
  /** What percentages are of, in words. */
  basis: string;
  /** g/ml of the mixed base. */
  density: number;
  division: number;
  score: Score;
  /** Weak premixes to make before the cups. */
  letDowns: PlannedLetDown[];
  cautions: string[];
  /** The states a hand can report of this material, in order, and how each tells. */
  states: readonly HandState[];
  /** The weighing that starts a cup's clock. */
  clockPart: string;
  problems: Problem[];
}

const PROFILE_STEPS = 40;
const LEVELS = { stop: 0, warn: 1, note: 2 } as const;

/**
 * The one way through: a plan and the cards it uses in, every figure out. Pure and fast enough for every
 * keystroke. Never throws on a well-formed document; what is wrong is said in `problems`.
 */
export function computePlan(plan: Plan, shelf: Shelf, colourModel: ColourModel = simpleMixing): Computed {
  const problems: Problem[] = [];
  const base = shelf.bases.find((b) => b.id === plan.baseId);
  const scale = shelf.scales.find((s) => s.id === plan.scaleId);
  const formula = base ? formulaOf(base) : undefined;
  if (!base) problems.push(missing('base', 'baseId', 'No base is chosen, or it is gone from the shelf.'));
  if (!scale) problems.push(missing('scale', 'scaleId', 'No scale is chosen, or it is gone from the shelf.'));
  if (formula && !formula.ok) problems.push(formula.problem);

  const colourants = new Map(shelf.colourants.map((c) => [c.id, c]));
  const filled = plan.groups.flatMap((group, i) => {
    const found = findCavity(group, shelf, i);
    problems.push(...found.problems);
    if (!found.cavity) return [];
    const result = fillGroup(group, found.cavity, plan.steps);
    problems.push(...result.problems);
    return [{ ...result, mouldName: found.mouldName, footprint: found.footprint }];
  });
  problems.push(...stepProblems(plan));

  const pouredMl = new Map<string, number>();
  for (const f of filled)
    for (const l of f.layers) pouredMl.set(l.cupId, (pouredMl.get(l.cupId) ?? 0) + l.each * f.group.count);

  const weighed = new Map<string, WeighedCup & { name: string }>();
  const ready = base && scale && formula?.ok ? { base, scale, formula: formula.value } : undefined;
  plan.cups.forEach((cup, index) => {
    problems.push(...recipeProblems(cup, index, colourants, base));
    if (!ready) return;
    const doses = cup.recipe.flatMap((line) => {
      const colourant = colourants.get(line.colourantId);
      return colourant
        ? [
            {
              colourant,
              percent: line.percent,
              of: line.of,
              lineId: line.id,
              letDown: line.letDown
            }
          ]
        : [];
    });
    const out = weighOutCup({
      formula: ready.formula,
      doses,
      pouredMl: pouredMl.get(cup.id) ?? 0,
      losses: plan.losses,
      ...(cup.atLeast === undefined ? {} : { atLeast: cup.atLeast }),
      scale: ready.scale,
      readings: plan.readings
    });
    weighed.set(cup.id, { ...out, name: cup.name });
    if (out.balance.pouredMl > 0)
      problems.push(...weighingProblems(plan, index, out, ready.base, ready.scale));
  });
  if (ready) for (const f of filled) problems.push(...layerProblems(plan, f, ready.base));

  const tintOf = (cup: Cup) => ({
    baseColour: base?.colour ?? '#efe9da',
    doses: cup.recipe.flatMap((line) => {
      const colourant = colourants.get(line.colourantId);
      return colourant ? [{ colourant, percent: line.percent }] : [];
    })
  });
  const colours = new Map(plan.cups.map((cup) => [cup.id, colourModel.deep(tintOf(cup)).hex]));
  const cups = plan.cups.map((cup): ComputedCup => {
    const out = weighed.get(cup.id) ?? emptyCup();
    const all = [...pouredMl.values()].reduce((s, ml) => s + ml, 0);
    return {
      cupId: cup.id,
      letter: cup.letter,
      hatch: cup.hatch,
      name: cup.name,
      colour: colours.get(cup.id)!,
      batch: out.batch,
      density: out.density,
      balance: out.balance,
      weighings: out.weighings,
      ratioError: out.ratioError,
      shareOfPour: all > 0 ? (pouredMl.get(cup.id) ?? 0) / all : 0
    };
  });

  const density = formula?.ok ? formula.value.density : 0;
  const groups = filled.map(({ group, cavity, layers, filledMl, mouldName, footprint }): ComputedGroup => ({
    groupId: group.id,
    name: group.name,
    mouldName,
    count: group.count,
    capacity: cavity.capacity,
    depth: cavity.depth,
    working: cavity.working,
    profile: profileOf(cavity),
    footprint,
    filled: cavity.capacity > 0 ? filledMl / cavity.capacity : 0,
    layers: layers.map((layer, i) => {
      const cup = plan.cups.find((c) => c.id === layer.cupId)!;
      const behind = colours.get(layers[i + 1]?.cupId ?? '') ?? '#ffffff';
      return {
        ...layer,
        letter: cup.letter,
        hatch: cup.hatch,
        gated: gatedBefore(plan, layer),
        shows: {
          mouldFace: mouldFaceShare(cavity, layer),
          openFace: i === layers.length - 1 ? 1 : 0
        },
        colour: colourModel.layer(tintOf(cup), layer.to - layer.from, behind).hex,
        ml: layer.each * group.count,
        grams: layer.each * group.count * (weighed.get(layer.cupId)?.density ?? 0)
      };
    })
  }));

  const letDowns = ready
    ? planLetDowns(cups, (id) => colourants.get(id)?.name ?? id, ready.formula, ready.scale)
    : [];
  for (const l of letDowns.filter((x) => !x.weighable))
    problems.push({
      code: 'let-down-not-weighable',
      level: 'warn',
      path: 'plan/cups',
      sentence: `The 1 : ${l.parts} let-down needs ${Number(l.colourant.toPrecision(2))} g of ${l.name}, which this scale cannot weigh (± ${(l.spread * 100).toFixed(0)} %).`,
      mend: 'Make more of it, in a jar that keeps, or use a finer scale.'
    });
  const score = ready
    ? scoreOf(plan.steps, filled, weighed, scored(ready.base, ready.formula.clockPart), plan.roomCelsius)
    : { blocks: [], windows: [], gates: [], demould: [], ends: 0, problems: [] };
  const { problems: late, ...timing } = score;
  problems.push(...late);

  return {
    groups,
    cups,
    totals: totalsOf(cups, plan.groups),
    basis: formula?.ok ? formula.value.basis.words : '',
    density,
    division: scale?.division ?? 0.01,
    score: timing,
    letDowns,
    cautions: base ? cautionsOf(base) : [],
    states: base ? behaviourOf(base).states : [],
    clockPart: formula?.ok ? formula.value.clockPart : '',
    problems: problems.sort((a, b) => LEVELS[a.level] - LEVELS[b.level])
  };
}

const scored = (base: Base, clockPart: string) => ({
  behaviour: behaviourOf(base),
  clockPart,
  stirMinutes: base.stirMinutes,
  demouldHours: base.demouldHours
});

const emptyCup = (): WeighedCup => ({
  balance: { pouredMl: 0, poured: 0, clings: 0, vessel: 0, left: 0, mixed: 0 },
  batch: 0,
  density: 0,
  weighings: [],
  ratioError: 0
});

function findCavity(group: Group, shelf: Shelf, index: number) {
  const mould = shelf.moulds.find((m) => m.id === group.mouldId);
  const kind = mould?.cavities.find((c) => c.id === group.cavityId);
  if (!mould || !kind) {
    return {
      problems: [
        missing('mould', `groups/${index}/mouldId`, `The mould of “${group.name}” is not on the shelf.`)
      ],
      mouldName: '',
      footprint: { kind: 'round' as const }
    };
  }
  const cavity: Cavity = cavityOf(kind, `shelf/moulds/${mould.id}/cavities/${kind.id}`);
  return {
    cavity,
    mouldName: mould.name,
    footprint: footprintOf(kind.shape),
    problems: cavity.problems
  };
}

function recipeProblems(
  cup: Cup,
  index: number,
  colourants: Map<string, Colourant>,
  base: Base | undefined
): Problem[] {
  const gone = cup.recipe.flatMap((line, i) =>
    colourants.has(line.colourantId)
      ? []
      : [
          missing(
            'colourant',
            `cups/${index}/recipe/${i}/colourantId`,
            `A colourant of ${cup.name} is not on the shelf.`
          )
        ]
  );
  return [...gone, ...(base ? limitProblems(cup, index, (id) => colourants.get(id), base.kind) : [])];
}

function stepProblems(plan: Plan): Problem[] {
  return plan.steps.flatMap((step, i) => {
    const found: Problem[] = [];
    if (!plan.groups.some((g) => g.id === step.groupId))
      found.push(
        missing('group', `steps/${i}/groupId`, 'This step names cavities that are not in the plan.')
      );
    if (step.act === 'lay' && !plan.cups.some((c) => c.id === step.cupId))
      found.push(missing('cup', `steps/${i}/cupId`, 'This step pours a cup that is not in the plan.'));
    return found;
  });
}

const missing = (what: string, path: string, sentence: string): Problem => ({
  code: `${what}-missing`,
  level: 'stop',
  path: `plan/${path}`,
  sentence,
  mend: `Choose a ${what} for it.`
});

/** Whether a gate stands between this layer and the one before it in the same cavities. */
function gatedBefore(plan: Plan, layer: Layer): boolean {
  const index = plan.steps.findIndex((s) => s.id === layer.stepId);
  const groupId = plan.steps[index]?.groupId;
  const before = plan.steps.slice(0, index).filter((s) => s.groupId === groupId);
  return before.at(-1)?.act === 'gate';
}

/**
 * Share of the mould face a level layer shows, seen straight on: what its walls add to the open area as they
 * lean out. The first layer shows the whole bottom as well.
 */
function mouldFaceShare(cavity: Cavity, layer: Layer): number {
  const { areaAt } = cavity.geometry;
  const rim = areaAt(cavity.depth);
  const inner = layer.from <= 0 ? 0 : areaAt(layer.from);
  return rim > 0 ? Math.max(0, (areaAt(layer.to) - inner) / rim) : 0;
}

function profileOf(cavity: Cavity): [number, number][] {
  return Array.from({ length: PROFILE_STEPS + 1 }, (_, i) => {
    // Closer together near the mould face, where a dome curves most.
    const z = cavity.depth * (i / PROFILE_STEPS) ** 2;
    return [z, cavity.geometry.halfWidthAt(z)];
  });
}

function totalsOf(cups: readonly ComputedCup[], groups: readonly Group[]): Computed['totals'] {
  const sum = (pick: (b: CupBalance) => number) => cups.reduce((s, c) => s + pick(c.balance), 0);
  const by = (kind: Weighing['kind'], keyOf: (w: Weighing) => string) => {
    const found = new Map<string, { key: string; name: string; grams: number }>();
    for (const w of cups.flatMap((c) => c.weighings)) {
      if (w.kind !== kind) continue;
      const entry = found.get(keyOf(w)) ?? { key: keyOf(w), name: w.name, grams: 0 };
      found.set(entry.key, { ...entry, grams: entry.grams + w.weight });
    }
    return [...found.values()];
  };
  return {
    parts: by('part', (w) => w.key),
    colourants: by('colourant', (w) => w.colourantId!).map(({ key, ...rest }) => ({ id: key, ...rest })),
    balance: {
      pouredMl: sum((b) => b.pouredMl),
      poured: sum((b) => b.poured),
      clings: sum((b) => b.clings),
      vessel: sum((b) => b.vessel),
      left: sum((b) => b.left),
      mixed: sum((b) => b.mixed)
    },
    pieces: groups.reduce((s, g) => s + g.count, 0)
  };
}
