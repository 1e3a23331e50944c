import type { Condition } from '../document';
import { layerState } from '../material';
import { cavityOf } from '../mould';
import { Casting, spread, straight, type Content, type Engine, type Prism, type Spot } from '../pattern';
import { prismOf } from '../pattern/shapes/cavity-prism';
import type { FilledCavitySet, Pour } from '../plan/fill';
import { passing, setsAfter } from '../plan/left-alone';
import { hasTrait, type ResolvedAct, type ResolvedStep } from '../plan/read-steps';
import type { ResolvedPlan } from '../plan/resolve';
import type { SetIn } from '../pour';
import { contentsOf, potsOf } from './contents';
import { goneThrough, keptOf, type KeptTrace, type Standing } from './kept-trace';
import type { Matter } from './matter';
import { thingSetIn } from './set-in';
import { sinkingOf } from './sinking';

/** One cavity traced through its steps: the engine that answers what is where, and what its answers mean. */
export interface Traced {
  prism: Prism;
  casting: Casting;
  engine: Engine;
  /** By the numbers the engine answers. */
  matters: readonly Matter[];
  /** ml of each matter that was poured, and of that what stays in the piece, as the casting booked it. */
  poured: ReadonlyMap<number, number>;
  held: ReadonlyMap<number, number>;
}

/**
 * Goes through the steps of one cavity set of cavities and keeps what each does to where things lie.
 *
 * @param asked.seed of all that is left to chance: the same seed, the same piece
 * @param asked.until the last step that is done; all of them when absent
 * @param asked.others all cavities of the plan: castings of theirs may be set in
 */
export function traced(plan: ResolvedPlan, filled: FilledCavitySet, asked: TraceAsked): Traced {
  const { seed, until } = asked;
  // The cavity itself: what is set in takes its room where it stands.
  const prism = prismOf(filled.cavitySet.kind, cavityOf(filled.cavitySet.kind, ''));
  const steps = performed(plan, filled, until);
  const goingFrom = (at: Standing): Going => ({
    plan,
    filled,
    casting: at.casting,
    content: contentsOf(plan, at.matters, at.contents),
    pot: potsOf(plan, at.matters, at.pots),
    setIn: (id) =>
      castingSetIn(plan, filled, { ...asked, matters: at.matters }, id) ?? thingSetIn(filled, at.matters, id),
    chambers: chambersOf(filled)
  });
  const begun: Standing = {
    casting: castingIn(plan, filled, prism, seed),
    matters: [],
    contents: new Map(),
    pots: new Map()
  };
  const standing = goneThrough(doingIn(plan, filled, { steps, until, bar: begun.casting.bar }), begun, {
    kept: asked.kept && keptOf(asked.kept, pouredFrom(plan, filled)),
    perform: (doing, at) => perform(doing, goingFrom(at))
  });
  const { casting, matters } = standing;
  const going = goingFrom(standing);
  if (until === undefined) setInUnsaid(going, steps);
  const engine = casting.engine();
  if (casting.embeds.some((e) => e.kind === 'line' || (e.kind === 'ball' && !e.matterAt)))
    matters.push({ kind: 'solid' });
  const inMl = (of: ReadonlyMap<number, number>) => new Map([...of].map(([m, mm3]) => [m, mm3 / 1000]));
  return {
    prism,
    casting,
    engine,
    matters,
    poured: inMl(casting.poured),
    held: inMl(casting.held)
  };
}

/** How a piece is traced. */
interface TraceAsked {
  seed: string;
  until?: string | undefined;
  others: readonly FilledCavitySet[];
  /** The trace before this one, of the same cavities and seed: what both begin with is not done again. */
  kept?: KeptTrace | undefined;
}

/** What is carried from step to step while a cavity is gone through. */
interface Going extends Pick<Traced, 'casting'> {
  plan: ResolvedPlan;
  filled: FilledCavitySet;
  content(cupId: string): Content;
  pot(colourantId: string): { content: Content; density: number };
  setIn(id: string | undefined): SetIn | undefined;
  chambers: ReadonlyMap<string, { id: string; from: number; to: number }>;
}

/** A step with what it pours: by which pour, ml, and the share of it that sinks. */
interface Doing extends Performed {
  drawn: Pour | undefined;
  ml: number;
  sinks: number;
  /** All that it does, as text: two that do the same are the same. */
  does: string;
}

/** What a piece is poured from, as text: the cups as they are mixed, the cavities, and castings of other cavities that are set in. */
function pouredFrom({ plan }: ResolvedPlan, { cavitySet }: FilledCavitySet): string {
  const elsewhere = plan.steps.filter((s) => !s.where.includes(cavitySet.group.id));
  return JSON.stringify([plan.cups, plan.groups, elsewhere]);
}

/** What each step pours. A heavy colour has sunk once all is poured that it sinks through. */
function doingIn(
  plan: ResolvedPlan,
  filled: FilledCavitySet,
  { steps, until, bar }: { steps: readonly Performed[]; until: string | undefined; bar: boolean }
): Doing[] {
  const isPoured =
    until === undefined || steps.some((s) => s.step === plan.steps.findLast((x) => pours(x, filled)));
  return steps.map((performed): Doing => {
    const { step, act, share, gated } = performed;
    const own = filled.pours.filter((p) => p.stepId === step.step.id);
    const [drawn] = own;
    const ml = own.reduce((s, p) => s + p.each, 0) * share;
    const sinks = drawn && isPoured && own.length === 1 ? sinkingOf(plan, filled, drawn, bar) : 0;
    const does = JSON.stringify([step.step.id, act.act, gated, share, ml, sinks]);
    return { ...performed, drawn, ml, sinks, does };
  });
}

/** An empty cavity; one much longer than wide that is cut into pieces is a bar. */
function castingIn(
  { plan }: ResolvedPlan,
  { cavitySet }: FilledCavitySet,
  prism: Prism,
  seed: string
): Casting {
  const { section } = prism.shaped;
  const { width, length } = section.half;
  const bar = Math.max(width, length) > 1.8 * Math.min(width, length) && (cavitySet.group.cutInto ?? 1) > 1;
  return new Casting(section, `${plan.id}/${cavitySet.id}/${seed}`, bar);
}

/** Does one act, or one round of it, in the casting. */
function perform({ step, act, gated, drawn, ml, sinks }: Doing, going: Going): void {
  const { casting, content, chambers } = going;
  casting.begin(step.step.id);
  if (gated) casting.setStill();
  if (!act.definition.flow || (drawn && ml <= 0)) return;
  if (drawn && sinks > 0) casting.keepHeavy(content(drawn.cupId).matter, ml * 1000 * sinks);
  act.definition.flow(act.act, casting, {
    mm3: ml * 1000 * (1 - sinks),
    content,
    pot: going.pot,
    chamber: (id) => chambers.get(id),
    object: going.setIn
  });
}

/** A casting of the plan that is set in: traced by itself, its matters told among those of the piece it goes into. */
function castingSetIn(
  plan: ResolvedPlan,
  { cavitySet }: FilledCavitySet,
  { matters, seed, others }: TraceAsked & { matters: Matter[] },
  id: string | undefined
): SetIn | undefined {
  const embed = cavitySet.group.embeds?.find((e) => e.id === id);
  const source =
    embed?.kind === 'casting' ? others.find((o) => o.cavitySet.group.id === embed.groupId) : undefined;
  if (embed?.kind !== 'casting' || !source || source.cavitySet.id === cavitySet.id) return undefined;
  // What is cast before is traced without what comes after it: no casting can be in itself.
  const before = others.filter((o) => o.cavitySet.id !== cavitySet.id);
  const own = traced(plan, source, { seed, others: before });
  const first = matters.length;
  matters.push(...own.matters);
  const { section } = own.casting;
  const { level } = own.engine;
  const { width, length } = section.half;
  const high = level * embed.share;
  return {
    radius: Math.max(width, length),
    tall: high / 2,
    from: embed.from,
    body: () => ({
      high,
      area: section.area,
      upright: straight(0, high),
      outline: section.starAt(0, 0),
      holds: ({ x, y, z }) => z >= 0 && z <= high && section.contains(x, y),
      matterAt: (spot) => {
        const matter = matterWithin(own, spot);
        return matter < 0 ? matter : first + matter;
      }
    })
  };
}

/** What stands at a place of a piece: what is poured there, or what is set in; below 0 for none. */
export function matterWithin({ casting, engine, matters }: Traced, spot: Spot): number {
  const solid = casting.embeds.length ? casting.solidAt(spot) : undefined;
  // What is in what was set in is seen, not that something was.
  if (solid && solid.kind !== 'line' && solid.matterAt)
    return solid.matterAt({
      x: spot.x - solid.x,
      y: spot.y - solid.y,
      z: spot.z - (solid.kind === 'body' ? solid.low : solid.z)
    });
  if (solid) return matters.findIndex((m) => m.kind === 'solid' && m.hex === undefined);
  return engine.matterAt(spot);
}

/** What is set in by no step of its own stands there all the same: spread over the cavity, one to a bar where it is cut into bars. */
function setInUnsaid({ filled, casting, plan, setIn }: Going, steps: readonly Performed[]): void {
  const acts = plan.steps.flatMap((s) => s.here(filled.cavitySet.id) ?? []);
  const placed = new Set(acts.flatMap(({ act }) => ('embedId' in act && act.embedId ? [act.embedId] : [])));
  casting.begin(steps.at(-1)?.step.step.id ?? '');
  for (const e of filled.embeds) {
    if (e.kind !== 'object' || placed.has(e.id)) continue;
    const { radius, tall, body, matterAt } = setIn(e.id)!;
    spread(casting, e.each, radius).forEach((at, n) => {
      if (body) casting.embed({ kind: 'body', ...at, low: e.from, ...body(n) });
      else casting.embed({ kind: 'ball', ...at, z: e.from + tall, radius, tall, matterAt });
    });
  }
}

const pours = ({ step }: ResolvedStep, { pours: all }: FilledCavitySet) =>
  all.some((p) => p.stepId === step.id);

interface Performed {
  step: ResolvedStep;
  act: ResolvedAct;
  /** The share of the step that is done here: a round of several. */
  share: number;
  /** Whether what stands there has been left to set before it. */
  gated: boolean;
}

/** What is done in a cavity set, in order; rounds of neighbouring steps are taken turn about. */
function performed(plan: ResolvedPlan, filled: FilledCavitySet, until: string | undefined): Performed[] {
  const done: Performed[] = [];
  let turn: Performed[][] = [];
  const take = () => {
    const most = Math.max(0, ...turn.map((t) => t.length));
    for (let r = 0; r < most; r++) done.push(...turn.flatMap((t) => t[r] ?? []));
    turn = [];
  };
  const isGated = gatedInTurn(plan, filled);
  for (const step of plan.steps) {
    const act = step.here(filled.cavitySet.id);
    if (!act) continue;
    const gated = isGated(step, act);
    const rounds = hasTrait(act, 'in turns') ? Number((act.act as { rounds?: number }).rounds ?? 1) : 1;
    const own = Array.from({ length: rounds }, (_, i) => ({
      step,
      act,
      share: 1 / rounds,
      gated: gated && !i
    }));
    const same = turn[0]?.[0]?.act.definition.kind === act.definition.kind;
    if (!same || rounds === 1 || gated) take();
    turn.push(own);
    if (step.step.id === until) break;
  }
  take();
  return done;
}

/** Says of one step after another whether what lies there has set before it. */
function gatedInTurn(plan: ResolvedPlan, filled: FilledCavitySet) {
  let [waited, passed] = [false, 0];
  return (step: ResolvedStep, act: ResolvedAct): boolean => {
    const inTime = passed > 0 && passed >= setsAfter(plan, filled);
    const gated = waited || inTime || setBefore(plan, filled, step);
    // A wait leaves what it waited for to the step after it; time passes until the next pour.
    waited = act.definition.group === 'wait' && gated;
    passed = (pours(step, filled) ? 0 : passed) + passing(act);
    return gated;
  };
}

/** Whether what lies there has set when a step begins: by the state it waits for, or by the time it waits. */
function setBefore(plan: ResolvedPlan, filled: FilledCavitySet, { step }: ResolvedStep): boolean {
  const mix = mixIn(plan, filled);
  if (!mix) return step.gates.length > 0;
  const states = mix.behaviour.states.map((s) => s.state);
  const carries = states.indexOf(layerState(mix.base));
  const holds = (c: Condition): boolean => {
    // A state that is none of this material's is one that nothing moves in.
    if (c.kind === 'state')
      return c.of === 'layer below' && (!states.includes(c.state) || states.indexOf(c.state) >= carries);
    if (c.kind === 'since') return c.minutes >= setsAfter(plan, filled);
    return c.kind === 'checked';
  };
  return step.gates.some((g) => g.all.some(holds));
}

/** The mix of what is poured first into a cavity set. */
const mixIn = (plan: ResolvedPlan, { pours }: FilledCavitySet) => plan.cupOf.get(pours[0]?.cupId ?? '')?.mix;

/** The chambers of a divided cavity as shares of the footprint from the left. */
function chambersOf({ cavitySet }: FilledCavitySet): Map<string, { id: string; from: number; to: number }> {
  let at = 0;
  return new Map(
    (cavitySet.kind.chambers ?? []).map((c) => {
      const from = at;
      at += c.share;
      return [c.id, { id: c.id, from, to: at }];
    })
  );
}
