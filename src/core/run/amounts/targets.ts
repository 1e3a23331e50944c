import type { RunState, TaskState } from '../log/state';

/**
 * What a weighing was aimed at when it was done, g: its plan's weight, grown by what had gone over in its mix before. A cup that
 * keeps the plan's weights grows by nothing.
 */
export function aimedAt(state: RunState, entry: TaskState): number {
  const { task, doneAt } = entry;
  if (task.kind !== 'weigh') return 0;
  if (state.cups.get(task.mixId)?.accepted) return task.grams;
  const before = state.tasks.flatMap((t) =>
    t.task.kind === 'weigh' &&
    t.task.mixId === task.mixId &&
    t.task.part &&
    !t.task.byEye &&
    t.task.id !== task.id &&
    t.actual !== undefined &&
    (t.doneAt ?? Infinity) < (doneAt ?? Infinity)
      ? [t.actual / t.task.grams]
      : []
  );
  return task.grams * (before.length ? Math.max(...before) : 1);
}
