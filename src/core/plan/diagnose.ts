import type { Diagnostic } from '../problem';
import { found } from './found';
import { roomIn } from './room';
import type { Score } from '../schedule';
import type { Need } from '../shelf/stock';
import type { ComputedCup } from './computed';
import { contrastProblems, type TouchingPair } from './looks/contrast';
import { dominanceProblems } from './looks/dominance';
import type { FilledCavitySet } from './fill';
import type { ComputedGroup } from './draw';
import type { ResolvedPlan } from './resolve';
import {
  cupProblems,
  cupsUnpoured,
  injectorProblems,
  layerProblems,
  mixProblems,
  needProblems,
  pourProblems,
  splitMixProblems,
  recipeProblems,
  residueProblems,
  sharedMoulds
} from './rules';
import type { AllMixes } from './weighing/weighed';

/** Everything a plan came to, for its rules to look at. */
export interface DiagnosedPlan {
  plan: ResolvedPlan;
  filled: readonly FilledCavitySet[];
  allMixes: AllMixes;
  cups: readonly ComputedCup[];
  groups: readonly ComputedGroup[];
  pairs: readonly TouchingPair[];
  needs: readonly Need[];
  score: Score;
}

/** All rules over a plan that has been worked out. */
export function diagnose({
  plan,
  filled,
  allMixes,
  cups,
  groups,
  pairs,
  needs,
  score
}: DiagnosedPlan): Diagnostic[] {
  const colours = new Map(cups.map((c) => [c.cupId, c.colour]));
  const { memo, colourants, allBases, scales, mixes } = plan;
  const played = [score.blocks, score.windows];
  const bench = [scales, roomIn(plan.plan.bench)];
  return [
    ...plan.cups.flatMap((c) =>
      found(memo, `recipe ${c.cup.id}`, [c, colourants, allBases], () => recipeProblems(c, plan))
    ),
    ...allMixes.cups.flatMap((w) =>
      found(memo, `weighed ${w.cup.id}`, [w, scales], () => cupProblems(w, plan))
    ),
    ...cupsUnpoured(plan),
    ...splitMixProblems(allMixes, plan),
    ...found(memo, 'mixes', [mixes, allMixes.cups, allMixes.common, played, filled, bench], () =>
      mixProblems(plan, allMixes, filled, score)
    ),
    ...filled.flatMap((f) => layerProblems(plan, f)),
    ...pourProblems(plan, filled, score, new Map(cups.map((c) => [c.cupId, c]))),
    ...found(memo, 'contrast', [pairs, plan.cups, scales], () =>
      plan.scales.length ? contrastProblems(pairs, plan) : []
    ),
    ...found(memo, 'white', [cups, groups], () => dominanceProblems(plan, cups, groups)),
    ...needProblems(needs),
    ...injectorProblems(plan, filled),
    ...residueProblems(plan, filled, colours),
    ...found(memo, 'moulds', [filled, played, score.demould], () => sharedMoulds(filled, score))
  ];
}
