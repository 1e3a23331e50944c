import type { Problem } from '../../problem';
import type { Plan } from '../document';
import { missing } from './missing';

/** Steps that name cavities or cups the plan does not have. */
export function stepProblems(plan: Plan): Problem[] {
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
