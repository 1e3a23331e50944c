import { isJar } from '../../schedule';
import type { TaskState } from '../log/state';
import type { Task } from './task';

/** What must be out of the way before each task, by task id. */
export type TaskOrder = ReadonlyMap<string, readonly string[]>;

/** What came last while a list of tasks is read, by what it was done to. */
interface Last {
  prepare?: string;
  jar?: string;
  any?: string;
  ofMix: Map<string, string>;
  ofCup: Map<string, string>;
  ofGroup: Map<string, string>;
}

/**
 * What each task of a run waits for: weighings and the stir of a mix for one another, a portion for its pot, a pour for its
 * mix, everything in a cavity for what was done there before. What is not bound so may be done in another order than
 * planned. The same list of tasks gives the same order.
 */
export function orderOf(tasks: readonly Task[]): TaskOrder {
  const known = orders.get(tasks);
  if (known) return known;
  const last: Last = { ofMix: new Map(), ofCup: new Map(), ofGroup: new Map() };
  const order = new Map<string, readonly string[]>();
  for (const task of tasks) {
    order.set(task.id, [...new Set(before(task, last).filter((id) => id !== undefined))]);
    remember(task, last);
  }
  orders.set(tasks, order);
  return order;
}

const orders = new WeakMap<readonly Task[], TaskOrder>();

function before(task: Task, last: Last): (string | undefined)[] {
  const groups = groupsOf(task).map((id) => last.ofGroup.get(id));
  switch (task.kind) {
    case 'prepare':
      // A later sitting begins when all before it is done.
      return [last.any];
    case 'weigh':
      return [
        last.prepare,
        last.ofMix.get(task.mixId),
        // A let-down is at hand before any cup is coloured.
        isJar(task.cupId) ? undefined : last.jar,
        task.portionOf === undefined ? undefined : last.ofMix.get(task.portionOf)
      ];
    case 'make':
    case 'stir':
      return [last.ofMix.get(task.mixId)];
    case 'fill':
      return [last.ofMix.get(task.mixId), ...task.from.map((x) => last.ofCup.get(x.cupId))];
    case 'pour':
      return [
        last.prepare,
        last.ofMix.get(task.mixId),
        // What is poured at once with it is mixed too.
        ...(task.also ?? []).map((a) => last.ofCup.get(a.cupId)),
        ...groups
      ];
    case 'gate':
    case 'demould':
      return [last.prepare, ...groups];
    case 'do':
      // What is done to no cavities keeps its place.
      return groups.length
        ? [last.prepare, ...groups, ...(task.uses ?? []).map((id) => last.ofGroup.get(id))]
        : [last.any];
  }
}

function remember(task: Task, last: Last): void {
  last.any = task.id;
  if (task.kind === 'prepare') last.prepare = task.id;
  if (task.kind === 'weigh' && isJar(task.cupId)) last.jar = task.id;
  if (task.kind === 'gate' && task.holds !== undefined) last.ofMix.set(task.holds, task.id);
  if (task.kind === 'weigh' || task.kind === 'make' || task.kind === 'stir' || task.kind === 'fill') {
    last.ofMix.set(task.mixId, task.id);
    last.ofCup.set(task.cupId, task.id);
  }
  for (const id of groupsOf(task)) last.ofGroup.set(id, task.id);
}

/** The cavities that a task is done to. */
export function groupsOf(task: Task): readonly string[] {
  if ('groupIds' in task) return task.groupIds;
  return 'groupId' in task ? [task.groupId] : [];
}

/** Whether everything that a task waits for is done or left out. */
export const isReady = (id: string, order: TaskOrder, byId: ReadonlyMap<string, TaskState>): boolean =>
  (order.get(id) ?? []).every((before) => byId.get(before)?.status !== 'open');
