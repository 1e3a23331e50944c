import { stillFrom } from './books';
import type { FrozenRun } from './frozen';
import { groupsOf } from './ready';
import type { RunState } from './state';
import type { Task } from './task';
import type { Plan } from '../plan/document';

/** A plan that asks of a mix only what it still has: its tasks, the plan, and what comes of it. */
export interface Fewer {
  tasks: Task[];
  plan: Plan;
  /** Cavities that are still filled in each group, and those that are given up. */
  groups: { groupId: string; cavities: number; given: number }[];
}

/**
 * The run with as many whole cavities as a mix still serves: in every group it is poured into, later layers of other cups
 * follow, and cavities that would miss this layer are given up. What is poured already stays. Undefined where it still serves all.
 */
export function fewerCavities(frozen: FrozenRun, state: RunState, mixId: string): Fewer | undefined {
  const { pours } = stillFrom(frozen, state, mixId);
  const still = new Map<string, number>();
  for (const { taskId, can } of pours) {
    const task = state.tasks.find((t) => t.task.id === taskId)?.task;
    if (task?.kind !== 'pour') continue;
    still.set(task.groupId, Math.min(still.get(task.groupId) ?? Infinity, can));
  }
  const cut = [...still].flatMap(([groupId, cavities]) => {
    const count = frozen.file.plan.groups.find((g) => g.id === groupId)?.count ?? 0;
    return cavities < count ? [{ groupId, cavities, given: count - cavities }] : [];
  });
  if (!cut.length) return undefined;
  const left = new Map(cut.map((c) => [c.groupId, c.cavities]));
  const tasks = state.tasks.flatMap(({ task, status }): Task[] => {
    if (status !== 'open') return [task];
    const own = groupsOf(task);
    const none = own.length > 0 && own.every((id) => left.get(id) === 0);
    if (none && task.kind !== 'demould') return [];
    if (task.kind !== 'pour') return [task];
    return [{ ...task, count: Math.min(task.count, left.get(task.groupId) ?? task.count) }];
  });
  const { plan } = frozen.file;
  const groups = plan.groups.map((g) => {
    const cavities = left.get(g.id);
    return cavities ? { ...g, count: cavities, variations: undefined } : g;
  });
  return {
    tasks,
    plan: { ...plan, groups: groups.map(({ variations, ...g }) => (variations ? { ...g, variations } : g)) },
    groups: cut
  };
}
