import type { Diagnostic } from '../../problem';
import type { Score } from '../../schedule';
import type { FilledCavitySet } from '../fill';
import type { ResolvedPlan } from '../resolve';
import type { AllMixes } from '../weighing/weighed';
import { batchesOf } from './batches';
import { overheats } from './cup-overheats';
import { standingMinutes } from './standing';
import { tooSmall } from './mix-too-small';
import { vesselTooSmall } from './vessel-too-small';

/** What is wrong with a whole mix, whatever it is poured into: its heat, its vessel, its least size. */
export function mixProblems(
  plan: ResolvedPlan,
  allMixes: AllMixes,
  filled: readonly FilledCavitySet[],
  score: Score
): Diagnostic[] {
  if (!plan.scales.length) return [];
  const batches = batchesOf(plan, allMixes);
  return [
    ...batches.flatMap((b) => [
      ...overheats(plan, b, { filled, standing: standingMinutes(b, allMixes, score) }),
      ...vesselTooSmall(plan, b)
    ]),
    ...tooSmall(plan, batches, allMixes)
  ];
}
