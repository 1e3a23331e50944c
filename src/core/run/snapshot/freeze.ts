import { computePlan } from '../../plan/compute';
import type { LearnedHistory, Plan } from '../../document';
import type { Shelf } from '../../shelf';
import type { Computed } from '../../plan/computed';
import type { FrozenRun } from './frozen';
import { tasksOf } from '../tasks/tasks-of';

/**
 * The version of the rules that plan a run: raised whenever a figure, a task or a sentence would come out otherwise
 * than before. A run keeps the figures it was begun with, and says by which rules.
 */
const RULES = 6;

/** Freezes a plan as a run begins: the file, its tasks and every planned figure. Nothing of it is worked out again. */
export function freeze(
  plan: Plan,
  shelf: Shelf,
  learned: LearnedHistory = {}
): Omit<FrozenRun, 'computed'> & { computed: Computed } {
  const computed = computePlan(plan, shelf, learned);
  return {
    version: 2,
    rules: RULES,
    file: { format: 'kirapen.plan', version: 2, plan, shelf },
    tasks: tasksOf(plan, computed),
    computed
  };
}
