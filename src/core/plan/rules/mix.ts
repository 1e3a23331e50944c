import type { Found } from '../../problem';
import type { FilledStrand } from '../fill';
import type { ResolvedPlan } from '../resolve';
import type { WorkedCups } from '../weighing/weighed';
import { batchesOf } from './batches';
import { overheats } from './cup-overheats';
import { tooSmall } from './mix-too-small';
import { vesselTooSmall } from './vessel-too-small';

/** What is wrong with a whole mix, whatever it is poured into: its heat, its vessel, its least size. */
export function mixProblems(
  plan: ResolvedPlan,
  worked: WorkedCups,
  filled: readonly FilledStrand[]
): Found[] {
  if (!plan.scales.length) return [];
  return batchesOf(plan, worked).flatMap((b) => [
    ...overheats(plan, b, filled),
    ...vesselTooSmall(plan, b),
    ...tooSmall(plan, b, worked)
  ]);
}
