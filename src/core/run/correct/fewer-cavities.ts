import { stillFrom } from '../amounts/ledger';
import type { FrozenRun } from '../snapshot/frozen';
import { groupsOf } from '../tasks/ready';
import type { RunState } from '../log/state';
import type { Task } from '../tasks/task';
import type { Plan } from '../../document';
import { planNow } from './plan-now';

/** A plan that asks of a mix only what it still has: its tasks, the plan, and what comes of it. */
export interface Fewer {
  tasks: Task[];
  plan: Plan;
  /** Cavities that are still filled in each group, and those that are given up. */
  groups: { groupId: string; cavities: number; given: number }[];
}

/**
 * The run with as many whole cavities as a mix still serves: in every group it is poured into, later layers of other cups
 * follow, and cavities that would miss this layer are given up. What is poured already stays, and what other mixes serve.
 * Undefined where it still serves all.
 */
export function fewerCavities(frozen: FrozenRun, state: RunState, mixId: string): Fewer | undefined {
  const { pours } = stillFrom(frozen, state, mixId);
  const can = new Map(pours.map((p) => [p.taskId, p.can]));
  const given = new Map<string, number>();
  for (const { taskId, planned, can: left } of pours) {
    const task = state.tasks.find((t) => t.task.id === taskId)?.task;
    if (task?.kind !== 'pour' || left === planned) continue;
    given.set(task.groupId, Math.max(given.get(task.groupId) ?? 0, planned - left));
  }
  if (!given.size) return undefined;
  const plan = planNow(frozen, state);
  const groups = plan.groups.flatMap((g) => {
    const gone = given.get(g.id);
    return gone
      ? [{ groupId: g.id, cavities: Math.max(0, g.count - gone), given: Math.min(gone, g.count) }]
      : [];
  });
  const left = new Map(groups.map((g) => [g.groupId, g.cavities]));
  return {
    tasks: tasksFor(state, { given, can, left }),
    plan: { ...plan, groups: plan.groups.map((g) => groupOf(g, left.get(g.id))) },
    groups
  };
}

/** A group with fewer cavities; one that is given up whole stays as it was, since what is in it is still taken out. */
function groupOf(group: Plan['groups'][number], cavities: number | undefined): Plan['groups'][number] {
  if (!cavities) return group;
  // What is done otherwise in some cavities says which by number: nothing tells which of them are left.
  const { variations: _, ...rest } = group;
  return { ...rest, count: cavities };
}

interface Cut {
  /** Cavities given up in each group, what each pour of the mix still can, and the cavities left. */
  given: ReadonlyMap<string, number>;
  can: ReadonlyMap<string, number>;
  left: ReadonlyMap<string, number>;
}

/** The open tasks with so many cavities fewer: the mix's own pours as it can, those of other layers from the last mix on. */
function tasksFor(state: RunState, { given, can, left }: Cut): Task[] {
  const own = new Set(
    state.tasks.flatMap(({ task }) => (task.kind === 'pour' && can.has(task.id) ? [task.stepId] : []))
  );
  const rest = new Map<string, number>();
  const cut = (task: Extract<Task, { kind: 'pour' }>): number => {
    if (can.has(task.id)) return can.get(task.id)!;
    if (own.has(task.stepId)) return task.count;
    const place = `${task.stepId}|${task.groupId}`;
    const gone = rest.get(place) ?? given.get(task.groupId) ?? 0;
    const taken = Math.min(gone, task.count);
    rest.set(place, gone - taken);
    return task.count - taken;
  };
  const kept = state.tasks.toReversed().flatMap(({ task, status }): Task[] => {
    if (status !== 'open') return [task];
    const groups = groupsOf(task);
    const none = groups.length > 0 && groups.every((id) => left.get(id) === 0);
    if (none && task.kind !== 'demould') return [];
    if (task.kind !== 'pour') return [task];
    const count = cut(task);
    return count > 0 ? [{ ...task, count }] : [];
  });
  return kept.reverse();
}
