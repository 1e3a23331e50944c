import { PORTION } from '../batch';
import { splitAll } from '../document/mixing';
import {
  materials,
  type Base,
  type CraftCase,
  type CraftFact,
  type CraftProblem,
  type Joining
} from '../material';
import { type About, inPlan, type Diagnostic } from '../problem';
import type { FilledCavitySet } from './fill';
import { hasTrait } from './read-steps';
import type { ResolvedMix, ResolvedPlan } from './resolve';
import { gramsIn, type CommonMix, type CupMix, type AllMixes } from './weighing/weighed';

/** The figures of the craft, base by base: water to cement, superfat as weighed, shots; and what is wrong with them. */
export function craftOf(
  plan: ResolvedPlan,
  allMixes: AllMixes,
  filled: readonly FilledCavitySet[]
): { facts: CraftFact[]; problems: Diagnostic[] } {
  const bases = new Map([...plan.mixes.values()].map((m) => [m.base.id, m.base]));
  const made = [...bases.values()].flatMap((base) => {
    const craft = materials.of(base).craft?.(base, caseOf(plan, allMixes, filled, base));
    return craft ? [{ ...craft, problems: craft.problems.map((p) => foundOf(plan, base, p)) }] : [];
  });
  return { facts: made.flatMap((m) => m.facts), problems: made.flatMap((m) => m.problems) };
}

/** All that a plan makes of one base. */
function caseOf(
  plan: ResolvedPlan,
  allMixes: AllMixes,
  filled: readonly FilledCavitySet[],
  base: Base
): CraftCase {
  const mixes = [...plan.mixes.values()].filter((m) => m.base.id === base.id);
  const own = filled.filter(({ pours }) => pours.some((p) => baseOf(plan, p.cupId) === base.id));
  return {
    roomCelsius: plan.plan.bench.roomCelsius,
    joinings: mixes.flatMap((m) => joiningsOf(allMixes, m)),
    mixes: mixes.map(({ mix }) => ({
      id: mix.id,
      reheats: mix.reheats ?? 0,
      warmedAgain: warmedAgain(plan, mix.id)
    })),
    alone: plan.cups.filter((c) => c.mix?.base.id === base.id && c.mix.mix.feeds === 'one cup').length,
    castings: own.map(({ cavitySet, layers }) => ({
      name: cavitySet.name,
      count: cavitySet.count,
      layersMl: layers.map((l) => l.each),
      mouldMaterial: cavitySet.mould.material
    }))
  };
}

/** How often the plan warms a cup of a mix again: as often as its cup that is warmed most. */
function warmedAgain({ steps, cupOf }: ResolvedPlan, mixId: string): number {
  const times = new Map<string, number>();
  for (const { own, step } of steps) {
    const { cupId } = step.act as { cupId?: string };
    if (cupId === undefined || !hasTrait(own, 'heats again')) continue;
    if (cupOf.get(cupId)?.mix?.mix.id === mixId) times.set(cupId, (times.get(cupId) ?? 0) + 1);
  }
  return Math.max(0, ...times.values());
}

const baseOf = ({ cupOf }: ResolvedPlan, cupId: string): string | undefined => cupOf.get(cupId)?.mix?.base.id;

function foundOf({ plan }: ResolvedPlan, base: Base, { orSplit, ...problem }: CraftProblem): Diagnostic {
  if (orSplit === undefined) return problem;
  return { ...problem, fixes: [{ words: orSplit, edit: { path: [], value: splitAll(plan, base.id) } }] };
}

/**
 * What is joined of a mix: each cup that pours, in its first mix; where it is split, the split mix, and those of its
 * cups in which colourants shift its figures.
 */
function joiningsOf(allMixes: AllMixes, { mix, formula }: ResolvedMix): Joining[] {
  const split = mix.feeds === 'split';
  const mixes = allMixes.common
    .filter((m) => m.of === mix.id && m.turn === 1)
    .map((m) => joining(inPlan('mixes', mix.id), 'the mix', 'split mix', m));
  const cups = allMixes.cups.flatMap(({ cup, mixes }) => {
    const first = mixes.find((m) => m.balance.pouredMl > 0);
    if (!('mix' in cup.from) || cup.from.mix !== mix.id || !first) return [];
    if (split && !bringsParts(first, formula)) return [];
    return [joining(inPlan('cups', cup.id), cup.name, split ? 'portion' : 'own', first)];
  });
  return [...mixes, ...cups];
}

const joining = (about: About, name: string, is: Joining['is'], m: CommonMix | CupMix): Joining => ({
  about,
  name,
  is,
  weighed: (key) => m.weighings.find((w) => w.key === key && w.kind === 'part')?.weight ?? 0,
  held: gramsIn(m.held)
});

/** Whether more of the recipe's parts is in a portion than it took from its mix. */
function bringsParts({ held, weighings }: CupMix, { parts }: ResolvedMix['formula']): boolean {
  const inAll = held.reduce((s, p) => s + p.grams, 0);
  return parts.length > 1 && inAll > (weighings.find((w) => w.key === PORTION)?.weight ?? 0) + 1e-9;
}
