import { computePlan, type Computed, type PlanFile } from '$core/plan';
import { foldRun, tasksOf, type RunEvent, type RunState, type Task } from '$core/run';

/** A run worked out from its snapshot: the figures, the tasks, and the state that its events fold to. */
export function foldedRun(
  snapshot: PlanFile,
  events: readonly RunEvent[]
): { computed: Computed; tasks: Task[]; state: RunState } {
  const computed = computePlan(snapshot.plan, snapshot.shelf);
  const stir = snapshot.shelf.bases.find((b) => b.id === snapshot.plan.baseId)?.stirMinutes ?? 0;
  const tasks = tasksOf(snapshot.plan, computed, stir);
  return { computed, tasks, state: foldRun(tasks, events, computed.division) };
}
