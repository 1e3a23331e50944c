import { computePlan, type Computed, type PlanFile } from '$core/plan';
import { foldRun, tasksOf, type RunEvent, type RunState, type Task } from '$core/run';

/** A snapshot worked out: its figures and the tasks they make. */
export function tasksOfSnapshot({ plan, shelf }: PlanFile): { computed: Computed; tasks: Task[] } {
  const computed = computePlan(plan, shelf);
  const stir = shelf.bases.find((b) => b.id === plan.baseId)?.stirMinutes ?? 0;
  return { computed, tasks: tasksOf(plan, computed, stir) };
}

/** A run worked out from its snapshot: the figures, the tasks, and the state that its events fold to. */
export function foldedRun(
  snapshot: PlanFile,
  events: readonly RunEvent[]
): { computed: Computed; tasks: Task[]; state: RunState } {
  const { computed, tasks } = tasksOfSnapshot(snapshot);
  return { computed, tasks, state: foldRun(tasks, events, computed.division) };
}
