import type { Diagnostic } from '../../problem';
import type { FilledCavitySet } from '../fill';
import type { ResolvedPlan } from '../resolve';
import type { AllMixes } from '../weighing/weighed';
import { batchesOf } from './batches';
import { overheats } from './cup-overheats';
import { tooSmall } from './mix-too-small';
import { vesselTooSmall } from './vessel-too-small';

/** What is wrong with a whole mix, whatever it is poured into: its heat, its vessel, its least size. */
export function mixProblems(
  plan: ResolvedPlan,
  allMixes: AllMixes,
  filled: readonly FilledCavitySet[]
): Diagnostic[] {
  if (!plan.scales.length) return [];
  return batchesOf(plan, allMixes).flatMap((b) => [
    ...overheats(plan, b, filled),
    ...vesselTooSmall(plan, b),
    ...tooSmall(plan, b, allMixes)
  ]);
}
