import { grouped } from '../../grouped';
import type { Block, DemouldWindow, PourWindow, Score } from '../../schedule';
import { POUR_RULES, type CupFacts, type Done, type Sequence } from '../../pour/rules';
import { layerState, materials } from '../../material';
import { cavityOf, widestArea, type Cavity, type CavityKind } from '../../mould';
import { fixesOf, type Diagnostic } from '../../problem';
import type { ComputedCup } from '../computed';
import { rimOf } from '../../pattern/shapes/cavity-prism';
import { freshId } from '../../edit/fresh-id';
import { applyEdit } from '../../document/apply-edit';
import type { Plan, Step } from '../../document';
import { found } from '../found';
import { lightness } from '../light-to-dark';
import { withSecondBatch } from '../../edit/second-batch';
import type { FilledCavitySet } from '../fill';
import type { ResolvedAct, ResolvedStep } from '../read-steps';
import type { ResolvedMix, ResolvedPlan } from '../resolve';
import { roomIn } from '../room';

/** Density from which a pigment sinks in a thin cup, g/ml: oxides and titanium white are near 4, organic ones under 2. */
const HEAVY = 3;

/** A cup as it was worked out: g/ml, and its own colour. */
type Coloured = Pick<ComputedCup, 'density' | 'colour'>;

/** What is wrong with how, and in which order, the pour is done: every rule over every cavity set of cavities. */
export function pourProblems(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  score: Score,
  cups: ReadonlyMap<string, Coloured>
): Diagnostic[] {
  const facts = new Map<string, CupFacts>();
  const factsOf = (id: string): CupFacts => {
    const own = facts.get(id) ?? cupFacts(plan, cups, id);
    facts.set(id, own);
    return own;
  };
  const times = plan.memo.of('times', [score.blocks, score.windows], () => ({
    blocks: grouped(score.blocks, (b) => (b.stepId === undefined ? [] : [b.stepId])),
    windows: grouped(score.windows, (w) => [w.cupId])
  }));
  return filled.flatMap((f) => {
    const steps = plan.steps.filter((s) => s.here(f.cavitySet.id));
    const done = plan.memo.of(`times ${f.cavitySet.id}`, [f, steps, times], () => timesIn(steps, f, times));
    const used = [...new Set(done.flatMap((d) => d.cups))];
    const first = firstMix(plan, f);
    const demould = score.demould.find((d) => d.groupId === f.cavitySet.group.id);
    const looksAt = [f, done, used.map(factsOf), first, demould, roomIn(plan.plan.bench)];
    return found(plan.memo, `pour ${f.cavitySet.id}`, looksAt, () => {
      const sequence = sequenceOf(plan, f, { done, demould, first }, factsOf);
      return POUR_RULES.flatMap((rule) => rule(sequence)).map((p) => batched(plan.plan, p));
    });
  });
}

/** A pour that is put off for days is made from a second batch: its first has set by then. */
function batched(plan: Plan, found: Diagnostic): Diagnostic {
  const { code, stepId } = found;
  if (code !== 'refilled-soft' || stepId === undefined) return found;
  const fixes = () =>
    fixesOf(found).flatMap((t) => {
      const value = withSecondBatch(applyEdit(plan, t.edit), new Set([stepId]));
      return value
        ? [t, { words: `${t.words}, and mix a second batch for it`, edit: { path: [], value } }]
        : [t];
    });
  return { ...found, fixes };
}

/** What the first layer of a cavity is made of; where nothing is poured, the first mix of the plan. */
const firstMix = (plan: ResolvedPlan, { layers }: FilledCavitySet): ResolvedMix | undefined =>
  layers.flatMap((l) => plan.cupOf.get(l.cupId)?.mix ?? [])[0] ?? plan.mixes.values().next().value;

function sequenceOf(
  plan: ResolvedPlan,
  filled: FilledCavitySet,
  {
    done,
    demould: window,
    first
  }: { done: readonly Timed[]; demould: DemouldWindow | undefined; first: ResolvedMix | undefined },
  cup: (id: string) => CupFacts
): Sequence {
  const { cavitySet, layers, embeds } = filled;
  const { cavity, rim } = plan.memo.of(`rim ${cavitySet.id}`, [cavitySet.kind], () => rimIn(cavitySet.kind));
  const states = first?.behaviour.states.map((s) => s.state) ?? [];
  const apart = first ? layerState(first.base) : '';
  return {
    plan: plan.plan,
    name: cavitySet.name,
    groupId: cavitySet.group.id,
    steps: stepsIn(filled, done),
    material: materials.find(first?.base.kind),
    finish: cavitySet.mould.finish,
    depth: cavity.depth,
    capacity: cavity.capacity,
    half: rim.half,
    floor: cavity.geometry.areaAt(0) || rim.area,
    within: ({ x, y }) => rim.contains(x * rim.half.width, y * rim.half.length),
    embeds,
    apart,
    carries:
      states.at(Math.max(0, states.indexOf(apart) - 1)) === 'paste'
        ? 'holds a line'
        : (states.at(Math.max(0, states.indexOf(apart) - 1)) ?? apart),
    gelsBy: (poured) => {
      const mm = layers.find((l) => l.stepId === poured.step.id);
      const after =
        first && mm && first.behaviour.layerReaches(apart, mm.to - mm.from, roomIn(plan.plan.bench));
      // From its beginning: made in several turns, a step ends with the last of them.
      return after === undefined || poured.from === undefined ? Infinity : poured.from + after;
    },
    // Few rules ask for it: those that find something.
    get freshId() {
      return freshId(plan.plan, 'gate');
    },
    cup,
    ...(window
      ? {
          demould: {
            from: window.from,
            to: window.to,
            ...(window.cured === undefined ? {} : { cured: window.cured })
          }
        }
      : {})
  };
}

/** A step as it is done in a cavity set, the cups it names, and when it is done by the score. */
interface Timed extends Pick<Done, 'from' | 'to' | 'coloured' | 'closes'> {
  step: Step;
  here: ResolvedAct;
  cups: readonly string[];
}

/** What a score says of steps and cups, by their ids. */
interface Times {
  blocks: ReadonlyMap<string, readonly Block[]>;
  windows: ReadonlyMap<string, readonly PourWindow[]>;
}

/** The steps that are done in a cavity set, with when they are done. */
function timesIn(
  steps: readonly ResolvedStep[],
  { cavitySet }: FilledCavitySet,
  { blocks: ofStep, windows: ofCup }: Times
): Timed[] {
  return steps.map(({ step, here: inSet }): Timed => {
    const here = inSet(cavitySet.id)!;
    const cups = here.definition.cups(here.act);
    const blocks = (ofStep.get(step.id) ?? []).filter(
      (b) => b.groupId === undefined || b.groupId === cavitySet.group.id
    );
    const windows = cups.flatMap((id) => ofCup.get(id) ?? []);
    return {
      ...{ step, here, cups },
      ...(blocks.length
        ? { from: Math.min(...blocks.map((b) => b.from)), to: Math.max(...blocks.map((b) => b.to)) }
        : {}),
      ...(windows.length
        ? {
            coloured: Math.min(...windows.map((w) => w.from)),
            closes: Math.max(...windows.map((w) => w.to))
          }
        : {})
    };
  });
}

/** A cavity as it is without what is set into it, and its rim. */
function rimIn(kind: CavityKind): { cavity: Cavity; rim: ReturnType<typeof rimOf> } {
  const cavity = cavityOf(kind, '');
  return { cavity, rim: rimOf(kind.shape, widestArea(cavity.geometry)) };
}

/** The same steps with what each is done on. */
const stepsIn = ({ levels }: FilledCavitySet, done: readonly Timed[]): Done[] =>
  done.map(({ here, cups: _, ...own }, i): Done => ({
    ...own,
    definition: here.definition,
    act: here.act,
    traits: here.definition.traits?.(here.act) ?? [],
    ...levels[i]!
  }));

/** The colourants of a cup, those of all that it is poured together from among them. */
function potsIn(cupOf: ResolvedPlan['cupOf'], id: string, seen: readonly string[] = []): string[] {
  const cup = cupOf.get(id);
  if (!cup || seen.includes(id)) return [];
  return [
    ...cup.cup.recipe.map((line) => line.colourantId),
    ...cup.parts.flatMap((p) => potsIn(cupOf, p.cupId, [...seen, id]))
  ];
}

function cupFacts(
  { cupOf, colourants }: ResolvedPlan,
  cups: ReadonlyMap<string, Coloured>,
  id: string
): CupFacts {
  const cup = cupOf.get(id);
  const pots = potsIn(cupOf, id).flatMap((pot) => colourants.get(pot) ?? []);
  return {
    name: cup?.cup.name ?? 'a cup',
    density: cups.get(id)?.density ?? 0,
    lightness: lightness(cups.get(id)?.colour ?? '#000000'),
    alcohol: pots.some((p) => p.carrier === 'alcohol'),
    ink: pots.some((p) => p.form === 'ink'),
    heavy: pots.find((p) => (p.density ?? 0) >= HEAVY)?.name
  };
}
