import type { Diagnostic } from '../problem';
import { found } from './found';
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
  const { memo, colourants, allBases, scales } = plan;
  return [
    ...plan.cups.flatMap((c) =>
      found(memo, `recipe ${c.cup.id}`, [c, colourants, allBases], () => recipeProblems(c, plan))
    ),
    ...allMixes.cups.flatMap((w) =>
      found(memo, `weighed ${w.cup.id}`, [w, scales], () => cupProblems(w, plan))
    ),
    ...cupsUnpoured(plan),
    ...splitMixProblems(allMixes, plan),
    ...mixProblems(plan, allMixes, filled, score),
    ...filled.flatMap((f) => layerProblems(plan, f)),
    ...pourProblems(plan, filled, score, new Map(cups.map((c) => [c.cupId, c]))),
    ...(plan.scales.length ? contrastProblems(pairs, plan) : []),
    ...dominanceProblems(plan, cups, groups),
    ...needProblems(needs),
    ...injectorProblems(plan, filled),
    ...residueProblems(plan, filled, colours),
    ...sharedMoulds(filled, score)
  ];
}
