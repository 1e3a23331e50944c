import { materials } from '../material';
import { cavityOf, isOfMould, mouldProblems, withEmbeds, type Cavity, type SolidEmbed } from '../mould';
import { castingProblems, solidsIn } from './castings';
import { emptyCavity, filledMl, type CavityLayer, type CavityState } from '../pour';
import type { Diagnostic, Fix } from '../problem';
import { otherMoulds } from './fixes/other-mould';
import type { ResolvedAct } from './read-steps';
import type { ResolvedPlan } from './resolve';
import type { CavitySet } from './cavity-sets';

/** What one step takes from one cup for the cavities of one cavity set. */
export interface Pour {
  /** The step's own id; `step@group` for further cavity sets, with `+cup` for further cups. */
  id: string;
  stepId: string;
  cavitySetId: string;
  cupId: string;
  /** ml for each cavity, and how many. */
  each: number;
  count: number;
  /** The cup that is filled with it, where it does not go into a cavity. */
  fills?: string;
  /** The act that draws it: whose hands' time it takes. */
  act?: ResolvedAct;
}

/** A layer and the pour it came from. */
export type PouredLayer = CavityLayer & { pourId: string };

/** How high a cavity stands before an act, mm, and what the act brings, ml. */
export interface Level {
  level: number;
  ml: number;
}

/** The cavities of a cavity set after all their steps. */
export interface FilledCavitySet {
  cavitySet: CavitySet;
  cavity: Cavity;
  /** What is set into it, each with its own size. */
  embeds: readonly SolidEmbed[];
  layers: PouredLayer[];
  pours: Pour[];
  /** What each act that is done in it finds there, and what it brings. */
  levels: Level[];
  /** Volume in one cavity at the end, ml; without what is piped onto the piece once it is out. */
  filledMl: number;
}

/** Plays every step over every cavity set: what each cavity holds, and what each step takes from which cup. */
export function fill(plan: ResolvedPlan): { filled: FilledCavitySet[]; problems: Diagnostic[] } {
  const problems: Diagnostic[] = [...castingProblems(plan)];
  const done = new Map<string, FilledCavitySet>();
  // What is set in is cast first.
  const castOf = (groupId: string, trail: readonly string[]): FilledCavitySet | undefined => {
    const source = plan.cavitySets.find((s) => s.group.id === groupId);
    return source && !trail.includes(source.id) ? visit(source, trail) : undefined;
  };
  const visit = (cavitySet: CavitySet, trail: readonly string[]): FilledCavitySet => {
    const known = done.get(cavitySet.id);
    if (known) return known;
    const embeds = solidsIn(plan, cavitySet, (id) => castOf(id, [...trail, cavitySet.id]));
    const made = fillCavitySet(plan, cavitySet, embeds);
    problems.push(...made.problems);
    done.set(cavitySet.id, made.filled);
    return made.filled;
  };
  return { filled: plan.cavitySets.map((s) => visit(s, [])), problems };
}

function fillCavitySet(
  plan: ResolvedPlan,
  cavitySet: CavitySet,
  embeds: readonly SolidEmbed[]
): { filled: FilledCavitySet; problems: Diagnostic[] } {
  const { group, mould, kind } = cavitySet;
  const acts = plan.steps.flatMap((step): Here[] => {
    const act = step.here(cavitySet.id);
    const first = step.cavitySets[0]?.id === cavitySet.id;
    return act ? [{ act, own: first ? step.step.id : `${step.step.id}@${cavitySet.id}` }] : [];
  });
  const played = plan.memo.of(`fill ${cavitySet.id}`, [cavitySet, embeds, acts], () =>
    playedIn(cavitySet, embeds, acts)
  );
  const used = usedFor(plan, played.filled.pours);
  const ofMould = mouldProblems(mould, kind, used, `plan/groups/${group.id}/mouldId`);
  return {
    filled: played.filled,
    problems: [
      ...played.problems,
      ...ofMould.map((p) =>
        p.level === 'note' ? p : { ...p, fixes: () => [...otherFace(plan, p), ...otherMoulds(plan, group)] }
      )
    ]
  };
}

/** An act as it is done in a cavity set, and the id that its pours have there. */
interface Here {
  act: ResolvedAct;
  own: string;
}

/** Plays the acts of a cavity set, one after another. */
function playedIn(
  cavitySet: CavitySet,
  embeds: readonly SolidEmbed[],
  acts: readonly Here[]
): { filled: FilledCavitySet; problems: Diagnostic[] } {
  const { group, mould, kind } = cavitySet;
  const path = `shelf/moulds/${mould.id}/cavities/${kind.id}`;
  const cavity = withEmbeds(cavityOf(kind, path), embeds, `plan/groups/${group.id}/embeds`);
  const problems: Diagnostic[] = [...cavity.problems];
  let stand = emptyCavity(cavitySet.name, cavity, kind);
  const layers: PouredLayer[] = [];
  const pours: Pour[] = [];
  const levels: Level[] = [];
  for (const { act, own } of acts) {
    const done = doAct(act, stand, own, cavitySet);
    levels.push({ level: stand.whole.level, ml: done.drawnMl });
    layers.push(...done.layers);
    pours.push(...done.pours);
    problems.push(...done.problems);
    stand = done.stand;
  }
  return { filled: { cavitySet, cavity, embeds, layers, pours, levels, filledMl: inMould(stand) }, problems };
}

/** What lies in the mould itself, ml: what was piped onto the piece outside it is not in it. */
const inMould = (stand: CavityState): number =>
  stand.unmoulded ? Math.min(filledMl(stand), stand.cavity.capacity) : filledMl(stand);

/** What leaves its mould badly by the face that is to be seen may leave it well by the other. */
const otherFace = ({ plan }: ResolvedPlan, { code }: Diagnostic): Fix[] =>
  code === 'draft-grips' && isOfMould(plan.showFace)
    ? [{ words: 'Show the poured side', edit: { path: ['showFace'], value: 'open face' } }]
    : [];

/** One act in one cavity: what it draws, and what lies there afterwards. */
function doAct(here: ResolvedAct, stand: CavityState, own: string, cavitySet: CavitySet) {
  const { definition, act, step } = here;
  const after = definition.apply(act, stand, step);
  const drawn = after.draws.filter((d) => d.ml > 0);
  const pours = drawn.map((d, i): Pour => ({
    id: i ? `${own}+${d.cupId}` : own,
    stepId: step.stepId,
    cavitySetId: cavitySet.id,
    cupId: d.cupId,
    each: d.ml,
    count: cavitySet.count,
    act: here
  }));
  const layers = after.stand.layers.slice(stand.layers.length).map((layer) => ({
    ...layer,
    pourId: pours.find((p) => p.cupId === layer.cupId)?.id ?? own
  }));
  const problems = [...after.problems, ...(definition.rules?.(act, stand, step) ?? [])];
  const drawnMl = after.draws.reduce((s, draw) => s + draw.ml, 0);
  return { stand: after.stand, layers, pours, drawnMl, problems };
}

/** What the moulds of a plan must bear: the heat of a melted base, and a face that is seen through or not. */
function usedFor({ plan, mixes, cupOf }: ResolvedPlan, pours: readonly Pour[]) {
  const poured = pours.flatMap((p) => cupOf.get(p.cupId)?.mix ?? []);
  const bases = (poured.length ? poured : [...mixes.values()]).map((m) => m.base);
  const hot = bases.flatMap((b) => materials.of(b).heat?.(b).to ?? []);
  return {
    showFace: plan.showFace,
    clear: bases.some((b) => materials.has(b.kind, 'cures clear')),
    ...(hot.length ? { pourCelsius: Math.max(...hot) } : {})
  };
}
